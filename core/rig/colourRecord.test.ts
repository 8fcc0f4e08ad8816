import { describe, expect, it } from 'vitest'
import { rateInterval } from '../numeric/rateInterval'
import { colourRecord, type BaitSpell } from './colourRecord'

describe('a rate with its interval', () => {
  // Exact Poisson limits: Garwood 1936.
  it.each([[5, 1.623, 11.668], [10, 4.795, 18.39], [50, 37.11, 65.92]])('of %d is within one percent of the exact one', (count, lo, hi) => {
    const got = rateInterval({ count, hours: 1 })
    expect(Math.abs(got.lo / lo - 1)).toBeLessThan(0.01)
    expect(Math.abs(got.hi / hi - 1)).toBeLessThan(0.01)
  })
  it('of nothing begins at nothing, and hours divide it', () => {
    expect(rateInterval({ count: 0, hours: 2 })).toMatchObject({ perHour: 0, lo: 0 })
    expect(rateInterval({ count: 10, hours: 5 }).hi).toBeCloseTo(rateInterval({ count: 10, hours: 1 }).hi / 5, 12)
    expect(() => rateInterval({ count: 1, hours: 0 })).toThrow(/hours/)
  })
})

describe('the own record of colours', () => {
  const spell = (colour: string | null, fish: number, more: Partial<BaitSpell> = {}): BaitSpell => ({ colour, fish, minutes: 120, secchiM: 0.8, ...more })
  it('is of water like today\'s, best rate first, and says where it is not enough yet', () => {
    const spells = [spell('chartreuse', 6), spell('chartreuse', 5), spell('white', 4), spell('white', 2), spell('pink', 9, { minutes: 60 }), spell('black', 30, { secchiM: 3 }), spell(null, 9), spell('orange', 4, { secchiM: null })]
    const { water, rows, notYet } = colourRecord({ spells, secchiM: 1 })
    expect(water).toBe('stained')
    expect(rows.map(r => [r.colour, r.hours, r.perHour])).toEqual([['chartreuse', 4, 2.75], ['white', 4, 1.5]])
    expect(notYet).toEqual([{ colour: 'pink', hours: 1, fish: 9 }])
    expect(colourRecord({ spells, secchiM: 2.5 })).toMatchObject({ water: 'clear', rows: [], notYet: [{ colour: 'black' }] })
  })
})
