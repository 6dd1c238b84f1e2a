import { expect, test, type Page } from '@playwright/test'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startApp, type RunningApp } from './app.ts'

/** Can I still close it today? The program's clock stands at a Monday morning, twenty to nine at the vehicle. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5095, ['--now', '2031-05-12T07:40Z'])
})
test.afterAll(async () => {
  await app.stop()
})

async function days(page: Page) {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: 'Days' }).click()
  await expect(page.getByRole('heading', { name: 'Days' })).toBeVisible()
}
const gate = (page: Page, name: string) => page.locator('article', { hasText: name })
const badge = (page: Page) => page.getByRole('banner').getByRole('status')

test('the badge on every screen says until when one may cut; the list before the first hole is ticked', async ({ page }) => {
  await days(page)
  await expect(badge(page)).toContainText(/Last safe cut today \d\d:\d\d/)
  const vent = gate(page, 'Vent over the glaze bench')
  await vent.getByRole('button', { name: 'Vent over the glaze bench' }).click()
  await expect(vent).toContainText(/Go until \d\d:\d\d\. Start now, and it is safe from rain by (\w+ )?\d\d:\d\d\./)
  await expect(vent.getByRole('img', { name: 'How it goes from then on' })).toContainText('Cut')
  await expect(vent.getByRole('img', { name: 'Chance of rain on the open shell by when it is begun' })).toBeVisible()
  const ready = page.getByTestId('ready')
  const left = page.getByText(/Vent over the glaze bench\. (\d+) left\./)
  const before = Number((await left.textContent())!.match(/(\d+) left/)![1])
  const behind = ready.getByRole('checkbox', { name: /Looked behind the panel/ })
  await behind.click()
  await expect(behind).toBeChecked()
  await expect(page.getByText(`Vent over the glaze bench. ${before - 1} left.`)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(`Vent over the glaze bench. ${before} left.`)).toBeVisible()
  // The strip leads here from anywhere.
  await page.getByRole('link', { name: 'Sealing', exact: true }).click()
  await expect(badge(page)).toContainText('Last safe cut today')
  await page.getByRole('banner').getByRole('link', { name: 'Weather of the next 72 hours' }).click()
  await expect(page.getByRole('heading', { name: 'Days' })).toBeVisible()
})

test('a hole that stands open is told on every screen, with the quickest way to shut it', async ({ page }) => {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await page.getByRole('button', { name: 'Vent over the glaze bench' }).first().click()
  await page.getByRole('link', { name: 'As cut' }).click()
  const readings = { 'Length near the left edge': '401', 'Length near the right edge': '401', 'Width near the front edge': '401', 'Width near the rear edge': '401', 'Diagonal, front right to rear left': '550', 'Diagonal, front left to rear right': '550' }
  for (const [label, mm] of Object.entries(readings)) await page.getByLabel(label).fill(mm)
  await page.getByRole('button', { name: 'Save readings' }).click()
  await expect(badge(page)).toContainText('Shell open: 1 place')
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: 'Days' }).click()
  const open = page.getByTestId('open-now')
  await expect(open).toContainText('Open now: Vent over the glaze bench')
  await expect(open).toContainText(/Likely dry until/)
  await expect(open).toContainText('Cover 700 mm × 700 mm, 5.6 m of tape.')
  await open.getByText('Tape a sheet over it').click()
  await expect(open).toContainText('low side taped first')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(open).toHaveCount(0)
  await expect(badge(page)).toContainText('Last safe cut today')
})

test('less care lets one begin later, and a helper opens a job for two', async ({ page }) => {
  await days(page)
  const until = async () => (await gate(page, 'Vent over the glaze bench').textContent())!.match(/Go until (\d\d:\d\d)/)![1]
  const slow = await until()
  await page.getByRole('button', { name: 'Usual', exact: true }).click()
  await expect.poll(until).not.toBe(slow)
  expect((await until()) > slow).toBe(true)
  await expect(gate(page, 'Hinged window by the wheel')).toContainText('Cut takes 2 people; only 1 is there.')
  await page.getByTestId('people').getByRole('button', { name: /Helper/ }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('Monday, from').fill('08:00')
  await form.getByLabel('Monday, until').fill('19:00')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form).toBeHidden()
  await expect(page.getByTestId('people')).toContainText('Mon 8:00–19:00')
  await expect(gate(page, 'Hinged window by the wheel')).toContainText('Go until')
  for (let i = 0; i < 2; i++) {
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText(/^Undone/).last()).toBeVisible()
  }
})

test('weather typed in a minute shuts the gate before the rain, and what was typed is there again', async ({ page }) => {
  await days(page)
  await page.getByRole('button', { name: 'New weather' }).click()
  const form = page.getByRole('dialog')
  // Nothing is dry until somebody says so; what is over need not be said.
  await expect(form.getByRole('button', { name: 'Save' })).toBeDisabled()
  await expect(form.getByRole('button', { name: 'Mon night, 0–6: Over' })).toBeDisabled()
  await expect(form.getByRole('status')).toContainText('Still missing: Mon, Morning, 6–12.')
  const tap = async (day: string, part: string, times: number) => {
    const key = form.getByRole('button', { name: new RegExp(`^${day} ${part}`) })
    for (let n = 0; n < times; n++) await key.click()
  }
  const figures = async (date: string, high: string) => {
    const day = form.locator(`[data-date="${date}"]`)
    await day.getByLabel('High, °C').fill(high)
    await day.getByLabel('Low, °C').fill('9')
    await day.getByLabel('Wind, m/s').fill('3')
  }
  await tap('Mon', 'morning', 1)
  await tap('Mon', 'afternoon', 3)
  await tap('Mon', 'evening', 1)
  await figures('2031-05-12', '19')
  await tap('Tue', 'night', 1)
  await expect(form.getByRole('status')).toContainText('Still missing: Tue, Morning, 6–12.')
  for (const part of ['morning', 'afternoon', 'evening']) await tap('Tue', part, 1)
  await figures('2031-05-13', '20')
  await expect(form.getByRole('button', { name: 'Mon afternoon, 12–18: Rain' })).toBeVisible()
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form).toBeHidden()
  await expect(page.getByText(/typed, 08:4\d/)).toBeVisible()
  await expect(gate(page, 'Vent over the glaze bench')).toContainText(/Not today\.|Only with a cover/)
  await expect(gate(page, 'Vent over the glaze bench')).toContainText(/Next: Tue/)
  await page.getByRole('button', { name: 'New weather' }).click()
  await expect(form.getByRole('button', { name: 'Mon afternoon, 12–18: Rain' })).toBeVisible()
  await expect(form.locator('[data-date="2031-05-12"]').getByLabel('High, °C')).toHaveValue('19')
  // A low above the high is told, and nothing is lost.
  await form.locator('[data-date="2031-05-12"]').getByLabel('Low, °C').fill('25')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('The low of 25 °C is above the high of 19 °C.')).toBeVisible()
  await expect(form).toBeVisible()
})

test('a table of hours is read, and told where it cannot be', async ({ page }) => {
  await days(page)
  const folder = mkdtempSync(join(tmpdir(), 'abri-weather-'))
  const rows = Array.from({ length: 60 }, (_, h) => {
    const at = new Date(Date.parse('2031-05-12T07:00Z') + h * 3_600_000).toISOString().slice(0, 16)
    return `${at}Z;${h % 24 === 6 ? '61,5' : '57,2'};55;8;2`
  })
  const good = join(folder, 'good.csv')
  const bad = join(folder, 'bad.csv')
  writeFileSync(good, `time;temp (F);humidity;wind (kn);chance of rain\n${rows.join('\n')}\n`)
  writeFileSync(bad, `time;temp (F);humidity;wind (kn);chance of rain\n${rows[0]!.replace(/2$/, '140')}\n`)
  await page.getByRole('button', { name: 'New weather' }).click()
  const form = page.getByRole('dialog')
  await form.getByRole('tab', { name: 'Read a table' }).click()
  await form.getByLabel('Table of hours (CSV)').setInputFiles(bad)
  await expect(page.getByText(/Line 2 has 140 under "chance of rain": it has to lie between 0 and 100 %/)).toBeVisible()
  await form.getByLabel('Table of hours (CSV)').setInputFiles(good)
  await expect(form.getByRole('status')).toContainText('No gusts in the table: taken as 1.6 times the wind.')
  await form.getByRole('button', { name: 'Close', exact: true }).last().click()
  await expect(page.getByText(/from a table, 08:4\d/)).toBeVisible()
  await expect(badge(page)).toContainText('Last safe cut today')

  // Sealing's cure reads the same hours: 57.2 F is 14 C.
  await page.getByRole('link', { name: 'Sealing', exact: true }).click()
  await page.getByTestId('joints').getByRole('button', { name: /Vent over the glaze bench/ }).click()
  const cure = page.getByTestId('cure')
  await expect(cure.getByRole('button', { name: 'Forecast' })).toHaveAttribute('aria-pressed', 'true')
  await expect(cure).toContainText('Now 14 °C and 55 %')
})

test('the simulated service is named as one, and its clock is stepped on', async ({ page }) => {
  await days(page)
  await page.getByRole('button', { name: 'New weather' }).click()
  const form = page.getByRole('dialog')
  await form.getByRole('tab', { name: 'Simulated service' }).click()
  await expect(form).toContainText('made-up weather')
  await form.getByRole('button', { name: 'Get its forecast' }).click()
  await expect(form).toBeHidden()
  await expect(page.getByText('simulated service, 07:00')).toBeVisible()
  await page.goto(`${app.url}/simulated-weather`)
  await expect(page.getByRole('heading', { name: 'Simulated weather service' })).toBeVisible()
  await expect(page.getByText('The program’s clock says 2031-05-12 07:4')).toBeVisible()
  await page.getByRole('button', { name: 'Step on by 6 hours' }).click()
  await expect(page.getByText('The program’s clock says 2031-05-12 13:4')).toBeVisible()
  await expect(page.getByText('Forecast issued 2031-05-12 12:00')).toBeVisible()
})

test('light, a roof in the sun and the next one of a kind are told without a vehicle', async ({ page }) => {
  await page.goto(`${app.url}/figures`)
  await page.getByRole('tab', { name: 'Light and sun' }).click()
  await page.getByLabel('Latitude, degrees').fill('38.7')
  await page.getByLabel('Longitude, degrees').fill('-9.1')
  await page.getByLabel('On', { exact: true }).fill('2031-05-12')
  // npm suncalc: sunrise 5:27, dusk 20:08, in universal time.
  await expect(page.getByTestId('daylight')).toContainText('05:27')
  await expect(page.getByTestId('daylight')).toContainText('20:08')
  await expect(page.getByTestId('roof-in-sun')).toContainText('sealant skins before it is tooled')
  await page.getByRole('tab', { name: 'The next one' }).click()
  // Wright: 180 x 0.85 x 0.85.
  await expect(page.getByTestId('learning')).toContainText('Number 4 takes about 130 min')
})

/** The plan of all that waits on the Heron. */
async function plan(page: Page) {
  await days(page)
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(page.getByTestId('plan')).toContainText(/tasks to plan|tasks planned/)
  const make = page.getByRole('button', { name: 'Plan it' })
  if (await make.count()) await make.click()
  // On a machine that does other work beside it a first plan takes its time.
  await expect(page.getByTestId('plan-board')).toBeVisible({ timeout: 60_000 })
}

test('all that waits is put into days; a task is fixed, moved and let go again, and what cannot be is told with a way out', async ({ page }) => {
  test.setTimeout(120_000)
  await plan(page)
  await expect(page.getByTestId('plan-verdict')).toContainText(/tasks planned, done by \w+ \d+ May \d\d:\d\d/)
  // Which openings find a time hangs on the weather that the tests before have left.
  const vent = page.getByTestId('plan-board').getByRole('button', { name: /: cut to (seal over|clamp it)/ }).first()
  await vent.click()
  const task = page.getByTestId('plan-task')
  await expect(task).toContainText(': cut to ')
  await expect(task).toContainText('Safe from rain by')
  await task.getByRole('button', { name: 'Fix this time' }).click()
  await expect(task.getByRole('button', { name: 'Let it move' })).toBeVisible({ timeout: 30_000 })
  const fixed = await vent.getAttribute('title')
  await page.getByRole('button', { name: 'Plan again' }).click()
  await expect(page.getByTestId('plan-board')).toBeVisible()
  expect(await vent.getAttribute('title')).toBe(fixed)
  await task.getByRole('button', { name: 'Let it move' }).click()
  await expect(task.getByRole('button', { name: 'Fix this time' })).toBeVisible({ timeout: 30_000 })

  // Dragged to the evening, a task goes to the nearest time at which it may begin.
  const read = page.getByTestId('plan-board').getByRole('button', { name: /Right rear door stands off: bend it/ }).first()
  await read.scrollIntoViewIfNeeded()
  const box = (await read.boundingBox())!
  await page.mouse.move(box.x + 4, box.y + 5)
  await page.mouse.down()
  await page.mouse.move(box.x + 60, box.y + 6)
  await expect(page.locator('.may').first()).toBeVisible()
  await page.mouse.move(box.x + 190, box.y + 6, { steps: 4 })
  await page.mouse.up()
  await read.click()
  await expect(task.getByRole('button', { name: 'Let it move' })).toBeVisible({ timeout: 30_000 })
  await expect(page.getByTestId('moved')).toContainText('Right rear door stands off: bend it')

  // Done: what follows is planned from then on, and it is not in the list any more.
  await task.getByRole('button', { name: 'Done' }).click()
  await expect(task.getByRole('button', { name: 'Not done' })).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(task.getByRole('button', { name: 'Done' })).toBeVisible()
})

test('own tasks are planned with the rest, rules of the trade are overruled with a reason, and the list of a day is printed', async ({ page }) => {
  test.setTimeout(120_000)
  await plan(page)
  await page.getByRole('button', { name: 'Add something to do' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('What', { exact: true }).fill('Collect the window')
  await form.getByLabel('Minutes').fill('45')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Something changed since: plan again.')).toBeVisible()
  await page.getByRole('button', { name: 'Plan again' }).click()
  await expect(page.getByTestId('plan-board').getByRole('button', { name: /Collect the window/ }).first()).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('Something changed since: plan again.')).toHaveCount(0)

  await page.getByRole('button', { name: /rules of the trade/ }).click()
  await page.getByRole('button', { name: 'Overrule', exact: true }).first().click()
  const why = page.getByRole('dialog')
  await why.getByLabel('Why it need not wait').fill('It lies on the other side')
  await why.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('It lies on the other side')).toBeVisible({ timeout: 30_000 })

  await page.getByRole('link', { name: 'List of the day' }).click()
  await expect(page.getByTestId('day-list')).toContainText('Lay out')
  const [pdf] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Print' }).click()])
  expect(pdf.suggestedFilename()).toMatch(/^list-2031-05-\d\d\.pdf$/)
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  const [ics] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Calendar' }).click()])
  expect(ics.suggestedFilename()).toBe('plan.ics')
})
