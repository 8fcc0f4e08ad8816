import { describe, expect, it } from 'vitest'
import { boilShowings, type SeenBoil } from './boilShowings'

const DAY = 86_400_000
const NOW = Date.UTC(2026, 6, 20, 15)
const seen = (x: number, hour: number, daysAgo: number, dayOfYear = 201 - daysAgo): SeenBoil => ({ atMs: NOW - daysAgo * DAY + (hour - 15) * 3_600_000, x, y: 0, hour, dayOfYear })
const at = { nowMs: NOW, hour: 15, dayOfYear: 201 }

describe('where fish should show next', () => {
  it('ranks stretches by the hour at which they have shown', () => {
    const boils = [...[2, 4, 6].map(d => seen(0, 15.3, d)), ...[1, 3, 5, 7].map(d => seen(2000, 8, d))]
    const days = [1, 2, 3, 4, 5, 6, 7].map(d => 201 - d)
    const afternoon = boilShowings({ boils, days, ...at })
    expect(afternoon.map(s => s.boils)).toEqual([3, 4])
    expect(afternoon[0]!.chance).toBeGreaterThan(10 * afternoon[1]!.chance)
    expect(boilShowings({ boils, days, ...at, hour: 7.7 })[0]!.x).toBe(2000)
  })

  it('comes near the share of days on which it happened', () => {
    // Seen between three and four on half of forty days of this month.
    const days = Array.from({ length: 40 }, () => 201)
    const boils = days.flatMap((_, i) => (i % 2 ? [{ ...seen(0, 15.5, i + 1), dayOfYear: 201 }] : []))
    const [showing] = boilShowings({ boils, days, ...at })
    // An hour's window holds half of what is spread about its middle: 1 − e^(−20 × 0.495 / 42).
    expect(showing!.chance).toBeCloseTo(0.21, 2)
    expect(boilShowings({ boils, days, ...at, hour: 14, aheadMin: 180 })[0]!.chance).toBeCloseTo(1 - Math.exp(-20 * 0.954 / 42), 2)
  })

  it('says less the fewer the boils, the more the days without, and the farther the season', () => {
    const chance = (boils: SeenBoil[], days: number[]) => boilShowings({ boils, days, ...at })[0]!.chance
    const one = chance([seen(0, 15.5, 3)], [198])
    expect(chance([seen(0, 15.5, 3), seen(20, 15.4, 5)], [198, 196])).toBeGreaterThan(one)
    expect(chance([seen(0, 15.5, 3)], [198, 199, 200, 196, 195])).toBeLessThan(one)
    expect(chance([{ ...seen(0, 15.5, 3), dayOfYear: 120 }], [120])).toBeLessThan(one / 20)
  })

  it('expects what showed just now to show again soon, and forgets it by the evening', () => {
    const boil = { ...seen(0, 15, 0), atMs: NOW - 5 * 60_000 }
    const soon = boilShowings({ boils: [boil], days: [], ...at })[0]!
    expect(soon.chance).toBeGreaterThan(0.3)
    expect(soon.minutesAgo).toBeCloseTo(5, 6)
    expect(boilShowings({ boils: [boil], days: [], ...at, nowMs: NOW + 5 * 3_600_000, hour: 20 })[0]!.chance).toBeLessThan(0.01)
  })

  it('gathers a chain of boils into one stretch, in whatever order they come', () => {
    const boils = [0, 150, 300, 450, 900].map((x, i) => seen(x, 15, i + 1))
    const showings = boilShowings({ boils, days: [200], ...at })
    expect(showings.map(s => s.boils).sort()).toEqual([1, 4])
    expect(boilShowings({ boils: [...boils].reverse(), days: [200], ...at })).toEqual(showings)
  })

  it('wraps the clock and the year', () => {
    const late = boilShowings({ boils: [{ ...seen(0, 23.8, 1), dayOfYear: 366 }], days: [366], nowMs: NOW, hour: 0, dayOfYear: 1 })[0]!
    expect(late.chance).toBeGreaterThan(0.1)
    expect(() => boilShowings({ boils: [], days: [], ...at, hour: 25 })).toThrow(/hour/)
  })
})
