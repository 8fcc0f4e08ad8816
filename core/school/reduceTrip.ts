import type { EffectiveEntry } from './effectiveEntries'
import { effectiveEntries } from './effectiveEntries'
import type { BoatFix, Entry, EntryBodies } from './entries'

export interface LoggedFish {
  id: string
  at: string
  schoolId: string | null
  placeId: string | null
  rigId: string | null
  species: EntryBodies['fish']['species']
  lengthM: number | null
  fate: EntryBodies['fish']['fate']
  depthM: number | null
  strike: NonNullable<EntryBodies['fish']['strike']> | null
  fix: BoatFix | null
}

export interface Effort {
  minutes: number
  presentations: number
  looks: number
  follows: number
  taps: number
}

export interface LoggedSchool extends Effort {
  id: string
  at: string
  placeId: string | null
  topM: number
  bottomM: number
  waterDepthM: number
  tightness: EntryBodies['school']['tightness']
  marks: NonNullable<EntryBodies['school']['marks']> | null
  company: NonNullable<EntryBodies['school']['company']>
  distanceM: number | null
  fix: BoatFix | null
  /** the water as it was read last before the school was seen */
  waterC: number | null
  secchiM: number | null
  fish: LoggedFish[]
}

/** A rig with what was fished on it, from when it was tied on until the next. */
export interface LoggedRig extends Effort {
  id: string
  at: string
  body: EntryBodies['rig']
  /** device whose rig it is */
  by: string | null
  fish: number
  /** the water as it was read last */
  secchiM: number | null
}

export interface Visit extends Effort {
  placeId: string | null
  arrivedAt: string
  /** null while still there */
  leftAt: string | null
  fish: number
}

/** Fish seen at the surface. */
export interface LoggedBoil {
  id: string
  at: string
  body: EntryBodies['boil']
}

export interface Trip {
  id: string
  waterId: string | null
  startedAt: string
  endedAt: string | null
  visits: Visit[]
  schools: LoggedSchool[]
  rigs: LoggedRig[]
  /** every fish of the trip, those of no school too */
  fish: LoggedFish[]
  effort: Effort
  notes: { id: string, at: string, text: string }[]
  conditions: { id: string, at: string, body: EntryBodies['conditions'] }[]
  boils: LoggedBoil[]
}

const TALLY = { look: 'looks', follow: 'follows', tap: 'taps', cast: 'presentations' } as const
const noEffort = (): Effort => ({ minutes: 0, presentations: 0, looks: 0, follows: 0, taps: 0 })

/** Adds what a stretch or a sign says to every tally it belongs to. */
function count(entry: EffectiveEntry, tallies: (Effort | null | undefined)[]): void {
  for (const tally of tallies) {
    if (!tally) continue
    if (entry.kind === 'stretch') {
      tally.minutes += entry.body.minutes
      tally.presentations += entry.body.presentations
      tally.looks += entry.body.looks
      tally.follows += entry.body.follows
      tally.taps += entry.body.taps
    }
    else if (entry.kind === 'sign') {
      tally[TALLY[entry.body.sign]]++
    }
  }
}

/**
 * One trip's journal turned into schools, fish, rigs and effort. Pure and independent of the order of arrival.
 * Returns null when nothing of the trip is left (every entry undone or none given).
 */
export function reduceTrip(entries: Iterable<Entry>): Trip | null {
  return reduceEffective(effectiveEntries(entries))
}

/** As `reduceTrip`, for entries whose undos and amends have been applied, in the journal's order; with the day's own id where other days have been joined to it. */
export function reduceEffective(live: readonly EffectiveEntry[], id?: string): Trip | null {
  const first = live[0]
  if (!first) return null
  const trip: Trip = {
    id: id ?? first.tripId, waterId: null, startedAt: first.at, endedAt: null,
    visits: [], schools: [], rigs: [], fish: [], effort: noEffort(), notes: [], conditions: [], boils: [],
  }
  const schools = new Map<string, LoggedSchool>()
  let visit: Visit | null = null
  // Two devices in one boat are two rods: what one ties on is not what the other's fish took.
  const rigOf = new Map<string, LoggedRig>()
  let waterC: number | null = null
  let secchiM: number | null = null
  let clearAt: number | null = null
  const leave = (at: string) => {
    if (visit) visit.leftAt = at
    visit = null
  }
  // Schools first: a stretch or fish whose clock ran ahead of the school's must still find it.
  for (const entry of live) {
    if (entry.kind === 'conditions') {
      waterC = entry.body.waterC ?? waterC
      secchiM = entry.body.secchiM ?? secchiM
    }
    if (entry.kind !== 'school') continue
    const school: LoggedSchool = { id: entry.id, at: entry.at, ...entry.body, marks: entry.body.marks ?? null, company: entry.body.company ?? [], distanceM: entry.body.distanceM ?? null, fix: entry.fix ?? null, waterC, secchiM, fish: [], ...noEffort() }
    schools.set(entry.id, school)
    trip.schools.push(school)
  }
  for (const entry of live) {
    const rig = rigOf.get(entry.by ?? '') ?? null
    switch (entry.kind) {
      case 'start':
        trip.waterId = entry.body.waterId
        break
      case 'arrive':
        // The second device of a boat arrives where the first one has: one stop.
        if (visit && (visit as Visit).placeId === entry.body.placeId) break
        leave(entry.at)
        visit = { placeId: entry.body.placeId, arrivedAt: entry.at, leftAt: null, fish: 0, ...noEffort() }
        trip.visits.push(visit)
        break
      case 'move':
        leave(entry.at)
        break
      case 'end':
        leave(entry.at)
        trip.endedAt = entry.at
        break
      case 'rig':
        rigOf.set(entry.by ?? '', { id: entry.id, at: entry.at, body: entry.body, by: entry.by ?? null, fish: 0, secchiM: clearAt, ...noEffort() })
        trip.rigs.push(rigOf.get(entry.by ?? '')!)
        break
      case 'stretch':
      case 'sign':
        count(entry, [trip.effort, visit, rig, entry.body.schoolId === null ? null : schools.get(entry.body.schoolId)])
        break
      case 'fish': {
        const school = entry.body.schoolId === null ? undefined : schools.get(entry.body.schoolId)
        const fish: LoggedFish = { id: entry.id, at: entry.at, ...entry.body, strike: entry.body.strike ?? null, fix: entry.fix ?? null, placeId: school?.placeId ?? placeOf(visit), rigId: rig?.id ?? null }
        trip.fish.push(fish)
        school?.fish.push(fish)
        if (visit) (visit as Visit).fish++
        if (rig) rig.fish++
        break
      }
      case 'conditions':
        clearAt = entry.body.secchiM ?? clearAt
        trip.conditions.push({ id: entry.id, at: entry.at, body: entry.body })
        break
      case 'boil':
        trip.boils.push({ id: entry.id, at: entry.at, body: entry.body })
        break
      case 'note':
        trip.notes.push({ id: entry.id, at: entry.at, text: entry.body.text })
        break
      case 'school':
      case 'join':
        break
    }
  }
  return trip
}

const placeOf = (visit: Visit | null) => visit?.placeId ?? null
