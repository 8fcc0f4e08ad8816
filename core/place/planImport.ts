import { POSITIVE, requireNumber } from '../guard'
import type { LocalFrame } from '../water/localFrame'

/** Two marks this near to each other are one place, m. */
export const SAME_PLACE_M = 15

interface At { lonDeg: number, latDeg: number }

/** What becomes of one place of a file. */
export interface PlannedPlace<F, K> {
  found: F
  /** a place that is kept already and lies within reach, with the distance; null: none */
  twin: { place: K, distanceM: number } | null
  /** number of an earlier place of the same file that lies within reach; null: none */
  repeats: number | null
}

/**
 * Holds the places of a file against those that are kept, and against each other: the nearest within reach is its twin.
 * @throws RangeError for a reach that is not above 0
 */
export function planImport<F extends At, K extends At>({ found, kept, frame, withinM = SAME_PLACE_M }: { found: readonly F[], kept: readonly K[], frame: LocalFrame, withinM?: number }): PlannedPlace<F, K>[] {
  requireNumber('withinM', withinM, POSITIVE)
  const keptNear = buckets(kept, frame, withinM)
  const foundNear = buckets(found, frame, withinM)
  return found.map((one, i) => {
    const near = keptNear(one).reduce<{ i: number, distanceM: number } | null>((best, n) => (best && best.distanceM <= n.distanceM ? best : n), null)
    const earlier = foundNear(one).filter(n => n.i < i).map(n => n.i)
    return { found: one, twin: near && { place: kept[near.i]!, distanceM: near.distanceM }, repeats: near || earlier.length === 0 ? null : Math.min(...earlier) }
  })
}

/** Those within reach of a point, from squares as wide as the reach. */
function buckets(list: readonly At[], frame: LocalFrame, withinM: number) {
  const squares = new Map<string, { i: number, x: number, y: number }[]>()
  const square = (v: number) => Math.floor(v / withinM)
  list.forEach(({ lonDeg, latDeg }, i) => {
    const { x, y } = frame.toLocal(lonDeg, latDeg)
    const key = `${square(x)},${square(y)}`
    squares.set(key, [...squares.get(key) ?? [], { i, x, y }])
  })
  return ({ lonDeg, latDeg }: At) => {
    const { x, y } = frame.toLocal(lonDeg, latDeg)
    const around = [-1, 0, 1].flatMap(dx => [-1, 0, 1].flatMap(dy => squares.get(`${square(x) + dx},${square(y) + dy}`) ?? []))
    return around.map(p => ({ i: p.i, distanceM: Math.hypot(p.x - x, p.y - y) })).filter(p => p.distanceM <= withinM)
  }
}
