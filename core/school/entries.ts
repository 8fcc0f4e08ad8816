import type { Species } from '../fish/species'
import type { Sky } from '../season/sky'

export const TIGHTNESS = ['loose', 'clustered', 'tight'] as const
/** How close together the marks of a school lie. */
export type Tightness = (typeof TIGHTNESS)[number]
export const FATES = ['kept', 'released'] as const
export type Fate = (typeof FATES)[number]
export const SIGNS = ['look', 'follow', 'tap', 'cast'] as const
/** look: came and turned away; follow: trailed it; tap: felt and missed; cast: one presentation, whatever came of it. */
export type Sign = (typeof SIGNS)[number]
export const STRIKES = ['fall', 'pull', 'still'] as const
/** What the bait was doing when the fish took it. */
export type Strike = (typeof STRIKES)[number]
export const MARK_SIZES = ['small', 'middling', 'large', 'mixed'] as const
/** How large the marks of a school were. */
export type MarkSize = (typeof MARK_SIZES)[number]
export const COMPANY = ['bait', 'small fish', 'bigger fish', 'another kind'] as const
/** Who else was there. */
export type Company = (typeof COMPANY)[number]
export const RIG_FAMILIES = ['castJig', 'slipFloat'] as const
export type RigFamily = (typeof RIG_FAMILIES)[number]

/** Body of each kind of journal entry; SI units; null where a figure was not given. */
export interface EntryBodies {
  /** the day begins on a water */
  start: { waterId: string }
  /** at a place (null: none of the known ones) */
  arrive: { placeId: string | null }
  school: { placeId: string | null, topM: number, bottomM: number, waterDepthM: number, tightness: Tightness, marks?: MarkSize | null, company?: Company[], /** from the boat */ distanceM?: number | null }
  rig: { family: RigFamily, headKg: number, bodyLengthM: number, bodyName: string, lineDiameterM: number, stopM: number | null, /** older entries have none */ colour?: string | null, /** rung of the ladder that it came from; none: as tied on first */ rung?: string }
  /** effort spent, ending at the entry's time; counts are those not tapped one by one */
  stretch: { schoolId: string | null, minutes: number, presentations: number, looks: number, follows: number, taps: number }
  /** one tap on the pad */
  sign: { schoolId: string | null, sign: Sign }
  fish: { schoolId: string | null, species: Species | null, lengthM: number | null, fate: Fate | null, depthM: number | null, strike?: Strike | null }
  /** fish at the surface; position as well as it was known, and which way they were going */
  boil: { placeId: string | null, lonDeg: number | null, latDeg: number | null, towardDeg: number | null }
  /** a reading taken on the water; where and how deep, when that was noted */
  conditions: {
    waterC: number | null
    secchiM: number | null
    windMS: number | null
    windFromDeg: number | null
    sky: Sky | null
    placeId?: string | null
    lonDeg?: number | null
    latDeg?: number | null
    sensorDepthM?: number | null
  }
  note: { text: string }
  /** left the place */
  move: Record<string, never>
  /** the day ends */
  end: Record<string, never>
  /** this day is the same as an earlier one that another device began: its entries count there */
  join: { tripId: string }
  /** takes another entry back; undoing an undo restores it */
  undo: { entryId: string }
  /** replaces the body of an entry of the named kind */
  amend: { entryId: string, body: { kind: AmendableKind, body: EntryBodies[AmendableKind] } }
}
export type EntryKind = keyof EntryBodies
export const AMENDABLE = ['arrive', 'school', 'rig', 'stretch', 'fish', 'boil', 'conditions', 'note'] as const
export type AmendableKind = (typeof AMENDABLE)[number]

/** What the boat's instruments said when an entry was made. */
export interface BoatFix {
  lonDeg: number
  latDeg: number
  /** of the water under the boat */
  depthM: number | null
  waterC: number | null
}

/** One line of the journal: append-only, its id (UUIDv7) made on the device. */
export type Entry<K extends EntryKind = EntryKind> = {
  [P in K]: {
    id: string
    tripId: string
    /** UTC instant, ISO 8601 with milliseconds */
    at: string
    kind: P
    body: EntryBodies[P]
    /** device that made it: two in one boat each have a rig of their own; older entries have none */
    by?: string
    /** none: no instruments, or nothing fresh from them */
    fix?: BoatFix
  }
}[K]

/** Order of the journal: by time, then id, so that every device reads it alike. */
export function byTime(a: { at: string, id: string }, b: { at: string, id: string }): number {
  return a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0
}
