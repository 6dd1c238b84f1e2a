// Measures how long the screens of a vehicle with 300 findings and 60 openings take to be usable; bar: 300 ms each. Needs the built program.
import { chromium } from '@playwright/test'
import { chromiumArguments } from './chromium.mjs'
import { crowded } from './crowded.mjs'

const { url, made, end } = await crowded(5096)
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: chromiumArguments })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
const median = (list) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)].toFixed(0)
/** From the click to the frame in which the last of so many things stands, on the page's own clock. */
async function measured(name, link, selector, count, vehicle = made.id) {
  const times = []
  for (let i = 0; i < 9; i++) {
    await page.goto(name === 'walkaround' ? `${url}/vehicles` : `${url}/vehicles/${vehicle}/walkaround`)
    await page.getByRole('link', { name: link }).first().waitFor()
    await page.waitForLoadState('networkidle')
    times.push(
      await page.evaluate(
        async ([text, selector, count]) => {
          const start = performance.now()
          ;[...document.querySelectorAll('a')].find((a) => a.textContent.includes(text)).click()
          while (document.querySelectorAll(selector).length < count) await new Promise(requestAnimationFrame)
          await new Promise(requestAnimationFrame)
          return performance.now() - start
        },
        [link, selector, count],
      ),
    )
  }
  console.log(`${name}: ${median(times)} ms (median of ${times.length}); bar 300 ms`)
}
// The crowded roof has grommets only: a vehicle of its own rusts in 300 places.
const rusty = await (await fetch(`${url}/api/vehicles/${made.id}/vehicle.json`)).json()
rusty.record.vehicle.name = 'Rusty'
const [roof, left] = ['roof', 'left'].map((kind) => rusty.record.panels.find((p) => p.panel.kind === kind))
const corners = (i) =>
  [[0, 0], [40, 0], [40, 30], [0, 30]].map(([s, t]) => ({ sMm: 100 + (i % 30) * 130 + s, tMm: 100 + Math.floor(i / 30) * 150 + t }))
left.findings = roof.findings.map((f, i) => ({
  ...f,
  finding: { ...f.finding, name: `Rust ${i}`, kind: i % 3 ? 'surfaceRust' : 'perforation', shape: 'area', points: corners(i) },
}))
roof.findings = []
const rusted = await (
  await fetch(`${url}/api/vehicles/import`, { method: 'POST', body: JSON.stringify(rusty), headers: { 'Content-Type': 'application/json' } })
).json()
await measured('walkaround', 'Crowded', 'g.finding, g.opening', 360)
await measured('openings', 'Openings', '[data-testid=openings] .next .btn', 60)
await measured('sealing', 'Sealing', '[data-testid=joints] tbody tr.ant-table-row', 50)
await measured('water', 'Water', '[data-testid=suspects] li', 5)
await measured('metal, 300 spots on the map', 'Metal', 'g.repair', 300, rusted.id)
await browser.close()
await end()
