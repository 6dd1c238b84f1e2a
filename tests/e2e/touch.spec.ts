import { expect, test, type CDPSession, type Locator, type Page } from '@playwright/test'
import { startApp, stageOnPhone, type RunningApp } from './app.ts'

/** With fingers on a phone: real touch events, as the screen of a phone sends them. */
let app: RunningApp
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
test.beforeAll(async () => {
  app = await startApp(5080)
})
test.afterAll(async () => app.stop())

const png = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64')
type Finger = { x: number; y: number }

/** Puts fingers down, moves them in steps to where they end, and lifts them. */
async function move(page: Page, from: Finger[], to: Finger[]) {
  const touch: CDPSession = await page.context().newCDPSession(page)
  await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: from })
  for (let i = 1; i <= 8; i++)
    await touch.send('Input.dispatchTouchEvent', {
      type: 'touchMove',
      touchPoints: from.map((f, k) => ({ x: f.x + ((to[k]!.x - f.x) * i) / 8, y: f.y + ((to[k]!.y - f.y) * i) / 8 })),
    })
  await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
  await touch.detach()
}
const middle = async (of: Locator): Promise<Finger> => {
  const box = (await of.boundingBox())!
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

async function open(page: Page) {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).tap()
  await expect(page.getByTestId('next')).toBeVisible()
}

test('a fitting is dragged to its place with a finger, the page stays where it is', async ({ page }) => {
  await open(page)
  await stageOnPhone(page, 'Openings')
  await page.getByTestId('openings').getByRole('link', { name: /Vent over the glaze bench/ }).tap()
  const centre = page.getByTestId('centre')
  await expect(centre).toHaveText('centre 1497.5 mm along, 320 mm left')
  const from = await middle(page.getByTestId('fitting'))
  await move(page, [from], [{ x: from.x - 30, y: from.y - 20 }])
  await expect(centre).not.toHaveText('centre 1497.5 mm along, 320 mm left')
  expect(await page.evaluate(() => window.scrollY)).toBe(0)
  const [, along] = /centre ([\d.]+) mm along/.exec((await centre.textContent())!)!
  expect(Number(along)).toBeLessThan(1497.5)
})

test('two fingers make the drawing larger, and one moves it', async ({ page }) => {
  await open(page)
  const drawing = page.locator('svg.drawing')
  const roof = page.getByTestId('panel').filter({ has: page.locator('[aria-label="Roof"]') })
  const before = (await roof.boundingBox())!
  const at = await middle(drawing)
  await move(page, [{ x: at.x - 20, y: at.y }, { x: at.x + 20, y: at.y }], [{ x: at.x - 60, y: at.y }, { x: at.x + 60, y: at.y }])
  await expect.poll(async () => (await roof.boundingBox())!.width).toBeGreaterThan(1.8 * before.width)
  const wide = (await roof.boundingBox())!
  await move(page, [at], [{ x: at.x + 40, y: at.y + 25 }])
  await expect.poll(async () => (await roof.boundingBox())!.x - wide.x).toBeCloseTo(40, -1)
})

test('layers are chosen from a sheet, and the shell changes above it', async ({ page }) => {
  await open(page)
  const opening = page.locator('svg.drawing text', { hasText: 'Glass' })
  await expect(opening).toBeVisible()
  await page.getByRole('button', { name: 'Layers' }).tap()
  const sheet = page.getByRole('group', { name: 'Layers' })
  await sheet.getByText('Openings').tap()
  await expect(opening).toBeHidden()
  await page.getByRole('button', { name: 'Close', exact: true }).tap()
  await expect(sheet).toBeHidden()
})

test('a finding is tapped onto the shell and stretched by its dots', async ({ page }) => {
  await open(page)
  // The camera comes first on a phone; here a picture stands in for what it takes.
  await page.locator('input[capture]').setInputFiles({ name: 'dent.png', mimeType: 'image/png', buffer: png })
  const form = page.getByRole('form', { name: 'Finding' })
  const roof = (await page.getByTestId('panel').filter({ has: page.locator('[aria-label="Roof"]') }).boundingBox())!
  await page.touchscreen.tap(roof.x + roof.width * 0.6, roof.y + roof.height * 0.25)
  await expect(form).toContainText('Drawn: 120 x 120')
  const dot = await middle(page.getByRole('button', { name: 'Point 2 of the finding' }).locator('circle').last())
  await move(page, [dot], [{ x: dot.x + 24, y: dot.y }])
  await expect(form).toContainText(/Drawn: \d+ x 12\d/)
  await expect(form).not.toContainText('Drawn: 120 x')
  const dent = form.getByRole('radio', { name: 'Dent' })
  await dent.tap()
  await expect(dent).toHaveAttribute('aria-checked', 'true')
  await page.getByRole('button', { name: 'Save', exact: true }).tap()
  await expect(form).toBeHidden()
  await expect(page.getByRole('button', { name: /Dent.*Roof/ })).toBeVisible()
})
