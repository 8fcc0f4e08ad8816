import { describe, expect, it } from 'vitest'
import { depthBelief } from '../school/depthBelief'
import { phaseProbabilities } from '../season/phaseProbabilities'
import { SEASONS } from '../season/seasons'
import { fetchRose, roseFetch } from '../water/fetchRose'
import { effectiveFetch, type DepthGrid } from '../water/depthGrid'
import { pellowickGrid } from '../../demo/pellowick'
import { compareScores, whyNot } from './compareScores'
import type { Place, PlaceKind } from './kinds'
import { firstGuess } from './firstGuess'
import { ownScale } from './ownScale'
import { placeReason } from './placeReason'
import { placeRecords, visitWeight } from './placeRecord'
import { filterPlaces, rankPlaces, standing, type RankDay, type StandingPlace } from './rankPlaces'
import { currentAt, releasedAt } from './releases'
import { structureFit } from './structureFit'

const DAY_MS = 86_400_000
const NOW = Date.parse('2026-04-24T12:00:00Z')
const phases = phaseProbabilities({ waterC: 12.2, trendCPerWeek: 2, dayOfYear: 114, latDeg: 40 })
const belief = depthBelief({ phases, waterDepthM: 14, waterC: 12.2, secchiM: 0.8, hour: 7, windMS: 3, trendCPerWeek: 2 })
const day = (change: Partial<RankDay> = {}): RankDay => ({
  fish: 'crappie', atMs: NOW, parts: [{ phases, belief, waterC: 12.2, warmerC: 0 }], windMS: 4, windFromDeg: 225, secchiM: 0.8, waveLimitM: 0.3, shadow: 0.5, activity: 1, released: false, ...change,
})
const never: StandingPlace['record'] = { catches: 0, effortHours: 0, visits: 0, lastVisitMs: null }
const at = (kind: PlaceKind, depthM: number, change: Partial<StandingPlace> = {}, attributes: object = {}): StandingPlace => ({
  place: { id: `${kind}-${depthM}`, name: kind, kind, lonDeg: 0, latDeg: 40, attributes: { ...firstGuess(kind, depthM), ...attributes } } as Place,
  part: 0, depthM, roseM: new Float32Array(36).fill(300), record: never, ...change,
})

describe('ranking many places', () => {
  const places = [at('hump', 9), at('brush', 3.6), at('reedStubble', 0.8), at('breakEdge', 3.4), at('dock', 3, { roseM: new Float32Array(36).fill(60) }), at('weir', 2)]
  const table = rankPlaces({ places, day: day() })

  it('orders by the fish an hour that each place alone would be given', () => {
    const alone = places.map(p => standing(p, day()).score.ratePerHour)
    expect([...table.order]).toEqual(alone.map((rate, i) => ({ rate, i })).sort((a, b) => b.rate - a.rate).map(p => p.i))
    alone.forEach((rate, i) => expect(table.ratePerHour[i]).toBeCloseTo(rate, 5))
    expect(places[table.order[0]!]!.place.kind).toMatch(/brush|breakEdge/)
  })
  it('narrows the list by kind, depth, lee and shade without another order', () => {
    const kinds = (filter: Parameters<typeof filterPlaces>[0]['filter']) => filterPlaces({ places, table, filter }).map(i => places[i]!.place.kind)
    expect(kinds({})).toHaveLength(6)
    expect(kinds({ kind: 'hump' })).toEqual(['hump'])
    expect(kinds({ lee: true })).toEqual(['dock'])
    expect(kinds({ fits: true })).not.toContain('hump')
    expect(kinds({ shade: true })).toEqual(expect.arrayContaining(['brush']))
    expect(filterPlaces({ places, table: rankPlaces({ places, day: day({ windMS: 14, waveLimitM: 0.1 }) }), filter: { calm: true } }).map(i => places[i]!.place.kind)).toEqual(['dock'])
  })
  it('goes by the part of the lake that a place lies in', () => {
    const beds = phaseProbabilities({ waterC: 17, trendCPerWeek: 2, dayOfYear: 114, latDeg: 40 })
    const warm = { phases: beds, belief: depthBelief({ phases: beds, waterDepthM: 14, waterC: 17, secchiM: 0.8, hour: 7, windMS: 3, trendCPerWeek: 2 }), waterC: 17, warmerC: 4.8 }
    const bay = { ...at('reedStubble', 0.8), part: 1 }
    const parts = [day().parts[0]!, warm]
    expect(standing(bay, day({ parts })).score.ratePerHour).toBeGreaterThan(standing({ ...bay, part: 0 }, day({ parts })).score.ratePerHour)
  })
  it('speaks of another fish by that fish\'s own year', () => {
    const winter = phaseProbabilities({ waterC: 4, trendCPerWeek: 0, dayOfYear: 30, latDeg: 52, season: SEASONS.europeanPerch })
    expect(structureFit({ kind: 'lockCut', phases: winter, fish: 'europeanPerch' })).toBeGreaterThan(structureFit({ kind: 'flat', phases: winter, fish: 'europeanPerch' }))
    const run = phaseProbabilities({ waterC: 11, trendCPerWeek: 2, dayOfYear: 105, latDeg: 40, season: SEASONS.whiteBass })
    expect(structureFit({ kind: 'creekMouth', phases: run, fish: 'whiteBass' })).toBeGreaterThan(structureFit({ kind: 'brush', phases: run, fish: 'whiteBass' }))
    for (const fish of ['crappie', 'yellowPerch', 'europeanPerch', 'whiteBass', 'bluegill'] as const) {
      const p = phaseProbabilities({ waterC: 15, trendCPerWeek: 1, dayOfYear: 130, latDeg: 45, season: SEASONS[fish] })
      expect(structureFit({ kind: 'canal', phases: p, fish })).toBeGreaterThan(0)
    }
  })
})

describe('current and clarity at a place', () => {
  const flow = { currentTowardDeg: 90, currentMS: 0.2, runs: 'released' }
  const factor = (key: 'current' | 'clarity', place: StandingPlace, change: Partial<RankDay> = {}) => standing(place, day(change)).score.factors.find(f => f.key === key)!
  it('counts a current only in the hours that it runs', () => {
    const riprap = at('riprap', 4, {}, flow)
    expect(currentAt(riprap.place, false)).toBe(0)
    expect(currentAt(riprap.place, true)).toBe(0.2)
    expect(currentAt(at('riprap', 4).place, true)).toBeNull()
    expect(factor('current', riprap, { released: true, fish: 'whiteBass' }).value).toBeGreaterThan(factor('current', riprap, { fish: 'whiteBass' }).value)
    expect(placeReason(factor('current', riprap), 'us').text).toMatch(/No water let through/)
    expect(placeReason(factor('current', riprap, { released: true }), 'metric').text).toBe('Current of 0.20 m/s: they tuck in tight behind cover')
    expect(placeReason(factor('current', at('brush', 4)), 'us').text).toBe('No current known of here')
  })
  it('holds murk against a quiet bait, and clear shallow water in the sun', () => {
    const flat = at('flat', 1)
    expect(factor('clarity', flat, { secchiM: 0.2 })).toMatchObject({ verdict: 'murky', value: 0.5 })
    expect(factor('clarity', flat, { secchiM: 3, shadow: 1 }).value).toBeLessThan(factor('clarity', flat, { secchiM: 3, shadow: 0 }).value)
    expect(placeReason(factor('clarity', flat, { secchiM: 3, shadow: 1 }), 'metric').text).toMatch(/keep far off/)
  })
})

describe('the timetable of releases', () => {
  const evenings = [{ weekdays: [1, 2, 3, 4, 5], from: '16:30', to: '20:00' }, { weekdays: [6], from: '22:00', to: '02:00' }]
  it.each([[1, 16 * 60 + 30, true], [1, 20 * 60, false], [6, 17 * 60, false], [6, 23 * 60, true], [7, 60, true], [7, 120, false], [1, 60, false]])('on weekday %i at minute %i is %s', (weekday, minute, runs) => {
    expect(releasedAt(evenings, { weekday, minute })).toBe(runs)
  })
})

describe('own record', () => {
  const visit = (daysAgo: number, minutes = 60) => ({ at: new Date(NOW - daysAgo * DAY_MS).toISOString(), leftAt: new Date(NOW - daysAgo * DAY_MS + minutes * 60_000).toISOString(), placeId: 'p', minutes })
  const fish = (daysAgo: number, species: 'blackCrappie' | 'bluegill' | null = 'blackCrappie') => ({ at: new Date(NOW - daysAgo * DAY_MS).toISOString(), placeId: 'p', species })
  const of = (visits: ReturnType<typeof visit>[], catches: ReturnType<typeof fish>[]) => placeRecords({ visits, catches, fish: 'crappie', atMs: NOW }).get('p')

  it('weighs like with like: this time of the year before another, newer before older', () => {
    expect(visitWeight(0)).toBeCloseTo(1, 9)
    expect(visitWeight(365.25)).toBeGreaterThan(visitWeight(180))
    expect(visitWeight(365.25)).toBeLessThan(visitWeight(1))
    expect(visitWeight(182)).toBeLessThan(0.1)
  })
  it('counts fish and hours both ways, and other fish not at all', () => {
    const record = of([visit(2), visit(180)], [fish(2), fish(2, null), fish(2, 'bluegill'), fish(180)])!
    expect(record.plain).toEqual({ catches: 3, effortHours: 2 })
    expect(record.catches).toBeCloseTo(2 * visitWeight(2) + visitWeight(180), 9)
    expect(record.lastVisitMs).toBe(NOW - 2 * DAY_MS + 3_600_000)
    expect(record.visits).toBe(2)
  })
  it('knows nothing of what lies after the day asked about', () => {
    expect(of([visit(-3)], [fish(-3)])).toBeUndefined()
  })
  it('measures places never fished with the angler\'s own yardstick', () => {
    const record = (catches: number, effortHours: number) => ({ ...never, catches, effortHours })
    expect(ownScale({ records: [], phases })).toBe(1)
    expect(ownScale({ records: [record(80, 8)], phases })).toBeGreaterThan(1.5)
    expect(ownScale({ records: [record(0, 20)], phases })).toBeLessThan(0.5)
    const scaled = (rateScale: number) => standing(at('brush', 3.6), day({ rateScale })).score.ratePerHour
    expect(scaled(2)).toBeCloseTo(2 * scaled(1), 6)
  })
})

describe('two places side by side', () => {
  const [good, poor] = [standing(at('brush', 3.6), day()).score, standing(at('hump', 9), day()).score]
  it('are parted by what differs most, and it adds up', () => {
    const gaps = compareScores(good, poor)
    expect(gaps.map(g => Math.abs(g.gap))).toEqual(gaps.map(g => Math.abs(g.gap)).sort((a, b) => b - a))
    expect(gaps.find(g => g.key === 'depth')!.gap).toBeGreaterThan(0)
    expect(compareScores(poor, good).find(g => g.key === 'depth')!.gap).toBeCloseTo(-gaps.find(g => g.key === 'depth')!.gap, 9)
  })
  it('say why the one is not first, and nothing of the best one', () => {
    expect(whyNot({ score: poor, best: good })[0]!.gap).toBeLessThan(-0.05)
    expect(whyNot({ score: good, best: good })).toEqual([])
  })
})

describe('the rose of open water', () => {
  const grid: DepthGrid = pellowickGrid(10)
  it('gives the same effective fetch as rays marched for the wind', () => {
    const spot = { x: 1330, y: 560 }
    const roseM = fetchRose({ grid, ...spot })
    for (const windFromDeg of [0, 40, 90, 230, 350]) expect(roseFetch(roseM, windFromDeg)).toBeCloseTo(effectiveFetch({ grid, ...spot, windFromDeg }), 3)
    expect(roseFetch(roseM, 365)).toBeCloseTo(roseFetch(roseM, 5), 9)
    expect(roseFetch(roseM, -130)).toBeCloseTo(roseFetch(roseM, 230), 9)
    expect(() => roseFetch(roseM, Number.NaN)).toThrow(/windFromDeg/)
  })
})
