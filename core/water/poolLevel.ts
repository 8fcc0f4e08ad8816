import { requireNumber } from '../guard'
import type { DepthGrid } from './depthGrid'

/**
 * The chart as it is with the pool `aboveReferenceM` over (negative: under) the level that the depths are for. Water that falls
 * dry becomes land; ground above the charted shoreline is not known, so a high pool deepens the water and does not widen it.
 */
export function atPoolLevel<G extends DepthGrid>(grid: G, aboveReferenceM: number): G {
  requireNumber('aboveReferenceM', aboveReferenceM, { min: -200, max: 200 })
  if (aboveReferenceM === 0) return grid
  return { ...grid, depthM: grid.depthM.map(d => (d + aboveReferenceM > 0 ? d + aboveReferenceM : Number.NaN)) }
}

export interface LevelReading {
  /** ms since the epoch */
  atMs: number
  /** height of the pool in the water's own datum, m */
  levelM: number
}

/**
 * Pool level at an instant: straight between the readings around it, the nearest one's before the first and after the last.
 * Null without readings. `readings` in time order.
 */
export function levelAt(readings: readonly LevelReading[], atMs: number): number | null {
  if (readings.length === 0) return null
  const after = readings.findIndex(r => r.atMs >= atMs)
  if (after === -1) return readings.at(-1)!.levelM
  if (after === 0) return readings[0]!.levelM
  const [a, b] = [readings[after - 1]!, readings[after]!]
  return a.levelM + ((b.levelM - a.levelM) * (atMs - a.atMs)) / (b.atMs - a.atMs)
}
