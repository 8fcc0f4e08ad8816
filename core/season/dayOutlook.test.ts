import { describe, expect, it } from 'vitest'
import { localDays } from './dayLights'
import { dayOutlooks, type OutlookOptions } from './dayOutlook'
import { cautionText, windowWhy } from './outlookText'
import { phaseProbabilities } from './phaseProbabilities'
import { emptyWeather, HOUR_MS } from './weather'

const ZONE = 'America/Chicago'
const START = Date.parse('2026-04-24T05:00:00Z')
const PLACE = { latDeg: 40.2, lonDeg: -88.6 }
const preSpawn = phaseProbabilities({ waterC: 12.5, trendCPerWeek: 2, dayOfYear: 114, latDeg: 40 })
const clock = (ms: number) => new Date(ms).toISOString().slice(11, 16)

function options(change: Partial<OutlookOptions> & { wind?: number, cloud?: number, rain?: number, air?: number } = {}): OutlookOptions {
  const { wind = 3, cloud = 0.5, rain = 0, air = 15, ...rest } = change
  const weather = emptyWeather(START, 72)
  weather.airC.fill(air)
  weather.dewPointC.fill(8)
  weather.windMS.fill(wind)
  weather.windFromDeg.fill(225)
  weather.cloud.fill(cloud)
  weather.pressureHpa.fill(1015)
  weather.rainMm.fill(rain)
  const days = localDays({ fromMs: START, count: 3, zone: ZONE })
  return {
    days, zone: ZONE, ...PLACE, weather, fronts: [], fish: 'crappie', phases: days.map(() => preSpawn), waterAt: () => ({ waterC: 12.5, sdC: 0.5 }), warmestAt: () => ({ waterC: 13, where: 'Vetch Arm' }),
    roughFetchM: new Array<number>(12).fill(900), depthM: 6, waveLimitM: 0.3, log: [], nowMs: START, ...rest,
  }
}

describe('dayOutlooks', () => {
  it('gives each day two windows of two hours that do not touch, in the light', () => {
    for (const { windows, lights, ratePerHour } of dayOutlooks(options())) {
      expect(windows).toHaveLength(2)
      const [a, b] = windows
      expect(b!.fromMs).toBeGreaterThanOrEqual(a!.toMs + HOUR_MS)
      for (const w of windows) {
        expect(w.toMs - w.fromMs).toBe(2 * HOUR_MS)
        expect(w.fromMs).toBeGreaterThanOrEqual(lights.dawnMs! - HOUR_MS)
        expect(w.toMs).toBeLessThanOrEqual(lights.duskMs! + HOUR_MS)
      }
      expect(ratePerHour).toBeCloseTo((a!.ratePerHour + b!.ratePerHour) / 2, 9)
    }
  })
  it('marks waves over the boat\'s limit and ranks such days last', () => {
    const calm = dayOutlooks(options({ waveLimitM: 0.15 }))[0]!
    const rough = dayOutlooks(options({ wind: 15, waveLimitM: 0.15 }))[0]!
    expect(rough.hoursOverLimit).toBeGreaterThan(10)
    expect(rough.cautions).toContain('waves')
    expect(rough.waveM).toBeGreaterThan(0.15)
    expect(rough.ratePerHour).toBeLessThan(0.5 * calm.ratePerHour)
    expect(dayOutlooks(options({ wind: 15, waveLimitM: 2 }))[0]!.hoursOverLimit).toBe(0)
  })
  it('is better ahead of a cold front and poorer behind it, and says so', () => {
    const front = { atMs: START + 36 * HOUR_MS, kind: 'cold' as const, changeC: -7 }
    const [before, during, after] = dayOutlooks(options({ fronts: [front] }))
    const [plain] = dayOutlooks(options())
    expect(during!.fronts).toEqual([front])
    expect(after!.ratePerHour).toBeLessThan(plain!.ratePerHour)
    expect(before!.ratePerHour).toBeGreaterThanOrEqual(plain!.ratePerHour)
    const why = after!.windows.flatMap(w => w.why.map(r => r.key))
    expect(why).toContain('behindFront')
  })
  it('waits for the warmest hour while they wait for warmth', () => {
    const warm = (atMs: number) => ({ waterC: 12 + 2 * Math.exp(-((((atMs - START) % (24 * HOUR_MS)) / HOUR_MS - 16) ** 2) / 8), where: 'Vetch Arm' })
    const [day] = dayOutlooks(options({ warmestAt: warm }))
    const reason = day!.windows.flatMap(w => w.why).find(r => r.key === 'warmest')
    expect(reason).toMatchObject({ where: 'Vetch Arm' })
    const summer = phaseProbabilities({ waterC: 27, trendCPerWeek: 0, dayOfYear: 200, latDeg: 40 })
    const hot = dayOutlooks(options({ warmestAt: warm, phases: [summer, summer, summer] }))[0]!
    expect(hot.windows.flatMap(w => w.why).some(r => r.key === 'warmest')).toBe(false)
  })
  it('leaves out what of today is gone', () => {
    const nowMs = START + 15 * HOUR_MS
    const [today] = dayOutlooks(options({ nowMs }))
    for (const w of today!.windows) expect(w.fromMs).toBeGreaterThanOrEqual(nowMs - 0.5 * HOUR_MS)
    expect(dayOutlooks(options({ nowMs: START + 23.9 * HOUR_MS }))[0]!.windows).toEqual([])
  })
  it('tells sky, air and cautions', () => {
    expect(dayOutlooks(options({ cloud: 0.1, air: 34, waterAt: () => ({ waterC: 27, sdC: 1 }) }))[0]).toMatchObject({ sky: 'clear', cautions: ['heat'] })
    expect(dayOutlooks(options({ rain: 5 }))[0]).toMatchObject({ sky: 'rain', cautions: ['coldWater', 'storm'] })
    expect(dayOutlooks(options({ waterAt: () => ({ waterC: 0.2, sdC: 1 }) }))[0]!.cautions).toContain('freezing')
    expect(dayOutlooks(options({ cloud: 0.95 }))[0]!.sky).toBe('overcast')
  })
  it('is said in words without both units at once', () => {
    expect(windowWhy({ key: 'warmest', waterC: 15, where: 'Vetch Arm' }, 'us', clock)).toBe('the day\'s warmest water, 59 °F in Vetch Arm')
    expect(windowWhy({ key: 'waves', waveM: 0.4, over: true }, 'metric', clock)).toContain('over your limit')
    expect(windowWhy({ key: 'aheadOfFront', atMs: START }, 'us', clock)).toBe('ahead of the front at 05:00')
    expect(windowWhy({ key: 'spell', spell: 'dusk' }, 'us', clock)).toBe('last light')
    expect(cautionText('coldWater')).toContain('life jacket')
    expect(cautionText('freezing')).toContain('does not judge ice')
  })
})
