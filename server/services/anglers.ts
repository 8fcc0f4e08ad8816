import { eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { AnglerSettings } from '../../shared/angler'
import type { Db } from '../db/open'
import { anglers } from '../db/schema'

export type AnglerRow = typeof anglers.$inferSelect

/** The one angler of an installation without accounts; made on the first call. */
export function requireLocalAngler(db: Db): AnglerRow {
  const found = db.select().from(anglers).limit(1).get()
  if (found) return found
  return db.insert(anglers).values({ id: uuidv7(), name: 'Angler', units: 'us', waveLimitM: 0.3 }).returning().get()
}

export const settingsOf = ({ units, waveLimitM, currentSide, rodM }: AnglerRow): AnglerSettings => ({ units, waveLimitM, currentSide, rodM })

/** Sets the given settings and returns the angler as they are then. */
export function setAngler(db: Db, anglerId: string, change: Partial<AnglerSettings>): AnglerRow {
  return db.update(anglers).set(change).where(eq(anglers.id, anglerId)).returning().get()
}
