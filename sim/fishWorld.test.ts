import { DateTime } from 'luxon'
import { beforeAll, describe, expect, it } from 'vitest'
import { rankingBench } from '../bench/ranking'
import { seededRandom } from '../core/numeric/random'
import { reduceTrip } from '../core/school/reduceTrip'
import { idMaker } from '../demo/ids'
import { worldOf } from '../demo/seed'
import { TAMARROW } from '../demo/waters'
import { journalBatchSchema } from '../shared/journal'
import { check } from '../shared/validate'
import { fishState, likingOf } from './fishLaw'
import { pressure, type FishWorld } from './fishWorld'
import { tripSeasons } from './tripSeasons'
import type { Place } from '../core/place/kinds'

describe('the fishes\' own laws', () => {
  it('bring crappie up and in as it warms, and down as it cools', () => {
    const depths = [4, 9, 13, 17].map(t => fishState('crappie', t, true).topM)
    expect(depths).toEqual([...depths].sort((a, b) => b - a))
    expect(fishState('crappie', 20, false).topM).toBeGreaterThan(fishState('crappie', 20, true).topM)
    expect(likingOf(fishState('crappie', 17, true), 'reedStubble')).toBeGreaterThan(likingOf(fishState('crappie', 4, true), 'reedStubble'))
  })
  it('run smoothly between their stations and stay at the ends', () => {
    for (let t = -1; t < 33; t += 0.5) {
      const [a, b] = [fishState('yellowPerch', t, true), fishState('yellowPerch', t + 0.5, true)]
      expect(Math.abs(a.topM - b.topM)).toBeLessThan(0.7)
      expect(b.bottomM).toBeGreaterThan(b.topM)
    }
    const { likes: _likes, ...end } = fishState('bluegill', 40, true)
    expect(fishState('bluegill', 26, true)).toMatchObject(end)
  })
})

describe('pressure', () => {
  it('thins the bite out as fish are taken, and is forgotten in days', () => {
    const fished = pressure()
    const first = fished.fish('a', 6, 2, 0)
    expect(first).toBeLessThan(12)
    const again = fished.fish('a', 6, 2, 3 * 3_600_000)
    expect(again).toBeLessThan(first)
    expect(fished.stockAt('a', 30 * 86_400_000)).toBeGreaterThan(0.99)
    expect(fished.stockAt('b', 0)).toBe(1)
  })
})

describe('a world of fish and trips', () => {
  let world: FishWorld
  let places: Place[]
  let n = 0
  beforeAll(() => {
    const grid = TAMARROW.grid(10)
    places = TAMARROW.places(TAMARROW.grid(), () => `0198a1f0-0000-7000-8000-${String(n++).padStart(12, '0')}`)
    world = worldOf(TAMARROW, grid, places, Date.UTC(2025, 11, 1), 3)
  })
  const trips = (seed: number) => {
    const newId = idMaker(seededRandom(seed))
    return tripSeasons({ waterId: newId(0), zone: TAMARROW.zone, world, places, quarries: TAMARROW.quarries, secchiM: 2, days: ['2025-05-18', '2025-07-13', '2025-10-12'], random: seededRandom(seed + 1), newId })
  }
  it('is warm in summer and cold in winter', () => {
    expect(world.dayMeanC(Date.UTC(2025, 6, 20))).toBeGreaterThan(18)
    expect(world.dayMeanC(Date.UTC(2025, 0, 20))).toBeLessThan(6)
    expect(world.trend(Date.UTC(2025, 4, 5))).toBeGreaterThan(0)
  })
  it('gives a place a luck of its own that lasts, and another each day', () => {
    const weeds = places.filter(p => p.kind === 'weedEdge')
    const mean = (p: Place) => Array.from({ length: 30 }, (_, d) => world.truth(p, 'yellowPerch', Date.UTC(2025, 6, 1 + d, 14)).perHour).reduce((a, b) => a + b, 0) / 30
    const means = weeds.map(mean)
    expect(Math.max(...means) / Math.min(...means)).toBeGreaterThan(1.2)
    const a = world.truth(weeds[0]!, 'yellowPerch', Date.UTC(2025, 6, 2, 14)).perHour
    expect(world.truth(weeds[0]!, 'yellowPerch', Date.UTC(2025, 6, 2, 14)).perHour).toBe(a)
    expect(world.truth(weeds[0]!, 'yellowPerch', Date.UTC(2025, 6, 12, 14)).perHour).not.toBeCloseTo(a, 3)
  })
  it('makes journals that any device could have sent: fish within their schools, schools within the water', () => {
    const entries = trips(5)
    expect(trips(5)).toEqual(entries)
    expect(trips(6)).not.toEqual(entries)
    expect(check(journalBatchSchema, { entries })).toMatchObject({ ok: true })
    for (const id of new Set(entries.map(e => e.tripId))) {
      const trip = reduceTrip(entries.filter(e => e.tripId === id))!
      expect(DateTime.fromISO(trip.startedAt, { zone: TAMARROW.zone }).hour).toBeLessThan(9)
      expect(trip.schools.length).toBeGreaterThanOrEqual(3)
      for (const s of trip.schools) {
        expect(s.bottomM).toBeLessThanOrEqual(s.waterDepthM)
        for (const f of s.fish) expect(f.depthM!).toBeGreaterThanOrEqual(s.topM - 0.06)
      }
    }
  })
})

describe('the ranking in the stand-in world', () => {
  it('yields half as much again as three random suitable places, and a fifth more than the same places as last time', () => {
    const { lines } = rankingBench()
    const [, random, same] = /300 days: ([\d.]+) × three random suitable places, ([\d.]+) × the same/.exec(lines.at(-1)!)!
    expect(Number(random)).toBeGreaterThanOrEqual(1.5)
    expect(Number(same)).toBeGreaterThanOrEqual(1.2)
  }, 120_000)
})
