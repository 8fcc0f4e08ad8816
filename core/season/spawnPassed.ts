import { requireNumber } from '../guard'
import type { PhasePrior } from './phases'

/** Warm enough for so many days, and half of the lake's fish are through. */
const HALF_DAYS = 22
const SPREAD_DAYS = 4.5
const WARM_BLUR_C = 0.7

/**
 * How far this year's spawning is over, 0–1, by the days of spawning warmth since the winter: a lake spawns over three or four weeks,
 * not on a day. `dailyC` are the daily means since the year's coldest time, oldest first, up to the day asked about.
 * @throws RangeError for a temperature that is no number
 */
export function spawnPassed({ dailyC, season }: { dailyC: ArrayLike<number>, season: readonly PhasePrior[] }): number {
  const spawn = season.find(p => p.phase === 'spawn')
  if (!spawn) return 0
  let days = 0
  for (let i = 0; i < dailyC.length; i++) days += warmDay(requireNumber(`dailyC[${i}]`, dailyC[i]!), spawn)
  return share(days)
}

/** The same for every day of a year at once: entry i looks back from the end of day i. */
export function spawnPassedByDay({ dailyC, season }: { dailyC: ArrayLike<number>, season: readonly PhasePrior[] }): Float32Array {
  const spawn = season.find(p => p.phase === 'spawn')
  const passed = new Float32Array(dailyC.length)
  let days = 0
  for (let i = 0; spawn && i < dailyC.length; i++) {
    if (!Number.isNaN(dailyC[i]!)) days += warmDay(dailyC[i]!, spawn)
    passed[i] = share(days)
  }
  return passed
}

const logistic = (x: number) => 1 / (1 + Math.exp(-x))
const warmDay = (waterC: number, { waterC: [lo] }: PhasePrior) => logistic((waterC - lo - 0.5) / WARM_BLUR_C)
const share = (days: number) => logistic((days - HALF_DAYS) / SPREAD_DAYS) * Math.min(1, days / 5)
