import { expect, test } from '@playwright/test'
import { startApp, type RunningApp } from './app.ts'

/** Standing water: the roof as it is parked, tried by hand, at its worst, and on a roof of one's own. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5085)
})
test.afterAll(async () => {
  await app.stop()
})

test('rain on the roof follows the sliders, and the worst attitude is found and shown', async ({ page }) => {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await page.getByRole('link', { name: 'Water' }).click()
  await expect(page.getByTestId('water')).toContainText('nose down by 0.6')
  const skylight = page.getByTestId('dams').getByRole('row', { name: /Skylight/ })
  await expect(skylight).toContainText('mm')

  // By keyboard: a slider is a slider. Ten steps of a tenth bring the nose up by a degree.
  await page.getByLabel('Nose up').focus()
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowRight')
  await expect(page.getByTestId('water')).toContainText('nose up by 0.4')
  await page.getByRole('button', { name: 'Find the worst attitude' }).click()
  await expect(page.getByTestId('worst')).toContainText('Worst within 3')
  const worst = Number(/Then ([\d.]+) mm/.exec((await page.getByTestId('worst').textContent())!)![1])
  await expect(skylight.or(page.getByTestId('dams').getByRole('row', { name: /Vent/ })).first()).toContainText(/\d mm/)
  expect(worst).toBeGreaterThan(3)
  await page.getByRole('button', { name: 'How it was worked out' }).click()
  await expect(page.getByText('Priority-flood: an optimal depression-filling')).toBeVisible()
})

test('a vehicle without a roof is told what comes first', async ({ page }) => {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('button', { name: 'New vehicle' }).first().click()
  await page.getByRole('dialog').getByLabel('Name', { exact: true }).fill('No roof')
  await page.getByLabel('Start from').selectOption('nothing')
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByRole('link', { name: 'Water' }).click()
  await expect(page.getByText('This vehicle has no roof yet')).toBeVisible()
})

test('wood that is wetted again is told from wood that dries', async ({ page }) => {
  await page.goto(`${app.url}/figures`)
  await page.getByRole('tab', { name: 'Drying' }).click()
  const [day, moisture] = [page.getByLabel('After days'), page.getByLabel('Wood moisture')]
  await moisture.first().fill('30')
  await day.nth(1).fill('2')
  await moisture.nth(1).fill('24')
  await expect(page.getByTestId('drying')).toContainText('Below 16 % in about')
  await moisture.nth(1).fill('31')
  await expect(page.getByTestId('drying')).toContainText('It is not drying')
})
