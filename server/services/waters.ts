import { createHash } from 'node:crypto'
import { gunzipSync, gzipSync } from 'node:zlib'
import { and, asc, eq, isNotNull, isNull } from 'drizzle-orm'
import { DateTime } from 'luxon'
import type { Species } from '../../core/fish/species'
import { decodeDepthGrid, encodeDepthGrid } from '../../core/water/depthGridBlob'
import type { DepthGrid } from '../../core/water/depthGrid'
import type { Place } from '../../core/place/kinds'
import type { Water, WaterRecord, WaterSummary } from '../../shared/waters'
import type { Db, Tx } from '../db/open'
import { boils, fish, grids, places, readings, rigs, schools, trips, visits, waters } from '../db/schema'
import { unknownThing } from './fault'
import { freshenReadTables } from './readTables'

export function listWaters(db: Db, ownerId: string): WaterSummary[] {
  return db.select({ id: waters.id, name: waters.name }).from(waters).where(eq(waters.ownerId, ownerId)).orderBy(asc(waters.name)).all()
}

/** @throws Fault 404 when the angler has no such water */
export function requireWater(db: Db, ownerId: string, waterId: string): Water {
  const row = db.select({ id: waters.id, name: waters.name, zone: waters.zone, lonDeg: waters.lonDeg, latDeg: waters.latDeg, shoreline: waters.shoreline, cellM: waters.cellM, referenceLevelM: waters.referenceLevelM, heldOutM: waters.heldOutM, gridTag: grids.tag })
    .from(waters).innerJoin(grids, eq(grids.waterId, waters.id))
    .where(and(eq(waters.id, waterId), eq(waters.ownerId, ownerId))).get()
  if (!row) throw unknownThing('water', waterId)
  return row
}

/** The grid's bytes, still gzipped, with their tag. Call `requireWater` first. */
export function gridBytes(db: Db, waterId: string): { tag: string, gzipped: Buffer } {
  const row = db.select().from(grids).where(eq(grids.waterId, waterId)).get()
  if (!row) throw unknownThing('depth grid of water', waterId)
  return { tag: row.tag, gzipped: row.bytes }
}

/** Stores a water's grid, replacing an older one; what was stored is read back and compared first. */
export function setGrid(db: Db | Tx, waterId: string, grid: DepthGrid): void {
  const plain = encodeDepthGrid(grid)
  const bytes = gzipSync(plain, { level: 9 })
  decodeDepthGrid(gunzipSync(bytes))
  const tag = createHash('sha256').update(plain).digest('hex').slice(0, 16)
  db.insert(grids).values({ waterId, tag, bytes }).onConflictDoUpdate({ target: grids.waterId, set: { tag, bytes } }).run()
}

export function listPlaces(db: Db, ownerId: string, waterId: string): Place[] {
  return db.select().from(places).where(and(eq(places.ownerId, ownerId), eq(places.waterId, waterId), isNull(places.removedAt))).orderBy(asc(places.name)).all()
    // Kind and attributes were checked together when the place was written.
    .map(({ id, name, kind, lonDeg, latDeg, shape, notes, attributes }) => ({ id, name, kind, lonDeg, latDeg, attributes, ...(shape && { shape }), ...(notes !== null && { notes }) }) as Place)
}

/** What the log says about a water: readings, past schools, visits and catches. */
export function waterRecord(db: Db, ownerId: string, { id: waterId, zone }: Water): WaterRecord {
  freshenReadTables(db, ownerId)
  const ofWater = and(eq(trips.ownerId, ownerId), eq(trips.waterId, waterId))
  const seen = db.select({ school: schools }).from(schools).innerJoin(trips, and(eq(trips.id, schools.tripId), eq(trips.ownerId, schools.ownerId))).where(ofWater).all()
  const been = db.select({ visit: visits }).from(visits).innerJoin(trips, and(eq(trips.id, visits.tripId), eq(trips.ownerId, visits.ownerId))).where(ofWater).all()
  const caught = db.select({ at: fish.at, placeId: fish.placeId, species: fish.species, depthM: fish.depthM, schoolId: fish.schoolId }).from(fish).innerJoin(trips, and(eq(trips.id, fish.tripId), eq(trips.ownerId, fish.ownerId))).where(ofWater).orderBy(asc(fish.at)).all()
  const ofSchool = new Map<string, Species[]>()
  for (const { schoolId, species } of caught) if (schoolId !== null && species !== null) ofSchool.set(schoolId, [...ofSchool.get(schoolId) ?? [], species])
  const mainSpecies = (schoolId: string) => mostOf(ofSchool.get(schoolId) ?? [])
  return {
    readings: db.select({ at: readings.at, body: readings.body }).from(readings).where(and(eq(readings.ownerId, ownerId), eq(readings.waterId, waterId))).orderBy(asc(readings.at)).all(),
    goneNames: Object.fromEntries(db.select({ id: places.id, name: places.name }).from(places).where(and(eq(places.ownerId, ownerId), eq(places.waterId, waterId), isNotNull(places.removedAt))).all().map(p => [p.id, p.name])),
    visits: been.map(({ visit: { arrivedAt, leftAt, placeId, minutes } }) => ({ at: arrivedAt, leftAt, placeId, minutes })),
    catches: caught.map(({ at, placeId, species, depthM }) => ({ at, placeId, species, depthM })),
    boils: db.select({ at: boils.at, body: boils.body }).from(boils).where(and(eq(boils.ownerId, ownerId), eq(boils.waterId, waterId))).orderBy(asc(boils.at)).all(),
    baits: db.select({ colour: rigs.colour, minutes: rigs.minutes, fish: rigs.fish, secchiM: rigs.secchiM }).from(rigs).innerJoin(trips, and(eq(trips.id, rigs.tripId), eq(trips.ownerId, rigs.ownerId))).where(ofWater).all(),
    schools: seen.map(({ school: { id, at, placeId, topM, bottomM, waterC, secchiM } }) => ({ at, placeId, topM, bottomM, waterC, secchiM, hour: hourOfDay(at, zone), species: mainSpecies(id) })),
  }
}

function mostOf<T>(list: readonly T[]): T | null {
  const counts = new Map<T, number>()
  for (const one of list) counts.set(one, (counts.get(one) ?? 0) + 1)
  return [...counts].reduce<[T | null, number]>((best, c) => (c[1] > best[1] ? c : best), [null, 0])[0]
}

function hourOfDay(at: string, zone: string): number {
  const local = DateTime.fromISO(at, { zone })
  return local.hour + local.minute / 60
}
