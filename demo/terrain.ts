import { seededRandom } from '../core/numeric/random'

/** Height above the pool in metres at a point of the local frame; negative is under water. */
export type Terrain = (x: number, y: number) => number

export interface Point { x: number, y: number }

/** Closest approach of a point to a polyline: distance, share of the way along, and the side it lies on. */
export function nearestOn(line: Point[], x: number, y: number): { distanceM: number, along: number } {
  let best = Infinity
  let along = 0
  for (let i = 0; i + 1 < line.length; i++) {
    const a = line[i]!
    const b = line[i + 1]!
    const dx = b.x - a.x
    const dy = b.y - a.y
    const t = Math.max(0, Math.min(1, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy)))
    const d2 = (x - a.x - t * dx) ** 2 + (y - a.y - t * dy) ** 2
    if (d2 < best) {
      best = d2
      along = (i + t) / (line.length - 1)
    }
  }
  return { distanceM: Math.sqrt(best), along }
}

/** Smooth curve through a few points (Catmull-Rom), densified. */
export function curve(points: Point[], perSpan = 12): Point[] {
  const at = (i: number) => points[Math.max(0, Math.min(points.length - 1, i))]!
  const out: Point[] = []
  for (let i = 0; i + 1 < points.length; i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    for (let k = 0; k < perSpan; k++) {
      const t = k / perSpan
      const blend = (a: number, b: number, c: number, d: number) =>
        0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t * t + (3 * b - a - 3 * c + d) * t ** 3)
      out.push({ x: blend(p0.x, p1.x, p2.x, p3.x), y: blend(p0.y, p1.y, p2.y, p3.y) })
    }
  }
  out.push(at(points.length - 1))
  return out
}

/** Smooth value noise in −1…1 with the given size of its features, m. */
export function noise(seed: number, sizeM: number): Terrain {
  const lattice = (i: number, j: number) => seededRandom(seed * 7919 + i * 374761 + j * 668265)() * 2 - 1
  const cache = new Map<number, number>()
  const at = (i: number, j: number) => {
    const key = i * 100003 + j
    const known = cache.get(key)
    if (known !== undefined) return known
    const value = lattice(i, j)
    cache.set(key, value)
    return value
  }
  const ease = (t: number) => t * t * t * (t * (6 * t - 15) + 10)
  return (x, y) => {
    const gx = x / sizeM
    const gy = y / sizeM
    const i = Math.floor(gx)
    const j = Math.floor(gy)
    const u = ease(gx - i)
    const v = ease(gy - j)
    return (at(i, j) * (1 - u) + at(i + 1, j) * u) * (1 - v) + (at(i, j + 1) * (1 - u) + at(i + 1, j + 1) * u) * v
  }
}

/** Smallest of several heights with the crease between them rounded over `k` metres. */
export function smoothMin(heights: number[], k: number): number {
  return heights.reduce((a, b) => {
    const h = Math.max(k - Math.abs(a - b), 0) / k
    return Math.min(a, b) - h * h * k * 0.25
  })
}
