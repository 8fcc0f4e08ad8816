import { DateTime } from 'luxon'
import type { Entry, EntryBodies, EntryKind } from '../core/school/entries'

export interface LastSpringOptions {
  waterId: string
  zone: string
  /** the reach of the river that white bass came up to */
  reachId: string
  /** local morning of the demo, ISO */
  morning: string
  random: () => number
  newId: (atMs: number) => string
}

/** Days of the white bass run a year before the demo's morning, and what the river read: the run builds up, peaks and thins out. */
const RUN_DAYS = [
  { daysBefore: 14, waterC: 9.1, fish: 4 },
  { daysBefore: 6, waterC: 11.4, fish: 11 },
  { daysBefore: -3, waterC: 13.9, fish: 8 },
] as const

/** Journal of last spring's run at one reach: made up, seeded. */
export function lastSpring({ waterId, zone, reachId, morning, random, newId }: LastSpringOptions): Entry[] {
  const entries: Entry[] = []
  const write = <K extends EntryKind>(tripId: string, at: DateTime, kind: K, body: EntryBodies[K]): void => {
    // Kind and body belong together by the signature; the union cannot see it.
    entries.push({ id: newId(at.toMillis()), tripId, at: at.toUTC().toISO()!, kind, body } as Entry)
  }
  const lastYear = DateTime.fromISO(morning, { zone }).minus({ years: 1 })
  for (const { daysBefore, waterC, fish } of RUN_DAYS) {
    const begun = lastYear.minus({ days: daysBefore }).set({ hour: 17, minute: Math.floor(random() * 30), second: 0, millisecond: 0 })
    const tripId = newId(begun.toMillis())
    write(tripId, begun, 'start', { waterId })
    write(tripId, begun.plus({ minutes: 5 }), 'arrive', { placeId: reachId })
    write(tripId, begun.plus({ minutes: 6 }), 'conditions', { waterC, secchiM: null, windMS: 3, windFromDeg: 220, sky: 'broken', placeId: reachId, sensorDepthM: 0.5 })
    for (let n = 0; n < fish; n++) {
      const at = begun.plus({ minutes: 12 + Math.floor((n + random()) * (100 / fish)) })
      write(tripId, at, 'fish', { schoolId: null, species: 'whiteBass', lengthM: Math.round((0.26 + 0.1 * random()) * 1000) / 1000, fate: n < 4 ? 'kept' : 'released', depthM: null })
    }
    const left = begun.plus({ minutes: 118 })
    write(tripId, left, 'stretch', { schoolId: null, minutes: 110, presentations: 140, looks: 0, follows: 6, taps: fish + 3 })
    write(tripId, left, 'move', {})
    write(tripId, left.plus({ minutes: 10 }), 'end', {})
  }
  return entries
}
