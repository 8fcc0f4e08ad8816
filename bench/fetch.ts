import { fetchField } from '../core'
import type { DepthGrid } from '../core/water/depthGrid'
import { pellowickGrid } from '../demo/pellowick'
import { race } from './time'

const DIRECTIONS = 36

/** A ray from every wet cell in every direction, cell border by cell border: exact and slow. */
function marchAll({ depthM, cols, rows, cellM }: DepthGrid): Float32Array[] {
  return Array.from({ length: DIRECTIONS }, (_, k) => {
    const angle = (k * 2 * Math.PI) / DIRECTIONS
    const dx = Math.abs(Math.sin(angle)) < 1e-12 ? 0 : Math.sin(angle)
    const dy = Math.abs(Math.cos(angle)) < 1e-12 ? 0 : Math.cos(angle)
    const stepX = dx === 0 ? Infinity : cellM / Math.abs(dx)
    const stepY = dy === 0 ? Infinity : cellM / Math.abs(dy)
    const out = new Float32Array(depthM.length).fill(Number.NaN)
    for (let i = 0; i < depthM.length; i++) {
      if (Number.isNaN(depthM[i]!)) continue
      let c = i % cols
      let r = (i - c) / cols
      let tx = stepX / 2
      let ty = stepY / 2
      for (;;) {
        const t = tx < ty ? tx : ty
        if (tx < ty) {
          c += dx > 0 ? 1 : -1
          tx += stepX
        }
        else {
          r += dy > 0 ? 1 : -1
          ty += stepY
        }
        if (c < 0 || r < 0 || c >= cols || r >= rows || Number.isNaN(depthM[r * cols + c]!)) {
          out[i] = t
          break
        }
      }
    }
    return out
  })
}

export function fetchBench() {
  const grid = pellowickGrid()
  const exact = marchAll(grid)
  const errors = fetchField({ grid, directions: DIRECTIONS }).flatMap((field, k) => [...field].flatMap((f, i) => (Number.isNaN(f) ? [] : [Math.abs(f - exact[k]![i]!)])))
  const sorted = Float64Array.from(errors).sort()
  const at = (share: number) => (sorted[Math.floor(share * sorted.length)]! / grid.cellM).toFixed(2)
  const times = race({ sweep: () => fetchField({ grid, directions: DIRECTIONS }), rays: () => marchAll(grid) }, 3)
  return {
    what: `fetch in ${DIRECTIONS} directions on the demo reservoir against an exact ray per cell and direction`,
    lines: [`time: ${(times.rays! / times.sweep!).toFixed(0)} times faster`, `difference in cells: median ${at(0.5)}, 95th percentile ${at(0.95)}, 99th ${at(0.99)}`],
  }
}
