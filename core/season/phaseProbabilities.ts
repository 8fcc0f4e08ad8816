import { requireNumber, WATER_TEMP_C } from '../guard'
import { dayLengthH } from './dayLength'
import type { Phase, PhasePrior } from './phases'
import { SEASONS } from './seasons'

/** Parts of one lake differ by about this much on one day, so the ends of a phase blur over it, °C. */
const BLUR_C = 1.0
/** A trend this far from 0 is clearly one way, °C a week. */
const TREND_BLUR = 0.7
/** The calendar only helps: the wrong half of the year still keeps this share. */
const WRONG_HALF_SHARE = 0.15
const WRONG_DIRECTION_SHARE = 0.08
/** Days shorter than this hold fish back from the beds however warm the water, h. */
const SHORT_DAY_H = 10.3
const SHORT_DAY_SHARE = 0.1
/** What is left of the phases up to the spawn once it is over, and of those after it before it. */
const SPAWNED_SHARE = 0.04
const NOT_YET_SHARE = 0.25

export interface PhaseShare {
  phase: Phase
  /** 0–1; the shares of all phases sum to 1 */
  probability: number
  /** what the phase is and means */
  prior: PhasePrior
}

export interface PhaseOptions {
  waterC: number
  /** how the water's temperature is moving, °C a week */
  trendCPerWeek: number
  /** 1–366 in the water's own zone */
  dayOfYear: number
  /** degrees north; turns the year round south of the equator */
  latDeg: number
  /** the phases of the fish's year; crappie's when left out */
  season?: readonly PhasePrior[]
  /** 0–1: how far this year's spawning is over (see `spawnPassed`); left out when not known */
  spawned?: number
}

/**
 * Which season phase fish are in: a probability for each, most likely first, never a hard switch. Temperature decides, the
 * direction it moves in tells spring from fall, the day's length and whether spawning has passed help.
 * @throws RangeError for a temperature outside −2 to 45 °C, a day outside 1–366, a latitude outside ±90 or a share outside 0–1
 */
export function phaseProbabilities({ waterC, trendCPerWeek, dayOfYear, latDeg, season = SEASONS.crappie, spawned }: PhaseOptions): PhaseShare[] {
  requireNumber('waterC', waterC, WATER_TEMP_C)
  requireNumber('trendCPerWeek', trendCPerWeek)
  requireNumber('dayOfYear', dayOfYear, { min: 1, max: 366 })
  requireNumber('latDeg', latDeg, { min: -90, max: 90 })
  if (spawned !== undefined) requireNumber('spawned', spawned, { min: 0, max: 1 })
  const signs: Signs = {
    waterC, spawned, rising: logistic(trendCPerWeek / TREND_BLUR), warming: warmingHalf(dayOfYear, latDeg),
    longDays: logistic((dayLengthH({ dayOfYear, latDeg }) - SHORT_DAY_H) / 0.4),
  }
  const raw = season.map(prior => ({ phase: prior.phase, prior, weight: likelihood(prior, signs) }))
  const total = raw.reduce((sum, r) => sum + r.weight, 0)
  return raw
    .map(({ phase, prior, weight }) => ({ phase, prior, probability: weight / total }))
    .sort((a, b) => b.probability - a.probability)
}

interface Signs { waterC: number, rising: number, warming: number, longDays: number, spawned: number | undefined }

function likelihood({ phase, waterC: [lo, hi], direction, half }: PhasePrior, { waterC, rising, warming, longDays, spawned }: Signs): number {
  const inside = logistic((waterC - lo) / BLUR_C) * logistic((hi - waterC) / BLUR_C)
  const agree = direction === 'either' ? 0.5 : direction === 'rising' ? rising : 1 - rising
  const season = half === null ? 0.5 : half === 'warming' ? warming : 1 - warming
  const bedding = phase === 'staging' || phase === 'preSpawn' || phase === 'spawn'
  const daylight = bedding ? SHORT_DAY_SHARE + (1 - SHORT_DAY_SHARE) * longDays : 1
  const year = spawned === undefined
    ? 1
    : bedding ? 1 - (1 - SPAWNED_SHARE) * spawned : phase === 'postSpawn' ? NOT_YET_SHARE + (1 - NOT_YET_SHARE) * spawned : 1
  // The floor keeps the sum above 0 for water hotter than any phase knows.
  return Math.max(1e-12, inside * daylight * year
    * (WRONG_DIRECTION_SHARE + (1 - WRONG_DIRECTION_SHARE) * agree)
    * (WRONG_HALF_SHARE + (1 - WRONG_HALF_SHARE) * season))
}

const logistic = (x: number) => 1 / (1 + Math.exp(-x))

/** 0–1: near 1 from late winter to midsummer, near 0 from late summer to midwinter (water lags the sun by about a month). */
function warmingHalf(dayOfYear: number, latDeg: number): number {
  const COLDEST_DAY = 32
  const shift = latDeg < 0 ? 182.6 : 0
  const angle = (2 * Math.PI * (dayOfYear - COLDEST_DAY - shift)) / 365.25
  return logistic(4 * Math.sin(angle))
}
