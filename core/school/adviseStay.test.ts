import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bestUnseen } from '../../sim/stayBound'
import { FURTHER_WORLDS, judgeStay, meanDay, STAY_WORLDS, uncounted } from '../../sim/stayDays'
import { adviseStay, type AdviseStayOptions } from './adviseStay'
import type { Stretch } from './placeBelief'

const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length
const spell = (catches: number, more: Partial<Stretch> = {}): Stretch => ({ minutes: 5, presentations: 6, catches, taps: 0, follows: 0, ...more })
const at = (stretches: Stretch[], more: Partial<AdviseStayOptions> = {}) => adviseStay({ prior: { alpha: 1, beta: 0.2 }, stretches, elsewhere: { ratePerHour: 5, sdPerHour: 5, travelMin: 8 }, minutesLeft: 240, ...more })

describe('stay, change or go', () => {
  it('stays where it bites and goes where it does not', () => {
    expect(at([spell(2), spell(2)]).action).toBe('stay')
    expect(at([spell(0), spell(0), spell(0), spell(0)]).action).toBe('go')
    expect(at([spell(3), spell(2), spell(0), spell(0), spell(0), spell(0), spell(0)]).action).toBe('go')
  })
  it('sees a dying bite, and says so', () => {
    const steady = at([spell(1), spell(1), spell(1), spell(1), spell(1), spell(1)])
    const dying = at([spell(3), spell(2), spell(1), spell(0), spell(0), spell(0)])
    expect(dying.ratePerHour).toBeLessThan(steady.ratePerHour)
    expect(dying.why.map(w => w.key)).toContain('slowing')
    expect(steady.why.map(w => w.key)).not.toContain('slowing')
  })
  it('never goes inside the first minutes while there is a sign of life, nor when the run takes the rest of the day', () => {
    expect(at([spell(0, { follows: 1 })]).action).toBe('stay')
    expect(at([spell(0), spell(0), spell(0), spell(0)], { minutesLeft: 8 }).action).toBe('stay')
    expect(at([spell(0), spell(0), spell(0)], { minutesLeft: 0 })).toMatchObject({ action: 'stay', elsewherePerHour: 0 })
  })
  it('asks for a change before a move where they follow and do not take', () => {
    expect(at([spell(1), spell(0, { follows: 2, taps: 1 }), spell(0, { follows: 2 }), spell(0, { follows: 1 })]).action).toBe('change')
  })
  it('leaves sooner for a shorter run and a richer water', () => {
    const lasts = (more: Partial<AdviseStayOptions['elsewhere']>) => {
      let n = 1
      while (n < 40 && at([spell(1), ...Array.from({ length: n }, () => spell(0))], { elsewhere: { ratePerHour: 5, sdPerHour: 5, travelMin: 8, ...more } }).action !== 'go') n++
      return n
    }
    expect(lasts({ travelMin: 2 })).toBeLessThanOrEqual(lasts({ travelMin: 25 }))
    expect(lasts({ ratePerHour: 9 })).toBeLessThan(lasts({ ratePerHour: 2 }))
  })
  it('gives figures for anything that can be, and refuses what cannot', () => {
    const count = fc.integer({ min: 0, max: 12 })
    fc.assert(fc.property(fc.array(fc.record({ minutes: fc.double({ min: 0, max: 60, noNaN: true }), presentations: count, catches: count, taps: count, follows: count }), { maxLength: 8 }), fc.double({ min: 0.05, max: 30, noNaN: true }), fc.double({ min: 0, max: 30, noNaN: true }), fc.double({ min: 0, max: 600, noNaN: true }), (stretches, alpha, ratePerHour, minutesLeft) => {
      const advice = at(stretches, { prior: { alpha, beta: 0.5 }, elsewhere: { ratePerHour, sdPerHour: ratePerHour * 0.7, travelMin: 9 }, minutesLeft })
      expect([advice.ratePerHour, advice.elsewherePerHour, advice.byFish].every(Number.isFinite)).toBe(true)
    }), { numRuns: 60 })
    expect(() => at([spell(-1)])).toThrow(/stretches\[0\]\.catches/)
    expect(() => at([], { prior: { alpha: 0, beta: 1 } })).toThrow(/prior.alpha/)
  })
  it('keeps nine tenths of what an all-knowing leaver takes, and beats any clock, in simulated days', () => {
    const scores = STAY_WORLDS.map(world => judgeStay(world, 24, 3))
    expect(mean(scores.map(s => s.advised / s.knowing))).toBeGreaterThan(0.9)
    for (const s of scores) expect(s.advised / s.clock, s.world.name).toBeGreaterThan(1.22)
  }, 60_000)
  it('comes close to the best that is possible without sight, where nobody counts looks, follows and taps', () => {
    const hard = uncounted([STAY_WORLDS[0]!, STAY_WORLDS[4]!, FURTHER_WORLDS[6]!, FURTHER_WORLDS[7]!])
    const shares = hard.map(world => judgeStay(world, 24, 3).advised / meanDay(world, bestUnseen(world).leave, 24, 3))
    expect(mean(shares)).toBeGreaterThan(0.95)
    for (const [i, share] of shares.entries()) expect(share, hard[i]!.name).toBeGreaterThan(0.9)
  }, 60_000)
  it('gives fish that show themselves a change first, and leaves them in the end', () => {
    const teasing = (n: number) => at(Array.from({ length: n }, () => spell(0, { follows: 2 }))).action
    expect(teasing(3)).toBe('change')
    expect(teasing(12)).not.toBe('change')
  })
})
