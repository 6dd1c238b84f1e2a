import { defineConfig } from '@playwright/test'
import { chromiumArguments } from './app.ts'

export default defineConfig({
  testDir: '.',
  timeout: 90_000,
  expect: { timeout: 8_000 },
  // Each file starts the built program on a port of its own; two cores take one at a time.
  workers: 1,
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium', args: chromiumArguments },
    acceptDownloads: true,
  },
})
