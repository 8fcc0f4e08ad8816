import { eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { allSchools, type AnglerChange, type AnglerSettings } from '../../shared/angler'
import type { Db } from '../db/open'
import { anglers } from '../db/schema'

export type AnglerRow = typeof anglers.$inferSelect

/** Asked for at every request: kept until the settings change. */
const local = new WeakMap<Db, AnglerRow>()

/** The one angler of an installation without accounts; made on the first call. */
export function requireLocalAngler(db: Db): AnglerRow {
  const known = local.get(db)
  if (known) return known
  const row = db.select().from(anglers).limit(1).get() ?? db.insert(anglers).values({ id: uuidv7(), name: 'Angler', units: 'us', waveLimitM: 0.3 }).returning().get()
  local.set(db, row)
  return row
}

export const settingsOf = ({ units, waveLimitM, currentSide, rodM, schools, limits, instruments, runMS }: AnglerRow): AnglerSettings => ({ units, waveLimitM, currentSide, rodM, schools: allSchools(schools), limits, instruments, runMS })

/** Sets the given settings and returns the angler as they are then. */
export function setAngler(db: Db, anglerId: string, change: AnglerChange): AnglerRow {
  local.delete(db)
  return db.transaction((tx) => {
    const { schools, ...rest } = change
    const before = tx.select({ schools: anglers.schools }).from(anglers).where(eq(anglers.id, anglerId)).get()
    return tx.update(anglers).set({ ...rest, schools: { ...before?.schools, ...schools } }).where(eq(anglers.id, anglerId)).returning().get()
  }, { behavior: 'immediate' })
}
