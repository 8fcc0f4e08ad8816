import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'

/** A thing that can be tied on or done, with what it has brought so far at this school. */
export interface VariantArm {
  id: string
  presentations: number
  takes: number
  /** looks, follows and taps that turned away: half a sign that it is wanted */
  signs?: number
}

export interface NextVariantOptions {
  /** in the order they are to be tried: ties go to the earlier */
  arms: readonly VariantArm[]
  /** takes for each presentation that are usual, and how many presentations that is worth */
  priorMean: number
  priorStrength: number
  /** this rule draws nothing; taken so that one that does can stand in its place */
  seed: number
}

export interface NextVariantResult {
  id: string
  /** chance of each to be the best of them, in the order given */
  chance: { id: string, best: number }[]
}

/** Weight of the spread in the index: optimism is what makes an untried one worth a try. */
const OPTIMISM = 0.65
/** Casts without a take are counted by so many: a thing that is on gets that many before it is judged again, since a change costs a minute. */
const BLOCK = 4
/** Points at which the beliefs are compared, from 0 to well past the best of them. */
const GRID = 120
/** A look that turned away is worth this much of a take as evidence. */
const SIGN_SHARE = 0.05

/**
 * What to try next at a school, and the chance of each to be the best (MATH §13): an optimistic index (mean and a share of its spread) over Beta
 * beliefs, since at a few hundred presentations plain sampling spends too much on the poor ones. What is on is judged anew every four casts, so that it does
 * not hop at every one.
 * @throws RangeError for no arms, a prior outside 0–1, or more takes than presentations
 */
export function nextVariant({ arms, priorMean, priorStrength, seed }: NextVariantOptions): NextVariantResult {
  requireNumber('seed', seed)
  if (arms.length === 0) throw new RangeError('arms is empty; it must hold at least one')
  requireNumber('priorMean', priorMean, { min: 0, max: 1, above: true })
  requireNumber('priorStrength', priorStrength, POSITIVE)
  arms.forEach((arm, i) => {
    requireNumber(`arms[${i}].presentations`, arm.presentations, NOT_NEGATIVE)
    requireNumber(`arms[${i}].takes`, arm.takes, { min: 0, max: arm.presentations })
  })
  const beliefs = arms.map(arm => beliefOf(arm, priorMean, priorStrength))
  return { id: arms[pickVariant({ arms, priorMean, priorStrength })]!.id, chance: chances(arms, beliefs) }
}

/** Which of the arms `nextVariant` would try, without the chances, which cost more than the choice. Its arguments are not checked. */
export function pickVariant({ arms, priorMean, priorStrength }: Omit<NextVariantOptions, 'seed'>): number {
  let [best, most] = [0, -1]
  for (const [i, arm] of arms.entries()) {
    const { mean, sd } = beliefOf({ ...arm, presentations: Math.max(arm.takes, Math.floor(arm.presentations / BLOCK) * BLOCK) }, priorMean, priorStrength)
    const index = mean + OPTIMISM * sd
    if (index > most + 1e-12) [best, most] = [i, index]
  }
  return best
}

interface Belief { a: number, b: number, mean: number, sd: number }

function beliefOf({ presentations, takes, signs = 0 }: VariantArm, priorMean: number, priorStrength: number): Belief {
  const a = priorMean * priorStrength + takes + SIGN_SHARE * Math.min(signs, presentations)
  const b = (1 - priorMean) * priorStrength + presentations - takes
  return { a, b, mean: a / (a + b), sd: Math.sqrt((a * b) / ((a + b) ** 2 * (a + b + 1))) }
}

/** Chance of each to be the greatest: its density times the chance that all others lie below, summed over a grid. */
function chances(arms: readonly VariantArm[], beliefs: readonly Belief[]): NextVariantResult['chance'] {
  const end = Math.min(1, Math.max(...beliefs.map(b => b.mean + 6 * b.sd)))
  const densities = beliefs.map(({ a, b }) => {
    const logs = Array.from({ length: GRID }, (_, g) => {
      const x = (end * (g + 0.5)) / GRID
      return (a - 1) * Math.log(x) + (b - 1) * Math.log1p(-x)
    })
    const most = Math.max(...logs)
    const raw = logs.map(l => Math.exp(l - most))
    const sum = raw.reduce((p, q) => p + q, 0)
    return raw.map(v => v / sum)
  })
  const below = densities.map((density) => {
    let run = 0
    return density.map((d) => {
      run += d
      return run - d / 2
    })
  })
  const best = densities.map((density, k) => density.reduce((sum, d, g) => sum + d * below.reduce((p, cdf, j) => (j === k ? p : p * cdf[g]!), 1), 0))
  const total = best.reduce((p, q) => p + q, 0)
  return arms.map(({ id }, k) => ({ id, best: best[k]! / total }))
}
