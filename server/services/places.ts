import { and, eq } from 'drizzle-orm'
import type { Place } from '../../core/place/kinds'
import type { Db, Tx } from '../db/open'
import { places } from '../db/schema'
import { Fault, unknownThing } from './fault'

/**
 * Keeps a place under the id its device made: new, changed, or put back on the chart. Sending it twice changes nothing.
 * @throws Fault 409 for an id that is another water's or another angler's place
 */
export function keepPlace(db: Db, ownerId: string, waterId: string, place: Place): Place {
  return db.transaction((tx) => {
    return keepOne(tx, ownerId, waterId, place)
  }, { behavior: 'immediate' })
}

/** Keeps many places in one go: all or none. @throws Fault as `keepPlace` */
export function keepPlaces(db: Db, ownerId: string, waterId: string, list: readonly Place[]): Place[] {
  return db.transaction(tx => list.map(place => keepOne(tx, ownerId, waterId, place)), { behavior: 'immediate' })
}

function keepOne(tx: Db | Tx, ownerId: string, waterId: string, place: Place): Place {
  const before = tx.select().from(places).where(eq(places.id, place.id)).get()
  if (before && (before.ownerId !== ownerId || before.waterId !== waterId)) throw new Fault(409, { field: 'id', message: `id ${place.id} is already in use` })
  const row = { ...place, shape: place.shape ?? null, notes: place.notes ?? null, ownerId, waterId, removedAt: null }
  tx.insert(places).values(row).onConflictDoUpdate({ target: places.id, set: row }).run()
  return place
}

/** Takes a place off the chart; its row stays for the log. Taking it off twice is no fault. @throws Fault 404 for a place that never was */
export function removePlace(db: Db, ownerId: string, waterId: string, placeId: string, nowMs: number): { id: string } {
  const row = db.update(places).set({ removedAt: new Date(nowMs).toISOString() }).where(and(eq(places.id, placeId), eq(places.ownerId, ownerId), eq(places.waterId, waterId))).returning({ id: places.id }).get()
  if (!row) throw unknownThing('place', placeId)
  return row
}
