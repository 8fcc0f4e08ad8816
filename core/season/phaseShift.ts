import { requireNumber } from '../guard'
import { phaseProbabilities } from './phaseProbabilities'
import type { PhasePrior } from './phases'

/** A school whose depth and water were logged, for learning when this water's phases run. */
export interface PhaseEvidence {
  topM: number
  bottomM: number
  waterC: number
  trendCPerWeek: number
  dayOfYear: number
}

const PRIOR_SD_C = 1
const MOST_C = 3
const STEP_C = 0.25
/** Schools seen on one day are one piece of news more than many: each counts this much. */
const WEIGHT = 0.5
/** However sure a phase, a school may hang elsewhere: share of an even spread over the column. */
const ANYWHERE = 0.15
const COLUMN_M = 15

/**
 * How much cooler (below 0) or warmer than the handbook's this water's phases run, °C, learned from the depths of the angler's
 * own schools: for each shift, how well the phases it makes explain where the schools hung; a normal prior of 1 °C holds it near 0.
 * @returns the expected shift and its standard deviation, and the number of schools it rests on
 */
export function phaseShift({ evidence, season, latDeg }: { evidence: readonly PhaseEvidence[], season: readonly PhasePrior[], latDeg: number }): { shiftC: number, sdC: number, schools: number } {
  requireNumber('latDeg', latDeg, { min: -90, max: 90 })
  const shifts: number[] = []
  for (let s = -MOST_C; s <= MOST_C + 1e-9; s += STEP_C) shifts.push(s)
  const logs = shifts.map(shift => -0.5 * (shift / PRIOR_SD_C) ** 2 + WEIGHT * evidence.reduce((sum, school) => sum + logLikelihood(school, shift, season, latDeg), 0))
  const top = Math.max(...logs)
  const weights = logs.map(l => Math.exp(l - top))
  const total = weights.reduce((a, b) => a + b, 0)
  const shiftC = shifts.reduce((sum, s, i) => sum + s * weights[i]!, 0) / total
  const variance = shifts.reduce((sum, s, i) => sum + (s - shiftC) ** 2 * weights[i]!, 0) / total
  return { shiftC, sdC: Math.sqrt(variance), schools: evidence.length }
}

/** The season with every phase's temperatures moved. */
export function shiftedSeason(season: readonly PhasePrior[], shiftC: number): PhasePrior[] {
  return season.map(p => ({ ...p, waterC: [p.waterC[0] + shiftC, p.waterC[1] + shiftC] }))
}

function logLikelihood({ topM, bottomM, waterC, trendCPerWeek, dayOfYear }: PhaseEvidence, shiftC: number, season: readonly PhasePrior[], latDeg: number): number {
  const middle = (topM + bottomM) / 2
  const shares = phaseProbabilities({ waterC: Math.min(45, Math.max(-2, waterC - shiftC)), trendCPerWeek, dayOfYear, latDeg, season })
  const density = shares.reduce((sum, { probability, prior: { depthM: [lo, hi] } }) => {
    const sd = Math.max(0.5, (hi - lo) / 2)
    const z = (middle - (lo + hi) / 2) / sd
    return sum + probability * Math.exp(-0.5 * z * z) / (sd * Math.sqrt(2 * Math.PI))
  }, 0)
  return Math.log((1 - ANYWHERE) * density + ANYWHERE / COLUMN_M)
}
