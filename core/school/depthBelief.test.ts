import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { phaseProbabilities } from '../season/phaseProbabilities'
import { depthBelief, shareBetween, type DepthBeliefOptions, type LoggedDepth } from './depthBelief'
import { phaseOf } from '../season/seasons'

const FT = 0.3048
const PRE_SPAWN = [{ phase: 'preSpawn', probability: 1, prior: phaseOf('crappie', 'preSpawn')! }] as const
const morning: DepthBeliefOptions = { phases: [...PRE_SPAWN], waterDepthM: 14, waterC: 12.2, secchiM: 0.8, hour: 7, windMS: 4, trendCPerWeek: 2 }
const seen = (change: Partial<LoggedDepth> = {}): LoggedDepth => ({ topM: 5, bottomM: 6, waterC: 12.2, hour: 7, secchiM: 0.8, ageDays: 2, ...change })

describe('depthBelief', () => {
  it('is a share of one over the column, with quantiles in order', () => {
    fc.assert(fc.property(
      fc.double({ min: 0.4, max: 20, noNaN: true }), fc.double({ min: 2, max: 30, noNaN: true }), fc.double({ min: 0, max: 24, noNaN: true }), fc.double({ min: 0, max: 12, noNaN: true }),
      (waterDepthM, waterC, hour, windMS) => {
        const phases = phaseProbabilities({ waterC, trendCPerWeek: 1, dayOfYear: 114, latDeg: 40 })
        const { density, quantiles: q } = depthBelief({ ...morning, phases, waterDepthM, waterC, hour, windMS })
        expect(density.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
        expect([q.p10, q.p20, q.p50, q.p80, q.p90]).toEqual([q.p10, q.p20, q.p50, q.p80, q.p90].sort((a, b) => a - b))
        expect(q.p90).toBeLessThanOrEqual(waterDepthM)
      }))
  })

  it('starts from the phase: pre-spawn crappie at 6 to 10 ft', () => {
    const { p20, p80 } = depthBelief(morning).quantiles
    expect(p20 / FT).toBeGreaterThan(5.5)
    expect(p80 / FT).toBeLessThan(10.5)
  })

  it('lifts part of them into the shallows on a warm calm afternoon, and not in wind', () => {
    const shallow = (change: Partial<DepthBeliefOptions>) => shareBetween(depthBelief({ ...morning, ...change }), 0, 1.3)
    expect(shallow({ hour: 15.5, windMS: 0.5 })).toBeGreaterThan(shallow({}) + 0.15)
    expect(shallow({ hour: 15.5, windMS: 6 })).toBeLessThan(shallow({}) + 0.03)
  })

  it('is drawn toward schools logged in like conditions, the more so the newer', () => {
    const deepShare = (logged: LoggedDepth[]) => shareBetween(depthBelief({ ...morning, logged }), 4.5, 6.5)
    expect(deepShare([seen(), seen(), seen()])).toBeGreaterThan(deepShare([]) + 0.3)
    expect(deepShare([seen({ ageDays: 900 })])).toBeLessThan(deepShare([seen()]))
    expect(deepShare([seen({ waterC: 26 })])).toBeLessThan(deepShare([seen()]) / 2)
    expect(depthBelief({ ...morning, logged: [seen({ hour: 23 })] }).logWeight).toBeLessThan(depthBelief({ ...morning, logged: [seen()] }).logWeight)
  })

  it('lays fish that should be deeper onto the bottom of a shallow place', () => {
    const { quantiles } = depthBelief({ ...morning, waterDepthM: 1.2 })
    expect(quantiles.p90).toBeLessThanOrEqual(1.2)
    expect(quantiles.p50).toBeGreaterThan(0.3)
  })

  it('counts part of a bin at the ends', () => {
    const belief = depthBelief(morning)
    expect(shareBetween(belief, 0, 14)).toBeCloseTo(1, 9)
    expect(shareBetween(belief, 0, 2.33) + shareBetween(belief, 2.33, 14)).toBeCloseTo(1, 9)
    expect(shareBetween(belief, 5, 5)).toBe(0)
  })

  it('refuses figures out of range', () => {
    expect(() => depthBelief({ ...morning, waterDepthM: 0 })).toThrow(/waterDepthM/)
    expect(() => depthBelief({ ...morning, hour: 25 })).toThrow(/hour is 25/)
    expect(() => depthBelief({ ...morning, secchiM: -1 })).toThrow(/secchiM/)
  })
})
