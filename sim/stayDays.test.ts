import { describe, expect, it } from 'vitest'
import { byClock, byThreshold, fishDay, judgeStay, STAY_WORLDS, uncounted, type Leaver, type StayWorld } from './stayDays'

const world: StayWorld = { ...STAY_WORLDS[4]!, takenShare: 0 }
const mean = (leave: Leaver, of: StayWorld, days = 200) => Array.from({ length: days }, (_, i) => fishDay(of, leave, i)).reduce((a, b) => a + b, 0) / days
/** What a rule is shown at each of its questions. */
function shown(of: StayWorld, leave: Leaver, seed = 3) {
  const seen: Parameters<Leaver>[0][] = []
  fishDay(of, (at) => {
    seen.push({ ...at, stretches: at.stretches.map(s => ({ ...s })) })
    return leave(at)
  }, seed)
  return seen
}

describe('simulated days of staying and going', () => {
  it('repeat for their seed and differ for another', () => {
    expect(fishDay(world, byClock(20), 5)).toBe(fishDay(world, byClock(20), 5))
    expect(new Set(Array.from({ length: 12 }, (_, i) => fishDay(world, byClock(20), i))).size).toBeGreaterThan(5)
  })
  it('show every rule the same places with the same luck', () => {
    const first = (leave: Leaver) => shown(world, leave).filter(at => at.minutes === 4)
    const [short, long] = [first(byClock(8)), first(byClock(40))]
    expect(long.length).toBeGreaterThan(5)
    for (const [i, at] of long.entries()) expect(short[i]!.stretches).toEqual(at.stretches)
  })
  it('give what the world says: its rate on arrival, fading', () => {
    // Eight an hour that fade in 45 minutes, sat out to the end of the day at one place.
    const stay = mean(() => false, { ...world, patchy: 0.4, dayMin: 120 }, 600)
    expect(stay).toBeGreaterThan((8 / 60) * 45 * (1 - Math.exp(-120 / 45)) * 0.93)
    expect(stay).toBeLessThan((8 / 60) * 45 * (1 - Math.exp(-120 / 45)) * 1.07)
  })
  it('put fish off that see others taken', () => {
    expect(mean(() => false, { ...world, takenShare: 0.2 }, 100)).toBeLessThan(0.8 * mean(() => false, world, 100))
  })
  it('count the runs: the day is over when its minutes are', () => {
    const at = shown(world, byClock(20))
    expect(at.every(a => a.left > 0 && a.left <= world.dayMin - a.minutes)).toBe(true)
    const arrivals = at.filter(a => a.minutes === 4).map(a => a.left)
    expect(arrivals[0]! - arrivals[1]!).toBe(20 + world.travelMin)
  })
  it('count looks, follows and taps in step with the fish, or not at all', () => {
    const sum = (of: StayWorld) => shown(of, byClock(60), 8).filter(a => a.minutes === 60).flatMap(a => a.stretches).reduce((s, x) => ({ fish: s.fish + x.catches, signs: s.signs + x.taps + x.follows }), { fish: 0, signs: 0 })
    const counted = sum({ ...world, dayMin: 40_000 })
    expect(counted.signs / counted.fish).toBeGreaterThan(1.6)
    expect(counted.signs / counted.fish).toBeLessThan(2)
    expect(sum(uncounted(STAY_WORLDS)[4]!).signs).toBe(0)
  })
  it('let the one who knows beat every clock', () => {
    for (const of of STAY_WORLDS.slice(0, 3)) {
      const { knowing, clock } = judgeStay({ ...of, dayMin: 240 }, 40)
      expect(knowing).toBeGreaterThan(clock)
    }
    expect(mean(byThreshold(0), world)).toBeLessThan(mean(byThreshold(5), world))
  })
})
