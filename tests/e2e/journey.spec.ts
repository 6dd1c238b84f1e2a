import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import DxfParser from 'dxf-parser'
import { choose, type RunningApp, startApp } from './app.ts'

/** From the tape measure to the sheet on the metal, on a roof typed in from scratch; in millimetres, and again in inches. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5081, ['--empty'])
})
test.afterAll(async () => {
  await app.stop()
})

interface Story {
  units: 'mm' | 'inch'
  roof: [string, string]
  readings: string
  /** Middle of the second bay along the vehicle, as the screen writes it, and the room to either bow. */
  middle: string
  gap: string
  nudged: string
  set: string
  diagonal: string
  paper: string
  pageMm: [number, number]
  cut: string[]
  tight: string[]
  advice: RegExp
}

// The bay of 545 mm: 272.5 to its middle, (545 - 400) / 2 = 72.5 to either bow. In inches the roof is taped in sixteenths:
// bows from 22 to 24 3/8 and 45 7/8 to 48 1/4, so the bay is 21 1/2 (546.1 mm) and the room is 73.05 mm, 2 7/8.
const stories: Story[] = [
  {
    units: 'mm',
    roof: ['3000', '1700'],
    readings: '560 / 620 / 1165 / 1225 / 1770 / 1830',
    middle: '892.5 mm along',
    gap: '72.5',
    nudged: '72.5 mm',
    set: '75.7 mm',
    diagonal: '565.7 mm',
    paper: 'a4',
    pageMm: [210, 297],
    cut: ['400', '400', '400', '400', '549.1', '549.1'],
    tight: ['394', '394', '400', '400', '544.9', '544.9'],
    // 1 mm smaller than the cut-out still fits: 399 - 394 = 5.
    advice: /front edge by 2\.5 mm; rear edge by 2\.5 mm, or one of the two by 5 mm/,
  },
  {
    units: 'inch',
    roof: [`118 1/8"`, `5'7`],
    readings: '22 / 24 3/8 / 45 7/8 / 48 1/4 / 69 3/4 / 72 1/8',
    middle: '35 1/8" along',
    gap: '2 7/8',
    nudged: '2 7/8"',
    set: '3"',
    diagonal: '22 1/4"',
    paper: 'letter',
    pageMm: [215.9, 279.4],
    cut: ['15 3/4', '15 3/4', '15 3/4', '15 3/4', '21 5/8', '21 5/8'],
    tight: ['15 1/2', '15 1/2', '15 3/4', '15 3/4', '21 7/16', '21 7/16'],
    // 399 - 15 1/2" = 5.3 mm, half of it 2.65: rounded up, so that it is enough.
    advice: /front edge by 1\/8"; rear edge by 1\/8", or one of the two by 1\/4"/,
  },
]

for (const story of stories) {
  test(`a vent between two bows, in ${story.units}`, async ({ page }) => {
    await page.goto(`${app.url}/vehicles`)
    await page.getByRole('button', { name: 'New vehicle' }).first().click()
    await page.getByLabel('Name', { exact: true }).fill(`Typed in ${story.units}`)
    await page.getByRole('group', { name: 'Lengths in' }).getByRole('button', { name: story.units, exact: true }).click()
    await page.getByRole('radio', { name: 'Nothing yet' }).click()
    await page.getByRole('button', { name: 'Save' }).click()

    // The roof, from two tape readings.
    await page.getByLabel('Length, front to rear').fill(story.roof[0])
    await page.getByLabel('Width, side to side').fill(story.roof[1])
    await page.getByRole('button', { name: 'Draw it' }).click()

    // The bows, from one run of readings.
    await page.getByLabel('Running readings').fill(story.readings)
    await expect(page.getByText('These readings give 3 members:')).toBeVisible()
    await page.getByRole('button', { name: 'Add 3 members' }).click()
    await expect(page.getByRole('button', { name: 'Roof bow 3' })).toBeVisible()

    // A fitting that is in no catalogue yet.
    await page.getByRole('link', { name: 'Fittings' }).click()
    await page.getByRole('button', { name: 'New fitting' }).first().click()
    await page.getByLabel('Name').fill(`Vent ${story.units}`)
    await page.getByText('Needs a cable').click()
    await page.getByRole('button', { name: 'Save' }).click()
    await expect(page.getByRole('button', { name: `Vent ${story.units}`, exact: true })).toBeVisible()

    // The opening starts at the best place; dragging it over a bow is told at once and by the verdict.
    await page.getByRole('link', { name: 'Openings' }).click()
    await page.getByRole('button', { name: 'New opening' }).first().click()
    await choose(page, page.getByRole('dialog'), 'Fitting', `Vent ${story.units}`)
    await page.getByRole('dialog').getByLabel('Name').fill('Roof vent')
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(page.getByTestId('verdict')).toContainText('Good place')
    await drag(page, 120)
    await expect(page.getByTestId('verdict')).toContainText('Not here')
    await expect(page.locator('[data-rule^="crossed-"], [data-rule="clearance-rear"]').first()).toBeVisible()
    await page.getByRole('button', { name: /Bay B/ }).first().click()
    await expect(page.getByTestId('verdict')).toContainText('Good place')
    await expect(page.getByTestId('centre')).toContainText(story.middle)
    await expect(page.locator('[data-gap="front"]')).toContainText(story.gap)
    await page.keyboard.press('ArrowRight')
    await page.keyboard.press('ArrowLeft')
    await expect(page.locator('[data-rule="clearance-front"]')).toContainText(story.nudged)

    // A worked calculation can be opened.
    await page.getByRole('button', { name: 'How it was worked out' }).first().click()
    await expect(page.getByText('(s_centre - w/2) - rear edge of member')).toBeVisible()
    await page.keyboard.press('Escape')

    await page.keyboard.press('Shift+ArrowDown')
    await page.getByRole('button', { name: 'Use this place' }).click()
    await expect(page.getByText('Place saved')).toBeVisible()

    // Undo takes the saved move back, redo does it again.
    await page.keyboard.press('Control+z')
    await expect(page.getByText('Undone: Changed Roof vent')).toBeVisible()
    await expect(page.getByTestId('centre')).not.toContainText(story.middle)
    await page.keyboard.press('Control+Shift+z')
    await expect(page.getByText('Redone: Changed Roof vent')).toBeVisible()
    await expect(page.getByTestId('centre')).toContainText(story.middle)
    await page.getByRole('link', { name: 'Mark out' }).click()
    await page.getByRole('button', { name: 'Inside' }).click()
    await expect(page.locator('[data-side="front"]')).toContainText(story.set)
    await expect(page.getByTestId('diagonal')).toHaveText(story.diagonal)
    await measureSheets(page, story)

    // Cut, measured, told whether the frame fits.
    await page.getByRole('link', { name: 'As cut' }).click()
    await typeHole(page, story.tight)
    await expect(page.getByTestId('fit')).toContainText('Open it up')
    await expect(page.getByTestId('advice')).toContainText(story.advice)
    await typeHole(page, story.cut)
    await expect(page.getByTestId('fit')).toContainText('The frame fits')
    await page.getByRole('button', { name: 'Save readings' }).click()
    await expect(page.getByText('Shell open: 1 place')).toBeVisible()
    await page.getByRole('button', { name: 'It is fitted and sealed' }).click()
    await expect(page.getByText('Shell open: 1 place')).toBeHidden()
    await page.reload()
    await expect(page.getByTestId('fit')).toContainText('The frame fits')
  })
}

async function drag(page: Page, px: number) {
  const box = (await page.getByTestId('fitting').boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 3]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + px / 2, y, { steps: 5 })
  await page.mouse.move(x + px, y, { steps: 5 })
  await page.mouse.up()
}

async function typeHole(page: Page, values: string[]) {
  const labels = [
    'Length near the left edge',
    'Length near the right edge',
    'Width near the front edge',
    'Width near the rear edge',
    'Diagonal, front right to rear left',
    'Diagonal, front left to rear right',
  ]
  for (const [i, label] of labels.entries()) await page.getByLabel(label).fill(values[i]!)
  await page.getByLabel(labels[5]!).press('Enter')
}

/** Downloads the sheets and measures them with programs that know nothing of this one: poppler and a DXF parser. */
async function measureSheets(page: Page, story: Story) {
  await choose(page, page, 'Paper', story.paper === 'letter' ? 'Letter' : story.paper.toUpperCase())
  const pdf = await downloaded(page, 'PDF')
  const info = execFileSync('pdfinfo', ['-f', '2', '-l', '2', pdf]).toString()
  const size = /Page\s+2 size:\s+([\d.]+) x ([\d.]+) pts/.exec(info)!
  const mm = [Number(size[1]), Number(size[2])].map((pt) => (pt / 72) * 25.4).sort((a, b) => a - b)
  expect(Math.abs(mm[0]! - story.pageMm[0])).toBeLessThan(0.3)
  expect(Math.abs(mm[1]! - story.pageMm[1])).toBeLessThan(0.3)
  // The longest bar: 100 mm, or the 4 inches below it; the pen adds half its width at each end.
  expect(Math.abs(checkBarMm(pdf) - 0.4 - (story.units === 'mm' ? 100 : 101.6))).toBeLessThan(0.25)

  const dxf = new DxfParser().parseSync(readFileSync(await downloaded(page, 'DXF'), 'latin1'))!
  const cut = dxf.entities.filter((e) => e.layer === 'CUT')
  const arcs = cut.filter((e) => e.type === 'ARC') as unknown as { radius: number }[]
  expect(arcs.map((a) => a.radius)).toEqual([20, 20, 20, 20])
  const x = cut.filter((e) => e.type === 'LINE').flatMap((e) => (e as unknown as { vertices: { x: number }[] }).vertices.map((v) => v.x))
  expect(Math.max(...x) - Math.min(...x)).toBeCloseTo(400, 6)
  expect(readFileSync(await downloaded(page, 'SVG'), 'utf8')).toContain('A 20 20 0 0 0')
}

async function downloaded(page: Page, name: string): Promise<string> {
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name, exact: true }).click()])
  return await file.path()
}

/** Longest dark run in the foot of the second page, rastered at ten points to the millimetre. */
function checkBarMm(pdf: string): number {
  const pgm = execFileSync('pdftoppm', ['-gray', '-r', '254', '-aa', 'no', '-f', '2', '-l', '2', pdf], { maxBuffer: 64_000_000 })
  const head = /^P5\s(\d+)\s(\d+)\s\d+\s/.exec(pgm.subarray(0, 40).toString('latin1'))!
  const [width, height] = [Number(head[1]), Number(head[2])]
  const pixels = pgm.subarray(head[0].length)
  let longest = 0
  for (let row = height - 260; row < height - 60; row++) {
    let run = 0
    for (let x = 70; x < width; x++) {
      run = pixels[row * width + x]! < 90 ? run + 1 : 0
      longest = Math.max(longest, run)
    }
  }
  return longest / 10
}
