import { describe, expect, it } from 'vitest'
import { bestUnseen } from './stayBound'
import { byAdvice, byClock, judgeStay, meanDay, STAY_WORLDS, type StayWorld } from './stayDays'

const world: StayWorld = { ...STAY_WORLDS[1]!, takenShare: 0, signsPerFish: 0, dayMin: 240 }

describe('the best rule without sight of the fish', () => {
  it('sits the day out where the run is as long as the day', () => {
    const { fish, leave } = bestUnseen({ ...world, travelMin: 240 })
    expect(fish).toBeCloseTo((8 / 60) * 40 * (1 - Math.exp(-240 / 40)), 2)
    expect(leave({ stretches: [{ minutes: 4, presentations: 5, catches: 0, taps: 0, follows: 0 }], minutes: 4, ratePerMin: 0, left: 236, world })).toBe(false)
  })
  it('takes in simulated days what it expects to take', () => {
    const { fish, leave } = bestUnseen(world)
    expect(meanDay(world, leave, 600) / fish).toBeGreaterThan(0.94)
    expect(meanDay(world, leave, 600) / fish).toBeLessThan(1.06)
  })
  it('stands between the advice, which is told less, and the leaver who sees what bites', () => {
    const { leave } = bestUnseen(world)
    const [best, score] = [meanDay(world, leave, 150), judgeStay(world, 150)]
    expect(best).toBeGreaterThan(score.advised)
    expect(best).toBeGreaterThan(score.clock)
    expect(best).toBeLessThan(score.knowing)
  })
  it('makes use of signs where they are counted', () => {
    expect(bestUnseen({ ...world, signsPerFish: 1.8 }).fish).toBeGreaterThan(1.03 * bestUnseen(world).fish)
  })
  it('leaves an empty place sooner when the run is short, and holds on where fish were taken', () => {
    const goes = (travelMin: number, catches: number) => {
      const { leave } = bestUnseen({ ...world, travelMin })
      for (let spells = 1; spells < 50; spells++) {
        if (leave({ stretches: [{ minutes: 4 * spells, presentations: 5, catches, taps: 0, follows: 0 }], minutes: 4 * spells, ratePerMin: 0, left: 240 - 4 * spells, world })) return 4 * spells
      }
      return Infinity
    }
    expect(goes(2, 0)).toBeLessThan(goes(20, 0))
    expect(goes(9, 6)).toBeGreaterThan(goes(9, 0))
  })
  it('is ahead of the best of fifty clocks, as the advice is', () => {
    const { leave } = bestUnseen(world)
    const clocks = Array.from({ length: 50 }, (_, i) => meanDay(world, byClock(4 * (i + 1)), 100))
    expect(meanDay(world, leave, 100)).toBeGreaterThan(Math.max(...clocks))
    expect(meanDay(world, byAdvice, 100)).toBeGreaterThan(Math.max(...clocks))
  })
})
