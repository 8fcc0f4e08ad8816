import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
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

/** The demo as the first test file of the run grew it; written under another name first, so that nobody reads half of it. */
function grown(): Buffer {
  const shared = join(process.env.REMOUS_UNIT!, 'demo.db')
  if (existsSync(shared)) return readFileSync(shared)
  const first = emptyDb()
  seedDemo(first)
  const bytes = first.$client.serialize()
  const mine = `${shared}.${process.pid}`
  writeFileSync(mine, bytes)
  renameSync(mine, shared)
  return bytes
}

/** A copy of the demo in memory, with the ids a test needs. */
export function demoDb() {
  seeded ??= grown()
  const db = openDb(seeded)
  const ownerId = requireLocalAngler(db).id
  const waterId = listWaters(db, ownerId)[0]!.id
  return { db, ownerId, waterId, places: listPlaces(db, ownerId, waterId) }
}

export function entryOf<K extends EntryKind>(tripId: string, kind: K, body: EntryBodies[K], at = '2026-04-24T12:00:00.000Z'): Entry {
  return { id: uuidv7(), tripId, at, kind, body } as Entry
}
