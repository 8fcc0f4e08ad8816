import type { Raster } from './rasterise'

/** What fell into each cell: how much weight, its mean depth and the mean place of it. */
export interface Bins {
  /** sum of weights; 0 for an empty cell */
  weight: Float64Array
  /** weighted mean depth, m */
  depthM: Float64Array
  /** weighted mean offset from the cell's centre, in cells */
  offX: Float64Array
  offY: Float64Array
}

/** Gathers weighted depth points (flat x, y, depth triples) into the cells of a raster; points off it are left out. */
export function binPoints({ x0, y0, cellM, cols, rows }: Raster, groups: { points: Float64Array, weight: number }[]): Bins {
  const cells = cols * rows
  const bins: Bins = { weight: new Float64Array(cells), depthM: new Float64Array(cells), offX: new Float64Array(cells), offY: new Float64Array(cells) }
  const { weight, depthM, offX, offY } = bins
  for (const { points, weight: each } of groups) {
    for (let p = 0; p < points.length; p += 3) {
      const gx = (points[p]! - x0) / cellM
      const gy = (points[p + 1]! - y0) / cellM
      const c = Math.floor(gx)
      const r = Math.floor(gy)
      if (c < 0 || r < 0 || c >= cols || r >= rows) continue
      const i = r * cols + c
      weight[i]! += each
      depthM[i]! += each * points[p + 2]!
      offX[i]! += each * (gx - c - 0.5)
      offY[i]! += each * (gy - r - 0.5)
    }
  }
  for (let i = 0; i < cells; i++) {
    const w = weight[i]!
    if (w === 0) continue
    depthM[i]! /= w
    offX[i]! /= w
    offY[i]! /= w
  }
  return bins
}

/** The same in cells twice as wide: four by four become two by two, offsets and all. */
export function coarsen(fine: Bins, cols: number, rows: number): Bins {
  const wide = (cols + 1) >> 1
  const high = (rows + 1) >> 1
  const cells = wide * high
  const bins: Bins = { weight: new Float64Array(cells), depthM: new Float64Array(cells), offX: new Float64Array(cells), offY: new Float64Array(cells) }
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < cols; c++) {
      const i = r * cols + c
      const w = fine.weight[i]!
      if (w === 0) continue
      const j = (r >> 1) * wide + (c >> 1)
      bins.weight[j]! += w
      bins.depthM[j]! += w * fine.depthM[i]!
      bins.offX[j]! += w * (fine.offX[i]! / 2 + ((c & 1) === 0 ? -0.25 : 0.25))
      bins.offY[j]! += w * (fine.offY[i]! / 2 + ((r & 1) === 0 ? -0.25 : 0.25))
    }
  }
  for (let j = 0; j < cells; j++) {
    const w = bins.weight[j]!
    if (w === 0) continue
    bins.depthM[j]! /= w
    bins.offX[j]! /= w
    bins.offY[j]! /= w
  }
  return bins
}
