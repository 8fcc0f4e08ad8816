import { describe, expect, it } from 'vitest'
import { depthBelief } from '../school/depthBelief'
import { phaseProbabilities } from '../season/phaseProbabilities'
import { PHASES } from '../season/phases'
import { phaseOf } from '../season/seasons'
import { coverTop, PLACE_KINDS, placeKindName, placeKindPlural, type Place, type PlaceKind, type PlaceOf } from './kinds'
import { placeReason, placeReasons } from './placeReason'
import type { Factor, ScoreOptions } from './placeFactors'
import { scorePlace, type PlaceScore } from './scorePlace'
import { standOff } from './standOff'
import { structureFit } from './structureFit'

const phases = phaseProbabilities({ waterC: 12.2, trendCPerWeek: 2, dayOfYear: 114, latDeg: 40 })
const belief = depthBelief({ phases, waterDepthM: 14, waterC: 12.2, secchiM: 0.8, hour: 7, windMS: 3, trendCPerWeek: 2 })
const spot = { id: 'p', name: 'P', lonDeg: 0, latDeg: 40 }
const brush = (coverTopM: number, bottomDepthM: number): Place => ({ ...spot, kind: 'brush', attributes: { bottomDepthM, coverTopM, material: 'hardwood' } })
const dock = (change: Partial<PlaceOf<'dock'>['attributes']> = {}): Place =>
  ({ ...spot, kind: 'dock', attributes: { bottomDepthM: 4, deckAreaM2: 60, deckHeightM: 1, roofed: true, facingDeg: 180, brushAtCorners: false, ...change } })
const unfished = { catches: 0, effortHours: 0, visits: 0, restDays: null }
const at = (change: Partial<ScoreOptions> = {}): ScoreOptions => ({
  place: brush(2.2, 4), phases, belief, windMS: 3, fetchM: 300, waveM: 0.05, waveLimitM: 0.3, shadow: 0.3, activity: 1, record: unfished, ...change,
})
const factor = <K extends Factor['key']>({ factors }: PlaceScore, key: K) => factors.find(f => f.key === key) as Extract<Factor, { key: K }>
const rate = (change: Partial<ScoreOptions>) => scorePlace(at(change)).ratePerHour

describe('scorePlace', () => {
  it('is the geometric mean of its factors, each between 0 and 1', () => {
    const { score, factors } = scorePlace(at())
    expect(factors).toHaveLength(10)
    for (const f of factors) expect(f.value > 0 && f.value <= 1, f.key).toBe(true)
    expect(score).toBeCloseTo(factors.reduce((p, f) => p * f.value, 1) ** (1 / 10), 12)
  })

  it('prefers cover in the fishes\' band to cover that is too deep or too shallow', () => {
    const inBand = rate({ place: brush(2.2, 4) })
    expect(inBand).toBeGreaterThan(rate({ place: brush(7, 9) }))
    expect(inBand).toBeGreaterThan(rate({ place: brush(0.5, 1.2) }))
  })

  it('looks for the warmer water while they wait for warmth, the cooler in the heat, and says how much', () => {
    const warmth = (warmerC: number, change: Partial<ScoreOptions> = {}) => factor(scorePlace(at({ warmerC, waterC: 12 + warmerC, ...change })), 'warmth')
    expect(warmth(2).value).toBeGreaterThan(warmth(0).value)
    expect(warmth(-2).value).toBeLessThan(warmth(0).value)
    expect(warmth(9).value).toBe(warmth(4).value)
    const heat = phaseProbabilities({ waterC: 28, trendCPerWeek: 0, dayOfYear: 205, latDeg: 40 })
    expect(warmth(2, { phases: heat }).value).toBeLessThan(warmth(-2, { phases: heat }).value)
    expect(placeReason(warmth(2), 'us')).toMatchObject({ tone: 'for', text: 'Water 3.6 °F warmer than the main basin (57 °F)' })
    expect(placeReason(warmth(-2), 'metric')).toMatchObject({ tone: 'against', text: 'Water 2 °C cooler than the main basin (10 °C)' })
    expect(placeReason(warmth(0.2), 'us').text).toBe('Water as in the main basin (54 °F)')
    expect(factor(scorePlace(at()), 'warmth')).toMatchObject({ waterC: null, warmerC: 0 })
  })

  it('shrinks the own record to the prior: two lucky hours move less than twenty', () => {
    const none = rate({})
    const two = rate({ record: { ...unfished, catches: 12, effortHours: 2, visits: 1, restDays: 5 } })
    const twenty = rate({ record: { ...unfished, catches: 120, effortHours: 20, visits: 9, restDays: 5 } })
    expect(two).toBeGreaterThan(none)
    expect(twenty).toBeGreaterThan(two)
    expect(twenty).toBeLessThan(6)
    expect(rate({ record: { ...unfished, catches: 0, effortHours: 10, visits: 4, restDays: 5 } })).toBeLessThan(none / 2)
  })

  it('brackets the rate, tighter with more hours', () => {
    const width = (record: ScoreOptions['record']) => {
      const { ratePerHour, ratePerHourLow, ratePerHourHigh } = scorePlace(at({ record }))
      expect(ratePerHourLow).toBeLessThan(ratePerHour)
      expect(ratePerHourHigh).toBeGreaterThan(ratePerHour)
      return (ratePerHourHigh - ratePerHourLow) / ratePerHour
    }
    expect(width({ ...unfished, catches: 60, effortHours: 24, restDays: 9 })).toBeLessThan(width(unfished))
  })

  it('lets a place refill after a visit', () => {
    const after = (restDays: number) => rate({ record: { ...unfished, catches: 3, effortHours: 1, visits: 1, restDays } })
    expect(after(0.2)).toBeLessThan(after(2))
    expect(after(2)).toBeLessThan(after(10))
  })

  it('marks waves over the boat\'s limit', () => {
    const over = factor(scorePlace(at({ waveM: 0.4 })), 'waves')
    expect(over).toMatchObject({ over: true, value: 0.3 })
    expect(factor(scorePlace(at({ waveM: 0.1 })), 'waves').value).toBe(1)
  })

  it('counts a dock\'s shade only while the sun throws it', () => {
    const shade = (place: Place, shadow: number) => factor(scorePlace(at({ place, shadow })), 'shade').value
    expect(shade(dock(), 1)).toBeGreaterThan(shade(dock(), 0))
    expect(shade(dock(), 1)).toBeGreaterThan(shade(dock({ roofed: false, deckAreaM2: 15 }), 1))
  })

  it('refuses negative figures', () => {
    expect(() => scorePlace(at({ windMS: -1 }))).toThrow(/windMS/)
    expect(() => scorePlace(at({ waveLimitM: 0 }))).toThrow(/waveLimitM/)
    expect(() => scorePlace(at({ record: { ...unfished, effortHours: -1 } }))).toThrow(/record.effortHours/)
  })
})

describe('reasons', () => {
  const texts = (change: Partial<ScoreOptions>) => placeReasons(scorePlace(at(change)), 'us').map(r => r.text)

  it('says depth first, a caution always, and at most two more', () => {
    const reasons = placeReasons(scorePlace(at({ waveM: 0.5 })), 'us')
    expect(reasons[0]!.key).toBe('depth')
    expect(reasons.at(-1)).toMatchObject({ key: 'waves', tone: 'careful', text: 'Waves of 1 ft 8, over your limit of 1 ft' })
    expect(reasons.length).toBeLessThanOrEqual(4)
  })

  it('gives the figures that it rests on', () => {
    expect(texts({})[0]).toMatch(/^Top at 7 ft 3, right in the band of \d+–\d+ ft$/)
    expect(texts({ place: brush(0.5, 1.2) })[0]).toMatch(/Only 3 ft 11 deep|Reaches/)
    expect(texts({ place: brush(7, 9) })[0]).toMatch(/Top at 23 ft: most should hang above it/)
    const waves = placeReason({ key: 'waves', value: 0.3, waveM: 0.5, limitM: 0.3, over: true }, 'metric')
    expect(waves.text).toBe('Waves of 0.5 m, over your limit of 0.3 m')
  })

  it('has words for every factor in every state', () => {
    const say = (f: Factor) => placeReason(f, 'us').text
    expect(say({ key: 'rest', value: 0.5, restDays: 0.1 })).toBe('Fished today: let it refill')
    expect(say({ key: 'rest', value: 0.5, restDays: 1.2 })).toBe('Rested 1 day')
    expect(say({ key: 'rest', value: 0.9, restDays: 9.7 })).toBe('Rested 9 days')
    expect(say({ key: 'rest', value: 0.97, restDays: null })).toMatch(/Not fished yet/)
    expect(say({ key: 'record', value: 0.7, catches: 0, effortHours: 0, ratePerHour: null })).toMatch(/Nothing logged/)
    expect(say({ key: 'record', value: 0.9, catches: 7, effortHours: 2.5, ratePerHour: 2.8 })).toBe('7 fish logged here in 2 h 30, as many as expected or more')
    expect(say({ key: 'wind', value: 1, windMS: 5, fetchM: 800, blownInto: true })).toMatch(/blows in over 2,620 ft/)
    expect(say({ key: 'wind', value: 0.8, windMS: 0.5, fetchM: 10, blownInto: false })).toMatch(/Calm/)
    expect(say({ key: 'shade', value: 0.9, shadow: 0.8, deckAreaM2: 70, roofed: true })).toMatch(/roof and deck/)
    expect(say({ key: 'shade', value: 0.4, shadow: 0.1, deckAreaM2: 70, roofed: true })).toMatch(/Hardly any shade/)
    expect(say({ key: 'structure', value: 0.3, kind: 'dock', phase: 'winter', season: 'winter' })).toBe('In winter few use docks')
    expect(say({ key: 'structure', value: 0.9, kind: 'reedStubble', phase: 'spawn', season: 'on the beds' })).toBe('On the beds they use reed stubble')
  })
})

describe('kinds', () => {
  it('fit every phase somewhere between never and always', () => {
    for (const kind of PLACE_KINDS) {
      for (const phase of PHASES) {
        const fit = structureFit({ kind, phases: [{ phase, probability: 1, prior: phaseOf('crappie', phase)! }] })
        expect(fit > 0 && fit < 1, `${kind} in ${phase}`).toBe(true)
      }
      expect(placeKindName(kind)).not.toBe(placeKindPlural(kind) + 's')
    }
  })

  it.each<[PhaseKind: PlaceKind, better: PlaceKind, phase: (typeof PHASES)[number]]>([['hump', 'reedStubble', 'spawn'], ['weedEdge', 'brush', 'summer'], ['brush', 'dock', 'postSpawn']])('rank %s under %s in %s', (worse, better, phase) => {
    const fit = (kind: PlaceKind) => structureFit({ kind, phases: [{ phase, probability: 1, prior: phaseOf('crappie', phase)! }] })
    expect(fit(better)).toBeGreaterThan(fit(worse))
  })

  it('begin holding fish at their crown, or at the surface', () => {
    expect(coverTop(brush(2.2, 4))).toBe(2.2)
    expect(coverTop(dock())).toBe(0)
    expect(coverTop({ ...spot, kind: 'breakEdge', attributes: { bottomDepthM: 4, shallowDepthM: 1.4, runM: 20 } })).toBe(1.4)
  })
})

describe('standOff', () => {
  const base = { kind: 'brush', phase: 'preSpawn', fishDepthM: 2, secchiM: 0.8 } as const
  const FT = 0.3048
  it.each([
    [base, 25, 'shallow', false], [{ ...base, phase: 'lateSummer' }, 20, 'lateSummer', false], [{ ...base, fishDepthM: 5 }, 0, 'deepStained', true],
    [{ ...base, fishDepthM: 3.6, secchiM: 3 }, 25, 'clear', false], [{ ...base, fishDepthM: 6, secchiM: 3 }, 20, 'deepClear', false], [{ ...base, kind: 'weedEdge' }, 25, 'weedEdge', false],
  ] as const)('follows the handbook: %o', (options, fromFt, because, vertical) => {
    expect(standOff(options)).toMatchObject({ because, vertical })
    expect(standOff(options).fromM / FT).toBeCloseTo(fromFt, 9)
  })

  it('holds two rod lengths off a dock', () => {
    expect(standOff({ ...base, kind: 'dock', rodM: 2 })).toEqual({ fromM: 4, toM: 5, vertical: false, because: 'dock' })
  })
})
