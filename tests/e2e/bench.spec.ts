import { expect, test, type Page } from '@playwright/test'
import { startApp, type RunningApp } from './app.ts'

let app: RunningApp
test.use({ viewport: { width: 390, height: 844 } })
test.beforeAll(async () => {
  app = await startApp(5094, ['--now', '2031-05-12T07:40Z'])
})
test.afterAll(async () => {
  await app.stop()
})

async function openVent(page: Page) {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: 'Bench' }).click()
  await page.getByTestId('bench').getByRole('link', { name: /Vent over the glaze bench/ }).click()
}

test('the vent is begun on a phone: a wrong reading says what now, and what was done is there again after a reload', async ({ page }) => {
  await openVent(page)
  const step = page.getByTestId('bench-step')
  await expect(step.getByRole('heading', { name: 'Offer the fitting up', exact: true })).toBeVisible()
  await step.getByRole('group').getByRole('button', { name: 'Yes' }).click()
  const width = step.getByLabel(/Width of the part/)
  await step.getByLabel(/Height of it/).fill('396')
  await width.fill('390')
  await width.blur()
  await expect(step).toContainText('390 mm is 5 mm too small, at least 395 mm.')
  await expect(step).toContainText('write its measures into the fitting before anything is marked')
  // It goes on only with a reason.
  await step.getByLabel('Your name').fill('Ada')
  await expect(step.getByRole('button', { name: 'Done anyway' })).toBeDisabled()
  await width.fill('395.5')
  await width.blur()
  await step.getByLabel('Minutes it took').fill('12')
  await step.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(step.getByRole('heading', { name: 'Look behind the panel', exact: true })).toBeVisible()
  await page.reload()
  await expect(step.getByRole('heading', { name: 'Look behind the panel', exact: true })).toBeVisible()

  // Your name is known on this phone; what is in the way is overruled with a reason, and that is kept.
  await expect(step.getByLabel('Your name')).toHaveValue('Ada')
  await step.getByRole('button', { name: 'No', exact: true }).click()
  await expect(step).toContainText('Pillars and marked structure are never cut.')
  await step.getByLabel('Why go on anyway').fill('The cable was taken out')
  await step.getByRole('button', { name: 'Done anyway' }).click()
  await expect(step.getByRole('heading', { name: 'Mark out', exact: true })).toBeVisible()
  await page.getByRole('button', { name: /2 Look behind the panel/ }).click()
  await expect(step).toContainText('by Ada')
  await expect(step).toContainText('Went on anyway: The cable was taken out')

  // Undone, it waits again.
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(step.getByRole('button', { name: 'No', exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'All jobs' }).click()
  await expect(page.getByTestId('bench').getByRole('link', { name: /Vent over the glaze bench/ })).toContainText('1 of 11 done')
})

test('what is typed at a step is there again after a look at another one, and a step that comes later tells what comes first', async ({ page }) => {
  await openVent(page)
  const step = page.getByTestId('bench-step')
  await step.getByLabel('Note').fill('Dent in the rim, photographed')
  await page.getByRole('button', { name: /5 File and measure the hole/ }).click()
  await expect(step.getByRole('status')).toHaveText(/Do first: Cut\./)
  await expect(step.getByRole('button', { name: 'Done' })).toBeHidden()
  await page.getByRole('button', { name: /2 Look behind|1 Offer/ }).filter({ hasText: 'ready' }).click()
  await expect(step.getByLabel('Note')).toHaveValue('Dent in the rim, photographed')
})
