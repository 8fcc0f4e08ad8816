import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/support/template.ts',
  workers: 2,
  fullyParallel: true,
  timeout: 90_000,
  // A busy machine can be slow once; what needed its second try is listed as flaky at the end.
  retries: 1,
  expect: { timeout: 10_000 },
  reporter: 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    testIdAttribute: 'data-test',
    contextOptions: { reducedMotion: 'reduce' },
    // Only the tests of the installed app need the worker that keeps it; it would fill every other test's cache.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
    },
  },
})
