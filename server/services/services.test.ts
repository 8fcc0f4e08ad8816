import { placeRecords } from '../../core/place/placeRecord'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import { eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { beforeEach, describe, expect, it } from 'vitest'
import { decodeDepthGrid } from '../../core/water/depthGridBlob'
import { deepest, waterArea } from '../../core/water/depthGrid'
import type { Rung } from '../../core/rig/ladder'
import { reduceTrip } from '../../core/school/reduceTrip'
import { seedDemo } from '../../demo/seed'
import { migrateDb, openDb } from '../db/open'
import { anglers, entries, fish, rigs, schools, settings, trips, visits, waters } from '../db/schema'
import { demoDb, emptyDb, entryOf } from '../support/testDb'
import { requireLocalAngler, setAngler } from './anglers'
import { clockOf, setDemoStart } from './clock'
import { Fault } from './fault'
import { appendEntries } from './journal'
import { keepLadder, listLadders } from './ladders'
import { freshenReadTables, refreshReadTables } from './readTables'
import { changeTackle, keepTackle, listTackle, removeTackle } from './tackle'
import { dayEntries, tripEntries } from './tripEntries'
import { listTrips } from './trips'
import { gridBytes, listPlaces, listWaters, requireWater, setGrid, waterRecord } from './waters'

let demo: ReturnType<typeof demoDb>
beforeEach(() => {
  demo = demoDb()
})
const fault = (run: () => unknown): Fault => {
  try {
    run()
  }
  catch (error) {
    if (error instanceof Fault) return error
    throw error
  }
  throw new Error('no fault was thrown')
}

/** A short day at the first place: a school with one kept fish. */
function logDay() {
  const { db, ownerId, waterId, places } = demo
  const tripId = uuidv7()
  const start = entryOf(tripId, 'start', { waterId }, '2026-04-24T12:00:00.000Z')
  const arrive = entryOf(tripId, 'arrive', { placeId: places[0]!.id }, '2026-04-24T12:10:00.000Z')
  const school = entryOf(tripId, 'school', { placeId: places[0]!.id, topM: 2, bottomM: 3, waterDepthM: 4, tightness: 'tight' }, '2026-04-24T12:15:00.000Z')
  const caught = entryOf(tripId, 'fish', { schoolId: school.id, species: 'blackCrappie', lengthM: 0.28, fate: 'kept', depthM: 2.2 }, '2026-04-24T12:20:00.000Z')
  const stretch = entryOf(tripId, 'stretch', { schoolId: school.id, minutes: 30, presentations: 40, looks: 0, follows: 1, taps: 2 }, '2026-04-24T12:40:00.000Z')
  const all = [start, arrive, school, caught, stretch]
  appendEntries(db, ownerId, all)
  return { tripId, all, start, arrive, school, caught, stretch }
}

describe('journal', () => {
  it('keeps the read tables in step with the entries', () => {
    const { db } = demo
    const { tripId, school } = logDay()
    freshenReadTables(db, demo.ownerId)
    expect(db.select().from(trips).where(eq(trips.id, tripId)).get()).toMatchObject({ startedAt: '2026-04-24T12:00:00.000Z', endedAt: null })
    expect(db.select().from(schools).where(eq(schools.tripId, tripId)).all()).toEqual([expect.objectContaining({ id: school.id, minutes: 30, presentations: 40, tightness: 'tight' })])
    expect(db.select().from(fish).where(eq(fish.tripId, tripId)).all()).toEqual([expect.objectContaining({ species: 'blackCrappie', placeId: demo.places[0]!.id })])
    expect(db.select().from(visits).where(eq(visits.tripId, tripId)).all()).toEqual([expect.objectContaining({ minutes: 30, fish: 1, leftAt: null })])
  })

  it('stores an entry once, whatever is sent again and in what order', () => {
    const { db, ownerId } = demo
    const { tripId, all } = logDay()
    expect(appendEntries(db, ownerId, [...all].reverse())).toEqual({ stored: [], known: all.map(e => e.id).reverse() })
    expect(tripEntries(db, ownerId, tripId)).toHaveLength(5)
  })

  it('keeps the device and the boat\'s fix of an entry, and takes the same id with another fix for what it is', () => {
    const { db, ownerId } = demo
    const { tripId } = logDay()
    const entry = { ...entryOf(tripId, 'note', { text: 'by the piles' }), by: 'phone1', fix: { lonDeg: -88.6, latDeg: 40.2, depthM: 4.2, waterC: null } }
    appendEntries(db, ownerId, [entry])
    expect(tripEntries(db, ownerId, tripId).find(e => e.id === entry.id)).toEqual(entry)
    expect(appendEntries(db, ownerId, [entry])).toEqual({ stored: [], known: [entry.id] })
    expect(fault(() => appendEntries(db, ownerId, [{ ...entry, fix: { ...entry.fix, depthM: 5 } }])).status).toBe(409)
    expect(fault(() => appendEntries(db, ownerId, [{ ...entry, by: 'phone2' }])).status).toBe(409)
  })

  it('counts a joined day as part of the earlier one, what comes late too, and lets them come apart', () => {
    const { db, ownerId } = demo
    const [one, two] = [logDay(), logDay()].sort((a, b) => a.tripId.localeCompare(b.tripId)) as [ReturnType<typeof logDay>, ReturnType<typeof logDay>]
    const count = (id: string) => listTrips(db, ownerId).find(t => t.id === id)?.fish
    const join = entryOf(two.tripId, 'join', { tripId: one.tripId }, '2026-04-24T14:00:00.000Z')
    appendEntries(db, ownerId, [join])
    expect([count(one.tripId), count(two.tripId)]).toEqual([2, undefined])
    appendEntries(db, ownerId, [entryOf(two.tripId, 'fish', { schoolId: two.school.id, species: null, lengthM: null, fate: null, depthM: null }, '2026-04-24T12:30:00.000Z')])
    expect(count(one.tripId)).toBe(3)
    expect(dayEntries(db, ownerId, one.tripId)).toHaveLength(12)
    // The other way round it is no join: two days cannot each be part of the other.
    appendEntries(db, ownerId, [entryOf(one.tripId, 'join', { tripId: two.tripId }, '2026-04-24T14:05:00.000Z')])
    expect(count(one.tripId)).toBe(3)
    // A third day that joins the second one comes along to the first.
    const third = logDay()
    appendEntries(db, ownerId, [entryOf(third.tripId, 'join', { tripId: two.tripId }, '2026-04-24T14:06:00.000Z')])
    expect(third.tripId > two.tripId).toBe(true)
    expect(count(one.tripId)).toBe(4)
    appendEntries(db, ownerId, [entryOf(two.tripId, 'undo', { entryId: join.id }, '2026-04-24T14:10:00.000Z')])
    expect([count(one.tripId), count(two.tripId)]).toEqual([1, 3])
  })

  it('takes a batch whole or not at all', () => {
    const { db, ownerId } = demo
    const { tripId, caught } = logDay()
    const note = entryOf(tripId, 'note', { text: 'wind got up' })
    const bad = fault(() => appendEntries(db, ownerId, [note, { ...caught, body: { ...caught.body, lengthM: 0.3 } } as typeof caught]))
    expect(bad).toMatchObject({ status: 409, field: 'entries[1].id' })
    expect(fault(() => appendEntries(db, ownerId, [note, entryOf(tripId, 'arrive', { placeId: uuidv7() })]))).toMatchObject({ status: 422, field: 'entries[1].body.placeId' })
    expect(fault(() => appendEntries(db, ownerId, [entryOf(uuidv7(), 'start', { waterId: uuidv7() })]))).toMatchObject({ status: 422, field: 'entries[0].body.waterId' })
    const amend = entryOf(tripId, 'amend', { entryId: caught.id, body: { kind: 'school', body: { placeId: uuidv7(), topM: 1, bottomM: 2, waterDepthM: 3, tightness: 'loose' } } })
    expect(fault(() => appendEntries(db, ownerId, [amend]))).toMatchObject({ status: 422, field: 'entries[0].body.body.body.placeId' })
    expect(tripEntries(db, ownerId, tripId)).toHaveLength(5)
  })

  it('takes a fish back and puts it back', () => {
    const { db, ownerId } = demo
    const { tripId, caught } = logDay()
    const undo = entryOf(tripId, 'undo', { entryId: caught.id }, '2026-04-24T12:50:00.000Z')
    appendEntries(db, ownerId, [undo])
    freshenReadTables(db, ownerId)
    expect(db.select().from(fish).where(eq(fish.tripId, tripId)).all()).toEqual([])
    appendEntries(db, ownerId, [entryOf(tripId, 'undo', { entryId: undo.id }, '2026-04-24T12:51:00.000Z')])
    freshenReadTables(db, ownerId)
    expect(db.select().from(fish).where(eq(fish.tripId, tripId)).all()).toHaveLength(1)
  })

  it('waits with the read tables until the start has arrived', () => {
    const { db, ownerId, waterId } = demo
    const tripId = uuidv7()
    const late = entryOf(tripId, 'start', { waterId })
    appendEntries(db, ownerId, [entryOf(tripId, 'note', { text: 'first to arrive' }, '2026-04-24T13:00:00.000Z')])
    expect(db.select().from(trips).where(eq(trips.id, tripId)).get()).toBeUndefined()
    appendEntries(db, ownerId, [late])
    expect(listTrips(db, ownerId).find(t => t.id === tripId)).toMatchObject({ waterName: 'Pellowick Reservoir', schools: 0, fish: 0 })
  })

  it('does not show or touch another angler\'s things', () => {
    const { db, waterId } = demo
    const { tripId, all } = logDay()
    const stranger = db.insert(anglers).values({ id: uuidv7(), name: 'Other', units: 'metric', waveLimitM: 0.2 }).returning().get()
    expect(tripEntries(db, stranger.id, tripId)).toEqual([])
    expect(listTrips(db, stranger.id)).toEqual([])
    expect(fault(() => requireWater(db, stranger.id, waterId)).status).toBe(404)
    expect(fault(() => appendEntries(db, stranger.id, [all[1]!])).status).toBe(409)
    expect(fault(() => changeTackle(db, stranger.id, listTackle(db, demo.ownerId)[0]!.id, { carried: false })).status).toBe(404)
    expect(fault(() => appendEntries(db, stranger.id, [entryOf(uuidv7(), 'start', { waterId })])).status).toBe(422)
  })
})

describe('waters', () => {
  it('gives back the grid it was given, and its tag changes with the depths', () => {
    const { db, ownerId, waterId } = demo
    const before = requireWater(db, ownerId, waterId).gridTag
    const grid = decodeDepthGrid(gunzipSync(gridBytes(db, waterId).gzipped))
    expect(deepest(grid)).toBeGreaterThan(12)
    expect(waterArea(grid) / 10_000).toBeGreaterThan(200)
    setGrid(db, waterId, grid)
    expect(requireWater(db, ownerId, waterId).gridTag).toBe(before)
    grid.depthM[grid.depthM.findIndex(d => d > 1)]! += 0.5
    setGrid(db, waterId, grid)
    expect(requireWater(db, ownerId, waterId).gridTag).not.toBe(before)
  })

  it('keeps the record of each place: catches, hours, visits, last time', () => {
    const { db, ownerId, waterId, places } = demo
    const water = requireWater(db, ownerId, waterId)
    const recordOf = () => {
      const { visits, catches } = waterRecord(db, ownerId, water)
      return placeRecords({ visits, catches, fish: 'crappie', atMs: Date.parse('2026-04-24T20:00:00.000Z') }).get(places[0]!.id)
    }
    const before = recordOf()
    logDay()
    const record = waterRecord(db, ownerId, water)
    expect(recordOf()).toMatchObject({
      visits: (before?.visits ?? 0) + 1, lastVisitMs: Date.parse('2026-04-24T12:10:00.000Z'),
      plain: { catches: (before?.plain?.catches ?? 0) + 1, effortHours: (before?.plain?.effortHours ?? 0) + 0.5 },
    })
    const school = record.schools.at(-1)!
    expect(school).toMatchObject({ topM: 2, bottomM: 3 })
    expect(school.hour).toBeCloseTo(7.25, 9)
  })

  it('has at least a dozen places on the water, and none for a stranger\'s', () => {
    const { db, ownerId, waterId } = demo
    expect(listPlaces(db, ownerId, waterId).length).toBeGreaterThanOrEqual(12)
    expect(listPlaces(db, ownerId, uuidv7())).toEqual([])
    expect(fault(() => gridBytes(db, uuidv7())).message).toMatch(/there is no depth grid/)
  })
})

describe('demo data', () => {
  it('is the same on every machine, and never seeded over a log', () => {
    const other = { db: emptyDb() }
    seedDemo(other.db)
    const all = (db: typeof demo.db) => db.select().from(entries).all().map(({ ownerId: _, ...e }) => e)
    expect(all(other.db)).toEqual(all(demo.db))
    expect(all(demo.db).length).toBeGreaterThan(2000)
    const count = (table: typeof trips | typeof schools | typeof fish) => demo.db.select().from(table).all().length
    expect(count(trips)).toBeGreaterThanOrEqual(60)
    expect(count(schools)).toBeGreaterThanOrEqual(250)
    expect(count(fish)).toBeGreaterThanOrEqual(1500)
    expect(seedDemo(demo.db)).toBe('kept')
    expect(listWaters(demo.db, demo.ownerId).map(w => w.name)).toEqual(['Pellowick Reservoir', 'Tamarrow Lake', 'Wennel Water'])
  })

  it('tells of trips whose every school and fish makes sense', () => {
    const { db, ownerId } = demo
    for (const { id, fish: count, endedAt } of listTrips(db, ownerId)) {
      const trip = reduceTrip(tripEntries(db, ownerId, id))!
      expect(endedAt).not.toBeNull()
      expect(trip.fish).toHaveLength(count)
      for (const s of trip.schools) {
        expect(s.topM).toBeLessThanOrEqual(s.bottomM)
        expect(s.bottomM).toBeLessThanOrEqual(s.waterDepthM)
      }
      expect(trip.visits.every(v => v.leftAt !== null && v.leftAt > v.arrivedAt)).toBe(true)
    }
  })
})

describe('clock, settings and box', () => {
  it('runs the demo from its own morning and never behind the log', () => {
    const db = emptyDb()
    let real = 1_000_000
    expect(clockOf(db, () => real)).toMatchObject({ demo: false })
    setDemoStart(db, '2026-04-24T11:40:00.000Z')
    const clock = clockOf(db, () => real)
    real += 90_000
    expect(new Date(clock.nowMs()).toISOString()).toBe('2026-04-24T11:41:30.000Z')
    const { tripId } = logDay()
    expect(tripId).toBeTruthy()
    expect(new Date(clockOf(demo.db, () => real).nowMs()).toISOString()).toBe('2026-04-24T12:41:00.000Z')
  })

  it('makes one local angler and changes what is asked, nothing else', () => {
    const db = emptyDb()
    const { id } = requireLocalAngler(db)
    expect(requireLocalAngler(db).id).toBe(id)
    expect(setAngler(db, id, { units: 'metric' })).toMatchObject({ units: 'metric', waveLimitM: 0.3 })
  })

  it('puts a thing into the day\'s box and leaves it at home', () => {
    const { db, ownerId } = demo
    const head = listTackle(db, ownerId).find(t => t.kind === 'head' && t.carried)!
    expect(changeTackle(db, ownerId, head.id, { carried: false })).toEqual({ ...head, carried: false })
    expect(fault(() => changeTackle(db, ownerId, head.id, { dragAreaM2: 0.001 }))).toMatchObject({ status: 422, field: 'dragAreaM2' })
    expect(changeTackle(db, ownerId, head.id, { stock: 3 })).toMatchObject({ carried: false, stock: 3 })
    const more = { ...head, id: uuidv7(), name: 'another head' }
    keepTackle(db, ownerId, [more, { ...head, carried: false, name: 'renamed' }])
    expect(listTackle(db, ownerId).map(t => t.name)).toEqual(expect.arrayContaining(['another head', 'renamed']))
    const count = listTackle(db, ownerId).length
    removeTackle(db, ownerId, more.id)
    expect(listTackle(db, ownerId)).toHaveLength(count - 1)
    expect(fault(() => removeTackle(db, ownerId, more.id)).status).toBe(404)
    const body = listTackle(db, ownerId).find(t => t.kind === 'body')!
    expect(changeTackle(db, ownerId, body.id, { dragAreaM2: 0.0007 }).attributes).toEqual({ ...body.attributes, dragAreaM2: 0.0007 })
    expect(changeTackle(db, ownerId, body.id, { carried: false }).attributes).toHaveProperty('dragAreaM2', 0.0007)
    expect(changeTackle(db, ownerId, body.id, { dragAreaM2: null }).attributes).toEqual(body.attributes)
    expect(listTackle(db, ownerId).find(t => t.id === head.id)!.carried).toBe(false)
  })
})

describe('database', () => {
  it('writes ahead, waits for the disk, and minds its references', () => {
    const folder = mkdtempSync(join(tmpdir(), 'remous-db-'))
    const db = openDb(join(folder, 'deep/er/file.db'))
    migrateDb(db, 'server/db/migrations')
    const pragma = (name: string) => db.$client.pragma(name, { simple: true })
    expect([pragma('journal_mode'), pragma('synchronous'), pragma('foreign_keys')]).toEqual(['wal', 2, 1])
    expect(() => db.insert(waters).values({ id: 'w', ownerId: 'nobody', name: 'W', zone: 'utc', lonDeg: 0, latDeg: 0, shoreline: { type: 'Polygon', coordinates: [] } }).run()).toThrow(/FOREIGN KEY/)
    db.$client.close()
    // Opened again, an up-to-date file is left as it is.
    const again = openDb(join(folder, 'deep/er/file.db'))
    expect(() => migrateDb(again, 'server/db/migrations')).not.toThrow()
    again.$client.close()
    rmSync(folder, { recursive: true })
  })
})

describe('read tables after an upgrade', () => {
  it('are made again from the journal once, and hold what was fished on each rig', () => {
    const { db, ownerId, waterId } = demoDb()
    const tripId = uuidv7()
    appendEntries(db, ownerId, [
      entryOf(tripId, 'start', { waterId }), entryOf(tripId, 'arrive', { placeId: null }, '2026-04-24T12:01:00.000Z'),
      entryOf(tripId, 'rig', { family: 'castJig', headKg: 0.0009, bodyLengthM: 0.04, bodyName: 'Slim', lineDiameterM: 2e-4, stopM: null, colour: 'white' }, '2026-04-24T12:02:00.000Z'),
      entryOf(tripId, 'fish', { schoolId: null, species: null, lengthM: null, fate: null, depthM: null }, '2026-04-24T12:20:00.000Z'),
      entryOf(tripId, 'stretch', { schoolId: null, minutes: 20, presentations: 25, looks: 0, follows: 1, taps: 0 }, '2026-04-24T12:22:00.000Z'),
    ])
    freshenReadTables(db, ownerId)
    const kept = () => db.select({ colour: rigs.colour, minutes: rigs.minutes, presentations: rigs.presentations, fish: rigs.fish }).from(rigs).where(eq(rigs.tripId, tripId)).all()
    expect(kept()).toEqual([{ colour: 'white', minutes: 20, presentations: 25, fish: 1 }])
    db.delete(rigs).run()
    db.delete(settings).where(eq(settings.key, 'readTables')).run()
    refreshReadTables(db)
    expect(kept()).toHaveLength(1)
    db.delete(rigs).run()
    refreshReadTables(db)
    expect(kept()).toHaveLength(0)
  })
})

describe('a place\'s ladder', () => {
  const rung = { id: 'size-1', change: 'size' as const, from: '2 in', to: '1 in', presentations: 15, value: 0.0254 }
  it('is kept, replaced, and left at home', () => {
    const { db, ownerId, waterId } = demoDb()
    const [place] = listPlaces(db, ownerId, waterId)
    const keep = (rungs: Rung[]) => keepLadder(db, ownerId, waterId, place!.id, rungs, Date.parse('2026-04-24T12:00:00.000Z'))
    keep([rung])
    keep([{ ...rung, to: '1½ in' }])
    expect(listLadders(db, ownerId, waterId)).toEqual([{ placeId: place!.id, at: '2026-04-24T12:00:00.000Z', rungs: [{ ...rung, to: '1½ in' }] }])
    keep([])
    expect(listLadders(db, ownerId, waterId)).toEqual([])
    expect(() => keepLadder(db, ownerId, waterId, uuidv7(), [rung], 0)).toThrow(/place/)
  })
})
