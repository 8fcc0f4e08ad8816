import { mkdirSync } from 'node:fs'
import { dirname } from 'node:path'
import Database from 'better-sqlite3'
import { drizzle } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import * as schema from './schema'

export type Db = ReturnType<typeof openDb>
/** A transaction's handle: the same verbs, inside it. */
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0]

/**
 * Opens (or makes) the database file, or a serialized one in memory. `synchronous=FULL` with the write-ahead log: a commit is on the
 * disk before it returns, so what was acknowledged survives a killed process and a power cut.
 */
export function openDb(file: string | Buffer) {
  if (typeof file === 'string' && file !== ':memory:') mkdirSync(dirname(file), { recursive: true })
  const client = new Database(file)
  client.pragma('journal_mode = WAL')
  client.pragma('synchronous = FULL')
  client.pragma('foreign_keys = ON')
  // Folding the log into the file stops everything for a moment: every 16 MB of it, not every four.
  client.pragma('wal_autocheckpoint = 4000')
  client.pragma('busy_timeout = 5000')
  return drizzle(client, { schema, casing: 'snake_case' })
}

/** Brings an older file up to date; does nothing on a current one. */
export function migrateDb(db: Db, folder: string): void {
  migrate(db, { migrationsFolder: folder })
}
