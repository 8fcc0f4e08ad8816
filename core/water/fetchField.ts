import { requireNumber } from '../guard'
import type { DepthGrid } from './depthGrid'

/**
 * Open water upwind of every cell for winds from evenly spaced directions, m; NaN off the water.
 * One sweep a direction: each cell takes its upwind neighbour's fetch along a line one cell wide, so the work is the same
 * for a pond and an ocean. Against a ray marched from each cell it is within about a cell.
 * @returns one array a direction; index k is the wind from k·360/directions degrees
 * @throws RangeError unless directions is a whole number from 1 to 360
 */
export function fetchField({ grid, directions = 36 }: { grid: DepthGrid, directions?: number }): Float32Array[] {
  requireNumber('directions', directions, { min: 1, max: 360 })
  if (!Number.isInteger(directions)) throw new RangeError(`directions is ${directions}; it must be a whole number from 1 to 360`)
  const wet = Uint8Array.from(grid.depthM, depth => (Number.isNaN(depth) ? 0 : 1))
  return Array.from({ length: directions }, (_, k) => sweep(wet, grid, (k * 2 * Math.PI) / directions))
}

function sweep(wet: Uint8Array, { cols, rows, cellM }: DepthGrid, windFrom: number): Float32Array {
  const dx = Math.sin(windFrom)
  const dy = Math.cos(windFrom)
  const fetchM = new Float32Array(wet.length).fill(Number.NaN)
  // Lines run along the axis the wind is nearer to; across it they shift by whole cells.
  const alongRows = Math.abs(dy) >= Math.abs(dx)
  const step = cellM / (alongRows ? Math.abs(dy) : Math.abs(dx))
  const lean = alongRows ? dx / dy : dy / dx
  const upwind = Math.sign(alongRows ? dy : dx)
  const lines = alongRows ? rows : cols
  const width = alongRows ? cols : rows
  const stride = alongRows ? cols : 1
  const across = alongRows ? 1 : cols
  const first = upwind > 0 ? lines - 1 : 0
  for (let n = 0; n < lines; n++) {
    const line = first - upwind * n
    const before = line + upwind
    const shift = Math.round(before * lean) - Math.round(line * lean)
    const outside = n === 0
    for (let p = 0; p < width; p++) {
      const i = line * stride + p * across
      if (!wet[i]) continue
      const q = p + shift
      const from = before * stride + q * across
      // The bank lies half way to the first dry cell.
      fetchM[i] = outside || q < 0 || q >= width || !wet[from] ? step / 2 : fetchM[from]! + step
    }
  }
  return fetchM
}
