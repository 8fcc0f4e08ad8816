import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gammaShares, logGamma, lowerGamma } from './gamma'

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
