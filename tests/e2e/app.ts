import type { Locator, Page } from '@playwright/test'
import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = fileURLToPath(new URL('../..', import.meta.url))

export { chromiumArguments } from './chromium.mjs'

export interface RunningApp {
  url: string
  stop: (signal?: NodeJS.Signals) => Promise<void>
  data: string
}

/** Starts the built program on a port with a data folder of its own. */
export async function startApp(port: number, options: string[] = [], data = mkdtempSync(join(tmpdir(), 'abri-e2e-'))): Promise<RunningApp> {
  const url = `http://127.0.0.1:${port}`
  const child: ChildProcess = spawn('dotnet', [join(root, 'artifacts/app/Abri.Server.dll'), '--port', String(port), '--data', data, ...options], { stdio: 'inherit' })
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()))
  // On a machine that has much to do a start takes its time.
  for (let i = 0; i < 300; i++) {
    if (await fetch(`${url}/health`).then((r) => r.ok, () => false)) break
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  return {
    url,
    data,
    stop: async (signal = 'SIGTERM') => {
      child.kill(signal)
      await ended
      if (signal === 'SIGTERM') rmSync(data, { recursive: true, force: true })
    },
  }
}

/** Goes to a stage on a phone: from the sheet at the foot of the screen. */
export async function stageOnPhone(page: Page, name: string): Promise<void> {
  await page.locator('button.stage').click()
  await page.getByRole('navigation', { name: 'Stages of the work' }).getByRole('link', { name }).click()
}

/** Takes the last change back on a phone. */
export async function undoOnPhone(page: Page): Promise<void> {
  await page.locator('button.stage').click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Close' }).click()
}

/** Chooses from a list with a label, as the eye finds it. */
export async function choose(page: Page, where: Page | Locator, label: string, text: string): Promise<void> {
  const list = where.locator('.named', { has: page.getByText(label, { exact: true }) })
  await list.locator('.ant-select-selector').click()
  // Of a long list only a part is drawn: one types what one looks for.
  if (await list.locator('.ant-select-show-search').count()) await page.keyboard.type(text)
  await page.locator('.ant-select-dropdown:visible .ant-select-item-option').filter({ hasText: text }).first().click()
}
