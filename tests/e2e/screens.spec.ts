import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { choose, startApp, type RunningApp } from './app.ts'

let app: RunningApp
/** Only looked at, one screen after the other: to load the program for each of them anew takes longer than to look. */
let looked: Page
test.beforeAll(async ({ browser }) => {
  app = await startApp(5082)
  looked = await browser.newPage()
})
test.afterAll(async () => {
  await looked.close()
  await app.stop()
})

async function open(page: Page, opening?: string) {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await expect(page.getByRole('heading', { name: 'Walkaround' })).toBeVisible()
  if (opening) await page.getByRole('button', { name: opening }).first().click()
}

async function openPanel(page: Page, panel: string) {
  await open(page)
  await page.getByRole('tab', { name: 'Panels' }).click()
  await page.getByRole('table').getByRole('link', { name: panel, exact: true }).click()
}

async function openRepair(page: Page, name = 'Patch under the rear step') {
  await open(page)
  await page.getByRole('link', { name: /^Metal/ }).click()
  await page.getByTestId('metal').getByRole('button', { name }).click()
  await page.getByRole('button', { name: 'To the bench' }).click()
}

async function openFloor(page: Page) {
  await open(page)
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: /^Floor/ }).click()
}
async function openReplacement(page: Page) {
  await openFloor(page)
  await page.getByTestId('floor').getByRole('button', { name: 'Soft board by the side door' }).click()
  await page.getByTestId('floor-card').getByRole('button', { name: 'Open' }).click()
}

async function openDays(page: Page) {
  await open(page)
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: 'Days' }).click()
  await expect(page.getByRole('img', { name: /Weather by the hour/ })).toBeVisible()
}

async function openBench(page: Page) {
  await open(page)
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: 'Bench' }).click()
  await expect(page.getByTestId('bench').getByRole('link').first()).toBeVisible()
}

async function openLogbook(page: Page) {
  await open(page)
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: 'Logbook' }).click()
  await expect(page.getByTestId('upkeep').getByRole('listitem').first()).toBeVisible()
}

async function openStores(page: Page) {
  await open(page)
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: 'Stores', exact: true }).click()
  await expect(page.getByTestId('stores')).toContainText('materials are short')
}

async function openLoad(page: Page) {
  await open(page)
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: 'Load', exact: true }).click()
  await expect(page.getByTestId('load-verdict')).toContainText('kg')
}

async function openLining(page: Page) {
  await openFloor(page)
  await page.getByRole('link', { name: 'Linings', exact: true }).click()
  await page.getByTestId('linings').getByRole('button', { name: 'Ceiling over the bench' }).click()
}

/** A desk, a phone, a tablet, a wide desk. */
const sizes = [
  { width: 1280, height: 800, scanned: true },
  { width: 390, height: 844, scanned: true },
  { width: 820, height: 1180, scanned: false },
  { width: 1920, height: 1080, scanned: false },
]
for (const [name, go] of [
  ['walkaround', async (page: Page) => open(page)],
  ['a panel', async (page: Page) => openPanel(page, 'Left side')],
  ['a surface', async (page: Page) => openPanel(page, 'Roof').then(() => page.getByRole('tab', { name: 'Surface' }).click())],
  ['a shape', async (page: Page) => openPanel(page, 'Roof').then(() => page.getByRole('tab', { name: 'Shape' }).click())],
  ['a finding', async (page: Page) => open(page, 'Seam open, rear left corner')],
  ['findings', async (page: Page) => open(page).then(() => page.getByRole('tab', { name: 'Findings' }).click())],
  ['leaks', async (page: Page) => open(page).then(() => page.getByRole('link', { name: 'Water', exact: true }).click())],
  ['water', async (page: Page) => open(page).then(() => page.getByRole('link', { name: 'Water', exact: true }).click()).then(() => page.getByRole('link', { name: 'Where it stands' }).click())],
  ['ways out', async (page: Page) => open(page).then(() => page.getByRole('link', { name: 'Water', exact: true }).click()).then(() => page.getByRole('link', { name: 'How it gets out' }).click())],
  ['openings', async (page: Page) => open(page).then(() => page.getByRole('link', { name: 'Openings' }).click())],
  ['place', async (page: Page) => open(page, 'Vent over the glaze bench')],
  ['mark out', async (page: Page) => open(page, 'Vent over the glaze bench').then(() => page.getByRole('link', { name: 'Mark out' }).click())],
  ['as cut', async (page: Page) => open(page, 'Vent over the glaze bench').then(() => page.getByRole('link', { name: 'As cut' }).click())],
  ['clamp', async (page: Page) => open(page, 'Skylight over the throwing wheel').then(() => page.getByRole('link', { name: 'Clamp', exact: true }).click())],
  ['bond', async (page: Page) => open(page, 'Glass in the sliding door').then(() => page.getByRole('link', { name: 'Bond', exact: true }).click())],
  ['steps', async (page: Page) => open(page, 'Vent over the glaze bench').then(() => page.getByRole('link', { name: 'Steps' }).click())],
  ['together', async (page: Page) => open(page).then(() => page.getByRole('link', { name: 'Openings' }).click()).then(() => page.getByRole('link', { name: 'Place together' }).click())],
  ['sealing', async (page: Page) => open(page).then(() => page.getByRole('link', { name: 'Sealing' }).click())],
  ['a joint', async (page: Page) => open(page).then(() => page.getByRole('link', { name: 'Sealing' }).click()).then(() => page.getByTestId('joints').getByRole('button', { name: /seam/i }).first().click())],
  ['days', async (page: Page) => openDays(page)],
  ['a plan', async (page: Page) => openDays(page).then(() => page.getByRole('link', { name: 'Plan', exact: true }).click()).then(() => expect(page.getByText(/tasks to plan/)).toBeVisible())],
  ['the list of a day', async (page: Page) => openDays(page).then(() => page.getByRole('link', { name: 'List of the day' }).click()).then(() => expect(page.getByText('No work is planned after today.')).toBeVisible())],
  ['bench', async (page: Page) => openBench(page)],
  ['a step on the bench', async (page: Page) => openBench(page).then(() => page.getByTestId('bench').getByRole('link', { name: /Vent over the glaze bench/ }).click()).then(() => expect(page.getByRole('button', { name: 'Done' })).toBeVisible())],
  ['what is due', async (page: Page) => openLogbook(page)],
  ['the log', async (page: Page) => openLogbook(page).then(() => page.getByRole('link', { name: 'What was done' }).click()).then(() => expect(page.getByTestId('log')).toContainText('Find'))],
  ['what is short', async (page: Page) => openStores(page)],
  ['what is needed', async (page: Page) => openStores(page).then(() => page.getByRole('tab', { name: 'Needed' }).click())],
  ['the shelf', async (page: Page) => openStores(page).then(() => page.getByRole('tab', { name: 'On the shelf' }).click())],
  ['what is borrowed', async (page: Page) => openStores(page).then(() => page.getByRole('tab', { name: 'Borrowed' }).click())],
  ['what it carries', async (page: Page) => openLoad(page)],
  ['a mass', async (page: Page) => openLoad(page).then(() => page.getByRole('button', { name: 'Add a mass' }).click()).then(() => expect(page.getByTestId('would')).toBeVisible())],
  ['holes as built', async (page: Page) => openLogbook(page).then(() => page.getByRole('link', { name: 'As built' }).click())],
  ['the simulated weather', async (page: Page) => openDays(page).then(() => page.goto(`${app.url}/simulated-weather`)).then(() => expect(page.getByRole('img', { name: /Forecast and truth/ })).toBeVisible())],
  ['metal', async (page: Page) => open(page).then(() => page.getByRole('link', { name: /^Metal/ }).click())],
  ['a repair', async (page: Page) => openRepair(page)],
  ['a door', async (page: Page) => openRepair(page, 'Right rear door stands off')],
  ['a cutting plan', async (page: Page) => open(page).then(() => page.getByRole('link', { name: /^Metal/ }).click()).then(() => page.getByRole('link', { name: 'Cutting plan' }).click())],
  ['a blank', async (page: Page) => openRepair(page).then(() => page.getByRole('link', { name: 'Blank', exact: true }).click())],
  ['the finish of a repair', async (page: Page) => openRepair(page).then(() => page.getByRole('link', { name: 'Finish', exact: true }).click())],
  ['floor', async (page: Page) => openFloor(page)],
  ['a deck', async (page: Page) => openFloor(page).then(() => page.getByRole('link', { name: 'Deck', exact: true }).click())],
  ['a replacement', async (page: Page) => openReplacement(page)],
  ['new boards', async (page: Page) => openReplacement(page).then(() => page.getByRole('link', { name: 'Pieces', exact: true }).click())],
  ['linings', async (page: Page) => openFloor(page).then(() => page.getByRole('link', { name: 'Linings', exact: true }).click())],
  ['a lining', async (page: Page) => openLining(page)],
  ['boards of a lining', async (page: Page) => openLining(page).then(() => page.getByRole('link', { name: 'Boards', exact: true }).click())],
  ['a cut plan', async (page: Page) => openFloor(page).then(() => page.getByRole('link', { name: 'Cut plan', exact: true }).click()).then(() => page.getByTestId('cut-sheet').first().waitFor())],
  ['fittings', async (page: Page) => open(page).then(() => page.getByRole('link', { name: 'Fittings' }).click())],
  ['quick figures', async (page: Page) => open(page).then(() => page.keyboard.press('k'))],
  ['figures of rust', async (page: Page) => page.goto(`${app.url}/figures`).then(() => page.getByRole('tab', { name: 'Rust' }).click())],
  ['figures of sheet metal', async (page: Page) => page.goto(`${app.url}/figures`).then(() => page.getByRole('tab', { name: 'Sheet metal' }).click())],
  ['figures of paint', async (page: Page) => page.goto(`${app.url}/figures`).then(() => page.getByRole('tab', { name: 'Paint' }).click())],
  ['figures of floors', async (page: Page) => page.goto(`${app.url}/figures`).then(() => page.getByRole('tab', { name: 'Floor', exact: true }).click())],
  ['vehicles', async (page: Page) => open(page).then(() => page.getByRole('link', { name: 'Vehicles' }).click())],
] as const) {
  test(`nothing stands in the way of anyone on the screen ${name}, large or small`, async () => {
    await looked.setViewportSize(sizes[0])
    await go(looked)
    await looked.waitForTimeout(500)
    for (const size of sizes) {
      await looked.setViewportSize(size)
      await looked.waitForTimeout(150)
      const at = `${size.width} px`
      expect(await looked.evaluate(() => document.documentElement.scrollWidth), at).toBeLessThanOrEqual(size.width)
      // What a scan says differs between the frame of a desk and that of a phone; the other two only give more room.
      if (!size.scanned) continue
      // There are no frames in the program, so that the scan needs no page of its own to gather them.
      const found = await new AxeBuilder({ page: looked }).setLegacyMode().withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice']).analyze()
      const wrong = found.violations.filter((v) => v.impact !== 'minor')
      expect(wrong.map((v) => `${v.id} (${v.impact}): ${v.nodes.map((n) => n.target).slice(0, 3)}`), at).toEqual([])
    }
  })
}

test('inside and outside are mirror images, and the sheet says which', async ({ page }) => {
  await open(page, 'Vent over the glaze bench')
  const rail = page.locator('path.member title', { hasText: 'Left cant rail' }).locator('..')
  // From above with the front at the left, the left side is below; from inside it is above.
  const top = async () => (await rail.boundingBox())?.y ?? 0
  await expect.poll(top).toBeGreaterThan(500)
  await page.getByRole('button', { name: 'Inside' }).click()
  await expect(page.getByText('roof, seen from inside')).toBeVisible()
  await expect.poll(top).toBeLessThan(300)
})

test('a verdict row shows in the drawing what it speaks of', async ({ page }) => {
  await open(page, 'Vent over the glaze bench')
  // The pointer rests where the list was that it was opened from: off the rows first.
  await page.mouse.move(5, 5)
  await expect(page.locator('path.mark')).toHaveCount(0)
  await page.locator('[data-rule="swages"]').hover()
  await expect(page.locator('path.mark').first()).toBeVisible()
})

test('the drag follows the hand while the network is gone, and the verdict comes when it is back', async ({ page, context }) => {
  await open(page, 'Vent over the glaze bench')
  await expect(page.getByTestId('verdict')).toBeVisible()
  await context.setOffline(true)
  await page.keyboard.press('Shift+ArrowLeft')
  await expect(page.locator('[data-gap="front"]')).toContainText('62.5')
  await expect(page.getByRole('alert')).toContainText('does not answer')
  await context.setOffline(false)
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.locator('[data-rule="clearance-front"]')).toContainText('62.5 mm')
})

test('two people at once: the second is told, and nothing is overwritten', async ({ page, context }) => {
  await open(page, 'Stove flue')
  const other = await context.newPage()
  await open(other, 'Stove flue')
  await page.keyboard.press('ArrowRight')
  await page.getByRole('button', { name: 'Use this place' }).click()
  await expect(page.getByText('Place saved')).toBeVisible()
  await other.keyboard.press('ArrowLeft')
  await other.getByRole('button', { name: 'Use this place' }).click()
  // Both places side by side; left for now, the other's stands.
  await expect(other.getByTestId('newer').getByRole('row')).toHaveCount(2)
  await other.getByRole('button', { name: 'Not now' }).click()
  await expect(other.getByText('Somebody has changed this since you opened it')).toBeVisible()
  await expect(other.getByTestId('centre')).toContainText('3911 mm')
})

test('a place is typed as the tape reads it, from whatever it is hooked on', async ({ page }) => {
  await open(page, 'Vent over the glaze bench')
  const along = page.getByTestId('along')
  await choose(page, along, 'Hooked on', 'Behind Bow 2')
  await along.getByLabel('Tape reads').fill('350')
  await along.getByLabel('Tape reads').press('Tab')
  await expect(along.getByLabel('Tape reads')).toHaveValue('350 mm')
  // The same place from the front: what lies between them is the bow's rear edge.
  await choose(page, along, 'Hooked on', 'Behind the front datum')
  const middle = Number((await along.getByLabel('Tape reads').inputValue()).replace(' mm', ''))
  await page.getByRole('button', { name: 'to the edge of the hole' }).click()
  const edge = Number((await along.getByLabel('Tape reads').inputValue()).replace(' mm', ''))
  expect(middle - edge).toBeCloseTo(200, 0)
  await expect(page.getByTestId('centre')).toContainText(`${middle} mm`)
})

test('what cannot be read stays where it was typed, with advice', async ({ page }) => {
  await open(page)
  await page.keyboard.press('k')
  await page.getByLabel('Type a length').fill('1 5/7')
  await expect(page.getByRole('alert')).toContainText('is not a length')
  await page.getByLabel('Type a length').fill('3\'6 1/2')
  await expect(page.getByTestId('length')).toHaveText('1079.5 mm = 42 1/2"')
  await page.getByRole('tab', { name: 'Bays' }).click()
  await expect(page.getByRole('row', { name: /^B 545 x 1700/ })).toBeVisible()
})

test('a form with a length that cannot be read is not saved, and keeps it', async ({ page }) => {
  await page.goto(`${app.url}/fittings`)
  await page.getByRole('button', { name: 'Flue plate 150' }).click()
  const inset = page.getByRole('dialog').getByLabel('Screw line from the edge')
  await inset.fill('14 thumbs')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('is not a length')
  await expect(inset).toHaveValue('14 thumbs')
  await expect(inset).toBeFocused()
  await inset.fill('15')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.getByRole('button', { name: 'Flue plate 150' }).click()
  await expect(inset).toHaveValue('15 mm')
})

test('everything by keyboard: keys sheet, numbered places, undo', async ({ page }) => {
  await open(page, 'Vent over the glaze bench')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toContainText('undo the last change')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
  const saved = 'centre 1497.5 mm along, 320 mm left'
  await expect(page.getByTestId('centre')).toHaveText(saved)
  await expect(page.locator('.place').nth(1)).toBeVisible()
  await page.keyboard.press('2')
  await expect(page.getByTestId('centre')).not.toHaveText(saved)
  // Esc drops a move only when asked, and Enter uses it, wherever the last click was.
  await page.keyboard.press('Escape')
  await expect(page.getByText('Go back to the saved place?')).toBeVisible()
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(page.getByText('Go back to the saved place?')).toHaveCount(0)
  await expect(page.getByTestId('centre')).not.toHaveText(saved)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Drop it' }).click()
  await expect(page.getByText('Go back to the saved place?')).toHaveCount(0)
  await expect(page.getByTestId('centre')).toHaveText(saved)
  await page.locator('.place').nth(1).click()
  await expect(page.getByTestId('centre')).not.toHaveText(saved)
  await page.keyboard.press('Enter')
  await expect(page.getByText('Place saved')).toBeVisible()
  await page.reload()
  await expect(page.getByTestId('centre')).not.toHaveText(saved)
})

test('a phone and a tablet show the whole story without sideways scrolling', async ({ page }) => {
  for (const [width, height] of [
    [390, 844],
    [820, 1180],
  ] as const) {
    await page.setViewportSize({ width, height })
    await open(page, 'Vent over the glaze bench')
    await page.getByRole('link', { name: 'As cut' }).click()
    await expect(page.getByLabel('Length near the left edge')).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
  }
})

test('a restarted server is survived without a reload', async ({ page }) => {
  let own = await startApp(5083)
  try {
    await page.goto(`${own.url}/vehicles`)
    await page.getByRole('link', { name: /Heron/ }).click()
    await page.getByRole('button', { name: 'Stove flue' }).first().click()
    await expect(page.getByTestId('verdict')).toBeVisible()
    await own.stop('SIGKILL')
    await page.keyboard.press('ArrowRight')
    await page.getByRole('button', { name: 'Use this place' }).click()
    await expect(page.getByText('does not answer').first()).toBeVisible()
    own = await startApp(5083, [], own.data)
    await page.getByRole('button', { name: 'Use this place' }).click()
    await expect(page.getByText('Place saved')).toBeVisible()
  } finally {
    await own.stop()
  }
})
