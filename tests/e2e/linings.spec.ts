import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { expect, test, type Download, type Page } from '@playwright/test'
import { startApp, type RunningApp } from './app.ts'

/** Linings with the holes of what passes through the skin, and the boards that they are cut from. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5078)
})
test.afterAll(() => app.stop())

async function part(page: Page, name: 'Linings' | 'Cut plan') {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: /^Floor/ }).click()
  await page.getByRole('navigation', { name: 'Floor' }).getByRole('link', { name }).click()
}
async function download(page: Page, name: string): Promise<Download> {
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name, exact: true }).first().click()])
  return file
}
const text = async (file: Download) => execFileSync('pdftotext', ['-layout', await file.path(), '-'], { encoding: 'utf8' })

test('a ceiling takes over the hole of the vent above it, is printed, put up and taken back', async ({ page }) => {
  await part(page, 'Linings')
  // What would be hidden is said in the list already.
  await expect(page.getByTestId('linings').getByRole('row', { name: /Ceiling over the bed/ })).toContainText('Not yet: it would hide')
  await page.getByTestId('linings').getByRole('button', { name: 'Ceiling over the bench' }).click()
  await expect(page.getByTestId('lining-verdict')).toHaveText('2 boards, 1 hole; 2280 x 1402.4 mm laid out flat.')
  const holes = page.getByTestId('lining-holes')
  await expect(holes).toContainText('skin to face 51.8 mm')
  // Less gap, and the collar is shorter by as much.
  await page.getByLabel('Gap behind it').fill('25')
  await page.getByLabel('Gap behind it').blur()
  await expect(holes).toContainText('skin to face 31.8 mm')
  // A corner is moved with the keys: longer than a sheet, and one board becomes two.
  await page.getByRole('button', { name: 'Corner 2 of the lining' }).focus()
  for (let i = 0; i < 8; i++) await page.keyboard.press('Shift+ArrowRight')
  await page.getByRole('button', { name: 'Corner 3 of the lining' }).focus()
  for (let i = 0; i < 8; i++) await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByTestId('lining-verdict')).not.toContainText('2280 x')
  await page.getByRole('button', { name: 'Take back' }).click()
  await expect(holes).toContainText('skin to face 51.8 mm')

  await page.getByRole('link', { name: 'Boards', exact: true }).click()
  const board = page.getByTestId('lining-board').filter({ hasText: 'Vent over the glaze bench' })
  await expect(board.getByRole('row', { name: /Vent over the glaze bench first/ })).toContainText(/\d+\.?\d* – \d+/)
  const sheet = await text(await download(page, 'Print the boards'))
  expect(sheet).toContain('from its front edge')
  expect(sheet).toContain('51.8 mm')
  expect(readFileSync(await (await download(page, 'Board as DXF')).path(), 'utf8')).toContain('AC1009')

  await page.getByRole('link', { name: 'Steps', exact: true }).click()
  expect(await text(await download(page, 'Print the steps'))).toContain('Hold it up and mark the true holes')
  await page.getByRole('button', { name: 'It is up' }).click()
  await expect(page.getByTestId('progress')).toContainText('up')
  await page.getByRole('button', { name: 'Not after all' }).click()
  await expect(page.getByRole('button', { name: 'It is up' })).toBeVisible()
})

test('a lining that would hide what is not mended is neither sawn nor up', async ({ page }) => {
  await part(page, 'Linings')
  await page.getByTestId('linings').getByRole('button', { name: 'Ceiling over the bed' }).click()
  await page.getByRole('link', { name: 'Steps', exact: true }).click()
  await expect(page.getByTestId('progress')).toContainText(/hide/)
  await expect(page.getByRole('button', { name: 'Boards are cut' })).toBeDisabled()
  await expect(page.getByRole('button', { name: 'It is up' })).toBeDisabled()
})

test('a lining of a side is added, drawn by its corners and removed', async ({ page }) => {
  await part(page, 'Linings')
  await page.getByRole('combobox', { name: 'Panel' }).click({ force: true })
  await page.getByTitle('Right side').click()
  await page.getByRole('button', { name: 'Add a lining' }).click()
  await expect(page.getByRole('heading', { name: 'Lining', level: 1 })).toBeVisible()
  await page.getByRole('button', { name: 'Where' }).click()
  await page.getByLabel('Name').fill('Wall by the bench')
  await page.getByRole('button', { name: 'Board and gap' }).click()
  await page.getByText('flat', { exact: true }).click()
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('heading', { name: 'Wall by the bench', level: 1 })).toBeVisible()
  await page.getByRole('button', { name: 'Remove' }).click()
  await page.getByRole('tooltip').getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByTestId('linings')).not.toContainText('Wall by the bench')
})

test('boards are cut from what is there first, with the fence of every cut; sawn is one change', async ({ page }) => {
  await part(page, 'Cut plan')
  const plan = page.getByTestId('cut-plan'),
    stock = page.getByTestId('stock-boards')
  const thin = plan.locator('section').filter({ has: page.getByRole('heading', { name: 'Plywood, birch, 6 mm' }) })
  await expect(thin).toContainText('2 pieces from 2 sheets: with straight cuts nothing less does.')
  await expect(thin.getByTestId('cut-sheet').first().getByRole('row', { name: /1 rip/ })).toContainText('700.2 mm')
  await expect(plan.getByTestId('not-ready')).toContainText('It would hide')
  // A sheet that is there is used instead of one that is bought.
  await page.getByRole('button', { name: 'Add a board' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('Name').fill('Left over from the shop')
  await form.getByLabel('Thickness').fill('6')
  await form.getByLabel('Length, along the grain').fill('2.4 m')
  await form.getByLabel('Width').fill('750')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(stock).toContainText('Left over from the shop')
  await expect(thin).toContainText('2 pieces from 2 sheets, 1 of them bought')
  // What does not go into the car is cut at the shop.
  await page.getByLabel('Fits in the car').fill('2400')
  await page.getByLabel('by', { exact: true }).fill('800')
  await page.getByLabel('by', { exact: true }).blur()
  await expect(thin.getByText('at the shop').first()).toBeVisible()
  expect(await text(await download(page, 'Print the plan'))).toMatch(/fence at 700\.2 mm/)
  expect(readFileSync(await (await download(page, 'Table (CSV)')).path(), 'utf8')).toContain('Left over from the shop')

  await thin.getByRole('button', { name: 'These are cut' }).click()
  await page.getByRole('tooltip').getByRole('button', { name: 'These are cut' }).click()
  await expect(thin).toHaveCount(0)
  await expect(stock).toContainText('Offcut of new sheet')
  await expect(stock).not.toContainText('Left over from the shop')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(thin).toContainText('2 pieces from 2 sheets')
  await expect(stock).not.toContainText('Offcut of new sheet')
})

async function figure(page: Page, name: string) {
  await page.goto(`${app.url}/figures`)
  await page.getByRole('tab', { name, exact: true }).click()
}
async function type(page: Page, label: string, value: string, nth = 0) {
  const field = page.getByLabel(label).nth(nth)
  await field.fill(value)
  await field.blur()
}

test('an awkward board is found from two tapes, says where it is doubtful, and takes a notch', async ({ page }) => {
  await figure(page, 'Awkward board')
  const verdict = page.getByTestId('piece')
  await expect(verdict).toContainText('A board of 1210.1 x 610 mm, 5 mm left on to scribe.')
  // Tapes that do not meet are refused where they are wrong, and nothing that was typed is lost.
  await type(page, 'From its end', '500')
  await expect(verdict.or(page.getByRole('alert'))).toContainText('do not meet')
  // They cross at a flat angle just above the line: a millimetre of tape is much more of the corner.
  await type(page, 'From its end', '615')
  await expect(page.getByText('Corner 2 is doubtful').first()).toBeVisible()
  await type(page, 'From its end', '1330')
  await page.getByRole('button', { name: 'Add a notch' }).click()
  await expect(page.getByLabel('deep')).toHaveValue('40 mm')
  await type(page, 'deep', '700')
  await expect(page.getByRole('alert')).toContainText('goes right through')
})

test('a coat is told in litres and hours, and not put on wet wood', async ({ page }) => {
  await figure(page, 'Coating')
  const verdict = page.getByTestId('coating')
  await expect(verdict).toContainText('0.49 l of marine varnish in 2 coats, 1 can; the next coat after 22.6 h')
  await type(page, 'Moisture of the wood, %', '19')
  await expect(verdict).toContainText('Not yet: the wood is too wet.')
  await page.getByRole('combobox', { name: 'With' }).click({ force: true })
  await page.getByTitle('Roof silicone').click()
  await expect(verdict).toContainText('Not yet: its leaks are not found yet.')
  await page.getByText('Its leaks are found and closed').click()
  await expect(page.getByText('Nothing will ever stick to it again')).toBeVisible()
})

test('foam is cut from sheets and offcuts without a vehicle', async ({ page }) => {
  await figure(page, 'Cut plan')
  const verdict = page.getByTestId('cuts')
  await expect(verdict).toContainText('18 pieces from 2 sheets: with straight cuts nothing less does.')
  await type(page, 'Offcuts that are there', '2')
  await type(page, 'Offcut, long', '1300')
  await expect(page.getByRole('img', { name: 'Sheet 1 with its pieces and cuts' })).toBeVisible()
  await expect(verdict).toContainText(/from 3 sheets, 1 of them bought/)
})
