import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { clampFactor, placeFactors, type Factor, type PlaceRecord, type ScoreOptions } from './placeFactors'

export interface PlaceScore {
  /** 0–1, geometric mean of the factors */
  score: number
  /** expected fish an hour: the phase's prior at a place this good, moved by the place's own record */
  ratePerHour: number
  /** four times in five the true rate should lie between these */
  ratePerHourLow: number
  ratePerHourHigh: number
  /** what moved it most first */
  factors: Factor[]
}

/**
 * How strongly the catch follows a factor: the rate goes with its ratio to the neutral value to this power. A prior is doubtful, so less than
 * in proportion; the kind in its season tells most. Chosen in the simulator (see docs/benchmarks.md).
 */
const TELLS: Partial<Record<Factor['key'], number>> = { depth: 0.5, structure: 1 }
const TELLS_ELSE = 0.3
/** Hours of fishing here that weigh as much as the prior. */
const PRIOR_HOURS = 6

/**
 * How good a place is just now: factors in 0–1 multiplied (geometric mean), each with what it rests on,
 * and the fish an hour to expect (MATH §16). A score is never given without its factors.
 * @throws RangeError for a negative figure or a wave limit that is not above 0
 */
export function scorePlace(options: ScoreOptions): PlaceScore {
  const raw = unsortedScore(options)
  const says = new Map(raw.factors.map(f => [f, Math.abs(Math.log(f.value / NEUTRAL[f.key]))]))
  return { ...raw, factors: raw.factors.sort((a, b) => says.get(b)! - says.get(a)!) }
}

/** As `scorePlace`, its factors in no order: for thousands of places of which few are looked at. */
export function unsortedScore(options: ScoreOptions): PlaceScore {
  const { phases, record, activity } = options
  requireNumber('windMS', options.windMS, NOT_NEGATIVE)
  requireNumber('fetchM', options.fetchM, NOT_NEGATIVE)
  requireNumber('waveM', options.waveM, NOT_NEGATIVE)
  requireNumber('waveLimitM', options.waveLimitM, POSITIVE)
  requireNumber('shadow', options.shadow, { min: 0, max: 1 })
  requireNumber('activity', activity, NOT_NEGATIVE)
  requireNumber('record.catches', record.catches, NOT_NEGATIVE)
  requireNumber('record.effortHours', record.effortHours, NOT_NEGATIVE)
  const rateScale = requireNumber('rateScale', options.rateScale ?? 1, POSITIVE)

  let priorRate = 0
  for (const { probability, prior } of phases) priorRate += probability * prior.fishPerHour
  const factors = placeFactors(options)
  let told = 0
  let logs = 0
  for (const { key, value } of factors) {
    const log = Math.log(clampFactor(value))
    logs += log
    told += (TELLS[key] ?? TELLS_ELSE) * (log - LOG_NEUTRAL[key])
  }
  const placeRate = activity * rateScale * priorRate * Math.exp(told)
  // Gamma belief: the prior counts as PRIOR_HOURS of fishing at its own rate.
  const alpha = record.catches + PRIOR_HOURS * placeRate
  const beta = record.effortHours + PRIOR_HOURS
  const ratePerHour = alpha / beta
  const own = recordFactor(record, ratePerHour, placeRate)
  factors.push(own)
  return {
    score: Math.exp((logs + Math.log(clampFactor(own.value))) / factors.length),
    ratePerHour,
    ratePerHourLow: gammaQuantile(alpha, -EIGHTY_PERCENT_Z) / beta,
    ratePerHourHigh: gammaQuantile(alpha, EIGHTY_PERCENT_Z) / beta,
    factors,
  }
}

const EIGHTY_PERCENT_Z = 1.2816

/** Quantile of a unit-rate Gamma at a normal score z (Wilson & Hilferty 1931). */
function gammaQuantile(alpha: number, z: number): number {
  if (alpha <= 0) return 0
  const ninth = 1 / (9 * alpha)
  return alpha * Math.max(0, 1 - ninth + z * Math.sqrt(ninth)) ** 3
}

/** Value at which a factor says nothing either way: the further from it, the more it is worth saying. */
const NEUTRAL: Record<Factor['key'], number> = { depth: 0.6, structure: 0.6, shade: 0.8, wind: 0.85, current: 0.8, clarity: 0.85, warmth: 0.8, waves: 1, record: 0.7, rest: 0.97 }
const LOG_NEUTRAL = Object.fromEntries(Object.entries(NEUTRAL).map(([key, value]) => [key, Math.log(value)])) as Record<Factor['key'], number>

function recordFactor(record: PlaceRecord, ratePerHour: number, placeRate: number): Factor {
  const own = record.effortHours > 0 ? record.catches / record.effortHours : null
  return {
    key: 'record',
    value: clampFactor(0.7 * (ratePerHour / Math.max(placeRate, 1e-9)) ** 0.5),
    catches: record.plain?.catches ?? record.catches, effortHours: record.plain?.effortHours ?? record.effortHours, ratePerHour: own,
  }
}
