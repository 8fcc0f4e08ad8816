import { requireNumber } from '../guard'
import { openWater, type DepthGrid } from './depthGrid'

const DIRECTIONS = 36
const STEP_DEG = 360 / DIRECTIONS
const SPREAD_DEG = 30
/** cos² of −30° to 30° off the wind */
const WEIGHTS = Array.from({ length: (2 * SPREAD_DEG) / STEP_DEG + 1 }, (_, i) => Math.cos(((i * STEP_DEG - SPREAD_DEG) * Math.PI) / 180) ** 2)
const WHOLE = WEIGHTS.reduce((a, b) => a + b, 0)

/** Open water from a point in 36 directions, m: index k is toward k·10°, whence a wind from k·10° comes. Made once for a place; winds then only look it up. */
export function fetchRose({ grid, x, y }: { grid: DepthGrid, x: number, y: number }): Float32Array {
  return Float32Array.from({ length: DIRECTIONS }, (_, k) => openWater({ grid, x, y, bearingDeg: k * STEP_DEG }))
}

/** Effective fetch from a rose, m: between its directions by share, then averaged over ±30° of the wind, weighted by cos² (MATH §12). */
export function roseFetch(roseM: Float32Array, windFromDeg: number): number {
  requireNumber('windFromDeg', windFromDeg)
  const at = ((((windFromDeg - SPREAD_DEG) % 360) + 360) % 360) / STEP_DEG
  const first = Math.floor(at)
  const share = at - first
  let sum = 0
  for (let i = 0; i < WEIGHTS.length; i++) {
    const k = (first + i) % DIRECTIONS
    sum += WEIGHTS[i]! * (roseM[k]! * (1 - share) + roseM[(k + 1) % DIRECTIONS]! * share)
  }
  return sum / WHOLE
}
