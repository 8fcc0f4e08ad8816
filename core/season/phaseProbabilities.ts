import { requireNumber, WATER_TEMP_C } from '../guard'
import { CRAPPIE_PHASES, PHASES, type Phase, type PhasePrior } from './phases'

/** Parts of one lake differ by about this much on one day, so the ends of a phase blur over it, °C. */
const BLUR_C = 1.0
/** A trend this far from 0 is clearly one way, °C a week. */
const TREND_BLUR = 0.7
/** The calendar only helps: the wrong half of the year still keeps this share. */
const WRONG_HALF_SHARE = 0.15
const WRONG_DIRECTION_SHARE = 0.08

export interface PhaseShare {
  phase: Phase
  /** 0–1; the shares of all phases sum to 1 */
  probability: number
}

export interface PhaseOptions {
  waterC: number
  /** how the water's temperature is moving, °C a week */
  trendCPerWeek: number
  /** 1–366 in the water's own zone */
  dayOfYear: number
  /** degrees north; turns the year round south of the equator */
  latDeg: number
}

/**
 * Which season phase crappie are in: a probability for each, most likely first, never a hard switch.
 * Temperature decides, the direction it moves in tells spring from fall, the calendar helps a little.
 * @throws RangeError for a temperature outside −2 to 45 °C, a day outside 1–366 or a latitude outside ±90
 */
export function phaseProbabilities({ waterC, trendCPerWeek, dayOfYear, latDeg }: PhaseOptions): PhaseShare[] {
  requireNumber('waterC', waterC, WATER_TEMP_C)
  requireNumber('trendCPerWeek', trendCPerWeek)
  requireNumber('dayOfYear', dayOfYear, { min: 1, max: 366 })
  requireNumber('latDeg', latDeg, { min: -90, max: 90 })
  const rising = logistic(trendCPerWeek / TREND_BLUR)
  const warming = warmingHalf(dayOfYear, latDeg)
  const raw = PHASES.map(phase => ({ phase, weight: likelihood(CRAPPIE_PHASES[phase], waterC, rising, warming) }))
  const total = raw.reduce((sum, r) => sum + r.weight, 0)
  return raw
    .map(({ phase, weight }) => ({ phase, probability: weight / total }))
    .sort((a, b) => b.probability - a.probability)
}

function likelihood({ waterC: [lo, hi], direction, half }: PhasePrior, waterC: number, rising: number, warming: number): number {
  const inside = logistic((waterC - lo) / BLUR_C) * logistic((hi - waterC) / BLUR_C)
  const agree = direction === 'either' ? 0.5 : direction === 'rising' ? rising : 1 - rising
  const season = half === null ? 0.5 : half === 'warming' ? warming : 1 - warming
  // The floor keeps the sum above 0 for water hotter than any phase knows.
  return Math.max(1e-12, inside
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
