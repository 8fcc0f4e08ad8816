import { eq } from 'drizzle-orm'
import type { SeasonNotes } from '../../shared/weather'
import type { Db, Tx } from '../db/open'
import { seasonNotes } from '../db/schema'

export function seasonNotesOf(db: Db, waterId: string): SeasonNotes {
  // Notes kept before there were releases have none.
  return { parts: [], priors: [], releases: [], ...db.select().from(seasonNotes).where(eq(seasonNotes.waterId, waterId)).get()?.body }
}

export function setSeasonNotes(db: Db | Tx, ownerId: string, waterId: string, body: SeasonNotes): SeasonNotes {
  db.insert(seasonNotes).values({ waterId, ownerId, body }).onConflictDoUpdate({ target: seasonNotes.waterId, set: { body } }).run()
  return body
}
