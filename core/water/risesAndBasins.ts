import type { DepthGrid } from './depthGrid'

/** A summit or a hollow of the bottom that stands out by itself. */
export interface Extreme {
  /** cell of the highest or lowest point */
  cell: number
  depthM: number
  /** cell where it joins a larger one (or the bank), and the depth there; null for the lake's deepest basin */
  saddle: { cell: number, depthM: number } | null
  /** how far it stands out over that, m */
  prominenceM: number
  /** cells within it down (or up) to the saddle */
  cells: number
}

/**
 * Humps: summits that stand clear of the bank. Found by letting the water down from the surface: each summit grows until it
 * joins a higher one or the bank, and its prominence is how far that was (persistence by union-find).
 */
export function humps(grid: DepthGrid, leastProminenceM: number): Extreme[] {
  return persistent(grid, 1, leastProminenceM)
}

/** Basins: hollows, the deepest first, by the same rule from below. */
export function basins(grid: DepthGrid, leastProminenceM: number): Extreme[] {
  return persistent(grid, -1, leastProminenceM)
}

const BANK = -2
const UNSEEN = -1

/** sign 1: from shallow to deep, with the bank as a summit of its own; −1: from deep to shallow. */
function persistent({ depthM, cols, rows }: DepthGrid, sign: 1 | -1, least: number): Extreme[] {
  const wet: number[] = []
  depthM.forEach((d, i) => {
    if (!Number.isNaN(d)) wet.push(i)
  })
  const order = Int32Array.from(wet).sort((a, b) => sign * (depthM[a]! - depthM[b]!) || a - b)
  const parent = new Int32Array(depthM.length).fill(UNSEEN)
  const size = new Int32Array(depthM.length)
  /** is the component one with the bank? */
  const banked = new Uint8Array(depthM.length)
  const found: Extreme[] = []
  const root = (i: number): number => {
    let at = i
    while (parent[at] !== at) {
      parent[at] = parent[parent[at]!]!
      at = parent[at]!
    }
    return at
  }
  // A component's root is its own extreme cell: it came first.
  const close = (extreme: number, saddle: number | null) => {
    const top = depthM[extreme]!
    const prominenceM = saddle === null ? Infinity : Math.abs(depthM[saddle]! - top)
    if (prominenceM >= least) found.push({ cell: extreme, depthM: top, saddle: saddle === null ? null : { cell: saddle, depthM: depthM[saddle]! }, prominenceM, cells: size[extreme]! })
  }
  for (const i of order) {
    parent[i] = i
    size[i] = 1
    const c = i % cols
    const r = (i - c) / cols
    const neighbours = [c > 0 ? i - 1 : BANK, c < cols - 1 ? i + 1 : BANK, r > 0 ? i - cols : BANK, r < rows - 1 ? i + cols : BANK]
    for (const n of neighbours) {
      if (n === BANK || Number.isNaN(depthM[n]!)) {
        if (sign === 1) {
          const here = root(i)
          if (!banked[here]) {
            if (here !== i) close(here, i)
            banked[here] = 1
          }
        }
        continue
      }
      if (parent[n] === UNSEEN) continue
      const a = root(i)
      const b = root(n)
      if (a === b) continue
      const [win, lose] = banked[a] !== banked[b] ? (banked[a] ? [a, b] : [b, a]) : sign * (depthM[a]! - depthM[b]!) <= 0 ? [a, b] : [b, a]
      if (!banked[lose] && lose !== i) close(lose, i)
      parent[lose] = win
      size[win]! += size[lose]!
    }
  }
  if (sign === -1) for (const i of order) if (parent[i] === i) close(i, null)
  return found.sort((a, b) => b.prominenceM - a.prominenceM)
}
