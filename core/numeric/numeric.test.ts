import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { rootIncreasing } from './rootIncreasing'
import { gammaDraw } from './gammaDraw'
import { seededRandom } from './random'

describe('rootIncreasing', () => {
  it('finds roots to the asked accuracy', () => {
    fc.assert(fc.property(fc.double({ min: 1e-6, max: 1e6, noNaN: true }), (root) => {
      expect(rootIncreasing(x => x ** 3 - root ** 3, 0, 2e6) / root).toBeCloseTo(1, 9)
    }))
  })

  it('asks a smooth function a few times, where halving would ask forty', () => {
    for (const f of [(x: number) => x ** 3 - 7, (x: number) => Math.exp(x) - 4, (x: number) => Math.atan(x - 1.234), (x: number) => x - 0.5]) {
      let asked = 0
      const root = rootIncreasing((x) => {
        asked++
        return f(x)
      }, 0, 10)
      expect(Math.abs(f(root))).toBeLessThan(1e-9)
      expect(asked).toBeLessThan(20)
    }
  })

  it('is never worse than halving by much on a function with a corner, a step or a shelf', () => {
    const shelf = (x: number) => (x < 2 ? -1e-12 : x < 7 ? 0.001 * (x - 6) ** 3 - 1e-9 : 1)
    for (const [f, root] of [[(x: number) => (x < 3 ? 1e6 * (x - 3) : 1e-6 * (x - 3)), 3], [(x: number) => (x < 4.321 ? -1 : 1), 4.321], [shelf, 6.01]] as const) {
      let asked = 0
      const found = rootIncreasing((x) => {
        asked++
        return f(x)
      }, 0, 10, 1e-9)
      expect(found).toBeCloseTo(root, 2)
      expect(asked).toBeLessThan(120)
    }
  })

  it('takes a function that is infinite beyond its root', () => {
    expect(rootIncreasing(x => (x > 3 ? Infinity : x - 3), 0, 10)).toBeCloseTo(3, 9)
  })

  it('ends at an end of the interval when the root is there', () => {
    expect(rootIncreasing(x => x + 1, 0, 8)).toBeCloseTo(0, 9)
    expect(rootIncreasing(() => -1, 0, 8)).toBeCloseTo(8, 9)
  })
})

describe('gammaDraw', () => {
  it('has the mean and the spread of its shape, few and many alike', () => {
    for (const shape of [0.3, 0.8, 1, 2.5, 12]) {
      const random = seededRandom(11)
      const draws = Array.from({ length: 40_000 }, () => gammaDraw(shape, random))
      const mean = draws.reduce((a, b) => a + b, 0) / draws.length
      const variance = draws.reduce((a, b) => a + (b - mean) ** 2, 0) / draws.length
      expect(draws.every(d => d > 0 && Number.isFinite(d))).toBe(true)
      expect(mean / shape).toBeCloseTo(1, 1)
      expect(variance / shape).toBeGreaterThan(0.93)
      expect(variance / shape).toBeLessThan(1.07)
    }
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
