import type { Ring } from './rasterise'

export interface ShorelineFault {
  message: string
  /** where, in the local frame, m */
  x: number
  y: number
}

const LARGEST_M2 = 3e9
const SMALLEST_M2 = 400

/** Area inside a ring, m²; always positive. */
export function ringArea(ring: Ring): number {
  let twice = 0
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!
    twice += a.x * b.y - b.x * a.y
  })
  return Math.abs(twice) / 2
}

/** Is a point inside a ring, by the even-odd rule? */
export function insideRing(ring: Ring, x: number, y: number): boolean {
  let inside = false
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const a = ring[i]!
    const b = ring[j]!
    if ((a.y > y) !== (b.y > y) && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside
  }
  return inside
}

/** The first place where a shoreline crosses itself, or what else keeps it from holding water; null when it is sound. */
export function shorelineFault(ring: Ring): ShorelineFault | null {
  const at = ring[0] ?? { x: 0, y: 0 }
  if (ring.length < 3) return { message: `a shoreline needs at least 3 corners; this one has ${ring.length}`, ...at }
  const area = ringArea(ring)
  if (area < SMALLEST_M2) return { message: 'the shoreline encloses next to nothing: its corners lie on one line, or longitude and latitude are mixed up', ...at }
  if (area > LARGEST_M2) return { message: `the shoreline encloses ${Math.round(area / 1e6)} km²: more than a lake; are longitude and latitude in degrees?`, ...at }
  // A corner given twice, the closing one for instance, is no crossing.
  const cross = selfCrossing(ring.filter((p, i) => {
    const before = ring[(i + ring.length - 1) % ring.length]!
    return p.x !== before.x || p.y !== before.y
  }))
  return cross ? { message: `the shoreline crosses itself between corners ${cross.first + 1} and ${cross.second + 1}`, x: cross.x, y: cross.y } : null
}

/** Sweep over the edges by their west ends; lakes have thousands of corners, so not each against each. */
function selfCrossing(ring: Ring): { first: number, second: number, x: number, y: number } | null {
  const n = ring.length
  const edges = ring.map((a, i) => {
    const b = ring[(i + 1) % n]!
    return { i, a, b, west: Math.min(a.x, b.x), east: Math.max(a.x, b.x), south: Math.min(a.y, b.y), north: Math.max(a.y, b.y) }
  }).sort((p, q) => p.west - q.west)
  let open: typeof edges = []
  for (const edge of edges) {
    open = open.filter(o => o.east >= edge.west)
    for (const other of open) {
      if (other.south > edge.north || other.north < edge.south) continue
      const between = Math.abs(other.i - edge.i)
      if (between === 1 || between === n - 1) continue
      const hit = meet(edge.a, edge.b, other.a, other.b)
      if (hit) return { first: Math.min(edge.i, other.i), second: Math.max(edge.i, other.i), ...hit }
    }
    open.push(edge)
  }
  return null
}

function meet(a: Ring[number], b: Ring[number], c: Ring[number], d: Ring[number]): { x: number, y: number } | null {
  const det = (b.x - a.x) * (d.y - c.y) - (b.y - a.y) * (d.x - c.x)
  if (det === 0) return null
  const s = ((c.x - a.x) * (d.y - c.y) - (c.y - a.y) * (d.x - c.x)) / det
  const t = ((c.x - a.x) * (b.y - a.y) - (c.y - a.y) * (b.x - a.x)) / det
  return s >= 0 && s <= 1 && t >= 0 && t <= 1 ? { x: a.x + s * (b.x - a.x), y: a.y + s * (b.y - a.y) } : null
}

/** The largest outline is the shoreline; its own holes and every other outline inside it are islands; the rest is not of this water. */
export function arrangeOutlines(outlines: { outer: Ring, holes: readonly Ring[] }[]): { outer: Ring, islands: Ring[], elsewhere: number } | null {
  const [largest, ...others] = [...outlines].sort((a, b) => ringArea(b.outer) - ringArea(a.outer))
  if (!largest) return null
  const inside = others.filter(o => insideRing(largest.outer, o.outer[0]!.x, o.outer[0]!.y))
  return { outer: largest.outer, islands: [...largest.holes, ...inside.map(o => o.outer)], elsewhere: others.length - inside.length }
}
