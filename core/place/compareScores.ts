import type { Factor } from './placeFactors'
import type { PlaceScore } from './scorePlace'

/** One factor of two places side by side. */
export interface FactorGap {
  key: Factor['key']
  mine: Factor
  other: Factor
  /** how much of the difference in score it makes: above 0 where mine is better (logarithm of the ratio) */
  gap: number
}

/** Two places factor by factor, those that part them most first. */
export function compareScores(mine: PlaceScore, other: PlaceScore): FactorGap[] {
  return mine.factors.flatMap((f) => {
    const o = other.factors.find(x => x.key === f.key)
    return o ? [{ key: f.key, mine: f, other: o, gap: Math.log(f.value / o.value) }] : []
  }).sort((a, b) => Math.abs(b.gap) - Math.abs(a.gap))
}

/** A factor that costs less than this is not why. */
const WORTH_SAYING = 0.05

/** Why a place is not the one to begin with: the factors that cost it most against a better one, at most `most`. */
export function whyNot({ score, best, most = 3 }: { score: PlaceScore, best: PlaceScore, most?: number }): FactorGap[] {
  return compareScores(score, best).filter(g => g.gap < -WORTH_SAYING).slice(0, most)
}
