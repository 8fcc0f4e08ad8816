import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gammaShares, logGamma, lowerGamma } from '../numeric/gamma'
import { judgeStay, STAY_WORLDS } from '../../sim/stayDays'
import { judgeVariant, VARIANT_WORLDS } from '../../sim/variantDays'
import { adviseStay, type AdviseStayOptions, type Stretch } from './adviseStay'
import { nextVariant } from './nextVariant'

const spell = (catches: number, more: Partial<Stretch> = {}): Stretch => ({ minutes: 5, presentations: 6, catches, taps: 0, follows: 0, ...more })
const at = (stretches: Stretch[], more: Partial<AdviseStayOptions> = {}) => adviseStay({ prior: { alpha: 1, beta: 0.2 }, stretches, elsewhere: { ratePerHour: 5, sdPerHour: 5, travelMin: 8 }, minutesLeft: 240, ...more })

describe('the gamma functions', () => {
  it('agree with known values', () => {
    expect(logGamma(5)).toBeCloseTo(Math.log(24), 12)
    expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 12)
    expect(lowerGamma(1, 2)).toBeCloseTo(1 - Math.exp(-2), 12)
    expect(lowerGamma(3, 8)).toBeCloseTo(1 - Math.exp(-8) * (1 + 8 + 32), 12)
  })
  it('shares keep the mean and rise', () => {
    fc.assert(fc.property(fc.double({ min: 0.3, max: 20, noNaN: true }), fc.double({ min: 0.05, max: 10, noNaN: true }), (shape, rate) => {
      const shares = gammaShares({ shape, rate, count: 12 })
      expect(shares.reduce((a, b) => a + b, 0) / 12).toBeCloseTo(shape / rate, 6)
      expect(shares.every((v, i) => i === 0 || v >= shares[i - 1]!)).toBe(true)
    }), { numRuns: 60 })
  })
})

describe('stay, change or go', () => {
  it('stays where it bites and goes where it does not', () => {
    expect(at([spell(2), spell(2)]).action).toBe('stay')
    expect(at([spell(0), spell(0), spell(0), spell(0)]).action).toBe('go')
    expect(at([spell(3), spell(2), spell(0), spell(0), spell(0), spell(0), spell(0)]).action).toBe('go')
  })
  it('sees a dying bite, and says so', () => {
    const steady = at([spell(1), spell(1), spell(1), spell(1), spell(1), spell(1)])
    const dying = at([spell(3), spell(2), spell(1), spell(0), spell(0), spell(0)])
    expect(dying.ratePerHour).toBeLessThan(steady.ratePerHour)
    expect(dying.why.map(w => w.key)).toContain('slowing')
    expect(steady.why.map(w => w.key)).not.toContain('slowing')
  })
  it('never goes inside the first minutes while there is a sign of life, nor when the run takes the rest of the day', () => {
    expect(at([spell(0, { follows: 1 })]).action).toBe('stay')
    expect(at([spell(0), spell(0), spell(0), spell(0)], { minutesLeft: 8 }).action).toBe('stay')
    expect(at([spell(0), spell(0), spell(0)], { minutesLeft: 0 })).toMatchObject({ action: 'stay', elsewherePerHour: 0 })
  })
  it('asks for a change before a move where they follow and do not take', () => {
    expect(at([spell(1), spell(0, { follows: 2, taps: 1 }), spell(0, { follows: 2 }), spell(0, { follows: 1 })]).action).toBe('change')
  })
  it('leaves sooner for a shorter run and a richer water', () => {
    const lasts = (more: Partial<AdviseStayOptions['elsewhere']>) => {
      let n = 1
      while (n < 40 && at([spell(1), ...Array.from({ length: n }, () => spell(0))], { elsewhere: { ratePerHour: 5, sdPerHour: 5, travelMin: 8, ...more } }).action !== 'go') n++
      return n
    }
    expect(lasts({ travelMin: 2 })).toBeLessThanOrEqual(lasts({ travelMin: 25 }))
    expect(lasts({ ratePerHour: 9 })).toBeLessThan(lasts({ ratePerHour: 2 }))
  })
  it('gives figures for anything that can be, and refuses what cannot', () => {
    const count = fc.integer({ min: 0, max: 12 })
    fc.assert(fc.property(fc.array(fc.record({ minutes: fc.double({ min: 0, max: 60, noNaN: true }), presentations: count, catches: count, taps: count, follows: count }), { maxLength: 8 }), fc.double({ min: 0.05, max: 30, noNaN: true }), fc.double({ min: 0, max: 30, noNaN: true }), fc.double({ min: 0, max: 600, noNaN: true }), (stretches, alpha, ratePerHour, minutesLeft) => {
      const advice = at(stretches, { prior: { alpha, beta: 0.5 }, elsewhere: { ratePerHour, sdPerHour: ratePerHour * 0.7, travelMin: 9 }, minutesLeft })
      expect([advice.ratePerHour, advice.elsewherePerHour, advice.byFish].every(Number.isFinite)).toBe(true)
    }), { numRuns: 60 })
    expect(() => at([spell(-1)])).toThrow(/stretches\[0\]\.catches/)
    expect(() => at([], { prior: { alpha: 0, beta: 1 } })).toThrow(/prior.alpha/)
  })
  it('keeps most of what an all-knowing leaver takes, and beats any clock, in simulated days', () => {
    const scores = [STAY_WORLDS[1]!, STAY_WORLDS[4]!].map(world => judgeStay(world, 20, 3))
    const share = scores.map(s => s.advised / s.knowing).reduce((a, b) => a + b, 0) / 2
    expect(share).toBeGreaterThan(0.85)
    for (const s of scores) expect(s.advised / s.clock).toBeGreaterThan(1.15)
  })
})

describe('what to try next', () => {
  const arm = (id: string, presentations: number, takes: number) => ({ id, presentations, takes })
  const next = (arms: ReturnType<typeof arm>[]) => nextVariant({ arms, priorMean: 0.055, priorStrength: 12.7, seed: 1 })
  it('begins with the first of the ladder, stays with it for some casts, and then tries the next', () => {
    expect(next([arm('a', 0, 0), arm('b', 0, 0)]).id).toBe('a')
    expect(next([arm('a', 3, 0), arm('b', 0, 0)]).id).toBe('a')
    expect(next([arm('a', 4, 0), arm('b', 0, 0)]).id).toBe('b')
    expect(next([arm('a', 8, 1), arm('b', 0, 0)]).id).toBe('a')
  })
  it('gives chances that add up, higher for what took more', () => {
    const { chance } = next([arm('a', 40, 5), arm('b', 40, 1), arm('c', 0, 0)])
    expect(chance.reduce((sum, c) => sum + c.best, 0)).toBeCloseTo(1, 9)
    expect(chance[0]!.best).toBeGreaterThan(chance[1]!.best)
    expect(next([arm('a', 20, 2), arm('b', 20, 2)]).chance[0]!.best).toBeCloseTo(0.5, 6)
  })
  it('refuses what cannot be', () => {
    expect(() => next([])).toThrow(/arms is empty/)
    expect(() => next([arm('a', 3, 4)])).toThrow(/arms\[0\]\.takes/)
  })
  it('takes more fish than ten of each and then the best, in simulated schools', () => {
    const scores = VARIANT_WORLDS.map(world => judgeVariant(world, 60, 5))
    expect(scores.map(s => s.advised / s.ten).reduce((a, b) => a + b, 0) / scores.length).toBeGreaterThan(1.12)
  })
})
