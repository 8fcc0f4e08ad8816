import { and, eq } from 'drizzle-orm'
import type { Rung } from '../../core/rig/ladder'
import type { KeptLadder } from '../../shared/ladders'
import type { Db } from '../db/open'
import { ladders, places } from '../db/schema'
import { unknownThing } from './fault'

/** Ladders kept for the places of a water. */
export function listLadders(db: Db, ownerId: string, waterId: string): KeptLadder[] {
  return db.select({ placeId: ladders.placeId, at: ladders.at, rungs: ladders.rungs }).from(ladders).innerJoin(places, eq(places.id, ladders.placeId))
    .where(and(eq(ladders.ownerId, ownerId), eq(places.waterId, waterId))).all()
}

/** Keeps a place's ladder, or with no rungs takes it away. @throws Fault 404 when the angler has no such place on the water */
export function keepLadder(db: Db, ownerId: string, waterId: string, placeId: string, rungs: Rung[], nowMs: number): KeptLadder {
  return db.transaction((tx) => {
    const mine = tx.select({ id: places.id }).from(places).where(and(eq(places.id, placeId), eq(places.ownerId, ownerId), eq(places.waterId, waterId))).get()
    if (!mine) throw unknownThing('place', placeId)
    const kept = { placeId, at: new Date(nowMs).toISOString(), rungs }
    if (rungs.length === 0) tx.delete(ladders).where(and(eq(ladders.ownerId, ownerId), eq(ladders.placeId, placeId))).run()
    else tx.insert(ladders).values({ ownerId, ...kept }).onConflictDoUpdate({ target: [ladders.ownerId, ladders.placeId], set: kept }).run()
    return kept
  }, { behavior: 'immediate' })
}
