import { and, eq } from 'drizzle-orm'
import { byTime, type Entry } from '../../core/school/entries'
import type { Db, Tx } from '../db/open'
import { entries } from '../db/schema'

/** A trip's entries in time order; empty when there is no such trip of this angler's. */
export function tripEntries(db: Db | Tx, ownerId: string, tripId: string): Entry[] {
  return db.select().from(entries).where(and(eq(entries.ownerId, ownerId), eq(entries.tripId, tripId))).all().map(toEntry).sort(byTime)
}

/** Kind and body were checked together when the entry came in. */
function toEntry({ id, tripId, at, kind, body, by, fix }: typeof entries.$inferSelect): Entry {
  return { id, tripId, at, kind, body, ...(by === null ? {} : { by }), ...(fix === null ? {} : { fix }) } as Entry
}
