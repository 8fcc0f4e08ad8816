import { isDeepStrictEqual } from 'node:util'
import { and, eq } from 'drizzle-orm'
import type { Entry } from '../../core/school/entries'
import type { Db, Tx } from '../db/open'
import { entries as entryTable, places, waters } from '../db/schema'
import { Fault } from './fault'
import { rebuildReadTables } from './readTables'

export interface Acknowledged {
  /** ids that were new */
  stored: string[]
  /** ids that were here already, with the same content */
  known: string[]
}

/**
 * Adds entries to the angler's journal: all of them or none. An entry sent again changes nothing.
 * Returns after the commit, so an acknowledged entry is on the disk.
 * @throws Fault 409 for an id that is taken by other content, 422 for a water or place that is not the angler's
 */
export function appendEntries(db: Db, ownerId: string, entries: Entry[]): Acknowledged {
  return db.transaction((tx) => {
    const stored: string[] = []
    const known: string[] = []
    entries.forEach((entry, i) => {
      const before = tx.select().from(entryTable).where(eq(entryTable.id, entry.id)).get()
      if (before) {
        const same = before.ownerId === ownerId && before.tripId === entry.tripId && before.at === entry.at
          && before.kind === entry.kind && isDeepStrictEqual(before.body, entry.body)
        if (!same) throw new Fault(409, { field: `entries[${i}].id`, message: `entries[${i}].id ${entry.id} is taken by an entry with other content; nothing was written` })
        known.push(entry.id)
        return
      }
      requireReferences(tx, ownerId, entry, `entries[${i}].body`)
      tx.insert(entryTable).values({ ...entry, ownerId }).run()
      stored.push(entry.id)
    })
    const touched = new Set(entries.filter(e => stored.includes(e.id)).map(e => e.tripId))
    for (const tripId of touched) rebuildReadTables(tx, ownerId, tripId)
    return { stored, known }
  }, { behavior: 'immediate' })
}

function requireReferences(tx: Tx, ownerId: string, entry: Entry, path: string): void {
  if (entry.kind === 'start') {
    const { waterId } = entry.body
    const water = tx.select({ id: waters.id }).from(waters).where(and(eq(waters.id, waterId), eq(waters.ownerId, ownerId))).get()
    if (!water) throw new Fault(422, { field: `${path}.waterId`, message: `${path}.waterId: there is no water ${waterId}` })
  }
  const placed = entry.kind === 'amend' ? entry.body.body : entry
  const bodyPath = entry.kind === 'amend' ? `${path}.body.body` : path
  if ((placed.kind === 'arrive' || placed.kind === 'school' || placed.kind === 'conditions') && 'placeId' in placed.body && placed.body.placeId) {
    const { placeId } = placed.body
    const place = tx.select({ id: places.id }).from(places).where(and(eq(places.id, placeId), eq(places.ownerId, ownerId))).get()
    if (!place) throw new Fault(422, { field: `${bodyPath}.placeId`, message: `${bodyPath}.placeId: there is no place ${placeId}` })
  }
}
