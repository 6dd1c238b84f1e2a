import { expect, test } from '@playwright/test'
import { startApp, type RunningApp } from './app.ts'

/** How a flange sits on a ribbed roof, and the figures of clamping and sealing. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5086)
})
test.afterAll(async () => {
  await app.stop()
})

test('a vent on a ribbed roof shows on what it rests and the tape to cut', async ({ page }) => {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await page.getByRole('link', { name: /Openings/ }).click()
  await page.waitForURL('**/openings')
  await page.getByRole('link', { name: 'Vent over the glaze bench' }).first().click()
  await page.getByRole('link', { name: 'Seat' }).click()
  await expect(page.getByTestId('seat')).toContainText('Bedding fills gaps of up to')
  await expect(page.getByRole('img', { name: 'front', exact: true })).toBeVisible()
  await expect(page.getByTestId('strips').first().getByRole('row').first()).toContainText('mm')
  await expect(page.getByText(/Layer \d, all round/)).toBeVisible()
  await page.getByRole('button', { name: 'How it was worked out' }).click()
  await expect(page.getByText('Linear programme: least height under the weight')).toBeVisible()
})

test('a skylight over valleys that bedding may not fill is stopped', async ({ page }) => {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await page.getByRole('link', { name: /Openings/ }).click()
  await page.waitForURL('**/openings')
  await page.getByRole('link', { name: 'Skylight over the throwing wheel' }).first().click()
  await page.getByRole('link', { name: 'Seat' }).click()
  await expect(page.getByTestId('seat')).toContainText('Make an adapter plate')
  await expect(page.getByText('No tape is planned here')).toBeVisible()
})

test('lugs, order, gasket, bead, bond and air are worked out without a vehicle', async ({ page }) => {
  await page.goto(`${app.url}/figures`)
  await page.getByRole('tab', { name: 'Clamping' }).click()
  await expect(page.getByTestId('clamp')).toContainText('Cut 7 mm off each of the 8 lugs')
  await page.getByLabel('Layer 2').fill('16')
  await expect(page.getByTestId('clamp')).toContainText('61 mm are more than the 60 mm that this fitting grips')
  await expect(page.getByTestId('order').locator('text')).toHaveCount(10)
  await expect(page.getByTestId('gasket')).toContainText('Go on at place 1 by 0.5 mm')
  await page.getByLabel('Gap after, place 1').fill('9')
  await expect(page.getByTestId('gasket')).toContainText('larger than before')
  await page.getByRole('tab', { name: 'Sealing' }).click()
  await expect(page.getByTestId('bead')).toContainText('159.8 ml laid')
  await page.getByLabel('Cartridge, ml').fill('100')
  await expect(page.getByTestId('bead')).toContainText('have a second gun loaded')
  await expect(page.getByTestId('bond')).toContainText('at least 3.2 mm thick')
  await page.getByRole('tab', { name: 'Air and pot life' }).click()
  await expect(page.getByTestId('air')).toContainText('10.3 g/m³ of 20.5; dew point 12.0 °C. Coat and bond nothing colder than 15 °C.')
  await page.getByLabel('Surface, °C').fill('11')
  await expect(page.getByTestId('air')).toContainText('water settles on it')
  // Ten kelvin warmer halves the pot life; a large batch heats itself.
  await page.getByLabel('Air, °C').last().fill('33')
  await expect(page.getByTestId('pot')).toContainText('15 min from mixing')
  await page.getByLabel('Mixed at once, g').fill('800')
  await expect(page.getByTestId('pot')).toContainText('mix 100 g at a time')
})
