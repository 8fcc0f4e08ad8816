import { requireNumber, NOT_NEGATIVE } from '../guard'
import { shareBetween, type DepthBelief } from '../school/depthBelief'
import type { Species } from '../fish/species'
import { seasonOf, type SeasonFish } from '../season/seasons'
import { coverTop, type PlaceOf } from './kinds'

const DAY_MS = 86_400_000

/** A step of a staggered line with what was caught there lately. */
export interface StepLog {
  place: PlaceOf<'brush'>
  /** fish and hours of visits, each counted less the older it is (see `recentWeight`) */
  catches: number
  hours: number
}

export interface StepChance {
  id: string
  step: number
  /** share of the fish's depths that this step covers, before the log: 0–1 over all steps */
  prior: number
  /** chance that this is the step that is on, 0–1 over all steps */
  chance: number
}

/** Fish of the line use the water over a crown too, m. */
const OVER_CROWN_M = 0.6
/** The season's word counts as so many hours of fishing each step. */
const PRIOR_HOURS = 2
/** Fish an hour where a step is on, and where it is not; a step that is on is simply the better one. */
const ON_RATE = 2.4
const OFF_RATE = 0.5
/** A visit counts half after so many days: fish move along the line with the season. */
const HALF_LIFE_DAYS = 10

/** How much a visit of some age still says about which step is on, 0–1. @throws RangeError for a negative age */
export function recentWeight(ageDays: number): number {
  return 0.5 ** (requireNumber('ageDays', ageDays, NOT_NEGATIVE) / HALF_LIFE_DAYS)
}

/** What the recent log says of each step of a line, up to an instant; fish that were not named count. */
export function stepLogs({ steps, visits, catches, fish, atMs }: {
  steps: readonly PlaceOf<'brush'>[]
  visits: readonly { at: string, placeId: string | null, minutes: number }[]
  catches: readonly { at: string, placeId: string | null, species: Species | null }[]
  fish: SeasonFish
  atMs: number
}): StepLog[] {
  const weight = (at: string) => {
    const ageDays = (atMs - Date.parse(at)) / DAY_MS
    return ageDays < 0 ? 0 : recentWeight(ageDays)
  }
  return steps.map(place => ({
    place,
    hours: visits.filter(v => v.placeId === place.id).reduce((sum, v) => sum + (v.minutes / 60) * weight(v.at), 0),
    catches: catches.filter(c => c.placeId === place.id && (c.species === null || seasonOf(c.species) === fish)).reduce((sum, c) => sum + weight(c.at), 0),
  }))
}

/**
 * Which step of a staggered line is on: the season's depths give each a chance, and the recent log weighs them by how much likelier its
 * catch is on a step that is on than on one that is not (Poisson, with a step being on at ON_RATE and off at OFF_RATE fish an hour).
 * @throws RangeError for a negative count or hours, or steps that are none
 */
export function stepsOn({ steps, belief }: { steps: readonly StepLog[], belief: DepthBelief }): StepChance[] {
  requireNumber('steps.length', steps.length, { min: 1 })
  const covered = steps.map(({ place }, i) => shareBetween(belief, Math.max(0, coverTop(place) - OVER_CROWN_M), upper(steps, i)) + 0.01)
  const total = covered.reduce((a, b) => a + b, 0)
  const weights = steps.map(({ catches, hours }, i) => {
    requireNumber('catches', catches, NOT_NEGATIVE)
    requireNumber('hours', hours, NOT_NEGATIVE)
    // Hours speak in full only once there are as many as the prior's.
    const trust = hours / (hours + PRIOR_HOURS)
    const evidence = catches * Math.log(ON_RATE / OFF_RATE) - hours * (ON_RATE - OFF_RATE)
    return (covered[i]! / total) * Math.exp(trust * evidence)
  })
  const sum = weights.reduce((a, b) => a + b, 0)
  return steps.map(({ place }, i) => ({ id: place.id, step: place.attributes.step ?? i + 1, prior: covered[i]! / total, chance: weights[i]! / sum }))
}

/** A step's fish are those down to its own bottom; of the deepest, all below too. */
function upper(steps: readonly StepLog[], i: number): number {
  const bottom = steps[i]!.place.attributes.bottomDepthM
  return steps.every(s => s.place.attributes.bottomDepthM <= bottom) ? Infinity : bottom
}
