import { POSITIVE, requireNumber } from '../guard'

/**
 * Depths of a water on a square raster in its local metric frame (x east, y north).
 * Row 0 is the southernmost; cell (c, r) has its centre at x0+(c+½)·cellM, y0+(r+½)·cellM
 * and its value at depthM[r·cols + c]: metres, positive down, NaN off the water.
 */
export interface DepthGrid {
  x0: number
  y0: number
  cellM: number
  cols: number
  rows: number
  depthM: Float32Array
  /** how far a depth can be trusted, 0–1 (see `buildDepthGrid`); absent when not known; NaN off the water */
  confidence?: Float32Array
}

/** Depth at a point by bilinear interpolation between the wet cell centres around it; NaN off the water. */
export function depthAt({ grid, x, y }: { grid: DepthGrid, x: number, y: number }): number {
  const gx = (x - grid.x0) / grid.cellM - 0.5
  const gy = (y - grid.y0) / grid.cellM - 0.5
  if (Number.isNaN(cellDepth(grid, Math.round(gx), Math.round(gy)))) return Number.NaN
  const c = Math.floor(gx)
  const r = Math.floor(gy)
  let sum = 0
  let weights = 0
  for (let j = 0; j < 2; j++) {
    for (let i = 0; i < 2; i++) {
      const depth = cellDepth(grid, c + i, r + j)
      if (Number.isNaN(depth)) continue
      const weight = Math.abs(1 - i - (gx - c)) * Math.abs(1 - j - (gy - r))
      sum += weight * depth
      weights += weight
    }
  }
  return weights > 0 ? sum / weights : cellDepth(grid, Math.round(gx), Math.round(gy))
}

function cellDepth({ cols, rows, depthM }: DepthGrid, c: number, r: number): number {
  return c < 0 || r < 0 || c >= cols || r >= rows ? Number.NaN : depthM[r * cols + c]!
}

/** Deepest cell of the grid, m; 0 for a grid without water. */
export function deepest({ depthM }: DepthGrid): number {
  let max = 0
  for (const depth of depthM) if (depth > max) max = depth
  return max
}

/** Area of the wet cells, m². */
export function waterArea({ depthM, cellM }: DepthGrid): number {
  let wet = 0
  for (const depth of depthM) if (!Number.isNaN(depth)) wet++
  return wet * cellM ** 2
}

/**
 * Open water from a point toward a bearing until land, m, in half-cell steps; 0 from a point on land.
 * One ray for one point: a whole field of fetches has its own sweep.
 */
export function openWater({ grid, x, y, bearingDeg }: { grid: DepthGrid, x: number, y: number, bearingDeg: number }): number {
  const step = requireNumber('grid.cellM', grid.cellM, POSITIVE) / 2
  const angle = (requireNumber('bearingDeg', bearingDeg) * Math.PI) / 180
  const dx = Math.sin(angle) * step
  const dy = Math.cos(angle) * step
  for (let n = 0; ; n++) {
    const c = Math.floor((x + n * dx - grid.x0) / grid.cellM)
    const r = Math.floor((y + n * dy - grid.y0) / grid.cellM)
    if (Number.isNaN(cellDepth(grid, c, r))) return n * step
  }
}

/** Fetch of a wind, m: open water upwind averaged over ±30°, weighted by cos² (MATH §12). */
export function effectiveFetch({ grid, x, y, windFromDeg }: { grid: DepthGrid, x: number, y: number, windFromDeg: number }): number {
  let sum = 0
  let weights = 0
  for (let off = -30; off <= 30; off += 10) {
    const weight = Math.cos((off * Math.PI) / 180) ** 2
    sum += weight * openWater({ grid, x, y, bearingDeg: windFromDeg + off })
    weights += weight
  }
  return sum / weights
}
