import { coarsen, type Bins } from './binSoundings'

/**
 * A smooth surface through scattered means: least squares of the data plus the bending energy of a thin
 * plate and a little tension (Briggs 1974; Smith & Wessel 1990), with free edges. On each level
 *   Σ w·(u + offset·∇u − d)² + (bend/h²)·Σ(second differences)² + tension·Σ(first differences)²
 * is relaxed by successive over-relaxation, coarse levels first: each starts from the one above it.
 */
export interface PlateOptions {
  cols: number
  rows: number
  cellM: number
  /** 1 where the surface exists */
  domain: Uint8Array
  bins: Bins
  /** stiffness Λ, m²: the reciprocal of the curvature's spectral density, over the noise's variance in the weights */
  bend: number
  /** share of pull per cell edge, same units as the weights */
  tension: number
  sweeps: number
  /** called after each sweep with the share of the work done (0–1); throws to stop */
  onSweep?: (done: number) => void
}

const RELAX = 1.45
const COARSEST_CELLS = 24
/** The offsets' part of the data moves with the slope: it is taken anew this often. */
const RECENTRE_EVERY = 6

interface Level {
  cols: number
  rows: number
  cellM: number
  domain: Uint8Array
  bins: Bins
}

/** Surface depth per cell of the domain, m; 0 elsewhere. */
export function plateSurface({ cols, rows, cellM, domain, bins, bend, tension, sweeps, onSweep }: PlateOptions): Float64Array {
  const levels: Level[] = [{ cols, rows, cellM, domain, bins }]
  for (;;) {
    const last = levels[levels.length - 1]!
    if (Math.min(last.cols, last.rows) <= COARSEST_CELLS || Math.max(last.cols, last.rows) <= 2 * COARSEST_CELLS) break
    levels.push({ cols: (last.cols + 1) >> 1, rows: (last.rows + 1) >> 1, cellM: last.cellM * 2, domain: halve(last), bins: coarsen(last.bins, last.cols, last.rows) })
  }
  const work = levels.map((l, i) => l.cols * l.rows * sweepsOf(i, sweeps))
  const total = work.reduce((a, b) => a + b, 0)
  let done = 0
  let surface: Float64Array | null = null
  for (let i = levels.length - 1; i >= 0; i--) {
    const level = levels[i]!
    const start: Float64Array = surface ? refine(surface, levels[i + 1]!, level) : meanSurface(level)
    const count = sweepsOf(i, sweeps)
    const before = done
    relax(level, start, bend, tension, count, n => onSweep?.((before + (work[i]! * n) / count) / total))
    done += work[i]!
    surface = start
  }
  return surface!
}

/** Coarse levels are cheap and carry the long waves: they get more. */
function sweepsOf(level: number, sweeps: number): number {
  return level === 0 ? sweeps : Math.round(sweeps * Math.min(4, 1.4 ** level + 0.6))
}

function halve({ cols, rows, domain }: Level): Uint8Array {
  const wide = (cols + 1) >> 1
  const half = new Uint8Array(wide * ((rows + 1) >> 1))
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < cols; c++) if (domain[r * cols + c]) half[(r >> 1) * wide + (c >> 1)] = 1
  }
  return half
}

function meanSurface({ domain, bins }: Level): Float64Array {
  let sum = 0
  let weights = 0
  for (let i = 0; i < domain.length; i++) {
    sum += bins.weight[i]! * bins.depthM[i]!
    weights += bins.weight[i]!
  }
  const mean = weights > 0 ? sum / weights : 0
  return Float64Array.from(domain, inside => (inside ? mean : 0))
}

/** Bilinear from the coarse cells' centres, using only cells of the coarse domain. */
function refine(coarse: Float64Array, { cols: wide, rows: high, domain: there }: Level, { cols, rows, domain }: Level): Float64Array {
  const fine = new Float64Array(cols * rows)
  for (let r = 0; r < rows; r++) {
    const r0 = (r >> 1)
    const r1 = Math.max(0, Math.min(high - 1, (r & 1) === 0 ? r0 - 1 : r0 + 1))
    for (let c = 0; c < cols; c++) {
      const i = r * cols + c
      if (!domain[i]) continue
      const c0 = c >> 1
      const c1 = Math.max(0, Math.min(wide - 1, (c & 1) === 0 ? c0 - 1 : c0 + 1))
      let sum = 0
      let weights = 0
      const near = r0 * wide + c0
      sum += 9 * coarse[near]!
      weights += 9
      const beside = r0 * wide + c1
      if (there[beside]) {
        sum += 3 * coarse[beside]!
        weights += 3
      }
      const above = r1 * wide + c0
      if (there[above]) {
        sum += 3 * coarse[above]!
        weights += 3
      }
      const across = r1 * wide + c1
      if (there[across]) {
        sum += coarse[across]!
        weights += 1
      }
      fine[i] = sum / weights
    }
  }
  return fine
}

/** Cells whose whole 13-point neighbourhood is in the domain, and the others with their own stencils. */
interface Stencils {
  inner: Int32Array
  edge: Int32Array
  /** edge[k]'s neighbours are at start[k] … start[k+1] of `cell` and `factor` */
  start: Int32Array
  cell: Int32Array
  factor: Float64Array
  /** diagonal of edge cells, without the data's weight */
  diagonal: Float64Array
}

function relax({ cols, rows, cellM, domain, bins }: Level, u: Float64Array, bend: number, tension: number, sweeps: number, tick: (n: number) => void): void {
  const stiff = bend / cellM ** 2
  const { inner, edge, start, cell, factor, diagonal } = stencils(cols, rows, domain, stiff, tension)
  const { weight } = bins
  const pull = new Float64Array(u.length)
  const reciprocal = new Float64Array(inner.length)
  const full = 20 * stiff + 4 * tension
  for (let k = 0; k < inner.length; k++) reciprocal[k] = RELAX / (full + weight[inner[k]!]!)
  const near = 8 * stiff + tension
  const diag = 2 * stiff
  for (let n = 0; n < sweeps; n++) {
    if (n % RECENTRE_EVERY === 0) recentre(cols, rows, domain, bins, u, pull)
    for (let k = 0; k < inner.length; k++) {
      const i = inner[k]!
      const up = i + cols
      const down = i - cols
      const sum = pull[i]!
        + near * (u[i - 1]! + u[i + 1]! + u[up]! + u[down]!)
        - diag * (u[up - 1]! + u[up + 1]! + u[down - 1]! + u[down + 1]!)
        - stiff * (u[i - 2]! + u[i + 2]! + u[up + cols]! + u[down - cols]!)
      u[i] = u[i]! * (1 - RELAX) + sum * reciprocal[k]!
    }
    for (let k = 0; k < edge.length; k++) {
      const i = edge[k]!
      const centre = diagonal[k]! + weight[i]!
      if (centre === 0) continue
      let sum = pull[i]!
      for (let s = start[k]!; s < start[k + 1]!; s++) sum -= factor[s]! * u[cell[s]!]!
      u[i] = u[i]! * (1 - RELAX) + (RELAX * sum) / centre
    }
    tick(n + 1)
  }
}

/** Weight × the depth that the data ask for at the cell's own centre, with the slope of the moment. */
function recentre(cols: number, rows: number, domain: Uint8Array, { weight, depthM, offX, offY }: Bins, u: Float64Array, pull: Float64Array): void {
  const lean = (i: number, step: number, room0: boolean, room1: boolean): number => {
    const back = room0 && domain[i - step]
    const on = room1 && domain[i + step]
    if (back && on) return (u[i + step]! - u[i - step]!) / 2
    if (on) return u[i + step]! - u[i]!
    return back ? u[i]! - u[i - step]! : 0
  }
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < cols; c++) {
      const i = r * cols + c
      const w = weight[i]!
      if (w === 0 || !domain[i]) continue
      pull[i] = w * (depthM[i]! - offX[i]! * lean(i, 1, c > 0, c < cols - 1) - offY[i]! * lean(i, cols, r > 0, r < rows - 1))
    }
  }
}

function stencils(cols: number, rows: number, domain: Uint8Array, stiff: number, tension: number): Stencils {
  const inner: number[] = []
  const edge: number[] = []
  const start: number[] = [0]
  const cell: number[] = []
  const factor: number[] = []
  const diagonal: number[] = []
  const local = new Float64Array(25)
  const has = (c: number, r: number) => c >= 0 && r >= 0 && c < cols && r < rows && domain[r * cols + c] === 1
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < cols; c++) {
      const i = r * cols + c
      if (!domain[i]) continue
      if (c > 1 && r > 1 && c < cols - 2 && r < rows - 2 && isInner(i)) {
        inner.push(i)
        continue
      }
      local.fill(0)
      // Each energy term that holds this cell and lies wholly in the domain.
      for (const [dx, dy] of AXES) {
        for (let k = 0; k < 3; k++) {
          const [a, b] = [c - k * dx, r - k * dy]
          if (!has(a, b) || !has(a + dx, b + dy) || !has(a + 2 * dx, b + 2 * dy)) continue
          const own = SECOND[k]!
          for (let m = 0; m < 3; m++) add(a + m * dx - c, b + m * dy - r, stiff * own * SECOND[m]!)
        }
        for (let k = 0; k < 2; k++) {
          const [a, b] = [c - k * dx, r - k * dy]
          if (!has(a, b) || !has(a + dx, b + dy)) continue
          add(0, 0, tension)
          add(k === 0 ? dx : -dx, k === 0 ? dy : -dy, -tension)
        }
      }
      for (let ky = 0; ky < 2; ky++) {
        for (let kx = 0; kx < 2; kx++) {
          const [a, b] = [c - kx, r - ky]
          if (!has(a, b) || !has(a + 1, b) || !has(a, b + 1) || !has(a + 1, b + 1)) continue
          const own = kx === ky ? 1 : -1
          for (let my = 0; my < 2; my++) for (let mx = 0; mx < 2; mx++) add(a + mx - c, b + my - r, 2 * stiff * own * (mx === my ? 1 : -1))
        }
      }
      edge.push(i)
      diagonal.push(local[12]!)
      for (let k = 0; k < 25; k++) {
        if (k === 12 || local[k] === 0) continue
        cell.push(i + (Math.floor(k / 5) - 2) * cols + (k % 5) - 2)
        factor.push(local[k]!)
      }
      start.push(cell.length)
    }
  }
  return { inner: Int32Array.from(inner), edge: Int32Array.from(edge), start: Int32Array.from(start), cell: Int32Array.from(cell), factor: Float64Array.from(factor), diagonal: Float64Array.from(diagonal) }

  function add(dx: number, dy: number, value: number) {
    local[(dy + 2) * 5 + dx + 2]! += value
  }
  function isInner(i: number): boolean {
    return domain[i - 1]! + domain[i + 1]! + domain[i - 2]! + domain[i + 2]! + domain[i - cols]! + domain[i + cols]! + domain[i - 2 * cols]! + domain[i + 2 * cols]!
      + domain[i - cols - 1]! + domain[i - cols + 1]! + domain[i + cols - 1]! + domain[i + cols + 1]! === 12
  }
}

const AXES = [[1, 0], [0, 1]] as const
const SECOND = [1, -2, 1]
