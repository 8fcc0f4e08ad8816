import type { LoggedFish } from '../school/reduceTrip'
import { formatLength, type Units } from '../units/format'
import { speciesName, type Species } from './species'

/** A rule as the angler entered it from the local book: the app is not the law. */
export interface LimitRule {
  /** counted together, as many books have it */
  species: readonly Species[]
  /** fish a day; null: no limit entered */
  bag: number | null
  /** shortest and longest that may be kept, m; null: none entered */
  leastM: number | null
  mostM: number | null
}

export interface LimitCount {
  rule: LimitRule
  kept: number
  /** to the bag; null without one */
  left: number | null
  state: 'open' | 'oneLeft' | 'full' | 'over'
  /** ids of kept fish that were logged outside the lengths */
  wrongSize: string[]
}

/** What of the day's fish counts against each rule; a kept fish whose kind was not named counts against none. */
export function countLimits({ rules, fish }: { rules: readonly LimitRule[], fish: readonly LoggedFish[] }): LimitCount[] {
  return rules.map((rule) => {
    const kept = fish.filter(f => f.fate === 'kept' && f.species !== null && rule.species.includes(f.species))
    const left = rule.bag === null ? null : rule.bag - kept.length
    const wrong = kept.filter(f => f.lengthM !== null && ((rule.leastM !== null && f.lengthM < rule.leastM) || (rule.mostM !== null && f.lengthM > rule.mostM)))
    return { rule, kept: kept.length, left, state: left === null || left > 1 ? 'open' : left === 1 ? 'oneLeft' : left === 0 ? 'full' : 'over', wrongSize: wrong.map(f => f.id).sort() }
  })
}

/** Whom a rule is for, in words. */
export const ruleFish = ({ species }: Pick<LimitRule, 'species'>): string => species.map(speciesName).join(', ')

/** What a rule asks for now, or null while there is nothing to say: one before the bag, at it, over it, or a kept fish of the wrong length. */
export function limitText({ rule, kept, left, state, wrongSize }: LimitCount, units: Units): string | null {
  const fish = ruleFish(rule)
  if (wrongSize.length > 0) return `${wrongSize.length === 1 ? 'A kept fish is' : `${wrongSize.length} kept fish are`} outside your length rule for ${fish}${rule.leastM === null ? '' : `, ${formatLength(rule.leastM, units)} at least`}${rule.mostM === null ? '' : `, ${formatLength(rule.mostM, units)} at most`}.`
  switch (state) {
    case 'open': return null
    case 'oneLeft': return `One more ${fish} and your bag of ${rule.bag} is full.`
    case 'full': return `Your bag of ${rule.bag} ${fish} is full: the next goes back.`
    case 'over': return `${kept} ${fish} kept, ${-left!} over your bag of ${rule.bag}.`
  }
}
