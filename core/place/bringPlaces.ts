import type { FoundPlace } from '../formats/readPlaces'
import { depthAt, type DepthGrid } from '../water/depthGrid'
import { firstGuess } from './firstGuess'
import type { Place, PlaceKind } from './kinds'
import type { PlannedPlace } from './planImport'

/** A mark on the bank is still the water's: positions are seldom better than this, and docks begin on land, m. */
const BANK_M = 40
const RINGS = 2
const WAYS = 12

/** Depth of the chart at a point, or of the nearest water within a bank's breadth of it; null where there is none. */
export function depthNear({ grid, x, y }: { grid: DepthGrid, x: number, y: number }): number | null {
  const here = depthAt({ grid, x, y })
  if (!Number.isNaN(here)) return here
  for (let ring = 1; ring <= RINGS; ring++) {
    const m = (BANK_M * ring) / RINGS
    const round = Array.from({ length: WAYS }, (_, k) => depthAt({ grid, x: x + m * Math.sin((2 * Math.PI * k) / WAYS), y: y + m * Math.cos((2 * Math.PI * k) / WAYS) })).filter(d => !Number.isNaN(d))
    if (round.length > 0) return Math.max(...round)
  }
  return null
}

/** What of a file's texts and numbers are no figures of the place itself. */
const NOT_FIGURES = ['type', 'kind', 'desc', 'description', 'name', 'notes', 'sym', 'depthM']

/**
 * A place of a file as one of the angler's own: the file's figures where they make a sound place, else a guess from the depth there.
 * @param options.kind what it is where the file does not say
 * @param options.chartDepthM depth by the chart; the file's own goes before it
 * @param options.sound whether a place may be kept as it is
 */
export function placeFromFound({ found, id, kind, chartDepthM, sound }: { found: FoundPlace, id: string, kind: PlaceKind, chartDepthM: number, sound: (place: Place) => boolean }): Place {
  const own = Object.fromEntries(Object.entries(found.properties).filter(([key]) => !NOT_FIGURES.includes(key)))
  const is = found.kind ?? kind
  const guess = firstGuess(is, found.depthM ?? chartDepthM)
  const base = { id, name: found.name, kind: is, lonDeg: found.lonDeg, latDeg: found.latDeg, ...(found.shape && { shape: found.shape }), ...(found.notes && { notes: found.notes }) }
  const whole = { ...base, attributes: { ...guess, ...own } } as Place
  return sound(whole) ? whole : { ...base, attributes: guess } as Place
}

/** Kept places to which their twins in a file add something: words they do not have, a line where there is none. Several twins of one place add up. */
export function mergedPlaces(plan: readonly PlannedPlace<FoundPlace, Place>[]): Place[] {
  const merged = new Map<string, Place>()
  for (const { found, twin } of plan) {
    if (!twin) continue
    const place = merged.get(twin.place.id) ?? twin.place
    const notes = found.notes && !place.notes?.includes(found.notes) ? [place.notes, found.notes].filter(Boolean).join('\n') : place.notes
    const shape = place.shape ?? found.shape ?? undefined
    if (notes !== place.notes || shape !== place.shape) merged.set(place.id, { ...place, ...(notes && { notes }), ...(shape && { shape }) })
  }
  return [...merged.values()]
}
