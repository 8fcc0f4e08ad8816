import { describe, expect, it } from 'vitest'
import { judgeVariant, VARIANT_WORLDS } from '../../sim/variantDays'
import { nextVariant } from './nextVariant'

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
    expect(scores.map(s => s.advised / s.ten).reduce((a, b) => a + b, 0) / scores.length).toBeGreaterThan(1.15)
  })
})
