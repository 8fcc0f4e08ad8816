import { logGamma } from '../numeric/gamma'

/** A spell at the place, oldest first. */
export interface Stretch { minutes: number, presentations: number, catches: number, taps: number, follows: number }

/** How long a bite lasts, minutes to 1/e: it is not known, so all of these are held possible, most of all those about a half-life of 20 minutes (MATH §13). */
export const FADES_MIN = [8, 16, 32, 64, 128, 100_000] as const
export const FADE_SHARES = [0.01, 0.2, 0.4, 0.3, 0.08, 0.01] as const

/** Follows and taps for each fish that bites: not known either. 0: they tell nothing of the bite, or nobody counts them. */
const SIGNS_PER_FISH = [0, 0.4, 1, 2.5]
const SIGN_SHARES = [0.7, 0.1, 0.1, 0.1]
/** Signs that tell nothing come at a steady pace of their own, Gamma(shape, minutes) a minute. */
const STRAY = { shape: 0.5, minutes: 20 }
/** A supposition less likely than this changes no figure that is shown. */
const NEGLIGIBLE = 1e-5

/** One supposition of how the bite fades and what signs mean; under it the rate on arrival, fish a minute, is Gamma(shape, minutes). */
export interface Supposition { fade: number, shape: number, minutes: number, weight: number }

/** ∫ exp(−t/fade) over the minutes from…to after arrival. */
export const caughtShare = (fadeMin: number, from: number, to: number) => fadeMin * (Math.exp(-from / fadeMin) - Math.exp(-to / fadeMin))

/**
 * What is believed of a place after its spells: a Gamma prior of the rate on arrival, updated by catches over effort (Poisson, so the update is exact),
 * under each supposition of how the bite fades and how many follows and taps a biting fish gives. The suppositions are weighed by how well they
 * foretold what was counted; weights add up to 1.
 * @param prior fish an hour: Gamma(alpha, beta)
 */
export function believePlace({ alpha, beta }: { alpha: number, beta: number }, stretches: readonly Stretch[]): Supposition[] {
  const spells = stretches.filter(s => s.minutes > 0)
  const catches = spells.reduce((sum, s) => sum + s.catches, 0)
  const signs = spells.reduce((sum, s) => sum + s.taps + s.follows, 0)
  const total = spells.reduce((sum, s) => sum + s.minutes, 0)
  const strayLog = spells.reduce((sum, s) => sum + (s.taps + s.follows) * Math.log(s.minutes), 0) + logMarginal(STRAY.shape, STRAY.minutes, signs, total)
  const all: Supposition[] = []
  for (const [f, fadeMin] of FADES_MIN.entries()) {
    let [from, effort, catchLog, signLog] = [0, 0, 0, 0]
    for (const s of spells) {
      // Long after a bite has died its share is nothing to a computer: its logarithm must still be a number.
      const share = Math.max(Number.MIN_VALUE, caughtShare(fadeMin, from, from + s.minutes))
      effort += share
      catchLog += s.catches * Math.log(share)
      signLog += (s.taps + s.follows) * Math.log(share)
      from += s.minutes
    }
    for (const [k, perFish] of SIGNS_PER_FISH.entries()) {
      const seen = perFish > 0 ? catches + signs : catches
      const minutes = beta * 60 + effort * (1 + perFish)
      const log = Math.log(FADE_SHARES[f]! * SIGN_SHARES[k]!) + catchLog + logMarginal(alpha, beta * 60, seen, effort * (1 + perFish)) + (perFish > 0 ? signLog + signs * Math.log(perFish) : strayLog)
      all.push({ fade: f, shape: alpha + seen, minutes, weight: log })
    }
  }
  const most = Math.max(...all.map(s => s.weight))
  const sum = all.reduce((total, s) => total + Math.exp(s.weight - most), 0)
  const weighed = all.map(s => ({ ...s, weight: Math.exp(s.weight - most) / sum })).filter(s => s.weight > NEGLIGIBLE)
  const kept = weighed.reduce((total, s) => total + s.weight, 0)
  return weighed.map(s => ({ ...s, weight: s.weight / kept }))
}

/** Log likelihood of a Poisson count over an effort, its rate Gamma(shape, minutes) and integrated out, without what hangs on the data alone. */
function logMarginal(shape: number, minutes: number, count: number, effort: number): number {
  return shape * Math.log(minutes) - (shape + count) * Math.log(minutes + effort) + logGamma(shape + count) - logGamma(shape)
}

/** Fish expected in the coming minutes. */
export function expectedFish(belief: readonly Supposition[], from: number, minutes: number): number {
  return belief.reduce((sum, s) => sum + ((s.weight * s.shape) / s.minutes) * caughtShare(FADES_MIN[s.fade]!, from, from + minutes), 0)
}

/** How likely each of `FADES_MIN` is. */
export function fadeShares(belief: readonly Supposition[]): number[] {
  const shares = FADES_MIN.map(() => 0)
  for (const s of belief) shares[s.fade]! += s.weight
  return shares
}
