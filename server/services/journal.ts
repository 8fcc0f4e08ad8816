import { isDeepStrictEqual } from 'node:util'
import { and, eq, sql } from 'drizzle-orm'
import type { Entry } from '../../core/school/entries'
import type { Db } from '../db/open'
import { entries as entryTable, places, staleTrips, waters } from '../db/schema'
import { Fault } from './fault'

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
  return db.transaction(() => appendIn(db, ownerId, entries), { behavior: 'immediate' })
}

/**
 * As `appendEntries`, inside a transaction of this database that the caller has open and commits. Everything is checked before anything is written,
 * so a refusal leaves the transaction as it was.
 */
export function appendIn(db: Db, ownerId: string, entries: Entry[]): Acknowledged {
  const { byId, insert, markStale } = statementsOf(db)
  const fresh = new Map<string, Entry>()
  const known: string[] = []
  entries.forEach((entry, i) => {
    const before = fresh.get(entry.id) ?? byId.get({ id: entry.id })
    if (!before) {
      requireReferences(db, ownerId, entry, `entries[${i}].body`)
      fresh.set(entry.id, entry)
      return
    }
    const same = ('ownerId' in before ? before.ownerId === ownerId : true) && before.tripId === entry.tripId && before.at === entry.at
      && before.kind === entry.kind && isDeepStrictEqual(before.body, entry.body) && (before.by ?? null) === (entry.by ?? null) && isDeepStrictEqual(before.fix ?? null, entry.fix ?? null)
    if (!same) throw new Fault(409, { field: `entries[${i}].id`, message: `entries[${i}].id ${entry.id} is taken by an entry with other content; nothing was written` })
    known.push(entry.id)
  })
  const touched = new Set<string>()
  for (const entry of fresh.values()) {
    insert.run({ ...entry, by: entry.by ?? null, fix: entry.fix ?? null, ownerId })
    touched.add(entry.tripId)
  }
  for (const tripId of touched) markStale.run({ ownerId, tripId })
  return { stored: [...fresh.keys()], known }
}

function requireReferences(db: Db, ownerId: string, entry: Entry, path: string): void {
  const { water, place } = statementsOf(db)
  if (entry.kind === 'start' && !water.get({ id: entry.body.waterId, ownerId })) {
    throw new Fault(422, { field: `${path}.waterId`, message: `${path}.waterId: there is no water ${entry.body.waterId}` })
  }
  const placed = entry.kind === 'amend' ? entry.body.body : entry
  const bodyPath = entry.kind === 'amend' ? `${path}.body.body` : path
  if ((placed.kind === 'arrive' || placed.kind === 'school' || placed.kind === 'boil' || placed.kind === 'conditions') && 'placeId' in placed.body && placed.body.placeId) {
    const { placeId } = placed.body
    if (!place.get({ id: placeId, ownerId })) throw new Fault(422, { field: `${bodyPath}.placeId`, message: `${bodyPath}.placeId: there is no place ${placeId}` })
  }
}

const prepared = new WeakMap<Db, ReturnType<typeof prepareAll>>()

/** Building a query costs more than running it: each is built once for a database. */
function statementsOf(db: Db): ReturnType<typeof prepareAll> {
  const known = prepared.get(db)
  if (known) return known
  const made = prepareAll(db)
  prepared.set(db, made)
  return made
}

function prepareAll(db: Db) {
  const given = (name: string) => sql.placeholder(name)
  return {
    byId: db.select().from(entryTable).where(eq(entryTable.id, given('id'))).prepare(),
    insert: db.insert(entryTable).values({ id: given('id'), ownerId: given('ownerId'), tripId: given('tripId'), at: given('at'), kind: given('kind'), body: given('body'), by: given('by'), fix: given('fix') }).prepare(),
    markStale: db.insert(staleTrips).values({ ownerId: given('ownerId'), tripId: given('tripId') }).onConflictDoNothing().prepare(),
    water: db.select({ id: waters.id }).from(waters).where(and(eq(waters.id, given('id')), eq(waters.ownerId, given('ownerId')))).prepare(),
    place: db.select({ id: places.id }).from(places).where(and(eq(places.id, given('id')), eq(places.ownerId, given('ownerId')))).prepare(),
  }
}
