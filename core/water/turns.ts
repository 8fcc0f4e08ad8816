export type XY = [x: number, y: number]

export interface Turn {
  x: number
  y: number
  /** degrees turned over the window; positive to the left */
  turnDeg: number
  /** bearing to the inside of the turn, degrees clockwise from north */
  insideDeg: number
}

/** The same line with a corner every `stepM`; a closed one ends where it begins. */
export function resample(line: readonly XY[], stepM: number): XY[] {
  const out: XY[] = []
  let left = 0
  for (let i = 0; i + 1 < line.length; i++) {
    const [ax, ay] = line[i]!
    const [bx, by] = line[i + 1]!
    const length = Math.hypot(bx - ax, by - ay)
    let at = left
    for (; at < length; at += stepM) out.push([ax + ((bx - ax) * at) / length, ay + ((by - ay) * at) / length])
    left = at - length
  }
  return out
}

/**
 * Where a line turns by at least `leastDeg` within ±`windowM`, one place a turn: the sharpest. The line is resampled and smoothed
 * over a third of the window first, so that the cells' steps do not count.
 */
export function turns(line: readonly XY[], { windowM, leastDeg, closed }: { windowM: number, leastDeg: number, closed: boolean }): Turn[] {
  const step = windowM / 12
  const points = smoothed(resample(line, step), 4, closed)
  const n = points.length
  const reach = 12
  if (n < 3 * reach) return []
  const at = (i: number) => (closed ? points[((i % n) + n) % n]! : points[Math.max(0, Math.min(n - 1, i))]!)
  const turned = points.map((_, i) => {
    if (!closed && (i < reach || i >= n - reach)) return 0
    const [ax, ay] = minus(at(i - reach / 3), at(i - reach))
    const [bx, by] = minus(at(i + reach), at(i + reach / 3))
    return (Math.atan2(ax * by - ay * bx, ax * bx + ay * by) * 180) / Math.PI
  })
  const found: Turn[] = []
  for (let i = 0; i < n; i++) {
    const here = Math.abs(turned[i]!)
    if (here < leastDeg) continue
    let sharpest = true
    for (let k = -reach; k <= reach && sharpest; k++) {
      const j = closed ? (((i + k) % n) + n) % n : i + k
      if (k === 0 || j < 0 || j >= n || Math.sign(turned[j]!) !== Math.sign(turned[i]!)) continue
      sharpest = here > Math.abs(turned[j]!) || (here === Math.abs(turned[j]!) && k > 0)
    }
    if (!sharpest) continue
    const [mx, my] = minus([(at(i - reach)[0] + at(i + reach)[0]) / 2, (at(i - reach)[1] + at(i + reach)[1]) / 2], points[i]!)
    found.push({ x: points[i]![0], y: points[i]![1], turnDeg: turned[i]!, insideDeg: ((Math.atan2(mx, my) * 180) / Math.PI + 360) % 360 })
  }
  return found
}

const minus = ([ax, ay]: XY, [bx, by]: XY): XY => [ax - bx, ay - by]

function smoothed(points: XY[], half: number, closed: boolean): XY[] {
  const n = points.length
  return points.map((p, i) => {
    const reach = closed ? half : Math.min(half, i, n - 1 - i)
    if (reach === 0) return p
    let [x, y, weights] = [0, 0, 0]
    for (let k = -reach; k <= reach; k++) {
      const [px, py] = points[(((i + k) % n) + n) % n]!
      const weight = reach + 1 - Math.abs(k)
      x += weight * px
      y += weight * py
      weights += weight
    }
    return [x / weights, y / weights]
  })
}
