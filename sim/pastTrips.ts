import { DateTime } from 'luxon'
import { coverTop, type Place } from '../core/place/kinds'
import type { Entry, EntryBodies, EntryKind } from '../core/school/entries'

/** Water of the weeks before the demo's morning: a spring warm-up with a cold spell in it. */
const DAYS_BEFORE = [
  { daysAgo: 12, waterC: 8.9, secchiM: 0.9, windMS: 4.5, windFromDeg: 315, sky: 'overcast' },
  { daysAgo: 9, waterC: 9.6, secchiM: 0.85, windMS: 3, windFromDeg: 200, sky: 'broken' },
  { daysAgo: 6, waterC: 10.2, secchiM: 0.8, windMS: 5.5, windFromDeg: 340, sky: 'clear' },
  { daysAgo: 4, waterC: 10.7, secchiM: 0.8, windMS: 2.5, windFromDeg: 210, sky: 'broken' },
  { daysAgo: 2, waterC: 11.5, secchiM: 0.76, windMS: 3.5, windFromDeg: 225, sky: 'clear' },
] as const

/** What the water is like on the demo's morning itself. */
const THIS_MORNING: EntryBodies['conditions'] = { waterC: 12.2, secchiM: 0.76, windMS: 4, windFromDeg: 225, sky: 'broken' }

/** The fishes' own law in the stand-in, apart from any advice: how much of an hour's luck a kind of place has in the cool spring. */
const LUCK: Partial<Record<Place['kind'], number>> = { brush: 2.8, timber: 1.6, dock: 1.1, weedEdge: 1.6, reedStubble: 1.3, breakEdge: 2.2, hump: 0.8, point: 1.2 }

/** In cool water nobody starts in the shallows, and the fish hang no higher than this, m. */
const SHALLOWEST_VISIT_M = 2
const COOL_TOP_M = 1.8

export interface PastTripsOptions {
  waterId: string
  zone: string
  places: Place[]
  /** local morning of the demo, ISO */
  morning: string
  random: () => number
  newId: (atMs: number) => string
}

/**
 * Journal of made-up trips before the demo's morning, and a reading taken on it.
 * Seeded: the same random source gives the same journal.
 */
export function pastTrips(options: PastTripsOptions): Entry[] {
  const { waterId, zone, morning, random, newId } = options
  const entries: Entry[] = []
  const write = <K extends EntryKind>(tripId: string, at: DateTime, kind: K, body: EntryBodies[K]): string => {
    const id = newId(at.toMillis())
    // Kind and body belong together by the signature; the union cannot see it.
    entries.push({ id, tripId, at: at.toUTC().toISO()!, kind, body } as Entry)
    return id
  }
  const today = DateTime.fromISO(morning, { zone })
  for (const { daysAgo, ...reading } of DAYS_BEFORE) {
    let now: DateTime<boolean> = today.minus({ days: daysAgo }).set({ hour: 7, minute: Math.floor(random() * 40), second: 0, millisecond: 0 })
    const tripId = newId(now.toMillis())
    write(tripId, now, 'start', { waterId })
    write(tripId, now.plus({ minutes: 6 }), 'conditions', { ...reading })
    for (const place of pick(options.places.filter(p => p.attributes.bottomDepthM >= SHALLOWEST_VISIT_M), 3, random)) {
      now = now.plus({ minutes: 12 })
      now = fishPlace(place, now)
    }
    write(tripId, now.plus({ minutes: 5 }), 'end', {})

    function fishPlace(place: Place, arrived: DateTime): DateTime {
      write(tripId, arrived, 'arrive', { placeId: place.id })
      const waterDepthM = place.attributes.bottomDepthM
      const topM = Math.min(waterDepthM * 0.8, Math.max(0.4, Math.max(coverTop(place) - 0.3, COOL_TOP_M) + random() * 0.5))
      const bottomM = Math.min(waterDepthM, topM + 0.5 + random() * 0.9)
      const round = (m: number) => Math.round(m * 10) / 10
      const schoolId = write(tripId, arrived.plus({ minutes: 4 }), 'school', {
        placeId: place.id, topM: round(topM), bottomM: round(bottomM), waterDepthM, tightness: random() < 0.5 ? 'clustered' : 'loose',
      })
      write(tripId, arrived.plus({ minutes: 5 }), 'rig', { family: 'castJig', headKg: 0.000886, bodyLengthM: 0.0381, bodyName: 'Slim, 1½ in', lineDiameterM: 0.00018, stopM: null })
      const minutes = 25 + Math.floor(random() * 50)
      const expected = (LUCK[place.kind] ?? 1) * (minutes / 60)
      let caught = 0
      for (let m = 8; m < minutes; m += 6) {
        if (random() >= expected * (6 / minutes) * 1.1) continue
        caught++
        const species = random() < 0.6 ? 'blackCrappie' : 'whiteCrappie'
        const lengthM = Math.round((0.2 + 0.13 * random() ** 0.8) * 1000) / 1000
        write(tripId, arrived.plus({ minutes: m }), 'fish', { schoolId, species, lengthM, fate: lengthM > 0.254 && lengthM < 0.31 ? 'kept' : 'released', depthM: round(topM + 0.2) })
      }
      const left = arrived.plus({ minutes })
      write(tripId, left, 'stretch', { schoolId, minutes: minutes - 5, presentations: Math.round((minutes - 5) * 1.2), looks: Math.floor(random() * 4), follows: Math.floor(random() * 5), taps: Math.floor(random() * 3) + caught })
      write(tripId, left, 'move', {})
      return left
    }
  }
  const dawn = today.minus({ minutes: 20 })
  const tripId = newId(dawn.toMillis())
  write(tripId, dawn, 'start', { waterId })
  write(tripId, dawn.plus({ minutes: 1 }), 'conditions', THIS_MORNING)
  write(tripId, dawn.plus({ minutes: 2 }), 'note', { text: 'Read at the ramp before setting out.' })
  write(tripId, dawn.plus({ minutes: 3 }), 'end', {})
  return entries
}

function pick<T>(from: T[], count: number, random: () => number): T[] {
  const left = [...from]
  return Array.from({ length: Math.min(count, left.length) }, () => left.splice(Math.floor(random() * left.length), 1)[0]!)
}
