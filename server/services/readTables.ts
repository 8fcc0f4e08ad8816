import { and, eq, type Column } from 'drizzle-orm'
import { reduceTrip } from '../../core/school/reduceTrip'
import type { Tx } from '../db/open'
import { fish, readings, schools, trips, visits } from '../db/schema'
import { tripEntries } from './tripEntries'

/** Makes a trip's rows in the read tables again from its journal, inside the caller's transaction. */
export function rebuildReadTables(tx: Tx, ownerId: string, tripId: string): void {
  const ofTrip = (table: { ownerId: Column, tripId: Column }) => and(eq(table.ownerId, ownerId), eq(table.tripId, tripId))
  tx.delete(trips).where(and(eq(trips.ownerId, ownerId), eq(trips.id, tripId))).run()
  tx.delete(visits).where(ofTrip(visits)).run()
  tx.delete(schools).where(ofTrip(schools)).run()
  tx.delete(fish).where(ofTrip(fish)).run()
  tx.delete(readings).where(ofTrip(readings)).run()

  const trip = reduceTrip(tripEntries(tx, ownerId, tripId))
  // Until the start arrives the water is not known, and nothing can be shown for it.
  if (!trip || trip.waterId === null) return
  const { waterId, startedAt, endedAt } = trip
  tx.insert(trips).values({ id: tripId, ownerId, waterId, startedAt, endedAt }).run()
  for (const { placeId, arrivedAt, leftAt, minutes, fish: caught } of trip.visits) {
    tx.insert(visits).values({ ownerId, tripId, placeId, arrivedAt, leftAt, minutes, fish: caught }).run()
  }
  for (const school of trip.schools) tx.insert(schools).values({ ...school, ownerId, tripId }).run()
  for (const one of trip.fish) tx.insert(fish).values({ ...one, ownerId, tripId }).run()
  for (const { id, at, body } of trip.conditions) tx.insert(readings).values({ id, ownerId, tripId, waterId, at, body }).run()
}
