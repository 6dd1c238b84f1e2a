// Takes one PNG of each main view from the demo data at 1280x800 into docs/screenshots. Needs the built program: ABRI_BUILD_ONLY=1 ./run
import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../..', import.meta.url))
const out = process.argv[2] ?? join(root, 'docs/screenshots')
const only = process.argv[3]
const port = 5097
const data = mkdtempSync(join(tmpdir(), 'abri-shots-'))
const app = spawn('dotnet', [join(root, 'artifacts/app/Abri.Server.dll'), '--port', String(port), '--data', data], { stdio: 'ignore' })
const url = `http://127.0.0.1:${port}`
for (let i = 0; i < 100 && !(await fetch(`${url}/health`).then((r) => r.ok, () => false)); i++) await new Promise((r) => setTimeout(r, 100))

const vehicles = await (await fetch(`${url}/api/vehicles`)).json()
const id = vehicles[0].id
const shell = await (await fetch(`${url}/api/vehicles/${id}/shell`)).json()
const opening = (part) => shell.openings.find((o) => o.value.name.includes(part)).id
const at = (part, tab) => `/vehicles/${id}/openings/${opening(part)}/${tab}`

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
})
const views = [
  ['walkaround', `/vehicles/${id}/walkaround`],
  ['walkaround-members', `/vehicles/${id}/walkaround`, (p) => p.getByRole('tab', { name: 'Members' }).click()],
  ['openings', `/vehicles/${id}/openings`],
  ['place', at('Vent', 'place')],
  ['place-inside', at('Skylight', 'place'), (p) => p.getByRole('button', { name: 'Inside' }).click()],
  ['mark-out', at('Vent', 'mark-out'), (p) => p.getByRole('button', { name: 'Inside' }).click()],
  ['as-cut', at('Vent', 'as-cut'), fillHole],
  ['fittings', '/fittings'],
  ['fitting', '/fittings', (p) => p.getByRole('button', { name: 'Skylight 700 x 500' }).click()],
  ['quick-figures', '/figures', (p) => p.getByLabel('Type a length').fill('3\'6 1/2')],
  ['vehicles', '/vehicles'],
]
async function fillHole(page) {
  const values = { 'Length near the left edge': '399', 'Length near the right edge': '400.5', 'Width near the front edge': '398', 'Width near the rear edge': '400', 'Diagonal, front right to rear left': '549', 'Diagonal, front left to rear right': '546.5' }
  for (const [label, value] of Object.entries(values)) await page.getByLabel(label).fill(value)
  await page.getByTestId('advice').waitFor()
}
for (const [name, path, act] of views) {
  if (only && only !== name) continue
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  page.on('console', (m) => m.type() === 'error' && console.log(name, m.text()))
  await page.goto(url + path)
  await page.waitForLoadState('networkidle')
  if (act) await act(page)
  await page.waitForTimeout(700)
  await page.screenshot({ path: join(out, `${name}.png`) })
  await page.close()
}
await browser.close()
app.kill()
await new Promise((resolve) => app.once('exit', resolve))
rmSync(data, { recursive: true, force: true })
