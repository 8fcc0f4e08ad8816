import { seededRandom } from '../core/numeric/random'
import { depthAreas } from '../core/water/contourLines'
import { depthAt, type DepthGrid } from '../core/water/depthGrid'
import type { Ring } from '../core/water/rasterise'

export interface Survey {
  outer: Ring
  islands: Ring[]
  /** x, y, depth triples, m, in the order they were taken */
  soundings: Float64Array
}

/** A boat's survey of a known water: parallel tracks with a wandering helm, soundings with noise. */
export function survey(truth: DepthGrid, { spacingM, count, noiseM = 0.15, seed = 7, headingDeg = 20 }: { spacingM: number, count: number, noiseM?: number, seed?: number, headingDeg?: number }): Survey {
  const random = seededRandom(seed)
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const rings = depthAreas({ grid: truth, levelsM: [0] })[0]!.polygons[0]!.map(ring => ring.slice(0, -1).map(([x, y]) => ({ x, y })))
  const [outer, ...islands] = rings
  const w = truth.cols * truth.cellM
  const h = truth.rows * truth.cellM
  const reach = Math.hypot(w, h) / 2
  const [sin, cos] = [Math.sin((headingDeg * Math.PI) / 180), Math.cos((headingDeg * Math.PI) / 180)]
  const at = (along: number, across: number) => ({ x: truth.x0 + w / 2 + along * sin + across * cos, y: truth.y0 + h / 2 + along * cos - across * sin })
  const tracks = Math.floor((2 * reach) / spacingM)
  const wet: { x: number, y: number }[] = []
  const step = 0.25
  for (let t = 0; t < tracks; t++) {
    const across = -reach + (t + 0.5) * spacingM
    const phase = random() * 6.28
    for (let a = -reach; a < reach; a += step) {
      const p = at(t % 2 === 0 ? a : -a, across + 0.12 * spacingM * Math.sin(a / 90 + phase))
      if (depthAt({ grid: truth, ...p }) > 0.3) wet.push(p)
    }
  }
  const every = wet.length / count
  const soundings = new Float64Array(count * 3)
  for (let i = 0; i < count; i++) {
    const p = wet[Math.min(wet.length - 1, Math.floor(i * every))]!
    soundings[3 * i] = p.x
    soundings[3 * i + 1] = p.y
    soundings[3 * i + 2] = Math.max(0, depthAt({ grid: truth, ...p }) + noiseM * gauss())
  }
  return { outer: outer!, islands, soundings }
}

/** Root mean square and 95th percentile of the error over the whole water, m. */
export function gridError(truth: DepthGrid, depthOf: (x: number, y: number) => number): { rms: number, p95: number, missing: number } {
  const errors: number[] = []
  let missing = 0
  for (let r = 0; r < truth.rows; r++) {
    for (let c = 0; c < truth.cols; c++) {
      const depth = truth.depthM[r * truth.cols + c]!
      if (Number.isNaN(depth)) continue
      const got = depthOf(truth.x0 + (c + 0.5) * truth.cellM, truth.y0 + (r + 0.5) * truth.cellM)
      if (Number.isNaN(got)) missing++
      else errors.push(Math.abs(got - depth))
    }
  }
  errors.sort((a, b) => a - b)
  return { rms: Math.sqrt(errors.reduce((s, e) => s + e * e, 0) / errors.length), p95: errors[Math.floor(0.95 * errors.length)]!, missing }
}
