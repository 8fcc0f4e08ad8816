import { requireNumber } from '../guard'
import type { DepthGrid } from './depthGrid'

/** Lines to a cell, side by side: an odd number, so that one runs through the cell's middle. */
const LINES = 3

/**
 * Open water upwind of every cell for winds from evenly spaced directions, m; NaN off the water.
 * One sweep a direction: along lines a third of a cell apart, each row takes its upwind row's fetch, so the work is the same for a pond and an
 * ocean. Against a ray marched from each cell's middle a line strays by a sixth of a cell at most.
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
  const out = new Float32Array(wet.length).fill(Number.NaN)
  // Lines run along the axis the wind is nearer to; across it they shift.
  const alongRows = Math.abs(dy) >= Math.abs(dx)
  const ahead = Math.abs(alongRows ? dy : dx)
  const aside = Math.abs(alongRows ? dx : dy) < 1e-12 ? 0 : Math.abs(alongRows ? dx : dy)
  const step = cellM / ahead
  const lean = alongRows ? dx / dy : dy / dx
  const upwind = Math.sign(alongRows ? dy : dx)
  const side = aside === 0 ? 0 : Math.sign(alongRows ? dx : dy)
  const lines = alongRows ? rows : cols
  const width = alongRows ? cols : rows
  const stride = alongRows ? cols : 1
  const across = alongRows ? 1 : cols
  const fine = width * LINES
  const first = upwind > 0 ? lines - 1 : 0
  const dry = (line: number, p: number) => p < 0 || p >= width || !wet[line * stride + p * across]
  let before = new Float32Array(fine)
  let here = new Float32Array(fine)
  for (let n = 0; n < lines; n++) {
    const line = first - upwind * n
    const next = line + upwind
    const shift = Math.round(next * lean * LINES) - Math.round(line * lean * LINES)
    for (let s = 0; s < fine; s++) {
      const u = (s + 0.5) / LINES
      const p = Math.floor(u)
      if (!wet[line * stride + p * across]) {
        here[s] = 0
        continue
      }
      // Half way to the next row the line crosses the border; a column's border may be crossed before or after.
      const half = Math.floor(u + (upwind * lean) / 2)
      const column = (aside === 0 ? Infinity : ((side > 0 ? p + 1 - u : u - p) * cellM) / aside)
      const to = s + shift
      const q = Math.floor((to + 0.5) / LINES)
      if (half !== p && dry(line, half)) here[s] = column
      else if (n === 0 || dry(next, half)) here[s] = step / 2
      else if (q !== half && dry(next, q)) here[s] = half === p ? column : step
      else here[s] = before[to]! + step
      if (s % LINES === (LINES - 1) / 2) out[line * stride + p * across] = here[s]!
    }
    [before, here] = [here, before]
  }
  return out
}
