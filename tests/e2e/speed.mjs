// Measures how long the screens of a vehicle with 300 findings and 60 openings take to be usable; bar: 300 ms each. Needs the built program.
import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromiumArguments } from './chromium.mjs'

const root = fileURLToPath(new URL('../..', import.meta.url))
const port = 5096
const url = `http://127.0.0.1:${port}`
const data = mkdtempSync(join(tmpdir(), 'abri-speed-'))
const app = spawn('dotnet', [join(root, 'artifacts/app/Abri.Server.dll'), '--port', String(port), '--data', data], { stdio: 'ignore' })
for (let i = 0; i < 100 && !(await fetch(`${url}/health`).then((r) => r.ok, () => false)); i++) await new Promise((r) => setTimeout(r, 100))

const vehicles = await (await fetch(`${url}/api/vehicles`)).json()
const heron = vehicles.find((v) => v.value.name === 'Heron')
const bundle = await (await fetch(`${url}/api/vehicles/${heron.id}/vehicle.json`)).json()
bundle.record.vehicle.name = 'Crowded'
const roof = bundle.record.panels[0]
const [finding, opening] = [roof.findings[1], roof.openings[2]]
const at = (i, n) => ({ sMm: 100 + ((i * 4100) / n), tMm: ((i * 137) % 1600) - 800 })
roof.findings = Array.from({ length: 300 }, (_, i) => ({ ...finding, finding: { ...finding.finding, name: `Finding ${i}`, points: [at(i, 300)] } }))
roof.openings = Array.from({ length: 60 }, (_, i) => ({ ...opening, name: `Opening ${i}`, centre: at(i, 60) }))
for (const panel of bundle.record.panels.slice(1)) [panel.findings, panel.openings] = [[], []]
const made = await (await fetch(`${url}/api/vehicles/import`, { method: 'POST', body: JSON.stringify(bundle), headers: { 'Content-Type': 'application/json' } })).json()

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: chromiumArguments })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
const median = (list) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)].toFixed(0)
/** From the click to the frame in which the last of so many things stands, on the page's own clock. */
async function measured(name, link, selector, count) {
  const times = []
  for (let i = 0; i < 9; i++) {
    await page.goto(name === 'walkaround' ? `${url}/vehicles` : `${url}/vehicles/${made.id}/walkaround`)
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
await measured('walkaround', 'Crowded', 'g.finding, g.opening', 360)
await measured('openings', 'Openings', '[data-testid=openings] .next .btn', 60)
await measured('sealing', 'Sealing', '[data-testid=joints] li', 60)
await measured('water', 'Water', '[data-testid=suspects] li', 5)
const shellMs = []
for (let i = 0; i < 20; i++) {
  const start = performance.now()
  await (await fetch(`${url}/api/vehicles/${made.id}/shell`)).text()
  shellMs.push(performance.now() - start)
}
console.log(`the record over HTTP: ${median(shellMs)} ms`)
await browser.close()
app.kill()
await new Promise((resolve) => app.once('exit', resolve))
rmSync(data, { recursive: true, force: true })
