import type { DepthGrid } from './depthGrid'
import { forNeighbours, regions } from './regions'
import { resample, turns, type Turn, type XY } from './turns'

export interface Channel {
  /** middle of the bed from end to end, m */
  line: XY[]
  lengthM: number
  bends: Turn[]
}

/** A bed counts where the bottom is this much higher on both sides, m … */
const LEAST_CUT_M = 0.45
/** … this far away, m. */
const BESIDE_M = 40
const SHORTEST_M = 350
const BEND_WINDOW_M = 70
const BEND_DEG = 45

/** Old river and creek beds: long lines lower than the bottom on both sides of them. `depthM` should be smoothed first. */
export function channels({ depthM, cols, rows, cellM, x0, y0 }: DepthGrid): Channel[] {
  const reach = Math.max(2, Math.round(BESIDE_M / cellM))
  const mask = new Uint8Array(depthM.length)
  const diagonal = Math.round(reach / Math.SQRT2)
  const ways = [[reach, 0], [0, reach], [diagonal, diagonal], [diagonal, -diagonal]] as const
  for (let r = reach; r < rows - reach; r++) {
    for (let c = reach; c < cols - reach; c++) {
      const here = depthM[r * cols + c]!
      if (Number.isNaN(here)) continue
      for (const [dc, dr] of ways) {
        const one = depthM[(r + dr) * cols + c + dc]!
        const other = depthM[(r - dr) * cols + c - dc]!
        // Both sides wet: the narrow end of an arm is a valley, not a bed in a floor.
        if (here - one >= LEAST_CUT_M && here - other >= LEAST_CUT_M) {
          mask[r * cols + c] = 1
          break
        }
      }
    }
  }
  const place = (i: number): XY => [x0 + ((i % cols) + 0.5) * cellM, y0 + (Math.floor(i / cols) + 0.5) * cellM]
  return regions(mask, cols, rows, Math.round(SHORTEST_M / cellM)).flatMap((cells) => {
    const path = longestWay(cells, depthM, cols, rows)
    const line = path.map(place)
    const lengthM = line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - line[i]![0], y - line[i]![1]), 0)
    if (lengthM < SHORTEST_M) return []
    return [{ line: resample(line, 10), lengthM, bends: turns(line, { windowM: BEND_WINDOW_M, leastDeg: BEND_DEG, closed: false }) }]
  })
}

/** From one end of a region to the other along its deepest: two searches for the farthest cell, the second leaves the way. */
function longestWay(cells: Int32Array, depthM: Float32Array, cols: number, rows: number): number[] {
  const inside = new Set(cells)
  const deepest = cells.reduce((max, i) => Math.max(max, depthM[i]!), 0)
  const search = (from: number) => {
    const cost = new Map<number, number>([[from, 0]])
    const before = new Map<number, number>()
    const buckets: number[][] = [[from]]
    let last = from
    // Whole-number costs: a Dijkstra by buckets.
    for (let b = 0; b < buckets.length; b++) {
      for (const i of buckets[b] ?? []) {
        if (cost.get(i) !== b) continue
        last = i
        forNeighbours(i, cols, rows, (n) => {
          if (!inside.has(n)) return
          const step = Math.abs(n - i) === 1 || Math.abs(n - i) === cols ? 5 : 7
          const next = b + step * (1 + Math.round(3 * Math.min(3, localRise(n))))
          if (next >= (cost.get(n) ?? Infinity)) return
          cost.set(n, next)
          before.set(n, i);
          (buckets[next] ??= []).push(n)
        })
      }
    }
    return { last, before }
  }
  /** How far a cell lies above the deepest beside it, m: keeps the way in the middle of the bed. */
  function localRise(i: number): number {
    let low = depthM[i]!
    for (const d of [-3, 3, -3 * cols, 3 * cols]) {
      const other = depthM[i + d]
      if (other !== undefined && other > low) low = other
    }
    return Math.min(deepest, low) - depthM[i]!
  }
  const one = search(cells[0]!).last
  const { last, before } = search(one)
  const way = [last]
  while (way.at(-1) !== one) way.push(before.get(way.at(-1)!)!)
  return way
}
