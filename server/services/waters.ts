import { createHash } from 'node:crypto'
import { gunzipSync, gzipSync } from 'node:zlib'
import { and, asc, eq, isNotNull, isNull } from 'drizzle-orm'
import { DateTime } from 'luxon'
import { decodeDepthGrid, encodeDepthGrid } from '../../core/water/depthGridBlob'
import type { DepthGrid } from '../../core/water/depthGrid'
import type { Place } from '../../core/place/kinds'
import { seasonOf } from '../../core/season/seasons'
import type { Water, WaterRecord, WaterSummary } from '../../shared/waters'
import type { Db, Tx } from '../db/open'
import { fish, grids, places, readings, schools, trips, visits, waters } from '../db/schema'
import { unknownThing } from './fault'

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
    .map(({ id, name, kind, lonDeg, latDeg, attributes }) => ({ id, name, kind, lonDeg, latDeg, attributes }) as Place)
}

/** What the log says about a water: readings, past schools and the tally of each place. */
export function waterRecord(db: Db, ownerId: string, { id: waterId, zone }: Water): WaterRecord {
  const ofWater = and(eq(trips.ownerId, ownerId), eq(trips.waterId, waterId))
  const seen = db.select({ school: schools }).from(schools).innerJoin(trips, and(eq(trips.id, schools.tripId), eq(trips.ownerId, schools.ownerId))).where(ofWater).all()
  const been = db.select({ visit: visits }).from(visits).innerJoin(trips, and(eq(trips.id, visits.tripId), eq(trips.ownerId, visits.ownerId))).where(ofWater).all()
  const catches = db.select({ at: fish.at, placeId: fish.placeId, species: fish.species }).from(fish).innerJoin(trips, and(eq(trips.id, fish.tripId), eq(trips.ownerId, fish.ownerId))).where(ofWater).orderBy(asc(fish.at)).all()
  const byPlace: WaterRecord['places'] = {}
  for (const { visit } of been) {
    if (visit.placeId === null) continue
    const tally = byPlace[visit.placeId] ??= { catches: 0, effortHours: 0, visits: 0, lastVisitAt: null }
    const at = visit.leftAt ?? visit.arrivedAt
    tally.effortHours += visit.minutes / 60
    tally.visits++
    if (tally.lastVisitAt === null || at > tally.lastVisitAt) tally.lastVisitAt = at
  }
  for (const { placeId, species } of catches) {
    const tally = placeId === null ? undefined : byPlace[placeId]
    if (tally && (species === null || seasonOf(species) === 'crappie')) tally.catches++
  }
  return {
    readings: db.select({ at: readings.at, body: readings.body }).from(readings).where(and(eq(readings.ownerId, ownerId), eq(readings.waterId, waterId))).orderBy(asc(readings.at)).all(),
    places: byPlace,
    goneNames: Object.fromEntries(db.select({ id: places.id, name: places.name }).from(places).where(and(eq(places.ownerId, ownerId), eq(places.waterId, waterId), isNotNull(places.removedAt))).all().map(p => [p.id, p.name])),
    visits: been.map(({ visit: { arrivedAt, placeId, minutes } }) => ({ at: arrivedAt, placeId, minutes })),
    catches,
    schools: seen.map(({ school: { at, placeId, topM, bottomM, waterC, secchiM } }) => ({ at, placeId, topM, bottomM, waterC, secchiM, hour: hourOfDay(at, zone) })),
  }
}

function hourOfDay(at: string, zone: string): number {
  const local = DateTime.fromISO(at, { zone })
  return local.hour + local.minute / 60
}
