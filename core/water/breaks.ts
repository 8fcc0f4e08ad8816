import { depthAt, type DepthGrid } from './depthGrid'
import type { Flat } from './flats'
import { forNeighbours, regions } from './regions'
import type { Slopes } from './slope'
import type { XY } from './turns'

/** A steep fall beside a flat. */
export interface Break {
  flat: Flat
  /** along its top edge, m */
  line: XY[]
  x: number
  y: number
  lengthM: number
  /** at the top and at the foot, m */
  depthM: [number, number]
  /** level distance from top to foot, m */
  runM: number
  /** fall over run */
  steepness: number
  /** the way down, degrees */
  facingDeg: number
}

/** A break is where 5 ft falls to 15: by so much, m. */
export const BREAK_FALL_M = 3
const LONGEST_RUN_M = 90
const SHORTEST_M = 40
const STEP_M = 2.5

/** Steep falls along the deep edges of flats. `grid` and its slopes should be smoothed first. */
export function breaks(grid: DepthGrid, slopes: Slopes, flats: Flat[]): Break[] {
  const { cols, rows, cellM, depthM } = grid
  return flats.flatMap((flat) => {
    const inside = new Set(flat.cells)
    const runs = new Map<number, { runM: number, downX: number, downY: number }>()
    const mask = new Uint8Array(depthM.length)
    for (const i of flat.cells) {
      let edge = false
      forNeighbours(i, cols, rows, (n) => {
        if (!inside.has(n) && depthM[n]! > depthM[i]!) edge = true
      })
      const run = edge ? runDown(grid, slopes, i) : null
      if (!run) continue
      runs.set(i, run)
      mask[i] = 1
      // A gap of a cell does not end a break.
      forNeighbours(i, cols, rows, (n) => {
        mask[n] = 1
      })
    }
    return regions(mask, cols, rows, 3).flatMap((region) => {
      const cells = region.filter(i => runs.has(i))
      const line = alongAxis(Array.from(cells, (i): XY => [grid.x0 + ((i % cols) + 0.5) * cellM, grid.y0 + (Math.floor(i / cols) + 0.5) * cellM]))
      const lengthM = line.length > 1 ? Math.hypot(line.at(-1)![0] - line[0]![0], line.at(-1)![1] - line[0]![1]) : 0
      if (lengthM < SHORTEST_M) return []
      const own = Array.from(cells, i => runs.get(i)!)
      const runM = [...own.map(o => o.runM)].sort((a, b) => a - b)[own.length >> 1]!
      const top = cells.reduce((sum, i) => sum + depthM[i]!, 0) / cells.length
      const [downX, downY] = [own.reduce((s, o) => s + o.downX, 0), own.reduce((s, o) => s + o.downY, 0)]
      const middle = line[line.length >> 1]!
      return [{
        flat, line, x: middle[0], y: middle[1], lengthM, depthM: [top, top + BREAK_FALL_M] as [number, number], runM, steepness: BREAK_FALL_M / runM,
        facingDeg: ((Math.atan2(downX, downY) * 180) / Math.PI + 360) % 360,
      }]
    })
  })
}

/** Straight down from a cell's edge until it has fallen enough; null when it takes too long or runs into the bank. */
function runDown(grid: DepthGrid, { downX, downY }: Slopes, i: number) {
  const { cols, cellM, x0, y0, depthM } = grid
  const start = depthM[i]!
  let x = x0 + ((i % cols) + 0.5) * cellM
  let y = y0 + (Math.floor(i / cols) + 0.5) * cellM
  const [firstX, firstY] = [x, y]
  for (let walked = 0; walked <= LONGEST_RUN_M; walked += STEP_M) {
    const c = Math.floor((x - x0) / cellM)
    const r = Math.floor((y - y0) / cellM)
    const depth = depthAt({ grid, x, y })
    if (Number.isNaN(depth)) return null
    if (depth >= start + BREAK_FALL_M) {
      const runM = Math.hypot(x - firstX, y - firstY)
      return runM > 0 ? { runM, downX: (x - firstX) / runM, downY: (y - firstY) / runM } : null
    }
    const at = r * cols + c
    if (downX[at] === 0 && downY[at] === 0) return null
    x += downX[at]! * STEP_M
    y += downY[at]! * STEP_M
  }
  return null
}

/** Points in order along their longer direction. */
function alongAxis(points: XY[]): XY[] {
  const n = points.length
  const [mx, my] = [points.reduce((s, p) => s + p[0], 0) / n, points.reduce((s, p) => s + p[1], 0) / n]
  let [xx, xy, yy] = [0, 0, 0]
  for (const [x, y] of points) {
    xx += (x - mx) ** 2
    yy += (y - my) ** 2
    xy += (x - mx) * (y - my)
  }
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy)
  const along = ([x, y]: XY) => (x - mx) * Math.cos(angle) + (y - my) * Math.sin(angle)
  return [...points].sort((a, b) => along(a) - along(b))
}
