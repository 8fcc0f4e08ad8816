import { desc, eq } from 'drizzle-orm'
import type { Db } from '../db/open'
import { entries, settings } from '../db/schema'

const DEMO_START = 'demoStart'
const MINUTE_MS = 60_000

export interface Clock {
  demo: boolean
  nowMs: () => number
}

/**
 * The real clock, or in a demo database one that starts on the demo's own morning and ticks from there.
 * It never starts before what is already logged, so a restart does not put the log into the future.
 */
export function clockOf(db: Db, realNowMs: () => number): Clock {
  const start = db.select().from(settings).where(eq(settings.key, DEMO_START)).get()
  if (!start) return { demo: false, nowMs: realNowMs }
  const last = db.select({ at: entries.at }).from(entries).orderBy(desc(entries.at)).limit(1).get()
  const base = Math.max(Date.parse(start.value), last ? Date.parse(last.at) + MINUTE_MS : 0)
  const openedAt = realNowMs()
  return { demo: true, nowMs: () => base + (realNowMs() - openedAt) }
}

export function setDemoStart(db: Db, instant: string): void {
  db.insert(settings).values({ key: DEMO_START, value: instant }).onConflictDoUpdate({ target: settings.key, set: { value: instant } }).run()
}
