import { describe, expect, it } from 'vitest'
import { believePlace, caughtShare, expectedFish, FADE_SHARES, FADES_MIN, fadeShares, type Stretch } from './placeBelief'

const spell = (catches: number, more: Partial<Stretch> = {}): Stretch => ({ minutes: 5, presentations: 6, catches, taps: 0, follows: 0, ...more })

describe('what is believed of a place', () => {
  const prior = { alpha: 1, beta: 0.2 }
  it('is the prior where nothing was counted, and adds up', () => {
    const belief = believePlace(prior, [])
    expect(belief.reduce((sum, s) => sum + s.weight, 0)).toBeCloseTo(1, 12)
    // Five an hour that last: 2.5 in half an hour; what fades gives less.
    expect(expectedFish(belief, 0, 30)).toBeLessThan(2.5)
    expect(expectedFish(belief, 0, 0.01) * 6000).toBeCloseTo(5, 2)
  })
  it('agrees with sums over a fine grid of rates', () => {
    const stretches = [spell(2), spell(1, { minutes: 10 }), spell(0)]
    // Without signs each supposition of fading is a plain Poisson count under a Gamma prior; the sum is taken by hand over the rates.
    let [weight, fish] = [0, 0]
    for (const [f, fadeMin] of FADES_MIN.entries()) {
      const effort = [caughtShare(fadeMin, 0, 5), caughtShare(fadeMin, 5, 15), caughtShare(fadeMin, 15, 20)]
      const ahead = caughtShare(fadeMin, 20, 50)
      for (let r = 0.0005; r < 2; r += 0.001) {
        const mu = effort.map(e => e * r)
        const likely = FADE_SHARES[f]! * Math.exp(-12 * r) * mu[0]! ** 2 * mu[1]! * Math.exp(-mu[0]! - mu[1]! - mu[2]!)
        // A sign was possible at 0.4, 1 and 2.5 a fish, and none came; or signs tell nothing.
        const quiet = 0.7 * Math.sqrt(20 / 40) + 0.1 * [0.4, 1, 2.5].reduce((sum, k) => sum + Math.exp(-k * r * effort.reduce((a, b) => a + b, 0)), 0)
        weight += likely * quiet
        fish += likely * quiet * r * ahead
      }
    }
    expect(expectedFish(believePlace(prior, stretches), 20, 30)).toBeCloseTo(fish / weight, 3)
  })
  it('reads looks and taps as fish that may bite: more of them, more is expected', () => {
    const seen = (follows: number) => expectedFish(believePlace(prior, [spell(1, { follows }), spell(1, { follows })]), 10, 30)
    expect(seen(2)).toBeGreaterThan(seen(0))
  })
  it('holds a bite that dies for faster to fade', () => {
    const fast = (stretches: Stretch[]) => fadeShares(believePlace(prior, stretches)).slice(0, 3).reduce((a, b) => a + b, 0)
    expect(fast([spell(5), spell(2), spell(0), spell(0), spell(0)])).toBeGreaterThan(fast([spell(1), spell(2), spell(1), spell(1), spell(2)]))
  })
  it('stays a number hours after a bite has died', () => {
    const long = Array.from({ length: 20 }, () => spell(1, { minutes: 600, follows: 1 }))
    expect(Number.isFinite(expectedFish(believePlace(prior, long), 12_000, 30))).toBe(true)
  })
})
