import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { phaseProbabilities, type PhaseOptions } from './phaseProbabilities'
import { SPECIES } from '../fish/species'
import { dayLengthH } from './dayLength'
import { PHASES } from './phases'
import { phaseShift, shiftedSeason } from './phaseShift'
import { phaseOf, SEASON_FISH, SEASONS, seasonFishName, seasonOf } from './seasons'
import { spawnPassed, spawnPassedByDay } from './spawnPassed'

const F = (f: number) => (f - 32) / 1.8
const SPRING = { dayOfYear: 114, latDeg: 40 }
const first = (options: PhaseOptions) => phaseProbabilities(options)[0]!.phase

describe('phaseProbabilities', () => {
  it('always sums to one, for any water an angler can meet', () => {
    fc.assert(fc.property(
      fc.double({ min: -2, max: 40, noNaN: true }), fc.double({ min: -8, max: 8, noNaN: true }), fc.integer({ min: 1, max: 366 }), fc.double({ min: -66, max: 66, noNaN: true }),
      (waterC, trendCPerWeek, dayOfYear, latDeg) => {
        const shares = phaseProbabilities({ waterC, trendCPerWeek, dayOfYear, latDeg })
        expect(shares).toHaveLength(PHASES.length)
        expect(shares.reduce((sum, s) => sum + s.probability, 0)).toBeCloseTo(1, 9)
        expect(shares.every((s, i) => i === 0 || s.probability <= shares[i - 1]!.probability)).toBe(true)
      }))
  })

  it.each([
    [40, 0.5, 40, 'winter'], [48, 2, 90, 'staging'], [54, 2, 114, 'preSpawn'], [63, 2, 130, 'spawn'], [84, 0.5, 200, 'summer'],
    [84, -2, 240, 'lateSummer'], [68, -3, 275, 'fallTransition'], [53, -2, 310, 'fall'],
  ] as const)('%i °F changing %i °C a week on day %i is %s', (f, trendCPerWeek, dayOfYear, phase) => {
    expect(first({ waterC: F(f), trendCPerWeek, dayOfYear, latDeg: 40 })).toBe(phase)
  })

  it('tells spring from fall at one temperature by the direction and the calendar', () => {
    expect(first({ waterC: 12, trendCPerWeek: 2, ...SPRING })).toBe('preSpawn')
    expect(first({ waterC: 12, trendCPerWeek: -2, dayOfYear: 305, latDeg: 40 })).toBe('fall')
  })

  it('turns the year round in the south', () => {
    expect(first({ waterC: 12, trendCPerWeek: 2, dayOfYear: 114 + 183, latDeg: -40 })).toBe('preSpawn')
  })

  it('moves between phases smoothly: no jump over a tenth of a degree', () => {
    for (let c = 5; c < 28; c += 0.1) {
      const here = new Map(phaseProbabilities({ waterC: c, trendCPerWeek: 1, ...SPRING }).map(s => [s.phase, s.probability]))
      for (const { phase, probability } of phaseProbabilities({ waterC: c + 0.1, trendCPerWeek: 1, ...SPRING })) {
        expect(Math.abs(probability - here.get(phase)!), `${phase} at ${c.toFixed(1)}`).toBeLessThan(0.08)
      }
    }
  })

  it('refuses what is off the scale', () => {
    expect(() => phaseProbabilities({ waterC: 60, trendCPerWeek: 0, ...SPRING })).toThrow(/waterC is 60/)
    expect(() => phaseProbabilities({ waterC: 10, trendCPerWeek: Number.NaN, ...SPRING })).toThrow(/trendCPerWeek/)
    expect(() => phaseProbabilities({ waterC: 10, trendCPerWeek: 0, dayOfYear: 0, latDeg: 40 })).toThrow(/dayOfYear/)
    expect(() => phaseProbabilities({ waterC: 10, trendCPerWeek: 0, dayOfYear: 9, latDeg: 91 })).toThrow(/latDeg/)
  })
})

describe('what else speaks', () => {
  const warm = { waterC: 15.5, trendCPerWeek: 1.5 }
  const share = (options: PhaseOptions, phase: string) => phaseProbabilities(options).find(s => s.phase === phase)!.probability
  it('holds fish back from the beds while the days are short, however warm', () => {
    expect(share({ ...warm, dayOfYear: 10, latDeg: 40 }, 'spawn')).toBeLessThan(0.55 * share({ ...warm, ...SPRING }, 'spawn'))
  })
  it('turns from the beds to after them as the spawning passes', () => {
    const at = { waterC: 19.6, trendCPerWeek: 1, dayOfYear: 150, latDeg: 40 }
    const spawning = [0, 0.5, 1].map(spawned => share({ ...at, spawned }, 'spawn'))
    expect(spawning).toEqual([...spawning].sort((a, b) => b - a))
    expect(spawning[2]).toBeLessThan(0.1)
    expect(share({ ...at, spawned: 1 }, 'postSpawn')).toBeGreaterThan(2 * share({ ...at, spawned: 0 }, 'postSpawn'))
  })
  it.each([
    ['whiteBass', 10, 2, 95, 'staging'], ['whiteBass', 15, 2, 115, 'spawn'], ['whiteBass', 26, 0, 205, 'summer'], ['yellowPerch', 3, 0, 20, 'winter'], ['yellowPerch', 7.4, 1.5, 85, 'preSpawn'],
    ['europeanPerch', 19, 0, 190, 'summer'], ['europeanPerch', 10, -2, 300, 'fall'], ['bluegill', 23, 2, 150, 'spawn'], ['bluegill', 6, 0, 20, 'winter'],
  ] as const)('%s at %d °C changing %d a week on day %i: %s', (fish, waterC, trendCPerWeek, dayOfYear, phase) => {
    expect(first({ waterC, trendCPerWeek, dayOfYear, latDeg: 42, season: SEASONS[fish] })).toBe(phase)
  })
})

describe('seasons', () => {
  it('have for each phase a name, a meaning and bands the right way up, and leave no water without a phase', () => {
    for (const fish of SEASON_FISH) {
      const season = SEASONS[fish]
      for (const { name, meaning, waterC, depthM, fishPerHour } of season) {
        expect(waterC[0]).toBeLessThan(waterC[1])
        expect(depthM[0]).toBeLessThan(depthM[1])
        expect(fishPerHour).toBeGreaterThan(0)
        expect(meaning).toMatch(/\.$/)
        expect(name).not.toBe('')
      }
      expect(new Set(season.map(p => p.phase)).size).toBe(season.length)
      expect(new Set(season.map(p => p.name)).size).toBe(season.length)
      for (let c = 1; c < 30; c += 0.5) expect(season.some(({ waterC }) => waterC[0] <= c && c <= waterC[1]), `${fish} at ${c} °C`).toBe(true)
    }
  })
  it('belong to the species that have one', () => {
    expect(SPECIES.map(seasonOf)).toEqual(['crappie', 'crappie', 'bluegill', 'yellowPerch', 'europeanPerch', 'whiteBass', null])
    expect(phaseOf('whiteBass', 'lateSummer')).toBeUndefined()
    expect(phaseOf('whiteBass', 'staging')!.name).toBe('running up')
    expect(new Set(SEASON_FISH.map(seasonFishName)).size).toBe(SEASON_FISH.length)
  })
})

describe('dayLengthH', () => {
  it.each([[80, 0, 12.1], [172, 40, 15.0], [355, 40, 9.35], [172, 60, 18.9], [172, -40, 9.35], [172, 80, 24], [355, 80, 0]])('on day %i at %i° is %d h', (dayOfYear, latDeg, hours) => {
    expect(dayLengthH({ dayOfYear, latDeg })).toBeCloseTo(hours, 0)
  })
})

describe('spawnPassed', () => {
  const season = SEASONS.crappie
  it('has not begun in the cold, is half through after three weeks of warmth and over after six', () => {
    expect(spawnPassed({ dailyC: new Array<number>(100).fill(9), season })).toBeLessThan(0.02)
    expect(spawnPassed({ dailyC: new Array<number>(22).fill(18), season })).toBeCloseTo(0.5, 1)
    expect(spawnPassed({ dailyC: new Array<number>(42).fill(18), season })).toBeGreaterThan(0.97)
    expect(spawnPassed({ dailyC: [], season })).toBe(0)
  })
  it('says the same day by day, and never goes back', () => {
    const dailyC = Array.from({ length: 120 }, (_, i) => 8 + i / 8 - 3 * Math.sin(i / 7))
    const byDay = spawnPassedByDay({ dailyC, season })
    expect(byDay[119]).toBeCloseTo(spawnPassed({ dailyC, season }), 6)
    expect([...byDay]).toEqual([...byDay].sort((a, b) => a - b))
    expect(() => spawnPassed({ dailyC: [Number.NaN], season })).toThrow(/dailyC\[0\]/)
  })
})

describe('phaseShift', () => {
  const season = SEASONS.crappie
  const school = (topM: number, waterC: number) => ({ topM, bottomM: topM + 1, waterC, trendCPerWeek: 1.5, dayOfYear: 110 })
  it('stays with the handbook until schools speak', () => {
    expect(phaseShift({ evidence: [], season, latDeg: 40 })).toMatchObject({ schools: 0 })
    expect(phaseShift({ evidence: [], season, latDeg: 40 }).shiftC).toBeCloseTo(0, 9)
  })
  it('moves the phases down where fish are on the beds in cooler water, and up where they still hang deep in warm', () => {
    const early = phaseShift({ evidence: Array.from({ length: 10 }, () => school(0.4, 12.6)), season, latDeg: 40 })
    expect(early.shiftC).toBeLessThan(-0.5)
    expect(early.sdC).toBeLessThan(1)
    expect(phaseShift({ evidence: Array.from({ length: 10 }, () => school(6.5, 8.5)), season, latDeg: 40 }).shiftC).toBeGreaterThan(0.3)
  })
  it('moves every phase alike', () => {
    expect(shiftedSeason(season, -1).map(p => p.waterC[1])).toEqual(season.map(p => p.waterC[1] - 1))
  })
})
