import { v7 as uuidv7 } from 'uuid'
import type { Entry, EntryBodies, EntryKind } from '../core/school/entries'
import { seededRandom } from '../core/numeric/random'
import type { TripSummary, WaterSummary } from '../shared/waters'
import { expect, test } from './support/app'

const CLIENTS = 2
const ENTRIES = 2000
const KILLS = 50
const BATCH = 20

function entry<K extends EntryKind>(tripId: string, kind: K, body: EntryBodies[K]): Entry {
  return { id: uuidv7(), tripId, at: '2026-04-24T12:00:00.000Z', kind, body } as Entry
}

/** A device's outbox: sends what is not acknowledged, in batches, again and again; now and then its connection is cut while it waits. */
async function sendAll(url: string, entries: Entry[], random: () => number, tally: { sent: number, cut: number }): Promise<void> {
  const unsent = new Map(entries.map(e => [e.id, e]))
  while (unsent.size > 0) {
    const batch = [...unsent.values()].slice(0, BATCH)
    const cut = random() < 0.15
    const stop = new AbortController()
    if (cut) setTimeout(() => stop.abort(), random() * 6)
    tally.sent++
    const answer = await fetch(`${url}/api/journal`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ entries: batch }), signal: stop.signal })
      .then(async r => (r.ok ? await r.json() as { stored: string[], known: string[] } : null), () => null)
    if (answer) for (const id of [...answer.stored, ...answer.known]) unsent.delete(id)
    else {
      tally.cut++
      await new Promise(wake => setTimeout(wake, 5 + random() * 20))
    }
  }
}

test('fifty kills and cut connections: every entry of two devices is there once', async ({ app }) => {
  test.setTimeout(240_000)
  const [water] = await app.json<WaterSummary[]>('waters')
  const random = seededRandom(20260424)
  const trips = Array.from({ length: CLIENTS }, () => uuidv7())
  const journals = trips.map(tripId => [entry(tripId, 'start', { waterId: water!.id }), ...Array.from({ length: ENTRIES - 1 }, (_, i) => (i % 4 === 0
    ? entry(tripId, 'fish', { schoolId: null, species: 'blackCrappie', lengthM: 0.25, fate: 'kept', depthM: 2 })
    : entry(tripId, 'sign', { schoolId: null, sign: 'follow' })))])
  const tally = { sent: 0, cut: 0 }
  let running = true
  let kills = 0
  const killing = (async () => {
    while (running && kills < KILLS) {
      await new Promise(wake => setTimeout(wake, 20 + random() * 120))
      await app.kill()
      kills++
      await app.start()
    }
  })()
  // The devices log for as long as the server is being killed: a part of each journal for every kill.
  const part = Math.ceil(ENTRIES / KILLS)
  await Promise.all(journals.map(async (journal) => {
    for (let k = 0; k < KILLS; k++) {
      while (kills < k) await new Promise(wake => setTimeout(wake, 10))
      await sendAll(app.url, journal.slice(k * part, (k + 1) * part), random, tally)
    }
  }))
  running = false
  await killing
  let total = 0
  for (const [i, tripId] of trips.entries()) {
    const { entries } = await app.json<{ entries: Entry[] }>(`trips/${tripId}`)
    expect(entries.map(e => e.id).sort()).toEqual(journals[i]!.map(e => e.id).sort())
    total += entries.length
  }
  expect(total).toBe(CLIENTS * ENTRIES)
  const seen = await app.json<TripSummary[]>('trips')
  for (const [i, tripId] of trips.entries()) expect(seen.find(t => t.id === tripId)!.fish).toBe(journals[i]!.filter(e => e.kind === 'fish').length)
  console.log(`${kills} kills, ${tally.sent} batches sent, ${tally.cut} cut or unanswered: ${total} entries, each once`)
  expect(kills).toBe(KILLS)
})
