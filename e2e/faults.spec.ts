import { v7 as uuidv7 } from 'uuid'
import type { Entry, EntryBodies, EntryKind } from '../core/school/entries'
import type { TripSummary, WaterSummary } from '../shared/waters'
import { expect, test, type App } from './support/app'

const AT = '2026-04-24T12:00:00.000Z'
function entry<K extends EntryKind>(tripId: string, kind: K, body: EntryBodies[K], id = uuidv7()): Entry {
  return { id, tripId, at: AT, kind, body } as Entry
}
async function begin(app: App) {
  const [water] = await app.json<WaterSummary[]>('waters')
  const tripId = uuidv7()
  const start = entry(tripId, 'start', { waterId: water!.id })
  await app.send('journal', { entries: [start] })
  return { tripId, start, waterId: water!.id }
}
const stored = async (app: App, tripId: string) => (await app.json<{ entries: Entry[] }>(`trips/${tripId}`)).entries.length

test('every refusal names what is wrong, with the right status, and writes nothing', async ({ app }) => {
  const { tripId } = await begin(app)
  const look = (change: object) => ({ entries: [{ ...entry(tripId, 'sign', { schoolId: null, sign: 'look' }), ...change }] })
  const cases: [what: string, body: string | object, status: number, field: string | undefined, message: RegExp][] = [
    ['malformed JSON', '{"entries": [', 400, undefined, /not JSON/],
    ['no body', '', 400, undefined, /not JSON/],
    ['a field nobody knows', look({ colour: 'pink' }), 422, 'entries[0].colour', /colour is not allowed/],
    ['an unknown field inside', look({ body: { schoolId: null, sign: 'look', loud: true } }), 422, 'entries[0].body.loud', /not allowed/],
    ['a wrong type', look({ body: { schoolId: null, sign: 7 } }), 422, 'entries[0].body.sign', /must be one of/],
    ['a number as text', { entries: [{ ...entry(tripId, 'stretch', { schoolId: null, minutes: 5, presentations: 5, looks: 0, follows: 0, taps: 0 }), body: { schoolId: null, minutes: '5', presentations: 5, looks: 0, follows: 0, taps: 0 } }] }, 422, 'entries[0].body.minutes', /must be a number/],
    ['an unknown kind', look({ kind: 'shout' }), 422, 'entries[0].kind', /must be one of/],
    ['a local time', look({ at: '2026-04-24 07:00' }), 422, 'entries[0].at', /UTC instant/],
    ['an id of another make', look({ id: 'abc' }), 422, 'entries[0].id', /UUID/],
    ['an unknown water', { entries: [entry(uuidv7(), 'start', { waterId: uuidv7() })] }, 422, 'entries[0].body.waterId', /there is no water/],
    ['an unknown place', { entries: [entry(tripId, 'arrive', { placeId: uuidv7() })] }, 422, 'entries[0].body.placeId', /there is no place/],
    ['a school upside down', { entries: [entry(tripId, 'school', { placeId: null, topM: 4, bottomM: 2, waterDepthM: 5, tightness: 'loose' })] }, 422, 'entries[0].body.bottomM', /must be greater/],
    ['no entries', { entries: [] }, 422, 'entries', /at least 1/],
    ['a list', [], 422, undefined, /must be of type object/],
    ['too much', JSON.stringify({ entries: 'x'.repeat(1_100_000) }), 413, undefined, /over 1048576 bytes/],
  ]
  for (const [what, body, status, field, message] of cases) {
    const answer = await app.send('journal', body)
    expect(answer.status, what).toBe(status)
    expect(Object.keys(answer.body), what).toEqual(['error'])
    expect(answer.body.error!.field, what).toBe(field)
    expect(answer.body.error!.message, what).toMatch(message)
  }
  // A good entry beside a bad one is not written either.
  const mixed = await app.send('journal', { entries: [entry(tripId, 'note', { text: 'good' }), entry(tripId, 'note', { text: '' })] })
  expect(mixed.status).toBe(422)
  expect(await stored(app, tripId)).toBe(1)
})

test('what is not there, and what is no JSON at all', async ({ app }) => {
  const { tripId } = await begin(app)
  for (const path of ['waters/nope', `waters/${uuidv7()}`, `waters/${uuidv7()}/grid`, `waters/${uuidv7()}/places`, `trips/${uuidv7()}`, 'no/such/thing']) {
    const response = await fetch(`${app.url}/api/${path}`)
    expect(response.status, path).toBe(404)
    const { error } = await response.json() as { error: { message: string } }
    expect(error.message).toMatch(/there is no/)
  }
  expect((await app.send('journal', 'a=1', { type: 'application/x-www-form-urlencoded' })).status).toBe(415)
  expect((await app.send('me', { units: 'cubits' }, { method: 'PATCH' })).body.error).toMatchObject({ field: 'units' })
  expect((await app.send('me', {}, { method: 'PATCH' })).status).toBe(422)
  expect((await app.send(`tackle/${uuidv7()}`, { carried: true }, { method: 'PATCH' })).status).toBe(404)
  expect(await stored(app, tripId)).toBe(1)
})

test('an entry sent twice changes nothing; the same id with other content is refused', async ({ app }) => {
  const { tripId, start } = await begin(app)
  const note = entry(tripId, 'note', { text: 'carp at the ramp' })
  expect((await app.send('journal', { entries: [note] })).body).toEqual({ stored: [note.id], known: [] })
  expect((await app.send('journal', { entries: [note, start] })).body).toEqual({ stored: [], known: [note.id, start.id] })
  const forged = await app.send('journal', { entries: [entry(tripId, 'note', { text: 'gar' }, note.id)] })
  expect(forged.status).toBe(409)
  expect(forged.body.error!.field).toBe('entries[0].id')
  expect(await stored(app, tripId)).toBe(2)
})

test('killing the server in the middle of logging loses nothing it acknowledged', async ({ app }) => {
  const { tripId } = await begin(app)
  const acknowledged: string[] = []
  for (let round = 0; round < 3; round++) {
    let running = true
    const logging = (async () => {
      while (running) {
        const fish = entry(tripId, 'fish', { schoolId: null, species: 'blackCrappie', lengthM: 0.25, fate: 'kept', depthM: 2 })
        const answer = await app.send('journal', { entries: [fish] }).catch(() => null)
        if (answer?.status === 200) acknowledged.push(fish.id)
        else if (answer === null) return
      }
    })()
    // Killed in full swing, however slow the disk is.
    const before = acknowledged.length
    while (acknowledged.length < before + 5) await new Promise(wake => setTimeout(wake, 10))
    await app.kill()
    running = false
    await logging
    await app.start()
  }
  expect(acknowledged.length).toBeGreaterThan(10)
  const kept = new Set((await app.json<{ entries: Entry[] }>(`trips/${tripId}`)).entries.map(e => e.id))
  expect(acknowledged.filter(id => !kept.has(id))).toEqual([])
  // The read tables moved with the journal.
  const trip = (await app.json<TripSummary[]>('trips')).find(t => t.id === tripId)!
  expect(trip.fish).toBe(kept.size - 1)
})

test('entries wait on the device while the server is away, and go when it is back', async ({ app, page }) => {
  await page.goto('/log')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button').first().click()
  await page.getByTestId('take').waitFor()
  await expect(page.getByTestId('unsent')).toHaveText('all sent')
  await app.kill()
  await page.getByTestId('look').click()
  await page.getByTestId('follow').click()
  await expect(page.getByTestId('unsent')).toHaveText('2 to send')
  await expect(page.getByTestId('look')).toContainText('1')
  await app.start()
  await page.getByTestId('tap').click()
  await expect(page.getByTestId('unsent')).toHaveText('all sent')
  const tripId = page.url().split('/').at(-1)!.split('?')[0]!
  expect((await app.json<{ entries: Entry[] }>(`trips/${tripId}`)).entries.map(e => e.kind).sort()).toEqual(['arrive', 'sign', 'sign', 'sign', 'start'])
})

test('listens on the loopback only, unless told otherwise', async ({ app }) => {
  const { networkInterfaces } = await import('node:os')
  const outside = Object.values(networkInterfaces()).flat().find(i => i && !i.internal && i.family === 'IPv4')
  test.skip(!outside, 'this machine has no address but the loopback')
  await expect(fetch(app.url.replace('127.0.0.1', outside!.address))).rejects.toThrow()
})

test('the grid is served with a tag and not sent twice', async ({ app }) => {
  const [water] = await app.json<WaterSummary[]>('waters')
  const first = await fetch(`${app.url}/api/waters/${water!.id}/grid`)
  const tag = first.headers.get('etag')!
  expect((await first.arrayBuffer()).byteLength).toBeGreaterThan(500_000)
  const second = await fetch(`${app.url}/api/waters/${water!.id}/grid`, { headers: { 'If-None-Match': tag } })
  expect(second.status).toBe(304)
})
