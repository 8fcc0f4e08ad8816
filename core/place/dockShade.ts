import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { insideRing } from '../water/shoreline'
import { compassPoint } from '../units/format'
import type { PlaceAttributes } from './kinds'
import { shadeOutline, type PlanPoint } from './shadeOutline'

/** Something over the water that throws shade. The plan's origin is the middle of the dock's outer edge, x east, y north, m. */
export interface ShadePart {
  what: 'deck' | 'roof' | 'boat'
  outline: PlanPoint[]
  heightM: number
}

/** The sun at one time, with how strongly things throw a shadow then (0–1, see `shadowStrength`). */
export interface SunStand {
  atMs: number
  altitudeDeg: number
  azimuthDeg: number
  strength: number
}

/** A deck is taken to be this much longer than wide where only its area is known. */
const LONG_TO_WIDE = 1.5
/** A roof stands about this far over its deck, m. */
const ROOF_OVER_DECK_M = 2.4
const RAD = Math.PI / 180

/** A moored boat beside a dock: this wide, and its gunwale so high over the water, m. */
const BOAT_WIDE_M = 2.2
const BOAT_HIGH_M = 0.9

/**
 * Deck, roof and moored boat of a dock as outlines. The deck is the outline given, or else a rectangle of its area that runs back from the
 * outer edge, away from where it faces; the boat lies along its right side.
 * @param outline the deck's corners as drawn, in the plan's own frame
 * @throws RangeError for an area or length that is not above 0, or a negative height
 */
export function dockParts({ deckAreaM2, deckHeightM, roofed, facingDeg, roofHeightM, deckLengthM, boatLengthM = 0 }: PlaceAttributes['dock'], outline: readonly PlanPoint[] = []): ShadePart[] {
  requireNumber('deckAreaM2', deckAreaM2, POSITIVE)
  requireNumber('facingDeg', facingDeg)
  const long = requireNumber('deckLengthM', deckLengthM ?? Math.sqrt(deckAreaM2 * LONG_TO_WIDE), POSITIVE)
  const half = deckAreaM2 / long / 2
  const [ox, oy] = [Math.sin(facingDeg * RAD), Math.cos(facingDeg * RAD)]
  const corner = (out: number, right: number): PlanPoint => ({ x: out * ox + right * oy, y: out * oy - right * ox })
  const drawn = outline.length >= 3 ? [...outline] : [corner(0, -half), corner(0, half), corner(-long, half), corner(-long, -half)]
  const parts: ShadePart[] = [{ what: 'deck', outline: drawn, heightM: requireNumber('deckHeightM', deckHeightM, NOT_NEGATIVE) }]
  if (roofed) parts.push({ what: 'roof', outline: drawn, heightM: requireNumber('roofHeightM', roofHeightM ?? deckHeightM + ROOF_OVER_DECK_M, NOT_NEGATIVE) })
  if (requireNumber('boatLengthM', boatLengthM, NOT_NEGATIVE) > 0) {
    const beside = Math.max(...drawn.map(p => p.x * oy - p.y * ox))
    parts.push({ what: 'boat', heightM: BOAT_HIGH_M, outline: [corner(0, beside), corner(0, beside + BOAT_WIDE_M), corner(-boatLengthM, beside + BOAT_WIDE_M), corner(-boatLengthM, beside)] })
  }
  return parts
}

/** Below this the sun's glance throws a shade so long and faint that it holds nothing, degrees. */
const LOWEST_SUN_DEG = 5

/** The parts' shade at a depth under one sun; empty while there is none. */
export function shadeUnder({ parts, depthM, sun }: { parts: readonly ShadePart[], depthM: number, sun: SunStand }): PlanPoint[][] {
  if (sun.altitudeDeg < LOWEST_SUN_DEG || sun.strength <= 0) return []
  return parts.map(({ outline, heightM }) => shadeOutline({ outline, heightM, depthM, sunAzimuthDeg: sun.azimuthDeg, sunAltitudeDeg: sun.altitudeDeg }).outline)
}

/** A plan of hours: row 0 is the southernmost, cell (c, r) has its middle at x0 + (c + ½)·cellM, y0 + (r + ½)·cellM. */
export interface ShadePlan {
  x0: number
  y0: number
  cellM: number
  cols: number
  rows: number
  /** hours of the day that the cell is shaded at the fish's depth, each weighed by how strong the shadows are then */
  hours: Float32Array
}

/**
 * For how long of the day each bit of water round a dock is shaded at a depth: the union of the parts' shades at every sun given.
 * @param options.stepH hours that each sun stands for
 * @param options.reachM how far the plan goes beyond the outlines
 * @throws RangeError for a depth below 0, or a step, reach or cell that is not above 0
 */
export function shadeHours({ parts, depthM, suns, stepH, reachM = 8, cellM = 0.5 }: { parts: readonly ShadePart[], depthM: number, suns: readonly SunStand[], stepH: number, reachM?: number, cellM?: number }): ShadePlan {
  requireNumber('depthM', depthM, NOT_NEGATIVE)
  requireNumber('stepH', stepH, POSITIVE)
  requireNumber('reachM', reachM, POSITIVE)
  requireNumber('cellM', cellM, POSITIVE)
  const all = parts.flatMap(p => p.outline)
  const x0 = Math.min(...all.map(p => p.x)) - reachM
  const y0 = Math.min(...all.map(p => p.y)) - reachM
  const cols = Math.ceil((Math.max(...all.map(p => p.x)) + reachM - x0) / cellM)
  const rows = Math.ceil((Math.max(...all.map(p => p.y)) + reachM - y0) / cellM)
  const hours = new Float32Array(cols * rows)
  for (const sun of suns) {
    const shades = shadeUnder({ parts, depthM, sun })
    if (shades.length === 0) continue
    for (let r = 0; r < rows; r++) {
      for (let c = 0; c < cols; c++) {
        const x = x0 + (c + 0.5) * cellM
        const y = y0 + (r + 0.5) * cellM
        if (shades.some(ring => insideRing(ring, x, y))) hours[r * cols + c]! += stepH * sun.strength
      }
    }
  }
  return { x0, y0, cellM, cols, rows, hours }
}

export interface ShadeSide {
  /** compass point of the side that the shade lies out from, such as "NW" */
  side: string
  /** how far the shade reaches beyond the deck on that side, m */
  beyondM: number
  /** the deck's corner nearest to that shade, by its compass point from the deck's middle */
  corner: string
}

/** The side to work at one sun: where the shade at the fish's depth lies out from under the deck; null without a shade. */
export function shadeSide({ parts, depthM, sun }: { parts: readonly ShadePart[], depthM: number, sun: SunStand }): ShadeSide | null {
  const shades = shadeUnder({ parts, depthM, sun })
  const [deck] = parts
  if (!deck || shades.length === 0) return null
  const away = sun.azimuthDeg + 180
  const along = ({ x, y }: PlanPoint) => x * Math.sin(away * RAD) + y * Math.cos(away * RAD)
  const furthest = Math.max(...deck.outline.map(along))
  const beyondM = Math.max(...shades.flat().map(along)) - furthest
  const middle = { x: mean(deck.outline.map(p => p.x)), y: mean(deck.outline.map(p => p.y)) }
  const corner = deck.outline.reduce((best, p) => (along(p) > along(best) ? p : best))
  return { side: point(away), beyondM, corner: point((Math.atan2(corner.x - middle.x, corner.y - middle.y)) / RAD) }
}

const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length
/** One of the eight points: finer ones are no side of a dock. */
const point = (deg: number) => compassPoint((Math.round(deg / 45) * 45 + 720) % 360)
