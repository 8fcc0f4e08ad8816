import type { DepthGrid } from './depthGrid'
import { distanceToMarked } from './distanceTransform'
import { forNeighbours, regions } from './regions'
import type { Slopes } from './slope'

export interface Flat {
  cells: Int32Array
  x: number
  y: number
  areaM2: number
  /** mean, m */
  depthM: number
}

/** Deepest water still counted as a shallow flat, m. */
export const FLAT_DEEPEST_M = 2.6
const FLATTEST = 0.025
const LEAST_AREA_M2 = 8000
/** Flats that hang together by less than twice this are two, m. */
const NECK_M = 45

/** Broad level shallows. `grid` and its slopes should be smoothed first. */
export function flats(grid: DepthGrid, { steepness }: Slopes): Flat[] {
  const { depthM, cols, rows, cellM, x0, y0 } = grid
  const level = Uint8Array.from(depthM, (d, i) => (d <= FLAT_DEEPEST_M && steepness[i]! <= FLATTEST ? 1 : 0))
  const toEdge = distanceToMarked(level.map(m => 1 - m), cols, rows)
  const cores = regions(Uint8Array.from(toEdge, d => (d * cellM >= NECK_M ? 1 : 0)), cols, rows, 1)
  const owner = new Int32Array(depthM.length).fill(-1)
  const queue: number[] = []
  cores.forEach((core, k) => core.forEach((i) => {
    owner[i] = k
    queue.push(i)
  }))
  // Each core takes the level cells that it reaches first.
  for (let k = 0; k < queue.length; k++) {
    const from = queue[k]!
    forNeighbours(from, cols, rows, (n) => {
      if (!level[n] || owner[n] !== -1) return
      owner[n] = owner[from]!
      queue.push(n)
    })
  }
  const members: number[][] = cores.map(() => [])
  for (const i of queue) members[owner[i]!]!.push(i)
  return members.filter(list => list.length * cellM ** 2 >= LEAST_AREA_M2).map((list) => {
    let [x, y, depth] = [0, 0, 0]
    for (const i of list) {
      x += x0 + ((i % cols) + 0.5) * cellM
      y += y0 + (Math.floor(i / cols) + 0.5) * cellM
      depth += depthM[i]!
    }
    return { cells: Int32Array.from(list), x: x / list.length, y: y / list.length, areaM2: list.length * cellM ** 2, depthM: depth / list.length }
  }).sort((a, b) => b.areaM2 - a.areaM2)
}
