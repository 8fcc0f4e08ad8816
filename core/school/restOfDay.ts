import { gammaShares } from '../numeric/gamma'
import { caughtShare, FADE_SHARES, FADES_MIN } from './placeBelief'

const FRESH_RATES = 12
/** Stays in the rest of the day are counted in steps of this. */
const STEP_MIN = 4
/** A new place is not left before it is known. */
const LEARN_STEPS = 2

/**
 * Fish that the rest of a day is worth on arrival at a place not yet known, by the minutes left, worked backward from the end: each place is left when
 * going on is worth more. How a bite fades there is half what was seen here and half what is held possible anywhere.
 * @param elsewhere.ratePerHour, elsewhere.sdPerHour what places not yet known give on arrival, fish an hour
 * @param elsewhere.travelMin run between two of them, min
 * @param left the most minutes that will be asked about
 */
export function restOfDay({ ratePerHour, sdPerHour, travelMin }: { ratePerHour: number, sdPerHour: number, travelMin: number }, fadesHere: readonly number[], left: number): (minutes: number) => number {
  if (ratePerHour < 1e-6) return () => 0
  const sd = Math.max(sdPerHour, 0.05 * ratePerHour)
  const shape = (ratePerHour / sd) ** 2
  const perMin = ratePerHour / 60 / shape
  const fades = FADE_SHARES.map((share, f) => 0.5 * share + 0.5 * fadesHere[f]!)
  const steps = Math.ceil(left / STEP_MIN) + 1
  const shareBy = Float64Array.from({ length: steps + 1 }, (_, k) => fades.reduce((sum, w, f) => sum + w * caughtShare(FADES_MIN[f]!, 0, k * STEP_MIN), 0))
  const worth = new Float64Array(steps + 1)
  const runSteps = travelMin / STEP_MIN
  const at = (k: number) => {
    if (k <= 0) return 0
    const whole = Math.floor(k)
    return worth[whole]! + (k - whole) * ((worth[whole + 1] ?? worth[whole]!) - worth[whole]!)
  }
  const rates = unitShares(shape)
  for (let k = 1; k <= steps; k++) {
    let sum = 0
    for (const unit of rates) {
      const rate = unit * perMin
      let best = rate * shareBy[k]!
      for (let stay = Math.min(k, LEARN_STEPS); stay <= k; stay = Math.max(stay + 1, Math.round(stay * 1.2))) {
        const value = rate * shareBy[stay]! + at(k - stay - runSteps)
        if (value > best) best = value
      }
      sum += best
    }
    worth[k] = sum / FRESH_RATES
  }
  return minutes => at(minutes / STEP_MIN)
}

/** Shares of Gamma(shape, 1) cost more than all the rest, and the next question nearly always asks for the same. */
let last: { shape: number, shares: number[] } | null = null
function unitShares(shape: number): number[] {
  if (last?.shape !== shape) last = { shape, shares: gammaShares({ shape, rate: 1, count: FRESH_RATES }) }
  return last.shares
}
