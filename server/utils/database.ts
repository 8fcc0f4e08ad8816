import { existsSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { migrateDb, openDb, type Db } from '../db/open'
import { clockOf, type Clock } from '../services/clock'
import { JournalQueue } from '../services/journalQueue'
import { refreshReadTables } from '../services/readTables'

let db: Db | undefined
let clock: Clock | undefined
let queue: JournalQueue | undefined

/** Database of this process, opened and brought up to date on first use. */
export function useDb(): Db {
  if (db) return db
  db = openDb(resolve(process.env.DB_FILE ?? '.data/remous.db'))
  migrateDb(db, migrationsFolder())
  refreshReadTables(db)
  return db
}

export function useClock(): Clock {
  return clock ??= clockOf(useDb(), Date.now)
}

export function useJournalQueue(): JournalQueue {
  return queue ??= new JournalQueue(useDb())
}

/** Beside the built server, else in the source tree. */
function migrationsFolder(): string {
  const built = resolve(dirname(process.argv[1] ?? '.'), 'migrations')
  return existsSync(built) ? built : resolve('server/db/migrations')
}
