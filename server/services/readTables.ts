import { and, eq, type Column } from 'drizzle-orm'
import { reduceTrip } from '../../core/school/reduceTrip'
import type { Db, Tx } from '../db/open'
import { boils, entries, fish, readings, rigs, schools, settings, staleTrips, trips, visits } from '../db/schema'
import { tripEntries } from './tripEntries'

/** Makes a trip's rows in the read tables again from its journal, inside the caller's transaction. */
function rebuildReadTables(tx: Tx, ownerId: string, tripId: string): void {
  const ofTrip = (table: { ownerId: Column, tripId: Column }) => and(eq(table.ownerId, ownerId), eq(table.tripId, tripId))
  tx.delete(trips).where(and(eq(trips.ownerId, ownerId), eq(trips.id, tripId))).run()
  tx.delete(visits).where(ofTrip(visits)).run()
  tx.delete(schools).where(ofTrip(schools)).run()
  tx.delete(fish).where(ofTrip(fish)).run()
  tx.delete(readings).where(ofTrip(readings)).run()
  tx.delete(rigs).where(ofTrip(rigs)).run()
  tx.delete(boils).where(ofTrip(boils)).run()

  const trip = reduceTrip(tripEntries(tx, ownerId, tripId))
  // Until the start arrives the water is not known, and nothing can be shown for it.
  if (!trip || trip.waterId === null) return
  const { waterId, startedAt, endedAt } = trip
  tx.insert(trips).values({ id: tripId, ownerId, waterId, startedAt, endedAt }).run()
  for (const { placeId, arrivedAt, leftAt, minutes, fish: caught } of trip.visits) {
    tx.insert(visits).values({ ownerId, tripId, placeId, arrivedAt, leftAt, minutes, fish: caught }).run()
  }
  for (const school of trip.schools) tx.insert(schools).values({ ...school, ownerId, tripId }).run()
  for (const { id, at, body: { colour = null }, secchiM, minutes, presentations, fish: caught } of trip.rigs) tx.insert(rigs).values({ id, ownerId, tripId, at, colour, secchiM, minutes, presentations, fish: caught }).run()
  for (const one of trip.fish) tx.insert(fish).values({ ...one, ownerId, tripId }).run()
  for (const { id, at, body } of trip.boils) tx.insert(boils).values({ id, ownerId, tripId, waterId, at, body }).run()
  for (const { id, at, body } of trip.conditions) tx.insert(readings).values({ id, ownerId, tripId, waterId, at, body }).run()
}

/**
 * Brings the angler's read tables up to the journal; called before each reading of them. A trip is made again once for all the entries that came
 * since, however many, so that logging does not pay for it.
 */
export function freshenReadTables(db: Db, ownerId: string): void {
  const mine = eq(staleTrips.ownerId, ownerId)
  if (!db.select().from(staleTrips).where(mine).limit(1).get()) return
  db.transaction((tx) => {
    for (const { tripId } of tx.select({ tripId: staleTrips.tripId }).from(staleTrips).where(mine).all()) rebuildReadTables(tx, ownerId, tripId)
    tx.delete(staleTrips).where(mine).run()
  }, { behavior: 'immediate' })
}

/** Raise it when a read table gains or changes a column: every trip is then read anew from the journal. */
const READ_TABLES = '3'
const KEY = 'readTables'

/** After an upgrade, makes the read tables again from the journal, all of them or none; does nothing on a current file. */
export function refreshReadTables(db: Db): void {
  const known = db.select().from(settings).where(eq(settings.key, KEY)).get()
  if (known?.value === READ_TABLES) return
  db.transaction((tx) => {
    for (const { ownerId, tripId } of tx.selectDistinct({ ownerId: entries.ownerId, tripId: entries.tripId }).from(entries).all()) rebuildReadTables(tx, ownerId, tripId)
    tx.insert(settings).values({ key: KEY, value: READ_TABLES }).onConflictDoUpdate({ target: settings.key, set: { value: READ_TABLES } }).run()
  }, { behavior: 'immediate' })
}
