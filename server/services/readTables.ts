import { and, eq } from 'drizzle-orm'
import { effectiveEntries } from '../../core/school/effectiveEntries'
import { joinTarget } from '../../core/school/joinedDays'
import { reduceEffective } from '../../core/school/reduceTrip'
import type { Db, Tx } from '../db/open'
import { boils, entries, fish, joins, readings, rigs, schools, settings, staleTrips, trips, visits } from '../db/schema'
import { dayEntries, tripEntries } from './tripEntries'

/**
 * Makes a trip's rows in the read tables again from its journal, inside the caller's transaction. A trip that is joined to another has none of its own.
 * Gives the trip that it is joined to, or was: that one has to be made again too.
 */
function rebuildReadTables(tx: Tx, ownerId: string, tripId: string): string[] {
  const joinOf = and(eq(joins.ownerId, ownerId), eq(joins.tripId, tripId))
  const before = tx.select().from(joins).where(joinOf).get()?.intoId
  const intoId = joinTarget(effectiveEntries(tripEntries(tx, ownerId, tripId)), tripId)
  clearRows(tx, ownerId, tripId)
  // A day that comes apart takes its rows back: they are under the other's name until that is made again.
  if (before !== undefined) clearRows(tx, ownerId, before)
  tx.delete(joins).where(joinOf).run()
  if (intoId) tx.insert(joins).values({ ownerId, tripId, intoId }).run()
  const moved = [before, intoId].filter(id => id !== undefined && id !== null)
  if (intoId) return moved
  const trip = reduceEffective(effectiveEntries(dayEntries(tx, ownerId, tripId)), tripId)
  // Until the start arrives the water is not known, and nothing can be shown for it.
  if (!trip || trip.waterId === null) return moved
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
  return moved
}

function clearRows(tx: Tx, ownerId: string, tripId: string): void {
  tx.delete(trips).where(and(eq(trips.ownerId, ownerId), eq(trips.id, tripId))).run()
  for (const table of [visits, schools, fish, readings, rigs, boils]) tx.delete(table).where(and(eq(table.ownerId, ownerId), eq(table.tripId, tripId))).run()
}

/** Makes these trips again, and those that they are joined to after them. */
function rebuildAll(tx: Tx, ownerId: string, tripIds: readonly string[]): void {
  const targets = new Set(tripIds.flatMap(id => rebuildReadTables(tx, ownerId, id)))
  // A join leads to an earlier day, so this comes to an end.
  if (targets.size > 0) rebuildAll(tx, ownerId, [...targets])
}

/**
 * Brings the angler's read tables up to the journal; called before each reading of them. A trip is made again once for all the entries that came
 * since, however many, so that logging does not pay for it.
 */
export function freshenReadTables(db: Db, ownerId: string): void {
  const mine = eq(staleTrips.ownerId, ownerId)
  if (!db.select().from(staleTrips).where(mine).limit(1).get()) return
  db.transaction((tx) => {
    rebuildAll(tx, ownerId, tx.select({ tripId: staleTrips.tripId }).from(staleTrips).where(mine).all().map(t => t.tripId))
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
    for (const { ownerId, tripId } of tx.selectDistinct({ ownerId: entries.ownerId, tripId: entries.tripId }).from(entries).all()) rebuildAll(tx, ownerId, [tripId])
    tx.insert(settings).values({ key: KEY, value: READ_TABLES }).onConflictDoUpdate({ target: settings.key, set: { value: READ_TABLES } }).run()
  }, { behavior: 'immediate' })
}
