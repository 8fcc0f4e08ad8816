import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { shareBetween, type DepthBelief } from '../school/depthBelief'
import type { PhaseShare } from '../season/phaseProbabilities'
import { coverTop, type Place } from './kinds'
import { structureFit } from './structureFit'

/** What happened here before, from the log. */
export interface PlaceRecord {
  catches: number
  effortHours: number
  visits: number
  /** days since the last visit; null if never */
  restDays: number | null
}

export interface ScoreOptions {
  place: Place
  phases: PhaseShare[]
  /** where the fish should be in this depth of water */
  belief: DepthBelief
  windMS: number
  /** open water upwind of the place, m */
  fetchM: number
  /** significant wave height at the place, m */
  waveM: number
  /** surface water at the place, °C, and how much warmer than the main basin it is */
  waterC?: number
  warmerC?: number
  /** the angler's limit for the boat, m */
  waveLimitM: number
  /** 0–1, see `shadowStrength` */
  shadow: number
  /** see `lightActivity` */
  activity: number
  record: PlaceRecord
}

export type Factor
  = | { key: 'depth', value: number, share: number, topM: number, bottomM: number, fishTopM: number, fishBottomM: number }
    | { key: 'structure', value: number, kind: Place['kind'], phase: PhaseShare['phase'], season: string }
    | { key: 'shade', value: number, shadow: number, deckAreaM2: number | null, roofed: boolean }
    | { key: 'wind', value: number, windMS: number, fetchM: number, blownInto: boolean }
    | { key: 'warmth', value: number, waterC: number | null, warmerC: number, wanted: 'warm' | 'cool' | null }
    | { key: 'waves', value: number, waveM: number, limitM: number, over: boolean }
    | { key: 'record', value: number, catches: number, effortHours: number, ratePerHour: number | null }
    | { key: 'rest', value: number, restDays: number | null }

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

/** Score of an ordinary suitable place: there the phase's prior rate holds as it is. */
const ORDINARY_SCORE = 0.72
/** Hours of fishing here that weigh as much as the prior. */
const PRIOR_HOURS = 4
/** A place refills in about this many days. */
const REFILL_DAYS = 3
const OPEN_WATER_M = 500

/**
 * How good a place is just now: factors in 0–1 multiplied (geometric mean), each with what it rests on,
 * and the fish an hour to expect (MATH §16). A score is never given without its factors.
 * @throws RangeError for a negative figure or a wave limit that is not above 0
 */
export function scorePlace(options: ScoreOptions): PlaceScore {
  const { place, phases, record, activity } = options
  requireNumber('windMS', options.windMS, NOT_NEGATIVE)
  requireNumber('fetchM', options.fetchM, NOT_NEGATIVE)
  requireNumber('waveM', options.waveM, NOT_NEGATIVE)
  requireNumber('waveLimitM', options.waveLimitM, POSITIVE)
  requireNumber('shadow', options.shadow, { min: 0, max: 1 })
  requireNumber('activity', activity, NOT_NEGATIVE)
  requireNumber('record.catches', record.catches, NOT_NEGATIVE)
  requireNumber('record.effortHours', record.effortHours, NOT_NEGATIVE)

  const priorRate = activity * phases.reduce((sum, p) => sum + p.probability * p.prior.fishPerHour, 0)
  const today: Factor[] = [
    depthFactor(options),
    { key: 'structure', value: structureFit({ kind: place.kind, phases }), kind: place.kind, phase: phases[0]!.phase, season: phases[0]!.prior.name },
    shadeFactor(place, options.shadow),
    windFactor(options),
    warmthFactor(options),
    waveFactor(options),
    restFactor(record),
  ]
  const placeRate = priorRate * (geometricMean(today) / ORDINARY_SCORE)
  // Gamma belief: the prior counts as PRIOR_HOURS of fishing at its own rate.
  const alpha = record.catches + PRIOR_HOURS * placeRate
  const beta = record.effortHours + PRIOR_HOURS
  const ratePerHour = alpha / beta
  const factors = [...today, recordFactor(record, ratePerHour, placeRate)]
  return {
    score: geometricMean(factors),
    ratePerHour,
    ratePerHourLow: gammaQuantile(alpha, -EIGHTY_PERCENT_Z) / beta,
    ratePerHourHigh: gammaQuantile(alpha, EIGHTY_PERCENT_Z) / beta,
    factors: factors.sort((a, b) => Math.abs(Math.log(b.value / NEUTRAL[b.key])) - Math.abs(Math.log(a.value / NEUTRAL[a.key]))),
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
const NEUTRAL: Record<Factor['key'], number> = { depth: 0.6, structure: 0.6, shade: 0.8, wind: 0.85, warmth: 0.8, waves: 1, record: 0.7, rest: 0.97 }

const LEAST = 0.02
const clamp = (x: number) => Math.max(LEAST, Math.min(1, x))

function geometricMean(factors: Factor[]): number {
  return Math.exp(factors.reduce((sum, f) => sum + Math.log(clamp(f.value)), 0) / factors.length)
}

/** Room above the cover that its fish still use, m. */
const ABOVE_COVER_M = 0.6

function depthFactor({ place, belief }: ScoreOptions): Factor {
  const topM = Math.max(0, coverTop(place) - ABOVE_COVER_M)
  const bottomM = place.attributes.bottomDepthM
  const share = shareBetween(belief, topM, bottomM)
  return {
    key: 'depth', value: clamp(share), share, topM: coverTop(place), bottomM,
    fishTopM: belief.quantiles.p20, fishBottomM: belief.quantiles.p80,
  }
}

function shadeFactor(place: Place, shadow: number): Factor {
  if (place.kind === 'dock') {
    const { deckAreaM2, roofed } = place.attributes
    const size = Math.min(1, deckAreaM2 / 60)
    const holds = 0.45 + 0.35 * size + (roofed ? 0.2 : 0)
    // Without shadows the fish leave the dock's shade and scatter.
    return { key: 'shade', value: clamp(0.55 * (1 - shadow) + holds * shadow), shadow, deckAreaM2, roofed }
  }
  const gains = place.kind === 'timber' || place.kind === 'brush'
  return { key: 'shade', value: gains ? 0.75 + 0.15 * shadow : 0.8, shadow, deckAreaM2: null, roofed: false }
}

function windFactor({ windMS, fetchM }: ScoreOptions): Factor {
  const strength = Math.min(1, windMS / 4)
  const open = Math.min(1, fetchM / OPEN_WATER_M)
  // Wind packs bait and fish where it blows in; in a calm they spread along the whole edge.
  return { key: 'wind', value: 0.75 + 0.25 * strength * open, windMS, fetchM, blownInto: windMS >= 1.5 && fetchM >= OPEN_WATER_M / 2 }
}

/** Phases that wait for warmth, and that flee heat. */
const WARMING: PhaseShare['phase'][] = ['winter', 'staging', 'preSpawn', 'spawn']
const HOT: PhaseShare['phase'][] = ['summer', 'lateSummer']
/** A place this much warmer (cooler, in the heat) than the main basin is as good as warmth makes it, °C. */
const WARM_ENOUGH_C = 2.5

function warmthFactor({ phases, waterC, warmerC = 0 }: ScoreOptions): Factor {
  const share = (of: PhaseShare['phase'][]) => phases.reduce((sum, p) => sum + (of.includes(p.phase) ? p.probability : 0), 0)
  const [warm, hot] = [share(WARMING), share(HOT)]
  const pull = (warm - hot) * Math.max(-1, Math.min(1, warmerC / WARM_ENOUGH_C))
  return { key: 'warmth', value: clamp(0.8 + 0.2 * pull), waterC: waterC ?? null, warmerC, wanted: warm > 0.5 ? 'warm' : hot > 0.5 ? 'cool' : null }
}

function waveFactor({ waveM, waveLimitM }: ScoreOptions): Factor {
  const ratio = waveM / waveLimitM
  const value = ratio <= 0.5 ? 1 : ratio <= 1 ? 1 - 0.6 * (ratio - 0.5) : 0.3
  return { key: 'waves', value, waveM, limitM: waveLimitM, over: ratio > 1 }
}

function restFactor({ restDays }: PlaceRecord): Factor {
  return { key: 'rest', value: restDays === null ? 0.97 : clamp(1 - 0.5 * Math.exp(-restDays / REFILL_DAYS)), restDays }
}

function recordFactor(record: PlaceRecord, ratePerHour: number, placeRate: number): Factor {
  const own = record.effortHours > 0 ? record.catches / record.effortHours : null
  return {
    key: 'record',
    value: clamp(0.7 * (ratePerHour / Math.max(placeRate, 1e-9)) ** 0.5),
    catches: record.catches, effortHours: record.effortHours, ratePerHour: own,
  }
}
