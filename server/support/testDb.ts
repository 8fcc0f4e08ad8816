import { v7 as uuidv7 } from 'uuid'
import { seedDemo } from '../../demo/seed'
import type { Entry, EntryBodies, EntryKind } from '../../core/school/entries'
import { migrateDb, openDb, type Db } from '../db/open'
import { requireLocalAngler } from '../services/anglers'
import { listPlaces, listWaters } from '../services/waters'

/** A migrated database in memory. */
export function emptyDb(): Db {
  const db = openDb(':memory:')
  migrateDb(db, 'server/db/migrations')
  return db
}

let seeded: Buffer | undefined

/** A copy of the demo in memory, with the ids a test needs. */
export function demoDb() {
  if (!seeded) {
    const first = emptyDb()
    seedDemo(first)
    seeded = first.$client.serialize()
  }
  const db = openDb(seeded)
  const ownerId = requireLocalAngler(db).id
  const waterId = listWaters(db, ownerId)[0]!.id
  return { db, ownerId, waterId, places: listPlaces(db, ownerId, waterId) }
}

export function entryOf<K extends EntryKind>(tripId: string, kind: K, body: EntryBodies[K], at = '2026-04-24T12:00:00.000Z'): Entry {
  return { id: uuidv7(), tripId, at, kind, body } as Entry
}
