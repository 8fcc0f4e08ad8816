import { describe, expect, it } from 'vitest'
import { FADE_SHARES } from './placeBelief'
import { restOfDay } from './restOfDay'

describe('what the rest of a day is worth', () => {
  const rest = (more: Partial<{ ratePerHour: number, sdPerHour: number, travelMin: number }> = {}) => restOfDay({ ratePerHour: 6, sdPerHour: 6, travelMin: 8, ...more }, [...FADE_SHARES], 480)
  it('is nothing without time or fish, and grows with time', () => {
    expect(rest()(0)).toBe(0)
    expect(rest()(-5)).toBe(0)
    expect(rest({ ratePerHour: 0 })(300)).toBe(0)
    const worth = [20, 60, 120, 240, 480].map(rest())
    expect(worth.every((w, i) => i === 0 || w > worth[i - 1]!)).toBe(true)
  })
  it('is more where the run is short, and where places differ: the good ones are chosen', () => {
    expect(rest({ travelMin: 3 })(300)).toBeGreaterThan(rest({ travelMin: 20 })(300))
    expect(rest({ sdPerHour: 10 })(300)).toBeGreaterThan(rest({ sdPerHour: 2 })(300))
  })
  it('of one place that never changes is its rate times the time', () => {
    const lasting = restOfDay({ ratePerHour: 6, sdPerHour: 0, travelMin: 2000 }, [0, 0, 0, 0, 0, 1], 240)
    // Half of the belief is still what fades anywhere.
    expect(lasting(240)).toBeLessThan(24)
    expect(lasting(240)).toBeGreaterThan(12)
  })
})
