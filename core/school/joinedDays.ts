import type { EffectiveEntry } from './effectiveEntries'

/**
 * The earlier day that a day is joined to; null when it stands by itself. Only an earlier one: ids rise with the time at which a day was begun, and so
 * no two days can each be part of the other.
 */
export function joinTarget(live: readonly EffectiveEntry[], tripId: string): string | null {
  const join = live.findLast(e => e.kind === 'join' && e.tripId === tripId && e.body.tripId < tripId)
  return join?.kind === 'join' ? join.body.tripId : null
}

export interface DaySpan { id: string, waterId: string, startedAt: string, endedAt: string | null }

/** Days of the same water that overlap this one: two devices began what was one day. */
export function overlapping<D extends DaySpan>(day: DaySpan, others: readonly D[], nowMs: number): D[] {
  const end = (d: DaySpan) => (d.endedAt === null ? nowMs : Date.parse(d.endedAt))
  return others.filter(o => o.id !== day.id && o.waterId === day.waterId && Date.parse(o.startedAt) < end(day) && Date.parse(day.startedAt) < end(o))
}
