import { requireNumber } from '../guard'
import { binPoints } from './binSoundings'
import type { DepthGrid } from './depthGrid'
import { distanceToMarked } from './distanceTransform'
import { plateSurface } from './plateSurface'
import { rasterAround, rasterise, type Raster, type Ring } from './rasterise'
import { soundingNoise } from './soundingNoise'

/** A depth grid with how far it can be trusted: 1 at a sounding, falling with the distance to the nearest; NaN off the water. */
export interface SurveyedGrid extends DepthGrid {
  confidence: Float32Array
}

export interface BuildOptions {
  /** shoreline, m in the local frame (x east, y north), either direction */
  outer: Ring
  islands?: readonly Ring[]
  /** flat x, y, depth triples, m; depth positive down */
  soundings: Float64Array
  /** 1–50; usual 5 */
  cellM: number
  /** share of the work done, 0–1 */
  onProgress?: (done: number) => void
  /** aborts: the call throws the signal's reason and gives nothing */
  signal?: { readonly aborted: boolean, readonly reason?: unknown }
}

/** Soundings this far away still say half as much, m. */
export const HALF_TRUST_M = 30
const MOST_CELLS = 40_000_000
/** How freely bottoms of lakes bend: spectral density of their curvature, per metre, found over several invented waters. */
const CURVATURE = 0.03
const TENSION = 0.002
const SWEEPS = 36
const PILOT_SWEEPS = 24
const PILOT_CELLS = 4
/** A shoreline is drawn once and waves wear it: each half cell of it counts like this many soundings. */
const SHORE_WEIGHT = 1
/** A shallowest depth, so that water never reads 0, m. */
const FILM_M = 0.01

/**
 * A depth grid from a shoreline (depth 0) and soundings: a thin plate in tension, stiff in proportion to the
 * soundings' own noise, relaxed coarse to fine. The method was chosen on whole tracks left out; see docs/benchmarks.md.
 * @returns x0, y0, cellM, cols, rows, depthM (m, positive down, NaN off the water) and confidence (0–1, NaN off the water)
 * @throws RangeError for a shoreline of fewer than 3 corners, a coordinate or depth that is not finite, a negative depth,
 *   a cell size outside 1–50 m or too small for the water; the signal's reason when aborted
 */
export function buildDepthGrid({ outer, islands = [], soundings, cellM, onProgress, signal }: BuildOptions): SurveyedGrid {
  requireNumber('cellM', cellM, { min: 1, max: 50 })
  requireRing('outer', outer)
  islands.forEach((ring, i) => requireRing(`islands[${i}]`, ring))
  requireTriples(soundings)
  const raster = rasterAround(outer, cellM)
  const cells = raster.cols * raster.rows
  if (cells > MOST_CELLS) throw new RangeError(`cellM is ${cellM}; it must be large enough for at most ${MOST_CELLS} cells, and this water would take ${cells}`)
  const step = (done: number) => {
    if (signal?.aborted) throw signal.reason ?? new Error('stopped')
    onProgress?.(done)
  }
  step(0)
  const wet = rasterise(raster, outer, islands)
  const shore = shorePoints([outer, ...islands], cellM)

  const coarse = pilot(raster, outer, islands, soundings, shore, done => step(0.1 * done))
  const noise = soundingNoise(soundings, raster, coarse)
  const surface = plateSurface({
    ...raster,
    domain: widen(wet, raster, 2),
    bins: binPoints(raster, [{ points: soundings, weight: 1 }, { points: shore, weight: SHORE_WEIGHT }]),
    ...stiffness(noise),
    sweeps: SWEEPS,
    onSweep: done => step(0.1 + 0.85 * done),
  })

  const depthM = new Float32Array(cells)
  for (let i = 0; i < cells; i++) depthM[i] = wet[i] ? Math.max(FILM_M, surface[i]!) : Number.NaN
  const grid = { ...raster, depthM, confidence: confidenceOf(raster, wet, soundings) }
  step(1)
  return grid
}

function stiffness(noiseM: number): { bend: number, tension: number } {
  const bend = (noiseM / CURVATURE) ** 2
  return { bend, tension: TENSION * Math.sqrt(bend) }
}

/** A quick coarse surface, to know the slopes between neighbouring soundings. */
function pilot({ x0, y0, cellM, cols, rows }: Raster, outer: Ring, islands: readonly Ring[], soundings: Float64Array, shore: Float64Array, onSweep: (done: number) => void) {
  const raster: Raster = { x0, y0, cellM: cellM * PILOT_CELLS, cols: Math.ceil(cols / PILOT_CELLS), rows: Math.ceil(rows / PILOT_CELLS) }
  const bins = binPoints(raster, [{ points: soundings, weight: 1 }, { points: shore, weight: SHORE_WEIGHT }])
  const domain = widen(rasterise(raster, outer, islands), raster, 2)
  return { raster, surface: plateSurface({ ...raster, domain, bins, ...stiffness(0.15), sweeps: PILOT_SWEEPS, onSweep }) }
}

/** Zero depths along the shoreline, one for each half cell of it. */
function shorePoints(rings: readonly Ring[], cellM: number): Float64Array {
  const points: number[] = []
  for (const ring of rings) {
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!
      const parts = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / (cellM / 2)))
      for (let k = 0; k < parts; k++) points.push(a.x + ((b.x - a.x) * k) / parts, a.y + ((b.y - a.y) * k) / parts, 0)
    })
  }
  return Float64Array.from(points)
}

/** The mask grown by `by` cells along rows and columns, so that the shoreline's own cells are in it. */
function widen(mask: Uint8Array, { cols, rows }: Raster, by: number): Uint8Array {
  let grown = mask
  for (let n = 0; n < by; n++) {
    const from = grown
    grown = from.slice()
    for (let r = 0; r < rows; r++) {
      for (let c = 0; c < cols; c++) {
        const i = r * cols + c
        if (from[i]) continue
        if ((c > 0 && from[i - 1]) || (c < cols - 1 && from[i + 1]) || (r > 0 && from[i - cols]) || (r < rows - 1 && from[i + cols])) grown[i] = 1
      }
    }
  }
  return grown
}

function confidenceOf({ x0, y0, cellM, cols, rows }: Raster, wet: Uint8Array, soundings: Float64Array): Float32Array {
  const sounded = new Uint8Array(cols * rows)
  for (let p = 0; p < soundings.length; p += 3) {
    const c = Math.floor((soundings[p]! - x0) / cellM)
    const r = Math.floor((soundings[p + 1]! - y0) / cellM)
    if (c >= 0 && r >= 0 && c < cols && r < rows) sounded[r * cols + c] = 1
  }
  const away = distanceToMarked(sounded, cols, rows)
  return Float32Array.from(away, (d, i) => (wet[i] ? 1 / (1 + ((d * cellM) / HALF_TRUST_M) ** 2) : Number.NaN))
}

function requireRing(name: string, ring: Ring): void {
  if (ring.length < 3) throw new RangeError(`${name} has ${ring.length} corners; it must have at least 3`)
  ring.forEach(({ x, y }, i) => {
    requireNumber(`${name}[${i}].x`, x)
    requireNumber(`${name}[${i}].y`, y)
  })
}

function requireTriples(soundings: Float64Array): void {
  if (soundings.length % 3 !== 0) throw new RangeError(`soundings has ${soundings.length} numbers; it must have three (x, y, depth) for each sounding`)
  for (let i = 0; i < soundings.length; i++) {
    const value = soundings[i]!
    if (!Number.isFinite(value) || (i % 3 === 2 && value < 0)) {
      requireNumber(`soundings[${Math.floor(i / 3)}].${['x', 'y', 'depth'][i % 3]}`, value, i % 3 === 2 ? { min: 0 } : {})
    }
  }
}
