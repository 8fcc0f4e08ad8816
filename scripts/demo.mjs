// npm run demo: from a fresh clone to the demo reservoir in the browser.
import { join } from 'node:path'
import { bin, built, must, ready, ROOT } from './ready.mjs'
import { startBoat, startWeather } from './standIns.mjs'

const file = process.env.DB_FILE ??= join(ROOT, '.data/demo.db')
process.env.PORT ??= '3000'

await ready()
await built()
await must('Writing the demo data', bin('tsx'), ['demo/seed.ts'], { DB_FILE: file })
process.env.WEATHER_URL ??= startWeather(process.env.WEATHER_PORT ?? Number(process.env.PORT) + 901).url
process.env.INSTRUMENTS ??= startBoat(process.env.BOAT_PORT ?? Number(process.env.PORT) + 902).at
console.log(`\nRemous is at http://${process.env.HOST ?? '127.0.0.1'}:${process.env.PORT} (Ctrl+C ends it; the log stays in ${file}).\n`)
await import('./serve.mjs')
