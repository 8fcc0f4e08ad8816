import type { DepthGrid } from './depthGrid'

export interface Slopes {
  /** fall of the bottom, m per m; NaN off the water */
  steepness: Float32Array
  /** the way down: unit vector east and north; 0, 0 on the level */
  downX: Float32Array
  downY: Float32Array
}

/** Slope of the bottom from the depths on both sides of each cell; beside the bank from the wet side alone. */
export function slopes({ depthM, cols, rows, cellM }: Pick<DepthGrid, 'depthM' | 'cols' | 'rows' | 'cellM'>): Slopes {
  const steepness = new Float32Array(depthM.length).fill(Number.NaN)
  const downX = new Float32Array(depthM.length)
  const downY = new Float32Array(depthM.length)
  const lean = (i: number, back: number, on: number): number => {
    const here = depthM[i]!
    const before = back < 0 ? Number.NaN : depthM[back]!
    const after = on < 0 ? Number.NaN : depthM[on]!
    if (!Number.isNaN(before) && !Number.isNaN(after)) return (after - before) / (2 * cellM)
    if (!Number.isNaN(after)) return (after - here) / cellM
    return Number.isNaN(before) ? 0 : (here - before) / cellM
  }
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < cols; c++) {
      const i = r * cols + c
      if (Number.isNaN(depthM[i]!)) continue
      const gx = lean(i, c > 0 ? i - 1 : -1, c < cols - 1 ? i + 1 : -1)
      const gy = lean(i, r > 0 ? i - cols : -1, r < rows - 1 ? i + cols : -1)
      const fall = Math.hypot(gx, gy)
      steepness[i] = fall
      if (fall > 0) {
        downX[i] = gx / fall
        downY[i] = gy / fall
      }
    }
  }
  return { steepness, downX, downY }
}
