import type { DepthGrid } from '../core/water/depthGrid'
import type { Terrain } from './terrain'

/** A terrain below its water as a depth grid: only the one connected lake, depths to the centimetre, the frame's rim dry. */
export function gridOf(terrain: Terrain, { widthM, heightM, cellM }: { widthM: number, heightM: number, cellM: number }): DepthGrid {
  const cols = Math.round(widthM / cellM)
  const rows = Math.round(heightM / cellM)
  const depthM = new Float32Array(cols * rows).fill(Number.NaN)
  for (let r = 1; r < rows - 1; r++) {
    for (let c = 1; c < cols - 1; c++) {
      const height = terrain((c + 0.5) * cellM, (r + 0.5) * cellM)
      if (height < 0) depthM[r * cols + c] = Math.max(0.01, Math.round(-height * 100) / 100)
    }
  }
  keepLargestLake(depthM, cols)
  return { x0: 0, y0: 0, cellM, cols, rows, depthM }
}

/** Dries every pond that is not part of the largest connected water (by edges). */
function keepLargestLake(depthM: Float32Array, cols: number): void {
  const label = new Int32Array(depthM.length)
  const sizes = [0]
  for (let start = 0; start < depthM.length; start++) {
    if (label[start] !== 0 || Number.isNaN(depthM[start]!)) continue
    const id = sizes.length
    const stack = [start]
    label[start] = id
    let size = 0
    while (stack.length > 0) {
      const cell = stack.pop()!
      size++
      for (const next of [cell - 1, cell + 1, cell - cols, cell + cols]) {
        if (label[next] === 0 && !Number.isNaN(depthM[next]!)) {
          label[next] = id
          stack.push(next)
        }
      }
    }
    sizes.push(size)
  }
  const largest = sizes.indexOf(Math.max(...sizes))
  depthM.forEach((_, i) => {
    if (label[i] !== largest) depthM[i] = Number.NaN
  })
}
