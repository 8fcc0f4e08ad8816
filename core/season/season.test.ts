import fc from 'fast-check'
import { DateTime } from 'luxon'
import { describe, expect, it } from 'vitest'
import { simWeather } from '../../sim/weather'
import { comfortBand, columnC } from './comfort'
import { dayReached, type Reached } from './dayReached'
import { dayLights, localDay, localDayOf, localDays } from './dayLights'
import { feedingAt, type FeedingOptions } from './feeding'
import { fronts } from './fronts'
import { phaseProbabilities } from './phaseProbabilities'
import { reachedText } from './reachedText'
import { leadingPhases, phaseCourse, phasesByDay, spawnedByDay, weekTrend } from './seasonYear'
import { SEASONS, type SeasonFish } from './seasons'
import { skyOf } from './sky'
import { temperatureSteps, TEMPERATURE_TINTS } from './temperatureSteps'
import { usualWeather, withoutGaps } from './usualYear'
import { emptyWeather, endMs, hourAt, HOUR_MS, hourIndex, mergeWeather, weatherBetween, weatherOf, type WeatherHour } from './weather'
import { runReaches, runStage, runText } from './whiteBassRun'

const PELLOWICK = { latDeg: 40.2, lonDeg: -88.6 }
const ZONE = 'America/Chicago'
const minutes = (ms: number | null, iso: string) => Math.abs(ms! - Date.parse(iso)) / 60_000
const hour = (atMs: number, change: Partial<WeatherHour> = {}): WeatherHour => ({ atMs, airC: 10, dewPointC: 5, windMS: 3, windFromDeg: 200, cloud: 0.5, pressureHpa: 1015, rainMm: 0, ...change })

describe('days of a water', () => {
  it('are 23 and 25 hours long where the clocks change, and follow without a gap', () => {
    expect((localDayOf({ iso: '2026-03-08', zone: ZONE }).endMs - localDayOf({ iso: '2026-03-08', zone: ZONE }).startMs) / HOUR_MS).toBe(23)
    expect((localDayOf({ iso: '2026-11-01', zone: ZONE }).endMs - localDayOf({ iso: '2026-11-01', zone: ZONE }).startMs) / HOUR_MS).toBe(25)
    for (const zone of [ZONE, 'Europe/Helsinki', 'Australia/Lord_Howe', 'Pacific/Chatham', 'Pacific/Apia', 'America/Havana']) {
      const days = localDays({ fromMs: Date.parse('2026-01-01T12:00:00Z'), count: 366, zone })
      days.forEach((day, d) => {
        if (d > 0) expect(day.startMs, `${zone} ${day.iso}`).toBe(days[d - 1]!.endMs)
        expect(localDay({ atMs: day.endMs - 1, zone }).iso).toBe(day.iso)
      })
      expect(new Set(days.map(d => d.iso)).size).toBe(366)
    }
  })
  it('belong to the water\'s own zone', () => {
    const atMs = Date.parse('2026-04-24T03:00:00Z')
    expect(localDay({ atMs, zone: ZONE }).iso).toBe('2026-04-23')
    expect(localDay({ atMs, zone: 'Pacific/Auckland' })).toMatchObject({ iso: '2026-04-24', dayOfYear: 114 })
    expect(() => localDay({ atMs, zone: 'Mars/Olympus' })).toThrow(/Mars\/Olympus/)
    expect(() => localDayOf({ iso: 'soon', zone: ZONE })).toThrow(/soon/)
  })
})

describe('dayLights', () => {
  const lights = (iso: string, zone: string, latDeg: number, lonDeg: number) => dayLights({ day: localDayOf({ iso, zone }), latDeg, lonDeg })
  it('rises and sets on its own calendar day, before and after a change of the clocks', () => {
    const before = lights('2026-03-07', ZONE, PELLOWICK.latDeg, PELLOWICK.lonDeg)
    const after = lights('2026-03-08', ZONE, PELLOWICK.latDeg, PELLOWICK.lonDeg)
    expect(minutes(before.riseMs, '2026-03-07T12:18:00Z')).toBeLessThan(3)
    const clock = (ms: number) => DateTime.fromMillis(ms, { zone: ZONE })
    expect(clock(before.riseMs!).hour).toBe(6)
    expect(clock(after.riseMs!).hour).toBe(7)
    expect((after.riseMs! - before.riseMs!) / HOUR_MS).toBeCloseTo(24, 0)
  })
  it('has no dark night at 60° N in June: dusk is past midnight and still the day\'s own', () => {
    const june = lights('2026-06-21', 'Europe/Helsinki', 60.2, 25)
    expect(minutes(june.riseMs, '2026-06-21T00:54:00Z')).toBeLessThan(4)
    expect(minutes(june.setMs, '2026-06-21T19:50:00Z')).toBeLessThan(4)
    expect(june.duskMs!).toBeGreaterThan(localDayOf({ iso: '2026-06-21', zone: 'Europe/Helsinki' }).endMs)
    expect(june.alwaysUp).toBe(false)
    const north = lights('2026-06-21', 'Europe/Helsinki', 69, 27)
    expect(north).toMatchObject({ riseMs: null, setMs: null, alwaysUp: true, alwaysDown: false })
    expect(lights('2026-12-21', 'Europe/Helsinki', 69, 27)).toMatchObject({ alwaysDown: true })
  })
  it('has its sun in the north south of the equator, highest near local noon', () => {
    const south = lights('2026-06-21', 'Australia/Melbourne', -38, 145)
    expect(south.sunInNorth).toBe(true)
    expect(DateTime.fromMillis(south.noonMs, { zone: 'Australia/Melbourne' }).hour).toBe(12)
    expect((south.setMs! - south.riseMs!) / HOUR_MS).toBeLessThan(10)
    expect(lights('2026-06-21', ZONE, 40.2, -88.6).sunInNorth).toBe(false)
  })
  it.each([['Pacific/Apia', -13.8, -172], ['Pacific/Auckland', -36.9, 174.8], ['Pacific/Kiritimati', 1.9, -157.4], ['Pacific/Chatham', -44, -176.5], ['America/Adak', 51.9, -176.6]])('keeps noon, rise and set of %s in its own day, across the date line', (zone, latDeg, lonDeg) => {
    for (const iso of ['2026-01-15', '2026-06-21', '2026-09-27', '2026-12-31']) {
      const day = localDayOf({ iso, zone })
      const l = dayLights({ day, latDeg, lonDeg })
      for (const ms of [l.noonMs, l.riseMs!, l.setMs!]) {
        expect(ms).toBeGreaterThanOrEqual(day.startMs)
        expect(ms).toBeLessThan(day.endMs)
      }
      expect(l.riseMs!).toBeLessThan(l.noonMs)
      expect(l.noonMs).toBeLessThan(l.setMs!)
    }
  })
  it('knows the moon: full on 2026-05-01, new on 2026-05-16; some days it does not rise', () => {
    const may = Array.from({ length: 31 }, (_, i) => lights(`2026-05-${String(i + 1).padStart(2, '0')}`, ZONE, PELLOWICK.latDeg, PELLOWICK.lonDeg))
    expect(may[0]!.moonName).toBe('full moon')
    expect(may[15]!.moonName).toBe('new moon')
    expect(may[15]!.moonLit).toBeLessThan(0.03)
    expect(may.filter(l => l.moonRiseMs === null).length).toBeLessThanOrEqual(2)
    may.forEach((l, i) => {
      const day = localDayOf({ iso: `2026-05-${String(i + 1).padStart(2, '0')}`, zone: ZONE })
      for (const ms of [l.moonRiseMs, l.moonSetMs]) if (ms !== null) expect(ms >= day.startMs && ms < day.endMs).toBe(true)
    })
  })
  it('refuses a position off the globe', () => {
    expect(() => lights('2026-06-21', ZONE, 91, 0)).toThrow(/latDeg is 91/)
  })
})

describe('weather', () => {
  const START = Date.UTC(2026, 3, 24)
  it('puts hours in order with gaps between, the later of two for one hour', () => {
    const weather = weatherOf([hour(START + 3 * HOUR_MS + 60_000, { airC: 13 }), hour(START), hour(START + 3 * HOUR_MS, { airC: 12, cloud: Number.NaN })])
    expect(weather).toMatchObject({ startMs: START, hours: 4 })
    expect([...weather.airC]).toEqual([10, Number.NaN, Number.NaN, 12])
    expect(weather.cloud[3]).toBe(0.5)
    expect(hourIndex(weather, START + 3.9 * HOUR_MS)).toBe(3)
    expect(hourAt(weather, 0)).toMatchObject({ atMs: START, windMS: 3 })
    expect(weatherOf([])).toMatchObject({ hours: 0 })
  })
  it('joins two series wherever they lie, the second over the first', () => {
    fc.assert(fc.property(fc.integer({ min: -30, max: 30 }), fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 40 }), (shift, a, b) => {
      const under = emptyWeather(START, a)
      const over = emptyWeather(START + shift * HOUR_MS, b)
      under.airC.fill(1)
      over.airC.fill(2)
      const both = mergeWeather(under, over)
      expect(both.startMs).toBe(Math.min(under.startMs, over.startMs))
      expect(endMs(both)).toBe(Math.max(endMs(under), endMs(over)))
      for (let k = 0; k < both.hours; k++) {
        const ms = both.startMs + k * HOUR_MS
        const wanted = ms >= over.startMs && ms < endMs(over) ? 2 : ms >= under.startMs && ms < endMs(under) ? 1 : Number.NaN
        expect(both.airC[k]).toBe(wanted)
      }
      const cut = weatherBetween(both, START + 2 * HOUR_MS, START + 9 * HOUR_MS)
      expect(cut).toMatchObject({ startMs: START + 2 * HOUR_MS, hours: 7 })
      expect(cut.airC[0]).toBe(both.airC[hourIndex(both, START + 2 * HOUR_MS)] ?? Number.NaN)
    }))
  })
  it('is told as a sky', () => {
    expect([skyOf({ cloud: 0.1, rainMm: 0 }), skyOf({ cloud: 0.5, rainMm: 0 }), skyOf({ cloud: 0.9, rainMm: 0.1 }), skyOf({ cloud: 0.9, rainMm: 2 }), skyOf({ cloud: Number.NaN, rainMm: Number.NaN })]).toEqual(['clear', 'broken', 'overcast', 'rain', null])
  })
})

describe('usual weather', () => {
  const known = simWeather({ ...PELLOWICK, seed: 3 }, Date.UTC(2025, 0, 1), 480 * 24)
  const usual = usualWeather({ known, toMs: endMs(known) + 300 * 24 * HOUR_MS })!
  const meanOf = (list: Float32Array, from: number, to: number) => list.subarray(from * 24, to * 24).reduce((a, b) => a + b, 0) / ((to - from) * 24)
  it('carries the year\'s round on from what is known', () => {
    expect(usual.startMs).toBe(endMs(known))
    expect(usual.hours).toBe(300 * 24)
    // The known series ends in late April: two and a half months on is July, eight and a half is January.
    const july = meanOf(usual.airC, 70, 90)
    expect(july).toBeGreaterThan(meanOf(usual.airC, 260, 280) + 18)
    expect(Math.abs(july - meanOf(known.airC, 185, 205))).toBeLessThan(4)
    expect([...usual.dewPointC].every((d, k) => d <= usual.airC[k]! + 1e-4)).toBe(true)
    expect([...usual.windMS].every(w => w > 0 && w < 12)).toBe(true)
  })
  it('lets what was unusual at the end fade, and keeps the day\'s course', () => {
    const afternoon = usual.airC[24 * 40 + 21]!
    expect(afternoon).toBeGreaterThan(usual.airC[24 * 40 + 11]! + 3)
    expect(Math.abs(meanOf(usual.airC, 0, 1) - meanOf(known.airC, 479, 480))).toBeLessThan(2.5)
  })
  it('says nothing from less than ten months', () => {
    expect(usualWeather({ known: weatherBetween(known, known.startMs, known.startMs + 200 * 24 * HOUR_MS), toMs: endMs(known) })).toBeNull()
  })
  it('fills gaps from the other source, else in a straight line', () => {
    const gappy = weatherOf([hour(0, { airC: 10 }), hour(4 * HOUR_MS, { airC: 14 })])
    expect([...withoutGaps(gappy, null).airC]).toEqual([10, 11, 12, 13, 14])
    const other = weatherOf(Array.from({ length: 5 }, (_, k) => hour(k * HOUR_MS, { airC: 20 })))
    expect([...withoutGaps(gappy, other).airC]).toEqual([10, 20, 20, 20, 14])
    expect([...gappy.airC][1]).toBeNaN()
  })
})

describe('the year\'s phases', () => {
  const days = Array.from({ length: 365 }, (_, d) => d + 1)
  const north = Float32Array.from(days, d => 13 - 13 * Math.cos((2 * Math.PI * (d - 35)) / 365))
  const season = SEASONS.crappie
  it('come in their order through a year in the north', () => {
    const spans = leadingPhases(phasesByDay({ dailyC: north, dayOfYear: days, latDeg: 41, season })).map(s => s.phase)
    const order = spans.filter((p, i) => p !== spans[i - 1])
    expect(order[0]).toBe('winter')
    expect(order.indexOf('preSpawn')).toBeLessThan(order.indexOf('spawn'))
    expect(order.indexOf('spawn')).toBeLessThan(order.lastIndexOf('summer'))
    expect(order.indexOf('fallTransition')).toBeLessThan(order.indexOf('fall'))
    expect(order.at(-1)).toBe('winter')
  })
  it('are turned round in the south, and its spawn before the new year is not counted twice', () => {
    const south = Float32Array.from(days, d => 13 + 13 * Math.cos((2 * Math.PI * (d - 35)) / 365))
    const shares = phasesByDay({ dailyC: south, dayOfYear: days, latDeg: -41, season })
    expect(shares[200]![0]!.phase).toBe('winter')
    const spawn = phaseCourse(shares, 'spawn')
    const best = spawn.indexOf(Math.max(...spawn))
    expect(best).toBeGreaterThan(260)
    expect(best).toBeLessThan(340)
    const spawned = spawnedByDay({ dailyC: south, dayOfYear: days, latDeg: -41, season })
    expect(spawned[20]).toBeUndefined()
    expect(spawned[200]).toBeLessThan(0.05)
    expect(spawned[364]).toBeGreaterThan(0.8)
  })
  it('leave days without a temperature alone, and take the trend over a week or what there is', () => {
    const gappy = Float32Array.from(north)
    gappy.fill(Number.NaN, 0, 40)
    const shares = phasesByDay({ dailyC: gappy, dayOfYear: days, latDeg: 41, season })
    expect(shares[10]).toBeNull()
    expect(phaseCourse(shares, 'winter')[10]).toBe(0)
    expect(weekTrend(Float32Array.from(days), 20)).toBe(7)
    expect(weekTrend([1, 2, 3, 5], 3)).toBeCloseTo((4 / 3) * 7, 9)
    expect(weekTrend([1, 2], 1)).toBe(0)
  })
})

describe('dayReached', () => {
  const days = Array.from({ length: 12 }, (_, i) => ({ iso: `2026-05-${String(i + 1).padStart(2, '0')}` }))
  const meanC = days.map((_, i) => 10 + i * 0.5)
  const find = (change: Partial<Parameters<typeof dayReached>[0]>) => dayReached({ meanC, sdC: days.map(() => 0.5), days, today: 4, levelsC: [11, 14, 20], way: 'rises', ...change })
  it('names the day, the band, and since when', () => {
    const [past, coming, never] = find({})
    expect(past).toMatchObject({ passed: true, likely: '2026-05-03' })
    expect(coming).toMatchObject({ passed: false, likely: '2026-05-09', earliest: '2026-05-08', latest: '2026-05-11' })
    expect(never).toMatchObject({ passed: false, likely: null, earliest: null, latest: null })
  })
  it('comes earlier with warmer water, and has a wider band the less is known', () => {
    const warmer = find({ meanC: meanC.map(c => c + 1) })[1]!
    expect(warmer.likely! < '2026-05-09').toBe(true)
    const vague = find({ sdC: days.map(() => 2) })[1]!
    expect(vague.earliest! < '2026-05-08').toBe(true)
    expect(vague.latest).toBeNull()
  })
  it('falls in the autumn', () => {
    const falling = dayReached({ meanC: meanC.map(c => 24 - c), sdC: days.map(() => 0.3), days, today: 2, levelsC: [14, 10], way: 'falls' })
    expect(falling[0]).toMatchObject({ passed: true })
    expect(falling[1]).toMatchObject({ passed: false, likely: '2026-05-09' })
  })
  it('is said in few words', () => {
    const base: Reached = { levelC: 14, way: 'rises', passed: false, likely: '2026-05-09', earliest: '2026-05-08', latest: '2026-05-11' }
    expect(reachedText(base)).toEqual({ day: '9 May', band: '8 May to 11 May' })
    expect(reachedText({ ...base, latest: null })).toEqual({ day: '9 May', band: '8 May to later' })
    expect(reachedText({ ...base, earliest: '2026-05-09', latest: '2026-05-09' })).toEqual({ day: '9 May', band: null })
    expect(reachedText({ ...base, likely: null })).toEqual({ day: 'from 8 May?', band: null })
    expect(reachedText({ ...base, likely: null, earliest: null })).toEqual({ day: null, band: null })
    expect(reachedText({ ...base, passed: true })).toEqual({ day: '9 May', band: null })
  })
})

describe('fronts', () => {
  /** Air that drops by so much at hour 60, with a turning wind and a trough there. */
  const passing = (change: number, turn: number) => {
    const weather = emptyWeather(0, 120)
    for (let k = 0; k < 120; k++) {
      weather.airC[k] = 15 + (k >= 60 ? change : 0) + 4 * Math.sin((2 * Math.PI * k) / 24)
      weather.windMS[k] = 5
      weather.windFromDeg[k] = k >= 60 ? 200 + turn : 200
      weather.pressureHpa[k] = 1010 + Math.abs(k - 60) * 0.3
    }
    return weather
  }
  it('are found where the air changes and the wind turns, once each', () => {
    expect(fronts(passing(-8, 110))).toEqual([{ atMs: 60 * HOUR_MS, kind: 'cold', changeC: expect.closeTo(-8, 4) }])
    expect(fronts(passing(7, 60))).toMatchObject([{ kind: 'warm' }])
  })
  it('are not seen in the day\'s own swing, nor in a small change', () => {
    expect(fronts(passing(0, 110))).toEqual([])
    expect(fronts(passing(-2, 110))).toEqual([])
  })
})

describe('feeding', () => {
  const day = localDayOf({ iso: '2026-12-15', zone: ZONE })
  const lights = dayLights({ day, ...PELLOWICK })
  const phases = (fish: SeasonFish, waterC: number, trendCPerWeek = 0, dayOfYear = 349) => phaseProbabilities({ waterC, trendCPerWeek, dayOfYear, latDeg: 40, season: SEASONS[fish] })
  const level = (options: Partial<FeedingOptions> & Pick<FeedingOptions, 'atMs' | 'phases' | 'fish'>) => feedingAt({ hour: (options.atMs - day.startMs) / HOUR_MS, lights, log: [], meanRatePerHour: 0, ...options })
  it('of winter perch has its one spell about two and a half hours before dusk', () => {
    const hours = Array.from({ length: 48 }, (_, h) => day.startMs + h * 0.5 * HOUR_MS)
    const best = hours.map(atMs => ({ atMs, ...level({ atMs, phases: phases('yellowPerch', 3), fish: 'yellowPerch' }) })).sort((a, b) => b.level - a.level)[0]!
    expect((lights.setMs! - best.atMs) / HOUR_MS).toBeCloseTo(2.4, 0)
    expect(best.spell).toBe('afternoon')
  })
  it('of white bass in summer leads at dawn and dusk, and is least in the night', () => {
    const p = phases('whiteBass', 26, 0, 200)
    const [dawn, noon, night] = [lights.riseMs! + 0.6 * HOUR_MS, lights.noonMs, day.startMs + HOUR_MS].map(atMs => level({ atMs, phases: p, fish: 'whiteBass' }).level)
    expect(dawn).toBeGreaterThan(1.5 * noon!)
    expect(noon).toBeGreaterThan(night!)
  })
  it('is moved by the log\'s own hours, and by little effort only a little', () => {
    const at = { atMs: lights.noonMs, phases: phases('crappie', 12, -2), fish: 'crappie' as const, meanRatePerHour: 1.5 }
    const noonHour = (lights.noonMs - day.startMs) / HOUR_MS
    const plain = level({ ...at, log: [] }).level
    const good = level({ ...at, log: [{ hour: noonHour, hours: 10, fish: 40 }] }).level
    const hint = level({ ...at, log: [{ hour: noonHour, hours: 0.5, fish: 2 }] }).level
    expect(good).toBeGreaterThan(1.5 * plain)
    expect(hint).toBeGreaterThan(plain)
    expect(hint).toBeLessThan(1.2 * plain)
    expect(level({ ...at, log: [{ hour: noonHour, hours: 10, fish: 0 }] }).level).toBeLessThan(0.6 * plain)
  })
})

describe('white bass run', () => {
  const stage = (waterC: number, trend: number, day: number) => runStage(phaseProbabilities({ waterC, trendCPerWeek: trend, dayOfYear: day, latDeg: 40, season: SEASONS.whiteBass })).stage
  it('goes through its stages as the river warms', () => {
    expect([stage(4, 0.5, 60), stage(9.5, 2, 95), stage(15, 2, 115), stage(21, 1.5, 145), stage(27, 0.2, 200)]).toEqual(['wintering', 'running', 'spawning', 'droppingBack', 'openWater'])
    expect(runText('wintering', 'us')).toContain('45 °F')
    expect(runText('wintering', 'metric')).not.toContain('°F')
  })
  it('remembers the reaches of earlier springs, the last year first', () => {
    const at = (iso: string) => Date.parse(`${iso}T17:00:00Z`)
    const catches = [['2025-04-18', 'bar'], ['2025-04-20', 'bar'], ['2025-04-20', 'bend'], ['2024-04-11', 'bar'], ['2025-08-02', 'basin'], ['2026-04-20', 'bar']].map(([iso, placeId]) => ({ atMs: at(iso!), placeId: placeId! }))
    const reaches = runReaches({ catches: [...catches, { atMs: at('2025-04-19'), placeId: null }], nowMs: at('2026-04-24') })
    expect(reaches.map(r => [r.placeId, r.year, r.fish])).toEqual([['bar', 2025, 2], ['bend', 2025, 1], ['bar', 2024, 1]])
    expect(reaches[0]).toMatchObject({ firstMs: at('2025-04-18'), lastMs: at('2025-04-20') })
  })
})

describe('comfort', () => {
  it('is nowhere named while the lake is mixed or cooler than they like', () => {
    expect(comfortBand({ fish: 'crappie', surfaceC: 20, layerM: 14, belowC: 20, deepestM: 14 })).toBeNull()
    expect(comfortBand({ fish: 'crappie', surfaceC: 12, layerM: 5, belowC: 6, deepestM: 14 })).toBeNull()
  })
  it('is in the layer in summer, at its foot when the top is too warm, never in the cold below', () => {
    const mild = comfortBand({ fish: 'crappie', surfaceC: 25, layerM: 5, belowC: 9, deepestM: 14 })!
    expect(mild.topM).toBe(0)
    expect(mild.bottomM).toBeLessThanOrEqual(6.3)
    const hot = comfortBand({ fish: 'yellowPerch', surfaceC: 28, layerM: 5, belowC: 9, deepestM: 14 })!
    expect(hot.topM).toBeGreaterThan(4)
    expect(columnC({ depthM: 2, surfaceC: 28, layerM: 5, belowC: 9 })).toBe(28)
    expect(columnC({ depthM: 12, surfaceC: 28, layerM: 5, belowC: 9 })).toBe(9)
    expect(comfortBand({ fish: 'europeanPerch', surfaceC: 31, layerM: 3, belowC: 27, deepestM: 5 })).toEqual({ topM: 2.5, bottomM: 4.25 })
  })
})

describe('temperatureSteps', () => {
  it('are whole degrees of the reader\'s unit, one fewer than the tints, and cover the span', () => {
    const us = temperatureSteps({ fromC: 9, toC: 14, units: 'us' })
    expect(us).toHaveLength(TEMPERATURE_TINTS - 1)
    for (const c of us) expect(Math.abs(c * 1.8 + 32 - Math.round(c * 1.8 + 32))).toBeLessThan(1e-9)
    const metric = temperatureSteps({ fromC: 9.2, toC: 9.3, units: 'metric' })
    expect(metric.at(-1)! - metric[0]!).toBeCloseTo(3.5, 9)
    expect(() => temperatureSteps({ fromC: Number.NaN, toC: 3, units: 'us' })).toThrow(/fromC/)
  })
})
