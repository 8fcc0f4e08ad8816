import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { rootIncreasing } from './rootIncreasing'
import { seededRandom } from './random'

describe('rootIncreasing', () => {
  it('finds roots to the asked accuracy', () => {
    fc.assert(fc.property(fc.double({ min: 1e-6, max: 1e6, noNaN: true }), (root) => {
      expect(rootIncreasing(x => x ** 3 - root ** 3, 0, 2e6) / root).toBeCloseTo(1, 9)
    }))
  })

  it('takes a function that is infinite beyond its root', () => {
    expect(rootIncreasing(x => (x > 3 ? Infinity : x - 3), 0, 10)).toBeCloseTo(3, 9)
  })

  it('ends at an end of the interval when the root is there', () => {
    expect(rootIncreasing(x => x + 1, 0, 8)).toBeCloseTo(0, 9)
    expect(rootIncreasing(() => -1, 0, 8)).toBeCloseTo(8, 9)
  })
})

describe('seededRandom', () => {
  it('is even over the unit interval and repeats for its seed', () => {
    const [a, b, other] = [seededRandom(7), seededRandom(7), seededRandom(8)]
    const list = Array.from({ length: 20_000 }, a)
    expect(Array.from({ length: 20_000 }, b)).toEqual(list)
    expect(other()).not.toBe(list[0])
    expect(list.every(v => v >= 0 && v < 1)).toBe(true)
    for (let k = 0; k < 10; k++) expect(list.filter(v => Math.floor(v * 10) === k).length / 2000).toBeCloseTo(1, 0)
    expect(list.reduce((x, y) => x + y, 0) / list.length).toBeCloseTo(0.5, 1)
  })

  it('does not follow its own last value', () => {
    const random = seededRandom(1)
    const list = Array.from({ length: 5000 }, random)
    const mean = list.reduce((x, y) => x + y, 0) / list.length
    const lag = list.slice(1).reduce((s, v, i) => s + (v - mean) * (list[i]! - mean), 0) / list.reduce((s, v) => s + (v - mean) ** 2, 0)
    expect(Math.abs(lag)).toBeLessThan(0.05)
  })
})
