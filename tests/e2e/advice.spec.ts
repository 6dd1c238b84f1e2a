import { expect, test, type Page } from '@playwright/test'
import { choose, type RunningApp, startApp } from './app.ts'

/** Advice on the screen: leak or condensation, a flue's fumes, a third habit of bedding, what lies below a flange. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5075)
})
test.afterAll(async () => {
  await app.stop()
})

async function heron(page: Page, stage: string) {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await expect(page.getByRole('heading', { name: 'Walkaround' })).toBeVisible()
  await page.getByRole('link', { name: new RegExp(`^${stage}( \\d+)?$`) }).click()
}

test('signs, readings and a foil tell condensation from a leak, and outlive a reload', async ({ page }) => {
  await heron(page, 'Water')
  await page.getByRole('button', { name: 'Leak or condensation? Other tests' }).click()
  const card = page.getByTestId('condensation')
  const verdict = page.getByTestId('condensation-verdict')
  await expect(verdict).toContainText('33 % that it is condensation')
  await expect(card).toContainText('Tape kitchen foil over it')
  await card.getByRole('group', { name: 'It got wet in days without rain' }).getByRole('button', { name: 'Yes' }).click()
  await card.getByLabel('Air inside, °C').fill('20')
  // Half a reading is said, with what is missing.
  await expect(card.getByRole('alert')).toContainText('give temperature and humidity')
  await card.getByLabel('Humidity inside, %').fill('60')
  await card.getByLabel('Surface at its coldest, °C').fill('8')
  // By hand: 1/2 by 8 by 6 are 24, so 96 %.
  await expect(verdict).toContainText('96 % that it is condensation')
  await expect(card).toContainText('colder than the dew point of the air inside, 12 °C')
  await page.reload()
  await page.getByRole('button', { name: 'Leak or condensation? Other tests' }).click()
  await expect(verdict).toContainText('96 %')
  await card.getByRole('group', { name: 'A foil taped' }).getByRole('button', { name: 'behind' }).click()
  await expect(verdict).toContainText('Not settled')
  await expect(card).toContainText('Air pressure and soapy water')
  // At 360 pixels nothing is cut off.
  await page.setViewportSize({ width: 360, height: 780 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360)
})

test('a flue keeps the distance of its sheet, and the place says what its fumes come in by', async ({ page }) => {
  await page.goto(`${app.url}/fittings`)
  await page.getByRole('button', { name: /Flue plate 150/ }).click()
  const mouth = page.getByLabel('Flue mouth from anything that opens, by its sheet')
  await mouth.fill('1500')
  await mouth.blur()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(mouth).toBeHidden()
  await heron(page, 'Openings')
  await page.getByRole('link', { name: /Stove flue/ }).first().click()
  await expect(page.getByTestId('verdict')).toContainText('Not here')
  await expect(page.getByText('Fumes of the flue come in by Skylight over the throwing wheel').first()).toBeVisible()
  // Whichever of the two one looks at.
  await heron(page, 'Openings')
  await page.getByRole('link', { name: /Skylight over the throwing wheel/ }).first().click()
  await expect(page.getByText('Fumes of Stove flue come in here').first()).toBeVisible()
})

test('dents below a new flange are shown, and hybrid polymer is a habit that the steps follow', async ({ page }) => {
  await heron(page, 'Openings')
  await page.getByRole('link', { name: /Vent over the glaze bench/ }).first().click()
  await expect(page.getByText('Hail dents: below the flange')).toBeVisible()
  await page.getByRole('link', { name: 'Steps' }).click()
  await expect(page.getByTestId('steps')).toContainText('Fix what lies under the flange')
  await heron(page, 'Openings')
  await page.getByRole('link', { name: /Heater grille/ }).first().click()
  await page.getByRole('link', { name: 'Steps' }).click()
  await expect(page.getByTestId('steps')).toContainText('Tighten again')
  await page.getByRole('button', { name: 'Settings' }).click()
  await choose(page, page, 'What beds a flange', 'Hybrid polymer')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByTestId('steps')).toContainText('then a full bead inside and one outside the screw line')
  await expect(page.getByTestId('steps')).not.toContainText('Tighten again')
  await expect(page.getByRole('cell', { name: '1 pack' }).first()).toBeVisible()
})
