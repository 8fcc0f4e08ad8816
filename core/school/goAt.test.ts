import { describe, expect, it } from 'vitest'
import { adviseStay, type AdviseStayOptions } from './adviseStay'
import { goAt } from './goAt'
import { dayPrior } from './stayHere'

const spell = (catches: number, minutes = 5) => ({ minutes, presentations: 6, catches, taps: 0, follows: 0 })
const at = (catches: number[], ratePerHour = 3): AdviseStayOptions => ({ prior: dayPrior(3), stretches: catches.map(c => spell(c)), elsewhere: { ratePerHour, sdPerHour: 2, travelMin: 9 }, minutesLeft: 300 })

describe('when to go unless one more takes', () => {
  it('is the first time at which going is advised with nothing more taken', () => {
    const options = at([2, 1, 1])
    expect(adviseStay(options).action).toBe('stay')
    const minutes = goAt(options)!
    expect(minutes).toBeGreaterThan(4)
    const later = (m: number) => adviseStay({ ...options, stretches: [...options.stretches, ...Array.from({ length: m / 4 }, () => ({ ...spell(0, 4), presentations: 0 }))], minutesLeft: 300 - m }).action
    expect(later(minutes)).toBe('go')
    expect(later(minutes - 4)).not.toBe('go')
  })

  it('is later after more fish, and never where nothing better waits', () => {
    expect(goAt(at([3, 2, 2]))!).toBeGreaterThan(goAt(at([1, 0, 0]))!)
    expect(goAt(at([2, 2, 2], 0.1))).toBeNull()
    expect(() => goAt(at([1]), { stepMin: 0 })).toThrow(/stepMin/)
  })
})
