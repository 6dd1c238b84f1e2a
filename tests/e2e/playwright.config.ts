import { defineConfig } from '@playwright/test'
import { chromiumArguments } from './app.ts'

export default defineConfig({
  testDir: '.',
  timeout: 90_000,
  expect: { timeout: 15_000 },
  // Each file starts the built program on a port of its own, so that two run side by side: a browser waits more than it works.
  workers: 2,
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium', args: chromiumArguments },
    acceptDownloads: true,
  },
})
