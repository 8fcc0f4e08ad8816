import type { BaitSpell } from '../core/rig/colourRecord'
import type { Species } from '../core/fish/species'
import type { LoggedDepth } from '../core/school/depthBelief'
import type { EntryBodies } from '../core/school/entries'

export interface WaterSummary {
  id: string
  name: string
}

export interface Water extends WaterSummary {
  /** IANA zone of the water's days */
  zone: string
  /** origin of the local metric frame */
  lonDeg: number
  latDeg: number
  /** shoreline with islands as holes, WGS 84 */
  shoreline: { type: 'Polygon', coordinates: [number, number][][] }
  /** width of the grid's cells, m */
  cellM: number
  /** pool level that the chart's depths are for, in the water's own datum, m */
  referenceLevelM: number
  /** how far off the chart was on tracks left out, m; null when never measured */
  heldOutM: number | null
  /** version tag of its depth grid */
  gridTag: string
}

/** A school as the record keeps it: hours are of the water's own day. */
export interface RecordedSchool extends Omit<LoggedDepth, 'ageDays'> {
  at: string
  placeId: string | null
  /** most of its fish; null while none was named */
  species: Species | null
}

export interface WaterRecord {
  readings: { at: string, body: EntryBodies['conditions'] }[]
  /** names of places taken off the chart, for what was logged there */
  goneNames: Record<string, string>
  schools: RecordedSchool[]
  /** effort by the time it began, for when and where fish feed */
  visits: { at: string, leftAt: string | null, placeId: string | null, minutes: number }[]
  boils: { at: string, body: EntryBodies['boil'] }[]
  /** spells of fishing by the bait that was on */
  baits: BaitSpell[]
  catches: { at: string, placeId: string | null, species: Species | null, depthM: number | null }[]
}

export interface TripSummary {
  id: string
  waterId: string
  waterName: string
  startedAt: string
  endedAt: string | null
  schools: number
  fish: number
  kept: number
}
