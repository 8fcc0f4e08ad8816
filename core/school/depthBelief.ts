import { POSITIVE, requireNumber } from '../guard'
import type { PhaseShare } from '../season/phaseProbabilities'

/** A school that was logged: where it hung and how things were. */
export interface LoggedDepth {
  topM: number
  bottomM: number
  waterC: number | null
  hour: number
  secchiM: number | null
  /** days before now */
  ageDays: number
}

export interface DepthBeliefOptions {
  phases: PhaseShare[]
  /** deepest water to consider, m: of the place, or of the whole lake */
  waterDepthM: number
  /** conditions of the moment, to weigh the log by likeness */
  waterC: number
  secchiM: number
  hour: number
  windMS: number
  trendCPerWeek: number
  /** the angler's own schools on this water */
  logged?: LoggedDepth[]
}

export interface DepthBelief {
  /** depth above which that share of the fish should be, m */
  quantiles: { p10: number, p20: number, p50: number, p80: number, p90: number }
  /** share of the fish per bin; sums to 1 */
  density: Float64Array
  binM: number
  /** how many logged schools' worth of evidence the log brought (after weighing) */
  logWeight: number
}

const BIN_M = 0.1
/** The prior counts for as much as this many like schools. */
const PRIOR_SCHOOLS = 4
/** A school less like than this says nothing that is worth the work. */
const LEAST_WEIGHT = 0.002
/** Soft ends of a prior band, m. */
const BAND_EDGE_M = 0.45
/** On a warm calm afternoon this share of pre-spawn fish slides up to lie in 2–3 ft. */
const WARM_SLIDE_SHARE = 0.35
const WARM_SLIDE_M: [number, number] = [0.6, 1.0]

/**
 * Where in the column the fish should be: the prior band of each phase, mixed by its probability,
 * and the angler's own logged schools weighted by likeness (water, hour, clarity) and age (MATH §15).
 * @throws RangeError for a depth, clarity or other figure out of range
 */
export function depthBelief({ phases, waterDepthM, waterC, secchiM, hour, windMS, trendCPerWeek, logged = [] }: DepthBeliefOptions): DepthBelief {
  requireNumber('waterDepthM', waterDepthM, POSITIVE)
  requireNumber('secchiM', secchiM, POSITIVE)
  requireNumber('hour', hour, { min: 0, max: 24 })
  requireNumber('windMS', windMS, { min: 0 })
  requireNumber('waterC', waterC)
  const density = new Float64Array(Math.max(1, Math.ceil(waterDepthM / BIN_M - 1e-9)))
  const slide = WARM_SLIDE_SHARE * warmCalmAfternoon(hour, windMS, trendCPerWeek)

  for (const { phase, probability, prior } of phases) {
    const band = prior.depthM
    const up = phase === 'preSpawn' ? slide : 0
    addBand(density, band, PRIOR_SCHOOLS * probability * (1 - up))
    if (up > 0) addBand(density, WARM_SLIDE_M, PRIOR_SCHOOLS * probability * up)
  }
  let logWeight = 0
  for (const school of logged) {
    const weight = likeness(school, { waterC, secchiM, hour })
    if (weight < LEAST_WEIGHT) continue
    logWeight += weight
    addBand(density, [school.topM, school.bottomM], weight)
  }
  normalise(density)
  const at = (share: number) => quantile(density, share, waterDepthM)
  return { quantiles: { p10: at(0.1), p20: at(0.2), p50: at(0.5), p80: at(0.8), p90: at(0.9) }, density, binM: BIN_M, logWeight }
}

/** Shares down to each bin's upper edge, once for a belief: thousands of places ask the same one. */
const cumulated = new WeakMap<Float64Array, Float64Array>()
function shareDownTo(density: Float64Array): Float64Array {
  const known = cumulated.get(density)
  if (known) return known
  const sums = new Float64Array(density.length + 1)
  density.forEach((share, i) => {
    sums[i + 1] = sums[i]! + share
  })
  cumulated.set(density, sums)
  return sums
}

/** Share of the fish between two depths, 0–1. */
export function shareBetween({ density, binM }: DepthBelief, fromM: number, toM: number): number {
  const sums = shareDownTo(density)
  const down = (depthM: number) => {
    const x = Math.max(0, Math.min(density.length, depthM / binM))
    const i = Math.floor(x)
    return sums[i]! + (i < density.length ? (x - i) * density[i]! : 0)
  }
  return Math.max(0, down(toM) - down(fromM))
}

function warmCalmAfternoon(hour: number, windMS: number, trendCPerWeek: number): number {
  const afternoon = Math.exp(-(((hour - 15.5) / 2) ** 2))
  const calm = 1 / (1 + Math.exp((windMS - 3) / 0.7))
  const warming = 1 / (1 + Math.exp(-(trendCPerWeek - 0.8) / 0.5))
  return afternoon * calm * warming
}

function likeness(school: LoggedDepth, now: { waterC: number, secchiM: number, hour: number }): number {
  const bell = (x: number) => Math.exp(-0.5 * x * x)
  const hoursApart = Math.min(Math.abs(school.hour - now.hour), 24 - Math.abs(school.hour - now.hour))
  return bell(school.waterC === null ? 1.2 : (school.waterC - now.waterC) / 2.5)
    * bell(hoursApart / 4)
    * bell(school.secchiM === null ? 0.5 : Math.log2(school.secchiM / now.secchiM))
    * 0.5 ** (Math.max(0, school.ageDays) / 365)
}

/** Adds `weight` spread over a soft-edged band; a band below the bottom is lifted to lie on it. */
function addBand(density: Float64Array, [topM, bottomM]: [number, number], weight: number): void {
  const floorM = density.length * BIN_M
  const thickness = Math.min(bottomM - topM, floorM)
  const bottom = Math.min(bottomM, floorM)
  const top = bottomM > floorM ? bottom - thickness : topM
  const shape = density.map((_, i) => {
    const z = (i + 0.5) * BIN_M
    return 1 / ((1 + Math.exp((top - z) / (BAND_EDGE_M / 2))) * (1 + Math.exp((z - bottom) / (BAND_EDGE_M / 2))))
  })
  const total = shape.reduce((a, b) => a + b, 0)
  shape.forEach((s, i) => {
    density[i]! += (weight * s) / total
  })
}

function normalise(density: Float64Array): void {
  const total = density.reduce((a, b) => a + b, 0)
  for (let i = 0; i < density.length; i++) density[i]! /= total
}

function quantile(density: Float64Array, share: number, deepestM: number): number {
  let sum = 0
  for (let i = 0; i < density.length; i++) {
    const next = sum + density[i]!
    if (next >= share) return Math.min(deepestM, (i + (share - sum) / density[i]!) * BIN_M)
    sum = next
  }
  return deepestM
}
