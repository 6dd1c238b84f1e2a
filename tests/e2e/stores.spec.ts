import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { startApp, type RunningApp } from './app.ts'

/** Enough of everything before the first hole: what is short, what lies there, and what the work takes off the shelf. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5076, ['--now', '2031-05-12T07:40Z'])
})
test.afterAll(async () => {
  await app.stop()
})

async function heron(page: Page) {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await expect(page.getByTestId('next')).toBeVisible()
}
const to = (page: Page, stage: string) =>
  page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: stage, exact: true }).click()
async function stores(page: Page, tab?: string) {
  await heron(page)
  await to(page, 'Stores')
  await expect(page.getByTestId('stores')).toContainText('materials are short')
  if (tab) await page.getByRole('tab', { name: tab }).click()
}
const line = (page: Page, what: string) => page.getByTestId('stores').locator('.buys > li').filter({ hasText: what })

test('before the first cut it says what is short, what is too old and which bead would run out', async ({ page }) => {
  await stores(page)
  const alerts = page.getByTestId('alerts')
  await expect(alerts).toContainText(
    'Stove flue, bed the flange: it takes 2 cartridges of High-temperature silicone without a stop, and 1 is there.',
  )
  await expect(alerts).toContainText('Activator wipe, batch A 0031: too old since')
  // Ticked off in the shop it is on the shelf, and nothing warns any more.
  await page.getByRole('button', { name: 'High-temperature silicone is bought' }).click()
  await expect(page.getByRole('button', { name: 'High-temperature silicone is bought' })).toBeHidden()
  await expect(alerts).not.toContainText('Stove flue')
  await page.getByRole('tab', { name: 'On the shelf' }).click()
  await expect(line(page, 'High-temperature silicone')).toHaveCount(2)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(line(page, 'High-temperature silicone')).toHaveCount(1)
})

test('something is put on the shelf, corrected and taken away; what cannot be is told', async ({ page }) => {
  await stores(page, 'On the shelf')
  await page.getByRole('button', { name: 'Put on the shelf' }).click()
  const form = page.getByRole('dialog')
  await form.getByRole('combobox').fill('Seam sealer')
  await page.getByTitle('Seam sealer', { exact: true }).click()
  await expect(form.getByLabel('How much, ml')).toHaveValue('290')
  await form.getByLabel('Where it lies').fill('Glovebox')
  await form.getByLabel('Last day printed on it').fill('2030-01-01')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('It expired before it was bought')).toBeVisible()
  await form.getByLabel('Last day printed on it').fill('2031-05-20')
  await form.getByLabel('Opened on').fill('2031-06-20')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('a day that has not come yet')).toBeVisible()
  await form.getByLabel('Opened on').fill('')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(form).toBeHidden()
  await expect(line(page, 'Glovebox')).toContainText('Until 20 May 2031')
  await line(page, 'Glovebox').getByRole('button', { name: 'Edit' }).click()
  await form.getByLabel('How much, ml').fill('20')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(line(page, 'Glovebox')).toContainText('20 ml')
  await line(page, 'Glovebox').getByRole('button', { name: 'Edit' }).click()
  await form.getByRole('button', { name: 'Remove' }).click()
  await expect(line(page, 'Glovebox')).toHaveCount(0)
})

test('a step that is done on the bench takes off the shelf what it uses', async ({ page }) => {
  await stores(page, 'On the shelf')
  await expect(line(page, 'Degreaser')).toContainText('300 ml')
  await to(page, 'Bench')
  await page
    .getByTestId('bench')
    .getByRole('link', { name: /Sign-bolt holes closed/ })
    .click()
  const step = page.getByTestId('bench-step')
  const first = step.getByRole('heading', { name: 'Clean the holes to bare metal', exact: true })
  await expect(first).toBeVisible()
  await step.getByLabel('Your name').fill('Ada')
  await step.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(first).toBeHidden()
  await to(page, 'Stores')
  await page.getByRole('tab', { name: 'On the shelf' }).click()
  await expect(line(page, 'Degreaser')).toContainText('270 ml')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(line(page, 'Degreaser')).toContainText('300 ml')
})

test('the list goes along as a table and on paper, and the cut gate names what is not there', async ({ page }) => {
  await stores(page)
  const [table] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Table' }).click()])
  expect(readFileSync(await table.path(), 'utf8')).toContain('Sealants and tapes,Activator wipe')
  const [paper] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Print the list' }).click()])
  expect(
    readFileSync(await paper.path())
      .subarray(0, 4)
      .toString(),
  ).toBe('%PDF')
  await to(page, 'Days')
  await expect(page.getByText(/Not on the shelf, or too old: .*Tooling sealant/).first()).toBeVisible()
})

test('a borrowed tool that should be back is told until it is given back', async ({ page }) => {
  await stores(page, 'Borrowed')
  await expect(page.getByText('Nothing is borrowed')).toBeVisible()
  await page.getByRole('button', { name: 'Borrow a tool' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('Tool').fill('Nibbler')
  await form.getByLabel('Lent by').fill('Jo')
  await form.getByLabel('Goes back on').fill('2031-05-11')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByTestId('alerts')).toContainText('Nibbler, lent by Jo: should have gone back on 11 May 2031.')
  await page.getByTestId('borrowed').getByRole('button', { name: 'Given back' }).click()
  await expect(page.getByTestId('alerts')).not.toContainText('Nibbler')
  await expect(page.getByTestId('borrowed')).toContainText('Given back')
})

test('in the shop on a phone one thumb ticks things off', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await heron(page)
  await page.goto(page.url().replace(/walkaround.*/, 'stores'))
  const button = page.getByRole('button', { name: 'Lap sealant is bought' })
  await expect(button).toBeVisible()
  expect((await button.boundingBox())!.height).toBeGreaterThanOrEqual(44)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await button.click()
  await expect(button).toBeHidden()
})
