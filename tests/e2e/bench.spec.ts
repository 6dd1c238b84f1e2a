import { expect, test, type Page } from '@playwright/test'
import { stageOnPhone, startApp, undoOnPhone, type RunningApp } from './app.ts'

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
  await expect(page.getByTestId('next')).toBeVisible()
  await stageOnPhone(page, 'Bench')
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
  await expect(step.getByRole('heading', { name: 'Look behind the panel and drill through', exact: true })).toBeVisible()
  await page.reload()
  await expect(step.getByRole('heading', { name: 'Look behind the panel and drill through', exact: true })).toBeVisible()

  // Your name is known on this phone; what is in the way is overruled with a reason, and that is kept.
  await expect(step.getByLabel('Your name')).toHaveValue('Ada')
  await step.getByRole('button', { name: 'No', exact: true }).click()
  await expect(step).toContainText('Pillars and marked structure are never cut.')
  await step.getByLabel('Why go on anyway').fill('The cable was taken out')
  await step.getByRole('button', { name: 'Done anyway' }).click()
  await expect(step.getByRole('heading', { name: 'Fix what lies under the flange', exact: true })).toBeVisible()
  await page.getByRole('button', { name: /2 Look behind the panel/ }).click()
  await expect(step).toContainText('by Ada')
  await expect(step).toContainText('Went on anyway: The cable was taken out')

  // Undone, it waits again.
  await undoOnPhone(page)
  await expect(step.getByRole('button', { name: 'No', exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'All jobs' }).click()
  await expect(page.getByTestId('bench').getByRole('link', { name: /Vent over the glaze bench/ })).toContainText('1 of 18 done')
})

test('what is typed at a step is there again after a look at another one, and a step that comes later tells what comes first', async ({ page }) => {
  await openVent(page)
  const step = page.getByTestId('bench-step')
  await step.getByLabel('Note').fill('Dent in the rim, photographed')
  await page.getByRole('button', { name: /7 Open up to the line and measure the hole/ }).click()
  await expect(step.getByRole('status')).toHaveText(/Do first: Cut\./)
  await expect(step.getByRole('button', { name: 'Done' })).toBeHidden()
  await page.getByRole('button', { name: /2 Look behind|1 Offer/ }).filter({ hasText: 'ready' }).click()
  await expect(step.getByLabel('Note')).toHaveValue('Dent in the rim, photographed')
})

/** Answers what the first step of an opening asks: as the catalogue says, or off by some millimetres. */
async function offered(page: Page, offMm = 0) {
  const step = page.getByTestId('bench-step')
  await expect(step.getByRole('heading', { name: 'Offer the fitting up', exact: true })).toBeVisible()
  await step.getByRole('group').getByRole('button', { name: 'Yes' }).click()
  for (const asked of [/Width of the part/, /Height of it/]) {
    const wanted = Number((await step.locator('[data-hold]').getByText(asked).first().textContent())!.match(/: (\d+)/)![1])
    await step.getByLabel(asked).fill(String(wanted + offMm))
  }
  await step.getByLabel('Your name').fill('Ada')
}
const job = (page: Page, name: string) => page.getByTestId('bench').getByRole('link', { name })

test('with the network cut steps go on, outlive the tab, and go out once, in order', async ({ page, context }) => {
  await openVent(page)
  const step = page.getByTestId('bench-step')
  await page.getByRole('link', { name: 'All jobs' }).click()
  await job(page, 'Stove flue').click()
  await expect(step.getByRole('heading', { name: 'Offer the fitting up', exact: true })).toBeVisible()
  const address = page.url()
  await context.setOffline(true)
  await offered(page)
  await step.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(page.getByText('1 step is not sent yet.')).toBeVisible()
  // The next one is there, though nobody could say whether the first one was taken.
  await expect(step.getByRole('heading', { name: 'Look behind the panel and drill through', exact: true })).toBeVisible()
  await step.getByRole('button', { name: 'Yes', exact: true }).click()
  await step.getByLabel('Remember next time').fill('The lamp out first')
  await step.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(page.getByText('2 steps are not sent yet.')).toBeVisible()
  await expect(step.getByRole('heading', { name: 'Mark out from the through-holes', exact: true })).toBeVisible()

  // The tab is closed; another one finds what waits, and sends it.
  await page.close()
  await context.setOffline(false)
  const later = await context.newPage()
  await later.goto(address)
  await expect(later.locator('.queue')).toBeHidden({ timeout: 40_000 })
  await expect(later.getByTestId('bench-step').getByRole('heading', { name: 'Mark out from the through-holes', exact: true })).toBeVisible()
  await later.getByRole('link', { name: 'All jobs' }).click()
  await expect(job(later, 'Stove flue')).toContainText('2 of 15 done')
})

test('what somebody else was quicker with is said, and nothing is done twice', async ({ page, context, browser }) => {
  await openVent(page)
  await page.getByRole('link', { name: 'All jobs' }).click()
  await job(page, 'Heater grille').click()
  const step = page.getByTestId('bench-step')
  await context.setOffline(true)
  await offered(page)
  await step.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(page.getByText('1 step is not sent yet.')).toBeVisible()

  const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await other.goto(page.url())
  await offered(other)
  await other.getByLabel('Your name').fill('Ben')
  await other.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(other.getByTestId('bench-step').getByRole('heading', { name: 'Look behind the panel and drill through', exact: true })).toBeVisible()
  await other.close()

  await context.setOffline(false)
  await page.getByRole('button', { name: 'Send now' }).click()
  await expect(page.getByText('Offer the fitting up was done already, by Ben.').first()).toBeVisible()
  await page.getByRole('button', { name: 'Drop it' }).click()
  await page.getByRole('button', { name: 'Drop it' }).last().click()
  await expect(page.getByText(/(is|are) not sent yet\./)).toBeHidden()
  await page.getByRole('link', { name: 'All jobs' }).click()
  await expect(job(page, 'Heater grille')).toContainText('1 of 16 done')
})

test('a problem becomes a finding with a photo, and stands in the log with who saw it', async ({ page }) => {
  await openVent(page)
  const step = page.getByTestId('bench-step')
  await step.getByRole('button', { name: 'Problem' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('What is wrong').fill('Rim cracked in the box')
  await form.getByLabel('What would have prevented it').fill('Look at it before the courier is gone')
  await form.getByLabel('Seen by').fill('Ada')
  await form.locator('input[type=file]').setInputFiles({
    name: 'rim.png',
    mimeType: 'image/png',
    buffer: Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64'),
  })
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(form).toBeHidden()
  await stageOnPhone(page, 'Walkaround')
  await page.getByRole('button', { name: /Rim cracked in the box/ }).first().click()
  await expect(page.getByRole('form', { name: 'Finding' }).getByRole('img', { name: 'Photo of the finding' })).toBeVisible()
  await page.getByRole('form', { name: 'Finding' }).getByRole('button', { name: 'Close' }).click()

  await stageOnPhone(page, 'Logbook')
  await page.getByRole('link', { name: 'What was done' }).click()
  await expect(page.getByTestId('log')).toContainText('Added Rim cracked in the box')
  await expect(page.getByTestId('log')).toContainText('by Ada')
})

test('what the server does not take when the network is back is put right and sent again', async ({ page, context }) => {
  await openVent(page)
  await page.getByRole('link', { name: 'All jobs' }).click()
  await job(page, 'Hinged window by the wheel').click()
  const step = page.getByTestId('bench-step')
  await context.setOffline(true)
  await offered(page, -30)
  await step.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(step.getByRole('heading', { name: 'Look behind the panel and drill through', exact: true })).toBeVisible()
  await step.getByRole('button', { name: 'Yes', exact: true }).click()
  await step.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(page.getByText('2 steps are not sent yet.')).toBeVisible()
  await context.setOffline(false)
  await page.getByRole('button', { name: 'Send now' }).click()
  await expect(page.getByText(/Hinged window by the wheel: Offer the fitting up/)).toBeVisible()
  await page.getByRole('button', { name: /1 Offer the fitting up/ }).click()
  await expect(step).toContainText('Sent, but not taken')
  await step.getByRole('button', { name: 'Put it right' }).click()
  await expect(step.getByLabel('Your name')).toHaveValue('Ada')
  await offered(page)
  await step.getByRole('button', { name: 'Done', exact: true }).click()
  // It takes its old place: what was done after it goes out after it.
  await expect(page.getByText(/(is|are) not sent yet\./)).toBeHidden({ timeout: 40_000 })
  await expect(step.getByRole('heading', { name: 'Mark out from the through-holes', exact: true })).toBeVisible()
})
