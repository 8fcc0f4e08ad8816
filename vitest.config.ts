import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    environment: 'node',
    globalSetup: ['./vitest.global.ts'],
    setupFiles: ['./vitest.setup.ts'],
    // Whole waters are gridded and read; a busy machine may take a while over it.
    testTimeout: 60_000,
    hookTimeout: 60_000,
    include: ['{core,shared,server,demo,sim,app}/**/*.test.ts'],
  },
})
