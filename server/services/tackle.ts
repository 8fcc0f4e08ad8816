import { and, asc, eq } from 'drizzle-orm'
import type { TackleAttributes, TackleChange, TackleItem } from '../../shared/tackle'
import type { Db } from '../db/open'
import { tackle } from '../db/schema'
import { Fault, unknownThing } from './fault'

/** Everything in the angler's box, by kind and name. */
export function listTackle(db: Db, ownerId: string): TackleItem[] {
  return db.select().from(tackle).where(eq(tackle.ownerId, ownerId)).orderBy(asc(tackle.kind), asc(tackle.name)).all().map(toItem)
}

/** Takes a thing along or leaves it; keeps what was learned of a body. @throws Fault 404 when the angler has no such thing, 422 for a drag of what is no body */
export function changeTackle(db: Db, ownerId: string, itemId: string, { carried, stock, dragAreaM2 }: TackleChange): TackleItem {
  return db.transaction((tx) => {
    const mine = and(eq(tackle.id, itemId), eq(tackle.ownerId, ownerId))
    const before = tx.select().from(tackle).where(mine).get()
    if (!before) throw unknownThing('thing in the box', itemId)
    const item = toItem(before)
    if (dragAreaM2 !== undefined && item.kind !== 'body') throw new Fault(422, { field: 'dragAreaM2', message: 'dragAreaM2 is learned of bodies only' })
    const { dragAreaM2: _old, ...attributes } = item.attributes as TackleAttributes['body']
    const learned = dragAreaM2 === undefined ? item.attributes : dragAreaM2 === null ? attributes : { ...attributes, dragAreaM2 }
    return toItem(tx.update(tackle).set({ carried: carried ?? item.carried, stock: stock === undefined ? item.stock : stock, attributes: learned }).where(mine).returning().get())
  }, { behavior: 'immediate' })
}

/** Keeps things under the ids their device made, new or changed: all or none. @throws Fault 409 for an id that is another angler's */
export function keepTackle(db: Db, ownerId: string, items: readonly TackleItem[]): TackleItem[] {
  return db.transaction(tx => items.map((item) => {
    const before = tx.select({ ownerId: tackle.ownerId }).from(tackle).where(eq(tackle.id, item.id)).get()
    if (before && before.ownerId !== ownerId) throw new Fault(409, { field: 'id', message: `id ${item.id} is already in use` })
    const row = { ...item, ownerId }
    tx.insert(tackle).values(row).onConflictDoUpdate({ target: tackle.id, set: row }).run()
    return item
  }), { behavior: 'immediate' })
}

/** Takes a thing out of the box for good. @throws Fault 404 when the angler has no such thing */
export function removeTackle(db: Db, ownerId: string, itemId: string): { id: string } {
  const row = db.delete(tackle).where(and(eq(tackle.id, itemId), eq(tackle.ownerId, ownerId))).returning({ id: tackle.id }).get()
  if (!row) throw unknownThing('thing in the box', itemId)
  return row
}

/** Kind and attributes were checked together when the item was written. */
function toItem({ id, kind, name, carried, stock, attributes }: typeof tackle.$inferSelect): TackleItem {
  return { id, kind, name, carried, stock, attributes } as TackleItem
}
