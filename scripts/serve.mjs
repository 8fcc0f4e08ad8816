// Starts the built server. It listens on 127.0.0.1 unless HOST says otherwise.
import { existsSync } from 'node:fs'

if (!existsSync('.output/server/index.mjs')) {
  console.error('Nothing is built yet: run `npm run build` first, or `npm run demo` for everything at once.')
  process.exit(1)
}
process.argv[1] = new URL('../.output/server/index.mjs', import.meta.url).pathname
await import('../.output/server/index.mjs')
