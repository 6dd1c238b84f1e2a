import { expect, test, type Download, type Page } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import { startApp, type RunningApp } from './app.ts'

/** Floors from probes to printed sheets and steps, as a person does them. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5093)
})
test.afterAll(() => app.stop())

async function floor(page: Page, vehicle: string) {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: new RegExp(vehicle) }).click()
  await page
    .getByRole('navigation', { name: 'Stages of the work' })
    .getByRole('link', { name: /^Floor/ })
    .click()
  await expect(page.getByRole('heading', { name: 'Floor', level: 1 })).toBeVisible()
}
async function bench(page: Page, vehicle: string, name: string) {
  await floor(page, vehicle)
  await page.getByTestId('floor').getByRole('button', { name }).click()
  await page.getByTestId('floor-card').getByRole('button', { name: 'Open' }).click()
  await expect(page.getByTestId('floor-verdict')).toBeVisible()
}
async function download(page: Page, name: string): Promise<Download> {
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name, exact: true }).click()])
  return file
}
const text = async (file: Download) => execFileSync('pdftotext', ['-layout', await file.path(), '-'], { encoding: 'utf8' })

test('the soft board by the side door goes from its probes to printed sheets and steps, is done and taken back', async ({
  page,
}) => {
  await bench(page, 'Heron', 'Soft board by the side door')
  const verdict = page.getByTestId('floor-verdict')
  await expect(verdict).toHaveText('Cut out 1950 x 570 mm on Bearer 1 and Bearer 4; 1 new board, 3 timbers let in.')
  await expect(page.getByTestId('edges')).toContainText('350 mm from the front wall, on the middle of Bearer 1')
  // Without a margin the wood goes to the first sound place only: one bearer less.
  await page.getByLabel('Margin beyond sound wood').fill('0')
  await page.getByLabel('Margin beyond sound wood').blur()
  await expect(verdict).toContainText('on Bearer 2 and Bearer 4')
  await page.getByRole('button', { name: 'Take back' }).click()
  await expect(verdict).toContainText('on Bearer 1 and Bearer 4')
  // A corner of what is bad is moved with the keys, and the cut follows.
  await page.getByRole('button', { name: 'Corner 3 of what is bad' }).focus()
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowDown')
  await expect(page.getByText('not saved')).toBeVisible()
  await page.getByRole('button', { name: 'Take back' }).click()
  // A thinner sheet makes a step, and that is said with a way out.
  await page.getByLabel('Thickness').fill('12')
  await page.getByLabel('Thickness').blur()
  await expect(page.getByText('A step of 3 mm at Front sheet')).toBeVisible()
  await page.getByRole('button', { name: 'Take back' }).click()

  await page.getByRole('link', { name: 'Pieces', exact: true }).click()
  await expect(page.getByTestId('timbers')).toContainText('3 between bearers')
  const sheet = await download(page, 'Print the sheets')
  expect(sheet.suggestedFilename()).toBe('heron-soft-board-by-the-side-door-sheet.pdf')
  expect(await text(sheet)).toContain('on the middle of Bearer 1, 29 mm each')
  await page.getByRole('link', { name: 'Steps', exact: true }).click()
  expect(await text(await download(page, 'Print the steps'))).toContain('Saw set to 16 mm')

  await page.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(page.getByText(/^Done on \d{4}/)).toBeVisible()
  await page
    .getByRole('navigation', { name: 'Stages of the work' })
    .getByRole('link', { name: /^Floor/ })
    .click()
  const row = page.getByTestId('floor').getByRole('row', { name: /Soft board by the side door/ })
  await expect(row).toContainText('done')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row).toContainText('planned')
})

test('the front bearer of the trailer is followed to dry wood and mended', async ({ page }) => {
  await bench(page, 'Plover', 'Front bearer and the deck over it')
  await expect(page.getByTestId('floor-verdict')).toContainText('Bearer 1 repaired')
  await page.getByRole('link', { name: 'Pieces', exact: true }).click()
  // Bad to 300 from the right end of 1900, sound at 120: cut there, with a lap of four times 70 mm.
  await expect(page.getByTestId('rotten')).toContainText('lapped 11"')
  await page.getByRole('link', { name: 'Steps', exact: true }).click()
  await expect(page.getByText('Repair Bearer 1')).toBeVisible()
})

test('a floor is probed by tapping; what is bad is offered, planned, and cut on its oddly spaced bearers', async ({ page }) => {
  await floor(page, 'Heron')
  await page.getByRole('button', { name: 'Probe', exact: true }).click()
  const before = await page.getByTestId('probe').count()
  await page.getByTestId('probing').getByRole('button', { name: 'Soft' }).click()
  const drawing = page.getByRole('application')
  const box = (await drawing.boundingBox())!
  await drawing.click({ position: { x: box.width * 0.82, y: box.height * 0.55 } })
  await expect(page.getByText('1 probed here since you began.')).toBeVisible()
  await expect(page.getByTestId('probe')).toHaveCount(before + 1)
  // One by its figures.
  await page.getByRole('button', { name: 'Type a place' }).click()
  const dialogue = page.getByRole('dialog')
  await dialogue.getByLabel('Along').fill('3400')
  await dialogue.getByLabel('Across').fill('300')
  await dialogue.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByTestId('probe')).toHaveCount(before + 2)
  await page.getByRole('button', { name: 'Done', exact: true }).click()
  await page.getByTestId('floor').getByRole('button', { name: 'Soft wood that was probed' }).first().click()
  await page.getByRole('button', { name: 'Plan this replacement' }).click()
  await expect(page.getByTestId('floor-verdict')).toContainText('Cut out')
  await expect(page.getByText(/Not probed further/).first()).toBeVisible()
})

test('a grid of probes is typed as it was noted, and taken back in one step', async ({ page }) => {
  await floor(page, 'Heron')
  const before = await page.getByTestId('probe').count()
  await page.getByRole('button', { name: 'Probe', exact: true }).click()
  await page.getByRole('button', { name: 'Type a grid' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('The grid').fill('-600 0 600\n3000: s14 x -')
  await expect(form.getByRole('alert')).toContainText('Line 2, "x": a mark is s, p, o or t')
  await expect(form.getByRole('button', { name: 'Add them' })).toBeDisabled()
  await form.getByLabel('The grid').fill('-600 0 600\n3000: s14 p22 -\n3300: s o28 t')
  await expect(form.getByRole('status')).toHaveText('5 probes, 3 of them bad.')
  await form.getByRole('button', { name: 'Add them' }).click()
  await expect(page.getByTestId('probe')).toHaveCount(before + 5)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('probe')).toHaveCount(before)
})

test('how far a deck sags is told and drawn', async ({ page }) => {
  await floor(page, 'Heron')
  await page.getByRole('link', { name: 'Deck', exact: true }).click()
  await page.getByLabel('Thickness').fill('18.26')
  await page.getByLabel('Bearer to bearer').fill('457.2')
  await page.getByLabel('Bearer to bearer').blur()
  await expect(page.getByTestId('sag')).toContainText('Sags 0.81 mm over 457.2 mm: stiff enough')
  await page.getByLabel('Thickness').fill('12.7')
  await page.getByLabel('Thickness').blur()
  await expect(page.getByTestId('sag')).toContainText('Sags 2.40 mm over 457.2 mm: too soft')
  await page.getByLabel('Foot, square of').fill('460')
  await page.getByLabel('Foot, square of').blur()
  await expect(page.getByText('The foot stands on both bearers')).toBeVisible()
})

test('battens, bearers in line, head room and epoxy are told without a vehicle', async ({ page }) => {
  await page.goto(`${app.url}/figures`)
  await page.getByRole('tab', { name: 'Floor', exact: true }).click()
  await expect(page.getByTestId('furring')).toContainText('11 battens, 426.2 mm apart; foam: 10 of 388.2 x 1660 mm.')
  await page.getByLabel('Closer from').fill('900')
  await page.getByLabel('Closer to').fill('1700')
  await page.getByLabel('Closer to').blur()
  await expect(page.getByTestId('furring')).toContainText('13 battens')
  await expect(page.getByTestId('shims')).toContainText('Shim 2 mm at 600 mm.')
  await page.getByLabel('Floor, all of it').fill('5"')
  await page.getByLabel('Floor, all of it').blur()
  await expect(page.getByTestId('head-room')).toContainText('37 mm short of the tallest')
  await expect(page.getByTestId('epoxy')).toContainText('Mix 420 ml at a time and spread it within 21 min')
  await page.getByLabel('Air and resin, °C').fill('60')
  await expect(page.getByTestId('epoxy')).toContainText('Too hot to mix')
})

test('a build-up is drawn layer by layer, and says where it gets damp', async ({ page }) => {
  await page.goto(`${app.url}/figures`)
  await page.getByRole('tab', { name: 'Build-up' }).click()
  const verdict = page.getByTestId('build-up')
  await expect(verdict).toContainText('72 mm')
  await expect(verdict).toContainText('Damp at 71 mm')
  // Battens in the foam let heat through.
  const resistance = page.getByRole('row', { name: /^R, with the air/ })
  await expect(resistance).toContainText('1.79')
  await page.getByLabel('Battens, %').nth(2).fill('10')
  await page.getByLabel('Battens, %').nth(2).blur()
  await expect(resistance).not.toContainText('1.79')
  // In still, dry air there is none.
  await page.getByLabel('Humidity inside, %').fill('20')
  await page.getByLabel('Humidity inside, %').blur()
  await expect(verdict).toContainText('No damp within it')
  await page.getByRole('button', { name: 'Remove layer 1' }).click()
  await expect(verdict).toContainText('69 mm')
})
