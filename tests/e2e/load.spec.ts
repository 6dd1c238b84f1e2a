import { expect, test, type Page } from '@playwright/test'
import { startApp, type RunningApp } from './app.ts'

/** What the vehicle carries: asked before it is bought, dragged, weighed, and never made up. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5077, ['--now', '2031-05-12T07:40Z'])
})
test.afterAll(async () => {
  await app.stop()
})

async function load(page: Page, vehicle: string) {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: new RegExp(vehicle) }).click()
  await expect(page.getByTestId('next')).toBeVisible()
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: 'Load', exact: true }).click()
  await expect(page.getByTestId('load-verdict')).toContainText('kg')
}
const verdict = (page: Page) => page.getByTestId('load-verdict')
const bar = (page: Page, rule: string) => verdict(page).locator(`[data-bar="load-${rule}"]`)
/** What stands on an axle, kg, as the bar says. */
const kg = async (page: Page, rule: string) => Number((await bar(page, rule).locator('.n').innerText()).split(' ')[0])

test('a mass is asked about before it is bought, kept, changed and taken out again', async ({ page }) => {
  await load(page, 'Heron')
  const before = await kg(page, 'rear')
  await page.getByRole('button', { name: 'Add a mass' }).click()
  const form = page.getByRole('dialog')
  await form.getByRole('textbox', { name: 'What' }).fill('Cast iron bath')
  await form.getByRole('textbox', { name: 'Mass, kg' }).fill('-5')
  await expect(form.getByRole('alert')).toContainText('0.01')
  await form.getByRole('textbox', { name: 'Mass, kg' }).fill('300')
  await form.getByRole('textbox', { name: 'Behind the front datum' }).fill('2600')
  await form.getByRole('textbox', { name: 'Above the floor' }).click()
  // Right over the rear axle, 3750 behind the front one at -1150: all of it stands there.
  await expect(form.getByTestId('would')).toContainText('(+300 kg)')
  await expect(form.getByTestId('would').locator('[data-bar="load-total"]')).toContainText('kg too much')
  await expect(form.getByTestId('would').locator('[data-bar="load-rear"] .n')).toContainText(String(before + 300))
  expect(await kg(page, 'rear')).toBe(before)
  await page.getByRole('button', { name: 'Save' }).click()
  await expect.poll(() => kg(page, 'rear')).toBe(before + 300)
  await expect(bar(page, 'total')).toContainText('Take something out, or look at the ways to get lighter.')
  await page.getByRole('row', { name: /Cast iron bath/ }).click()
  await form.getByRole('textbox', { name: 'Mass, kg' }).fill('100')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect.poll(() => kg(page, 'rear')).toBe(before + 100)
  await page.getByRole('row', { name: /Cast iron bath/ }).click()
  await form.getByRole('button', { name: 'Remove' }).click()
  await expect.poll(() => kg(page, 'rear')).toBe(before)
  await expect(page.getByRole('row', { name: /Cast iron bath/ })).toHaveCount(0)
})

test('a mass that is dragged or nudged moves its load from axle to axle, and one undo brings it back', async ({ page }) => {
  await load(page, 'Heron')
  const before = await kg(page, 'rear')
  const kiln = page.locator('[data-ball="Test kiln"]')
  await kiln.scrollIntoViewIfNeeded()
  const box = (await kiln.locator('circle').boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x - 120, box.y + box.height / 2, { steps: 6 })
  // While it is held the figures follow.
  await expect.poll(() => kg(page, 'rear')).toBeLessThan(before - 20)
  await page.mouse.up()
  await expect.poll(() => kg(page, 'rear')).toBeLessThan(before - 20)
  await page.reload()
  await expect.poll(() => kg(page, 'rear')).toBeLessThan(before - 20)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => kg(page, 'rear')).toBe(before)

  // 118 kg by 1000 mm on a wheelbase of 3750: 31 kg.
  await kiln.focus()
  for (let i = 0; i < 10; i++) {
    await kiln.press('Shift+ArrowLeft')
    await expect(kiln).toHaveAttribute('aria-label', new RegExp(`${4020 - 100 * (i + 1)} mm`))
  }
  await expect.poll(() => kg(page, 'rear')).toBe(before - 31)
  await kiln.press('Enter')
  await expect(page.getByRole('dialog').getByRole('textbox', { name: 'Behind the front datum' })).toHaveValue('3020 mm')
})

test('a weighbridge corrects the empty vehicle, and taken away the papers count again', async ({ page }) => {
  await load(page, 'Heron')
  await page.getByRole('button', { name: 'As it stands' }).click()
  await page.getByRole('button', { name: 'Ready to travel', exact: true }).click()
  const before = await kg(page, 'total')
  await page.getByRole('button', { name: 'Weighbridge' }).click()
  const form = page.getByRole('dialog')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Type at least one figure that the weighbridge showed.')).toBeVisible()
  await form.getByLabel('Front axle, kg').fill('1400')
  await form.getByLabel('Rear axle, kg').fill('980')
  await form.getByLabel('Notes').fill('Quarry')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect.poll(() => kg(page, 'total')).toBe(2380)
  await expect(verdict(page)).toContainText(`${2380 - before} kg heavier than its papers say`)
  await expect(verdict(page)).toContainText('Front axle, kg 1400, Rear axle, kg 980')
  await verdict(page).getByRole('button', { name: 'Remove' }).click()
  await page.getByRole('tooltip').getByRole('button', { name: 'Remove' }).click()
  await expect.poll(() => kg(page, 'total')).toBe(before)
})

test('a trailer that would sway says what to move by how much, in inches, and moved so it runs straight', async ({ page }) => {
  await load(page, 'Plover')
  const row = verdict(page).locator('[data-rule="load-coupling"]')
  await expect(row).toContainText('It will sway.')
  const said = (await row.innerText()).match(/Move Batteries \(52 kg\) ([\d /]+)"/)!
  expect(said).not.toBeNull()
  const [whole = '0', part = '0/1'] = said[1]!.split(' ')
  const inches = Number(whole) + Number(part.split('/')[0]) / Number(part.split('/')[1])
  await page.getByRole('row', { name: /Batteries/ }).click()
  const behind = page.getByRole('dialog').getByRole('textbox', { name: 'Behind the front datum' })
  await behind.fill(`${2700 - inches * 25.4 - 1} mm`)
  await behind.blur()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(row).not.toContainText('It will sway.')
  // The drawing names the coupling's load without alarm.
  await expect(page.locator('[data-axle="front"]')).not.toHaveClass(/blocked/)
})

test('papers that contradict each other are told, and what they do not say is asked for', async ({ page }) => {
  await load(page, 'Heron')
  await page.getByRole('button', { name: 'Papers' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('Permitted mass, kg').fill('1900')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('The permitted mass (1900 kg) is below the kerb mass (2460 kg)')).toBeVisible()
  await form.getByLabel('Permitted mass, kg').fill('3500')
  await form.getByLabel('Of that on the front axle, kg').fill('')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(form).toBeHidden()
  await expect(verdict(page)).toContainText('What of the kerb mass stands on the front axle')
  // The total stays known; of the axles nothing is made up.
  await expect(bar(page, 'total')).toBeVisible()
  await expect(bar(page, 'rear')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(bar(page, 'rear')).toBeVisible()
})

test('on a phone the figures come before the drawing', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await expect(page.getByTestId('next')).toBeVisible()
  await page.goto(page.url().replace(/walkaround.*/, 'load'))
  await expect(bar(page, 'rear')).toBeInViewport()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})
