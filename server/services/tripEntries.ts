import { and, eq } from 'drizzle-orm'
import { byTime, type Entry } from '../../core/school/entries'
import type { Db, Tx } from '../db/open'
import { entries, joins } from '../db/schema'

/** A trip's entries in time order; empty when there is no such trip of this angler's. */
export function tripEntries(db: Db | Tx, ownerId: string, tripId: string): Entry[] {
  return db.select().from(entries).where(and(eq(entries.ownerId, ownerId), eq(entries.tripId, tripId))).all().map(toEntry).sort(byTime)
}

/** As `tripEntries`, with those of the days that have been joined to it, and to those. */
export function dayEntries(db: Db | Tx, ownerId: string, tripId: string): Entry[] {
  const ids = [tripId]
  // A join leads to an earlier day, so this comes to an end.
  for (let i = 0; i < ids.length; i++) ids.push(...db.select({ tripId: joins.tripId }).from(joins).where(and(eq(joins.ownerId, ownerId), eq(joins.intoId, ids[i]!))).all().map(j => j.tripId))
  return ids.flatMap(id => tripEntries(db, ownerId, id)).sort(byTime)
}

/** Kind and body were checked together when the entry came in. */
function toEntry({ id, tripId, at, kind, body, by, fix }: typeof entries.$inferSelect): Entry {
  return { id, tripId, at, kind, body, ...(by === null ? {} : { by }), ...(fix === null ? {} : { fix }) } as Entry
}
