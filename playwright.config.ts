import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './scripts/browser.mjs'
import { keepTemporaryFilesInMemory } from './scripts/in-memory.mjs'

keepTemporaryFilesInMemory()

export default defineConfig({
  testDir: 'e2e',
  // Generous: a machine that is busy with something else may take many times as long.
  timeout: 900_000,
  expect: { timeout: 90_000 },
  workers: 2,
  // A flaky test is a failing one.
  retries: 0,
  // Tests share a server and not a notebook, so any two may run side by side.
  fullyParallel: true,
  forbidOnly: Boolean(process.env['CI']),
  reporter: [['list']],
  use: {
    launchOptions: CHROMIUM,
    // A control that is not there after this long will not come.
    actionTimeout: 120_000,
    viewport: { width: 1280, height: 800 },
    timezoneId: 'UTC',
    locale: 'en-GB',
    // Recording costs a quarter of a run; ask for it where it is wanted: `npx playwright test --trace on`.
    trace: 'off',
  },
})
