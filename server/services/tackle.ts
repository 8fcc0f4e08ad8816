import { and, asc, eq } from 'drizzle-orm'
import type { TackleItem } from '../../shared/tackle'
import type { Db } from '../db/open'
import { tackle } from '../db/schema'
import { unknownThing } from './fault'

/** Everything in the angler's box, by kind and name. */
export function listTackle(db: Db, ownerId: string): TackleItem[] {
  return db.select().from(tackle).where(eq(tackle.ownerId, ownerId)).orderBy(asc(tackle.kind), asc(tackle.name)).all().map(toItem)
}

/** Takes a thing along, or leaves it. @throws Fault 404 when the angler has no such thing */
export function setCarried(db: Db, ownerId: string, itemId: string, carried: boolean): TackleItem {
  const row = db.update(tackle).set({ carried }).where(and(eq(tackle.id, itemId), eq(tackle.ownerId, ownerId))).returning().get()
  if (!row) throw unknownThing('thing in the box', itemId)
  return toItem(row)
}

/** Kind and attributes were checked together when the item was written. */
function toItem({ id, kind, name, carried, attributes }: typeof tackle.$inferSelect): TackleItem {
  return { id, kind, name, carried, attributes } as TackleItem
}
