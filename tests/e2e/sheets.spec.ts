import { expect, test } from '@playwright/test'
import { startApp, type RunningApp } from './app.ts'

/** Blanks laid out on sheets and offcuts, and cut. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5092)
})
test.afterAll(() => app.stop())

test('blanks are cut from an offcut first; what is left is kept, and undo brings the sheet back', async ({ page }) => {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: /Metal/ }).click()
  await page.getByRole('link', { name: 'Cutting plan' }).click()
  const plan = page.getByTestId('cutting-plan'),
    stock = page.getByTestId('stock')
  await expect(plan).toContainText('1 piece on 1 sheet')
  await expect(plan).toContainText('less sheet does not do')
  await expect(plan.getByRole('img', { name: 'Pieces on Piece from the old shelf' })).toBeVisible()
  // A sheet that is typed in is there to be cut from.
  await page.getByRole('button', { name: 'Add a sheet' }).click()
  await page.getByRole('dialog').getByLabel('Name').fill('Door skin')
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click()
  await expect(stock).toContainText('Door skin')
  await plan.getByRole('button', { name: 'These are cut' }).click()
  await page.getByRole('tooltip').getByRole('button', { name: 'These are cut' }).click()
  await expect(plan).toContainText('No repair needs a blank that is not cut yet.')
  await expect(stock).toContainText('Offcut of Piece from the old shelf')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(plan).toContainText('1 piece on 1 sheet')
  await expect(stock).not.toContainText('Offcut of')
})
