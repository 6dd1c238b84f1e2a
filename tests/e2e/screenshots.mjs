// Takes one PNG of each main view from the demo data at 1280x800 into docs/screenshots. Needs the built program: ABRI_BUILD_ONLY=1 ./run
import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromiumArguments } from './chromium.mjs'

const root = fileURLToPath(new URL('../..', import.meta.url))
const out = process.argv[2] ?? join(root, 'docs/screenshots')
const only = process.argv[3]
const port = 5097
const data = mkdtempSync(join(tmpdir(), 'abri-shots-'))
const app = spawn('dotnet', [join(root, 'artifacts/app/Abri.Server.dll'), '--port', String(port), '--data', data, '--now', '2031-05-12T07:40Z'], { stdio: 'ignore' })
const url = `http://127.0.0.1:${port}`
for (let i = 0; i < 100 && !(await fetch(`${url}/health`).then((r) => r.ok, () => false)); i++) await new Promise((r) => setTimeout(r, 100))

const vehicles = await (await fetch(`${url}/api/vehicles`)).json()
const id = vehicles.find((v) => v.value.name === 'Heron').id
const shell = await (await fetch(`${url}/api/vehicles/${id}/shell`)).json()
const patch = shell.repairs.find((r) => r.value.kind === 'patch').id
const opening = (part) => shell.openings.find((o) => o.value.name.includes(part)).id
const panel = (kind, tab) => `/vehicles/${id}/panels/${shell.panels.find((p) => p.value.kind === kind).id}/${tab}`
const at = (part, tab) => `/vehicles/${id}/openings/${opening(part)}/${tab}`

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: chromiumArguments,
})
const views = [
  ['walkaround', `/vehicles/${id}/walkaround`],
  ['panel', panel('left', 'members'), tapeTwice],
  ['leaks', `/vehicles/${id}/water`, farSuspect],
  ['water', `/vehicles/${id}/water/standing`, worstAttitude],
  ['metal', `/vehicles/${id}/metal`],
  ['patch', `/vehicles/${id}/metal/${patch}/design`],
  ['floor', `/vehicles/${id}/floor`],
  ['replacement', `/vehicles/${id}/floor/${shell.floor.replacements[0].id}/replace`],
  ['lining', `/vehicles/${id}/floor/lining/${shell.floor.linings[0].id}/sheets`],
  ['place', at('Vent', 'place')],
  ['mark-out', at('Vent', 'mark-out'), (p) => p.getByRole('button', { name: 'Inside', exact: true }).click()],
  ['sealing', `/vehicles/${id}/sealing`, joint],
  ['days', `/vehicles/${id}/days`],
  ['plan', `/vehicles/${id}/days/plan`, planned],
  ['bench', `/vehicles/${id}/bench/opening/${opening('Vent')}`, wrongReading],
  ['logbook', `/vehicles/${id}/logbook`],
  ['stores', `/vehicles/${id}/stores`],
  ['load', `/vehicles/${id}/load`],
  ['quick-figures', '/figures', rust],
]
async function tapeTwice(page) {
  await page.getByLabel('Running readings').fill('1780 / 1825')
  await page.getByText('Taped twice?').click()
  await page.getByLabel('The same edges, taped again').fill('1780 / 1831')
  await page.getByTestId('twice').waitFor()
}
async function planned(page) {
  await page.getByRole('button', { name: 'Plan it' }).click()
  await page.getByTestId('plan-board').getByRole('button', { name: /Patch under the rear step: cut out/ }).first().click({ timeout: 30000 })
  await page.getByTestId('plan-task').waitFor()
}
async function wrongReading(page) {
  const step = page.getByTestId('bench-step')
  await step.getByRole('button', { name: 'Yes', exact: true }).click()
  await step.getByLabel(/Height of it/).fill('396')
  await step.getByLabel(/Width of the part/).fill('390')
  await step.getByLabel('Your name').fill('Ada')
  await step.getByText('5 mm too small').waitFor()
}
async function joint(page) {
  await page.getByTestId('joints').getByRole('button', { name: /Vent over the glaze bench/ }).click()
  await page.getByTestId('cure').waitFor()
}
async function farSuspect(page) {
  await page.getByTestId('suspects').getByRole('button', { name: /Seam open/ }).click()
}
async function worstAttitude(page) {
  await page.getByTestId('dams').waitFor()
  await page.getByRole('button', { name: 'Find the worst attitude' }).click()
  await page.getByTestId('worst').waitFor()
  await page.waitForTimeout(2500)
}
async function rust(page) {
  await page.getByRole('tab', { name: 'Rust' }).click()
  await page.getByRole('button', { name: '8 %' }).click()
  await page.getByLabel('Left at the worst place').fill('0.65')
  await page.getByLabel('Left at the worst place').press('Tab')
  await page.getByTestId('rust').getByText('look again').waitFor()
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
