import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 as uuidv7 } from 'uuid'
import type { WaterSummary } from '../shared/waters'
import { migrateDb, openDb } from '../server/db/open'
import { seedDemo } from '../demo/seed'

const PORT = 4175
const CONNECTIONS = 20
const SECONDS = 4
const BATCH = 100

interface Load { perSecond: number, p99Ms: number, failed: number }

/** Requests a second over 20 kept connections: a constant answer, one durable entry a request, and batches of a hundred. */
export async function serverSpeedBench() {
  const what = `server over ${CONNECTIONS} connections, ${SECONDS} s each: a constant route, one durable entry a request (WAL, FULL), batches of ${BATCH}`
  if (!existsSync('.output/server/index.mjs')) return { what, lines: ['nothing is built: run `npm run build` first'] }
  const folder = mkdtempSync(join(tmpdir(), 'remous-speed-'))
  const file = join(folder, 'demo.db')
  const db = openDb(file)
  migrateDb(db, 'server/db/migrations')
  seedDemo(db)
  db.$client.close()
  const server = spawn(process.execPath, ['scripts/serve.mjs'], { env: { ...process.env, PORT: String(PORT), DB_FILE: file }, stdio: 'ignore' })
  try {
    for (let tries = 0; tries < 100 && !await fetch(`http://127.0.0.1:${PORT}/api/up`).then(r => r.ok, () => false); tries++) await new Promise(wake => setTimeout(wake, 100))
    const [water] = await (await fetch(`http://127.0.0.1:${PORT}/api/waters`)).json() as WaterSummary[]
    // Every connection is a day on the water of its own.
    const trips = await Promise.all(Array.from({ length: CONNECTIONS }, async () => {
      const tripId = uuidv7()
      await send('POST', '/api/journal', JSON.stringify({ entries: [{ id: uuidv7(), tripId, at: '2026-04-24T12:00:00.000Z', kind: 'start', body: { waterId: water!.id } }] }))
      return tripId
    }))
    const look = (tripId: string) => ({ id: uuidv7(), tripId, at: new Date(1_777_000_000_000).toISOString(), kind: 'sign', body: { schoolId: null, sign: 'look' } })
    await load(() => send('GET', '/api/up'), 1)
    const bare = await load(() => send('GET', '/api/up'))
    const single = await load(i => send('POST', '/api/journal', JSON.stringify({ entries: [look(trips[i]!)] })))
    const batches = await load(i => send('POST', '/api/journal', JSON.stringify({ entries: Array.from({ length: BATCH }, () => look(trips[i]!)) })))
    const line = (name: string, l: Load, more: string) => `${name}: ${Math.round(l.perSecond).toLocaleString('en-US')} a second, p99 ${l.p99Ms.toFixed(1)} ms${l.failed ? `, ${l.failed} FAILED` : ''}${more}`
    return { what, lines: [
      line('constant route', bare, ''), line('one durable entry a request', single, `, ${(single.perSecond / bare.perSecond).toFixed(2)} × the constant route`),
      line(`batches of ${BATCH}`, batches, `, ${Math.round(batches.perSecond * BATCH).toLocaleString('en-US')} entries a second acknowledged`),
    ] }
  }
  finally {
    server.kill()
    rmSync(folder, { recursive: true, force: true })
  }
}

const agent = new Agent({ keepAlive: true, maxSockets: CONNECTIONS })
function send(method: string, path: string, body?: string): Promise<number> {
  return new Promise((done, failed) => {
    const asked = request({ host: '127.0.0.1', port: PORT, method, path, agent, headers: body ? { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(body) } : {} }, (answer) => {
      answer.resume()
      answer.on('end', () => done(answer.statusCode ?? 0))
    })
    asked.on('error', failed)
    asked.end(body)
  })
}

async function load(ask: (connection: number) => Promise<number>, seconds = SECONDS): Promise<Load> {
  const times: number[] = []
  let failed = 0
  const begun = performance.now()
  await Promise.all(Array.from({ length: CONNECTIONS }, async (_, i) => {
    while (performance.now() - begun < seconds * 1000) {
      const before = performance.now()
      if (await ask(i) !== 200) failed++
      times.push(performance.now() - before)
    }
  }))
  const spent = (performance.now() - begun) / 1000
  times.sort((a, b) => a - b)
  return { perSecond: times.length / spent, p99Ms: times[Math.floor(times.length * 0.99)]!, failed }
}
