import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { stageOnPhone, startApp, type RunningApp } from './app.ts'

let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5079, ['--now', '2031-05-12T07:40Z'])
})
test.afterAll(async () => {
  await app.stop()
})

async function heron(page: Page) {
  await page.goto(`${app.url}/vehicles`)
  await page.getByRole('link', { name: /Heron/ }).click()
  await expect(page.getByTestId('next')).toBeVisible()
}
async function logbook(page: Page) {
  await heron(page)
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: 'Logbook' }).click()
  await expect(page.getByTestId('upkeep')).toContainText('Sealant on the roof')
}
const line = (page: Page, what: string) => page.getByTestId('upkeep').getByRole('listitem').filter({ hasText: what })

test('what is late shows on the strip and in Walkaround until it is done, and stands in the log with who did it', async ({ page }) => {
  await heron(page)
  await expect(page.getByRole('link', { name: /1 thing is late Sealant on the roof/ })).toBeVisible()
  await page.getByRole('banner').getByRole('link', { name: '1 late' }).click()
  await line(page, 'Sealant on the roof').getByRole('button', { name: 'Done' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('Your name').fill('Ada')
  await form.getByLabel('What you saw').fill('Two beads lift')
  await form.getByLabel('When').fill('2031-05-13')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('That day has not come yet.')).toBeVisible()
  // What was typed stays.
  await expect(form.getByLabel('What you saw')).toHaveValue('Two beads lift')
  await form.getByLabel('When').fill('2031-05-12')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(form).toBeHidden()
  await expect(line(page, 'Sealant on the roof')).toContainText('12 May 2032')
  await expect(line(page, 'Sealant on the roof')).toContainText('Ada: Two beads lift.')
  await expect(page.getByRole('banner').getByRole('link', { name: '1 late' })).toBeHidden()

  await page.getByRole('link', { name: 'What was done' }).click()
  const log = page.getByTestId('log')
  await expect(log).toContainText('Looked after: Sealant on the roof by Ada')
  await expect(log).toContainText(/Air \d+ °C/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(log).toContainText('undone')
})

test('something of ones own comes again, is changed, and goes into a calendar', async ({ page }) => {
  await logbook(page)
  await page.getByRole('button', { name: 'Add something' }).click()
  const form = page.getByRole('dialog')
  await form.getByLabel('What', { exact: true }).fill('Gas hose')
  await form.getByLabel('First due').fill('2031-06-01')
  await form.getByLabel(/Again after months/).fill('24')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(line(page, 'Gas hose')).toContainText('1 Jun 2031')
  await expect(line(page, 'Gas hose')).toContainText('Every 24 months.')
  await line(page, 'Gas hose').getByRole('button', { name: 'Change' }).click()
  await form.getByLabel(/Again after months/).fill('')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(form).toBeHidden()
  await expect(line(page, 'Gas hose')).not.toContainText('Every')
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Calendar file' }).click()])
  const calendar = readFileSync((await download.path())!, 'utf8')
  expect(calendar).toContain('SUMMARY:Heron: Gas hose')
  expect(calendar).toContain('DTSTART;VALUE=DATE:20310601')
})

test('an edit is told in words, with what it was before, and is found by who and by what', async ({ page }) => {
  await logbook(page)
  await page.getByRole('link', { name: 'Openings' }).click()
  await page.getByRole('link', { name: 'Stove flue' }).first().click()
  await page.getByRole('link', { name: 'As cut' }).click()
  await page.getByRole('button', { name: 'It is cut' }).click()
  await expect(page.getByRole('banner')).toContainText('Shell open')
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name: 'Logbook' }).click()
  await page.getByRole('link', { name: 'What was done' }).click()
  const entry = page.getByTestId('log').getByRole('article').first()
  await expect(entry).toContainText('Changed Stove flue')
  await expect(entry).toContainText('State: planned cut')
  await page.getByLabel('Find').fill('no such thing')
  await expect(page.getByTestId('log')).toContainText('Nothing recorded')
  await page.getByLabel('Find').fill('flue')
  await expect(entry).toContainText('Changed Stove flue')
  await page.getByRole('button', { name: 'Steps of jobs' }).click()
  await expect(page.getByTestId('log')).toContainText('Nothing recorded')
  await page.getByRole('button', { name: 'Undo' }).click()
})

test('the dossier comes as a file, and holes as built are drawn over what was planned', async ({ page }) => {
  await logbook(page)
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Dossier' }).click()])
  expect(download.suggestedFilename()).toBe('heron-dossier.pdf')
  expect(readFileSync((await download.path())!).subarray(0, 5).toString()).toBe('%PDF-')
  await page.getByRole('link', { name: 'As built' }).click()
  await expect(page.getByText('No hole is cut and measured yet')).toBeVisible()
})

test('a phone has one bar of at most 112 px with what is on screen, and a finding begins with the camera', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  for (const stage of ['Bench', 'Logbook'] as const) {
    await heron(page)
    await stageOnPhone(page, stage)
    const content = page.getByTestId(stage === 'Bench' ? 'bench' : 'upkeep')
    await expect(content).toBeVisible()
    expect((await content.boundingBox())!.y).toBeLessThanOrEqual(stage === 'Bench' ? 112 : 220)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    const found = await new AxeBuilder({ page }).analyze()
    expect(found.violations.filter((v) => ['serious', 'critical'].includes(v.impact ?? '')).map((v) => v.id)).toEqual([])
  }
  await heron(page)
  await page.locator('.camera input').setInputFiles({
    name: 'rust.png',
    mimeType: 'image/png',
    buffer: Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64'),
  })
  const form = page.getByRole('form', { name: 'Finding' })
  await expect(form).toContainText('rust.png')
  await form.getByLabel('Name', { exact: true }).fill('Rust under the step')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(form).toBeHidden()
  await page.getByRole('button', { name: /Rust under the step/ }).first().click()
  await expect(form.getByRole('img', { name: 'Photo of the finding' })).toBeVisible()
})
