import { contourLines } from './contourLines'
import { depthAt, type DepthGrid } from './depthGrid'
import { turns, type XY } from './turns'

/** A bulge (point) or a dent (inside turn) of the bank as several contours show it. */
export interface BankTurn {
  kind: 'point' | 'insideTurn'
  x: number
  y: number
  /** shallowest and deepest contour that turns here, m */
  depthM: [number, number]
  /** the way the point looks, or the turn opens: toward deep water, degrees */
  facingDeg: number
  /** how sharply it turns on the whole, degrees */
  turnDeg: number
}

const WINDOW_M = 75
const LEAST_DEG = 62
/** Turns of neighbouring contours this close belong together, m. */
const SAME_M = 85
const FEWEST_LEVELS = 3
/** Shorter closed contours are humps and holes, not bank, m. */
const SHORTEST_M = 900

/** Points and inside turns from the curvature of the contours. `grid` should be smoothed first. */
export function bankTurns(grid: DepthGrid, levelsM: number[]): BankTurn[] {
  interface Seen { kind: BankTurn['kind'], x: number, y: number, levelM: number, facingDeg: number, turnDeg: number }
  const seen: Seen[] = []
  for (const { levelM, lines } of contourLines({ grid, levelsM })) {
    for (const line of lines) {
      if (lengthOf(line) < SHORTEST_M) continue
      for (const turn of turns(line, { windowM: WINDOW_M, leastDeg: LEAST_DEG, closed: true })) {
        const inward = turn.insideDeg
        const probe = (way: number) => depthAt({ grid, x: turn.x + Math.sin((way * Math.PI) / 180) * 20, y: turn.y + Math.cos((way * Math.PI) / 180) * 20 })
        const [inside, outside] = [probe(inward), probe(inward + 180)]
        if (Number.isNaN(outside) && Number.isNaN(inside)) continue
        // Shallow inside the turn: the bank sticks out into deeper water.
        const point = Number.isNaN(inside) || inside < outside
        seen.push({ kind: point ? 'point' : 'insideTurn', x: turn.x, y: turn.y, levelM, facingDeg: point ? (inward + 180) % 360 : inward, turnDeg: Math.abs(turn.turnDeg) })
      }
    }
  }
  const groups: Seen[][] = []
  for (const one of seen.sort((a, b) => a.levelM - b.levelM)) {
    const group = groups.find(g => g[0]!.kind === one.kind && Math.hypot(g.at(-1)!.x - one.x, g.at(-1)!.y - one.y) <= SAME_M && apart(g.at(-1)!.facingDeg, one.facingDeg) < 75)
    if (group) group.push(one)
    else groups.push([one])
  }
  return groups.filter(g => new Set(g.map(s => s.levelM)).size >= FEWEST_LEVELS).map((g) => {
    const middle = g[Math.floor(g.length / 2)]!
    const turnDeg = g.reduce((sum, s) => sum + s.turnDeg, 0) / g.length
    return { kind: middle.kind, x: middle.x, y: middle.y, depthM: [g[0]!.levelM, g.at(-1)!.levelM] as [number, number], facingDeg: middle.facingDeg, turnDeg }
  })
}

const lengthOf = (line: XY[]) => line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - line[i]![0], y - line[i]![1]), 0)

/** Angle between two bearings, 0–180. */
function apart(a: number, b: number): number {
  const d = Math.abs(a - b) % 360
  return d > 180 ? 360 - d : d
}
