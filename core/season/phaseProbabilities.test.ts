import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { phaseProbabilities, type PhaseOptions } from './phaseProbabilities'
import { CRAPPIE_PHASES, phaseMeaning, phaseName, PHASES } from './phases'

const F = (f: number) => (f - 32) / 1.8
const SPRING = { dayOfYear: 114, latDeg: 40 }
const first = (options: PhaseOptions) => phaseProbabilities(options)[0]!.phase

describe('phaseProbabilities', () => {
  it('always sums to one, for any water an angler can meet', () => {
    fc.assert(fc.property(
      fc.double({ min: -2, max: 40, noNaN: true }), fc.double({ min: -8, max: 8, noNaN: true }), fc.integer({ min: 1, max: 366 }), fc.double({ min: -66, max: 66, noNaN: true }),
      (waterC, trendCPerWeek, dayOfYear, latDeg) => {
        const shares = phaseProbabilities({ waterC, trendCPerWeek, dayOfYear, latDeg })
        expect(shares).toHaveLength(PHASES.length)
        expect(shares.reduce((sum, s) => sum + s.probability, 0)).toBeCloseTo(1, 9)
        expect(shares.every((s, i) => i === 0 || s.probability <= shares[i - 1]!.probability)).toBe(true)
      }))
  })

  it.each([
    [40, 0.5, 40, 'winter'], [48, 2, 90, 'staging'], [54, 2, 114, 'preSpawn'], [63, 2, 130, 'spawn'], [84, 0.5, 200, 'summer'],
    [84, -2, 240, 'lateSummer'], [68, -3, 275, 'fallTransition'], [53, -2, 310, 'fall'],
  ] as const)('%i °F changing %i °C a week on day %i is %s', (f, trendCPerWeek, dayOfYear, phase) => {
    expect(first({ waterC: F(f), trendCPerWeek, dayOfYear, latDeg: 40 })).toBe(phase)
  })

  it('tells spring from fall at one temperature by the direction and the calendar', () => {
    expect(first({ waterC: 12, trendCPerWeek: 2, ...SPRING })).toBe('preSpawn')
    expect(first({ waterC: 12, trendCPerWeek: -2, dayOfYear: 305, latDeg: 40 })).toBe('fall')
  })

  it('turns the year round in the south', () => {
    expect(first({ waterC: 12, trendCPerWeek: 2, dayOfYear: 114 + 183, latDeg: -40 })).toBe('preSpawn')
  })

  it('moves between phases smoothly: no jump over a tenth of a degree', () => {
    for (let c = 5; c < 28; c += 0.1) {
      const here = new Map(phaseProbabilities({ waterC: c, trendCPerWeek: 1, ...SPRING }).map(s => [s.phase, s.probability]))
      for (const { phase, probability } of phaseProbabilities({ waterC: c + 0.1, trendCPerWeek: 1, ...SPRING })) {
        expect(Math.abs(probability - here.get(phase)!), `${phase} at ${c.toFixed(1)}`).toBeLessThan(0.08)
      }
    }
  })

  it('refuses what is off the scale', () => {
    expect(() => phaseProbabilities({ waterC: 60, trendCPerWeek: 0, ...SPRING })).toThrow(/waterC is 60/)
    expect(() => phaseProbabilities({ waterC: 10, trendCPerWeek: Number.NaN, ...SPRING })).toThrow(/trendCPerWeek/)
    expect(() => phaseProbabilities({ waterC: 10, trendCPerWeek: 0, dayOfYear: 0, latDeg: 40 })).toThrow(/dayOfYear/)
    expect(() => phaseProbabilities({ waterC: 10, trendCPerWeek: 0, dayOfYear: 9, latDeg: 91 })).toThrow(/latDeg/)
  })
})

describe('phases', () => {
  it('has for each a name, a meaning and a band the right way up', () => {
    for (const phase of PHASES) {
      const { waterC, depthM, fishPerHour } = CRAPPIE_PHASES[phase]
      expect(waterC[0]).toBeLessThan(waterC[1])
      expect(depthM[0]).toBeLessThan(depthM[1])
      expect(fishPerHour).toBeGreaterThan(0)
      expect(phaseMeaning(phase)).toMatch(/\.$/)
    }
    expect(new Set(PHASES.map(phaseName)).size).toBe(PHASES.length)
  })
})
