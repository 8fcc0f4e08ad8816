import type { DepthGrid } from './depthGrid'
import type { XY } from './turns'

/** The least-effort way along the bottom from a wintering basin to a spawning flat. */
export interface Road {
  /** index of the basin and the flat it joins, in the order given */
  basin: number
  flat: number
  line: XY[]
  lengthM: number
  /** length of the road in each band of `ROAD_BANDS_M`, m */
  bandM: number[]
}

/** Upper ends of the depth bands a road is told off in, m; the last is open. */
export const ROAD_BANDS_M = [1.5, 3, 4.5, 6, 9, Infinity]
/** A metre up or down costs as much as this many level ones: fish keep to gentle ways. */
const CLIMB = 15

/** One road to each flat, from the basin it is easiest to reach from; a flat that no basin reaches has none. */
export function roads(grid: DepthGrid, basinCells: number[], flats: { cells: Int32Array }[]): Road[] {
  const { depthM, cols, rows, cellM } = grid
  const cost = new Float64Array(depthM.length).fill(Infinity)
  const before = new Int32Array(depthM.length).fill(-1)
  const origin = new Int32Array(depthM.length).fill(-1)
  const heap = new Heap(cost)
  basinCells.forEach((cell, k) => {
    cost[cell] = 0
    origin[cell] = k
    heap.push(cell)
  })
  for (let i = heap.pop(); i !== -1; i = heap.pop()) {
    const c = i % cols
    const r = (i - c) / cols
    for (let dr = -1; dr <= 1; dr++) {
      for (let dc = -1; dc <= 1; dc++) {
        if ((dr === 0 && dc === 0) || c + dc < 0 || c + dc >= cols || r + dr < 0 || r + dr >= rows) continue
        const n = i + dr * cols + dc
        const depth = depthM[n]!
        if (Number.isNaN(depth)) continue
        const level = cellM * (dr !== 0 && dc !== 0 ? Math.SQRT2 : 1)
        const next = cost[i]! + Math.hypot(level, CLIMB * (depth - depthM[i]!))
        if (next >= cost[n]!) continue
        cost[n] = next
        before[n] = i
        origin[n] = origin[i]!
        heap.push(n)
      }
    }
  }
  return flats.flatMap(({ cells }, flat): Road[] => {
    const end = cells.reduce((best, i) => (cost[i]! < cost[best]! ? i : best), cells[0]!)
    if (!Number.isFinite(cost[end]!)) return []
    const way: number[] = [end]
    while (before[way.at(-1)!] !== -1) way.push(before[way.at(-1)!]!)
    way.reverse()
    const line = way.map((i): XY => [grid.x0 + ((i % cols) + 0.5) * cellM, grid.y0 + (Math.floor(i / cols) + 0.5) * cellM])
    const bandM = ROAD_BANDS_M.map(() => 0)
    let lengthM = 0
    for (let k = 1; k < way.length; k++) {
      const part = Math.hypot(line[k]![0] - line[k - 1]![0], line[k]![1] - line[k - 1]![1])
      lengthM += part
      bandM[ROAD_BANDS_M.findIndex(end => depthM[way[k]!]! < end)]! += part
    }
    return [{ basin: origin[end]!, flat, line, lengthM, bandM }]
  })
}

/** Cells by least cost; a cell pushed again after its cost fell is met first at the lower cost and skipped after. */
class Heap {
  private readonly cells: number[] = []
  private readonly costs: number[] = []
  constructor(private readonly cost: Float64Array) {}

  push(cell: number): void {
    const cost = this.cost[cell]!
    let at = this.cells.length
    while (at > 0) {
      const up = (at - 1) >> 1
      if (this.costs[up]! <= cost) break
      this.cells[at] = this.cells[up]!
      this.costs[at] = this.costs[up]!
      at = up
    }
    this.cells[at] = cell
    this.costs[at] = cost
  }

  /** The cheapest cell not yet met at its present cost, or −1. */
  pop(): number {
    while (this.cells.length > 0) {
      const cell = this.cells[0]!
      const cost = this.costs[0]!
      const lastCell = this.cells.pop()!
      const lastCost = this.costs.pop()!
      const n = this.cells.length
      if (n > 0) {
        let at = 0
        for (;;) {
          let down = 2 * at + 1
          if (down >= n) break
          if (down + 1 < n && this.costs[down + 1]! < this.costs[down]!) down++
          if (this.costs[down]! >= lastCost) break
          this.cells[at] = this.cells[down]!
          this.costs[at] = this.costs[down]!
          at = down
        }
        this.cells[at] = lastCell
        this.costs[at] = lastCost
      }
      if (cost === this.cost[cell]) return cell
    }
    return -1
  }
}
