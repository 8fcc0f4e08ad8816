import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    environment: 'node',
    include: ['{core,shared,server,demo,sim,app}/**/*.test.ts'],
  },
})
