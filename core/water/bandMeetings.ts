import { requireNumber } from '../guard'
import type { DepthGrid } from './depthGrid'
import { distanceToMarked } from './distanceTransform'
import { regions } from './regions'

export type DepthBand = readonly [topM: number, bottomM: number]

/** A place where two bands of depth lie close beside each other. */
export interface BandMeeting {
  x: number
  y: number
  /** along the meeting, m */
  lengthM: number
  /** from one band to the other at its narrowest, m */
  apartM: number
  /** fall between the bands' facing ends over that distance */
  steepness: number
}

/** Bands farther apart than this do not meet, m. */
const MOST_APART_M = 40
const SHORTEST_M = 30

/**
 * Where a shallow and a deep band touch steeply, the steepest first: spawning ground with staging water at its foot.
 * @throws RangeError when a band is upside down or they overlap
 */
export function bandMeetings({ grid, shallow, deep }: { grid: DepthGrid, shallow: DepthBand, deep: DepthBand }): BandMeeting[] {
  requireNumber('shallow[1]', shallow[1], { min: shallow[0] })
  requireNumber('deep[0]', deep[0], { min: shallow[1] })
  requireNumber('deep[1]', deep[1], { min: deep[0] })
  const { depthM, cols, rows, cellM, x0, y0 } = grid
  const inBand = ([top, bottom]: DepthBand) => Uint8Array.from(depthM, d => (d >= top && d <= bottom ? 1 : 0))
  const away = distanceToMarked(inBand(deep), cols, rows)
  const close = inBand(shallow).map((m, i) => (m && away[i]! * cellM <= MOST_APART_M ? 1 : 0))
  return regions(close, cols, rows, 2).flatMap((cells) => {
    const narrow = cells.reduce((best, i) => (away[i]! < away[best]! ? i : best), cells[0]!)
    let [west, east, south, north] = [Infinity, -Infinity, Infinity, -Infinity]
    for (const i of cells) {
      west = Math.min(west, i % cols)
      east = Math.max(east, i % cols)
      south = Math.min(south, Math.floor(i / cols))
      north = Math.max(north, Math.floor(i / cols))
    }
    const lengthM = Math.hypot(east - west, north - south) * cellM
    if (lengthM < SHORTEST_M) return []
    const apartM = Math.max(cellM, away[narrow]! * cellM)
    return [{ x: x0 + ((narrow % cols) + 0.5) * cellM, y: y0 + (Math.floor(narrow / cols) + 0.5) * cellM, lengthM, apartM, steepness: (deep[0] - shallow[1] + 0.5) / apartM }]
  }).sort((a, b) => b.steepness - a.steepness || b.lengthM - a.lengthM)
}
