import { and, desc, eq, sql } from 'drizzle-orm'
import type { TripSummary } from '../../shared/waters'
import type { Db } from '../db/open'
import { fish, schools, trips, waters } from '../db/schema'
import { freshenReadTables } from './readTables'

/** The angler's trips, newest first, with what each came to. */
export function listTrips(db: Db, ownerId: string): TripSummary[] {
  freshenReadTables(db, ownerId)
  const count = (of: typeof schools | typeof fish, extra = sql``) =>
    sql<number>`(select count(*) from ${of} where ${of.tripId} = ${trips.id} and ${of.ownerId} = ${trips.ownerId} ${extra})`
  return db.select({
    id: trips.id,
    waterId: trips.waterId,
    waterName: waters.name,
    startedAt: trips.startedAt,
    endedAt: trips.endedAt,
    schools: count(schools),
    fish: count(fish),
    kept: count(fish, sql`and ${fish.fate} = 'kept'`),
  }).from(trips).innerJoin(waters, eq(waters.id, trips.waterId)).where(and(eq(trips.ownerId, ownerId))).orderBy(desc(trips.startedAt)).all()
}
