import type { EffectiveEntry } from './effectiveEntries'
import { effectiveEntries } from './effectiveEntries'
import type { Entry, EntryBodies } from './entries'

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
}

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
      if (entry.body.sign === 'look') tally.looks++
      else if (entry.body.sign === 'follow') tally.follows++
      else tally.taps++
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

/** As `reduceTrip`, for entries whose undos and amends have been applied, in the journal's order. */
export function reduceEffective(live: readonly EffectiveEntry[]): Trip | null {
  const first = live[0]
  if (!first) return null
  const trip: Trip = {
    id: first.tripId, waterId: null, startedAt: first.at, endedAt: null,
    visits: [], schools: [], rigs: [], fish: [], effort: noEffort(), notes: [], conditions: [],
  }
  const schools = new Map<string, LoggedSchool>()
  let visit: Visit | null = null
  let rig: LoggedRig | null = null
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
    const school: LoggedSchool = { id: entry.id, at: entry.at, ...entry.body, waterC, secchiM, fish: [], ...noEffort() }
    schools.set(entry.id, school)
    trip.schools.push(school)
  }
  for (const entry of live) {
    switch (entry.kind) {
      case 'start':
        trip.waterId = entry.body.waterId
        break
      case 'arrive':
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
        rig = { id: entry.id, at: entry.at, body: entry.body, fish: 0, secchiM: clearAt, ...noEffort() }
        trip.rigs.push(rig)
        break
      case 'stretch':
      case 'sign':
        count(entry, [trip.effort, visit, rig, entry.body.schoolId === null ? null : schools.get(entry.body.schoolId)])
        break
      case 'fish': {
        const school = entry.body.schoolId === null ? undefined : schools.get(entry.body.schoolId)
        const fish: LoggedFish = { id: entry.id, at: entry.at, ...entry.body, placeId: school?.placeId ?? placeOf(visit), rigId: (rig as LoggedRig | null)?.id ?? null }
        trip.fish.push(fish)
        school?.fish.push(fish)
        if (visit) (visit as Visit).fish++
        if (rig) (rig as LoggedRig).fish++
        break
      }
      case 'conditions':
        clearAt = entry.body.secchiM ?? clearAt
        trip.conditions.push({ id: entry.id, at: entry.at, body: entry.body })
        break
      case 'note':
        trip.notes.push({ id: entry.id, at: entry.at, text: entry.body.text })
        break
      case 'school':
        break
    }
  }
  return trip
}

const placeOf = (visit: Visit | null) => visit?.placeId ?? null
