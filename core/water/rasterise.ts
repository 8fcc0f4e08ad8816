/** A closed line in the local frame, m; the last point need not repeat the first. */
export type Ring = readonly { x: number, y: number }[]

/** Square raster in the local frame: cell (c, r) has its centre at x0+(c+½)·cellM, y0+(r+½)·cellM; row 0 is the southernmost. */
export interface Raster {
  x0: number
  y0: number
  cellM: number
  cols: number
  rows: number
}

/** Raster that covers a shoreline with one dry cell all round. */
export function rasterAround(outer: Ring, cellM: number): Raster {
  let [west, south, east, north] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const { x, y } of outer) {
    west = Math.min(west, x)
    east = Math.max(east, x)
    south = Math.min(south, y)
    north = Math.max(north, y)
  }
  const x0 = (Math.floor(west / cellM) - 1) * cellM
  const y0 = (Math.floor(south / cellM) - 1) * cellM
  return { x0, y0, cellM, cols: Math.ceil((east - x0) / cellM) + 1, rows: Math.ceil((north - y0) / cellM) + 1 }
}

/**
 * Cells whose centre is on the water: inside `outer` and outside every island, by the even-odd rule,
 * so that a ring's direction does not matter. 1 wet, 0 dry, row-major.
 */
export function rasterise({ x0, y0, cellM, cols, rows }: Raster, outer: Ring, islands: readonly Ring[] = []): Uint8Array {
  const wet = new Uint8Array(cols * rows)
  const crossings: number[][] = Array.from({ length: rows }, () => [])
  for (const ring of [outer, ...islands]) {
    for (let i = 0; i < ring.length; i++) {
      const a = ring[i]!
      const b = ring[(i + 1) % ring.length]!
      if (a.y === b.y) continue
      const [low, high] = a.y < b.y ? [a, b] : [b, a]
      // Half-open in y: a corner on a row's centre line is crossed once.
      const first = Math.max(0, Math.ceil((low.y - y0) / cellM - 0.5))
      const last = Math.min(rows - 1, Math.ceil((high.y - y0) / cellM - 0.5) - 1)
      for (let r = first; r <= last; r++) {
        const y = y0 + (r + 0.5) * cellM
        crossings[r]!.push(low.x + ((y - low.y) * (high.x - low.x)) / (high.y - low.y))
      }
    }
  }
  crossings.forEach((xs, r) => {
    xs.sort((a, b) => a - b)
    for (let k = 0; k + 1 < xs.length; k += 2) {
      const from = Math.max(0, Math.ceil((xs[k]! - x0) / cellM - 0.5))
      const to = Math.min(cols - 1, Math.ceil((xs[k + 1]! - x0) / cellM - 0.5) - 1)
      if (to >= from) wet.fill(1, r * cols + from, r * cols + to + 1)
    }
  })
  return wet
}
