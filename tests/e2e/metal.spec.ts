import { expect, test, type Page } from '@playwright/test'
import { choose, startApp, type RunningApp } from './app.ts'

/** Rust, sheet metal and paint, worked out without a vehicle. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5090, ['--empty'])
})
test.afterAll(() => app.stop())

async function figure(page: Page, name: string) {
  await page.goto(`${app.url}/figures`)
  await page.getByRole('tab', { name, exact: true }).click()
}

test('a rusty place is judged by its worst, and the steps follow', async ({ page }) => {
  await figure(page, 'Rust')
  const verdict = page.getByTestId('rust')
  const steps = page.getByTestId('steps')
  await expect(verdict).toContainText('Treat it: rust grade B')
  await page.getByRole('button', { name: '8 %' }).click()
  await expect(page.getByText('Degree of rusting Ri 4')).toBeVisible()
  // Pits are measured before anything is decided.
  await choose(page, page, 'Rust grade, loose rust off', 'D: pits all over')
  await expect(verdict).toContainText('Measure what is left first')
  await expect(steps).toContainText('Sheet left at the worst place')
  await page.getByLabel('Left at the worst place').fill('0.65')
  await page.getByLabel('Left at the worst place').press('Tab')
  await expect(verdict).toContainText('Treat it and look again: 19 % of the sheet is gone')
  await expect(steps).toContainText('Convert the tight rust')
  await page.getByLabel('Left at the worst place').fill('0.4')
  await page.getByLabel('Left at the worst place').press('Tab')
  await expect(verdict).toContainText('Cut it out and patch it')
  await expect(steps).toContainText('240 mm by 170 mm')
  await expect(page.getByRole('cell', { name: /Blind rivet/ })).toBeVisible()
  // Nothing overrules what holds the body together.
  await page.getByLabel('Pillar, rail or sill').check()
  await expect(verdict).toContainText('Clean and protect only: it holds the body together')
  await expect(steps).not.toContainText('patch')
})

test('a contradiction is told beside the figures, and they stay', async ({ page }) => {
  await figure(page, 'Rust')
  await page.getByLabel('Left at the worst place').fill('2')
  await page.getByLabel('Left at the worst place').press('Tab')
  await expect(page.getByText('No more of the sheet can be left than there was')).toBeVisible()
  await expect(page.getByLabel('Left at the worst place')).toHaveValue('2')
})

test('a bend and the rivets of a patch are worked out and drawn, in inches too', async ({ page }) => {
  await figure(page, 'Sheet metal')
  await page.getByLabel('Thickness').first().fill('1.5')
  await page.getByLabel('Inside radius').fill('2')
  await page.getByLabel('Inside radius').press('Tab')
  await expect(page.getByRole('row', { name: /Bend allowance/ })).toContainText('4.1 mm')
  await expect(page.getByTestId('rivets')).toContainText('30 rivets of 3.2 mm x 8 mm')
  await expect(page.getByRole('img', { name: 'Rivets round a patch' }).locator('.hole')).toHaveCount(30)
  await page.getByLabel('Row from the edge').fill('5')
  await page.getByLabel('Row from the edge').press('Tab')
  await expect(page.getByText('or it tears out')).toBeVisible()
  await page.getByRole('button', { name: 'Inch' }).click()
  await expect(page.getByRole('row', { name: /Bend allowance/ })).toContainText('3/16"')
  await page.getByRole('button', { name: 'mm', exact: true }).click()
})

test('paint says how much, when the next coat goes on, and whether now', async ({ page }) => {
  await figure(page, 'Paint')
  await expect(page.getByTestId('paint-now')).toContainText('Not sure yet: the metal is not measured')
  await page.getByLabel('Metal, °C').fill('16')
  await expect(page.getByTestId('paint-now')).toContainText('Not sure yet: the forecast was not looked at')
  await page.getByLabel('Dry for, h').fill('24')
  await expect(page.getByTestId('paint-now')).toContainText('Yes: paint now.')
  await page.getByLabel('Dry for, h').fill('1')
  await expect(page.getByTestId('paint-now')).toContainText('No: rain comes before it is touch-dry')
  await page.getByLabel('Area, m²').fill('4')
  await expect(page.getByRole('row', { name: /^Primer/ })).toContainText('0.44')
  await page.getByLabel('Air, °C').fill('4')
  await expect(page.getByTestId('paint')).toContainText('at 4 °C it does not')
  await page.getByRole('button', { name: 'Add a coat' }).click()
  await expect(page.getByLabel('Coat 3')).toHaveValue('Coat 3')
})
