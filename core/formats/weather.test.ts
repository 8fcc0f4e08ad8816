import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyWeather, HOUR_MS, WEATHER_FIELDS, type WeatherHour } from '../season/weather'
import { readCsvWeather, writeCsvWeather } from './csvWeather'
import { nmeaSentence } from './nmea'
import { readNmeaTemperatures, thinTemperatures } from './nmeaTemperatures'
import { decodeWeather, encodeWeather } from './weatherBlob'

const START = Date.UTC(2026, 3, 24)

describe('weather bytes', () => {
  it('come back as they went in, gaps too', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 60 }), fc.array(fc.oneof(fc.float({ min: -60, max: 60, noNaN: true }), fc.constant(Number.NaN)), { minLength: 1, maxLength: 20 }), (hours, figures) => {
      const weather = emptyWeather(START, hours)
      WEATHER_FIELDS.forEach((field, f) => {
        for (let k = 0; k < hours; k++) weather[field][k] = figures[(k + f) % figures.length]!
      })
      expect(decodeWeather(encodeWeather(weather))).toEqual(weather)
    }))
  })
  it('are refused when they are something else, newer, or cut off', () => {
    const bytes = encodeWeather(emptyWeather(START, 3))
    expect(() => decodeWeather(new Uint8Array(40))).toThrow(/no weather series/)
    expect(() => decodeWeather(bytes.slice(0, 10))).toThrow(/no weather series/)
    expect(() => decodeWeather(bytes.slice(0, -4))).toThrow(/3 hours must have/)
    const newer = bytes.slice()
    newer[4] = 9
    expect(() => decodeWeather(newer)).toThrow(/version is 9/)
  })
})

describe('a table of hours', () => {
  const hour = (k: number): WeatherHour => ({ atMs: START + k * HOUR_MS, airC: 12.25, dewPointC: 4.5, windMS: 3.1, windFromDeg: 225, cloud: 0.5, pressureHpa: 1013.2, rainMm: 0.4 })
  it('is read back as it was written, empty where nothing was known', () => {
    const hours = [hour(0), { ...hour(1), pressureHpa: Number.NaN, rainMm: Number.NaN }]
    expect(readCsvWeather(writeCsvWeather(hours))).toEqual({ items: hours, skipped: 0, issues: [] })
  })
  it('takes the units its headings name, and times of the water\'s own zone', () => {
    const text = 'Date time;Air temp (°F);Dew point °F;Wind speed mph;Wind gust mph;Wind dir deg;Cloud %;Pressure inHg;Rain in\r\n2026-04-24 06:00;50;41;10;18;360;75;29.92;0.1\r\n'
    const { items } = readCsvWeather(text, { instant: t => Date.parse(`${t}:00-05:00`) })
    expect(items).toHaveLength(1)
    expect(items[0]).toMatchObject({ atMs: Date.parse('2026-04-24T11:00:00Z'), airC: 10, dewPointC: 5, windFromDeg: 0, cloud: 0.75 })
    expect(items[0]!.windMS).toBeCloseTo(4.4704, 6)
    expect(items[0]!.pressureHpa).toBeCloseTo(1013.2, 1)
    expect(items[0]!.rainMm).toBeCloseTo(2.54, 6)
    expect(readCsvWeather('time,air_c,dew_point_c,wind_kmh,cloud_oktas\n2026-04-24T00:00:00Z,1,0,36,4\n').items[0]).toMatchObject({ windMS: 10, cloud: 0.5 })
    expect(readCsvWeather('time;temp;dew;wind m/s;clouds\n2026-04-24T00:00:00Z;1,5;0,5;3,5;0,25\n').items[0]).toMatchObject({ airC: 1.5, windMS: 3.5, cloud: 0.25 })
  })
  it('leaves out rows that do not fit, with line and reason', () => {
    const { items, skipped, issues } = readCsvWeather('time,air_c,dew_c,wind,cloud\n2026-04-24T00:00:00Z,10,5,3,0.5\nsoon,10,5,3,0.5\n2026-04-24T01:00:00Z,200,5,3,0.5\n2026-04-24T00:00:00Z,11,5,3,0.5\n\n2026-04-24T02:00:00Z,10,5,wet,0.5\n')
    expect(items).toHaveLength(1)
    expect(skipped).toBe(4)
    expect(issues.map(i => i.line)).toEqual([3, 4, 5, 7])
    expect(issues[1]!.message).toContain('air_c is 200')
  })
  it('refuses a table without what is needed, by name', () => {
    expect(readCsvWeather('time,air_c\n2026-04-24T00:00:00Z,10\n').issues[0]!.message).toBe('no column for dew point, wind speed, cloud')
    expect(readCsvWeather('a,b\n1,2\n').issues[0]!.message).toContain('time or date')
    expect(readCsvWeather('').items).toEqual([])
    expect(readCsvWeather('time,air,dew,wind,cloud\n').issues.at(-1)!.message).toContain('no row')
  })
})

describe('a boat\'s water temperatures', () => {
  const rmc = (s: number, lon = '08836.0000') => nmeaSentence(`GPRMC,1140${String(s).padStart(2, '0')}.00,A,4012.0000,N,${lon},W,2.0,90.0,240426,,`)
  const mtw = (c: number | string, unit = 'C') => nmeaSentence(`YXMTW,${c},${unit}`)
  it('stand at the fix before them', () => {
    const { items, skipped } = readNmeaTemperatures([mtw(9), rmc(0), mtw(12.2), rmc(20, '08835.9000'), mtw(12.4)].join('\r\n'))
    expect(items).toEqual([
      { lonDeg: -88.6, latDeg: 40.2, atMs: Date.parse('2026-04-24T11:40:00Z'), waterC: 12.2 },
      { lonDeg: expect.closeTo(-88.598333, 5), latDeg: 40.2, atMs: Date.parse('2026-04-24T11:40:20Z'), waterC: 12.4 },
    ])
    expect(skipped).toBe(1)
  })
  it('are left out when they are broken, of another unit, or no water\'s', () => {
    const { items, skipped, issues } = readNmeaTemperatures([rmc(0), mtw(54, 'F'), mtw(99), mtw('x'), mtw(12).replace(/..$/, '00'), mtw('')].join('\n'))
    expect(items).toEqual([])
    expect(skipped).toBe(5)
    expect(issues.map(i => i.message).join()).toMatch(/in F, not C.*99 is no temperature.*wrong checksum/s)
    expect(readNmeaTemperatures('hello').issues[0]!.message).toContain('no water temperature')
  })
  it('are thinned to one a part and twenty minutes, the median', () => {
    const item = (minute: number, waterC: number, lonDeg = 0) => ({ lonDeg, latDeg: 0, atMs: START + minute * 60_000, waterC })
    const thin = thinTemperatures([item(0, 12), item(1, 12.2), item(2, 30), item(25, 13), item(3, 15, 1), item(4, 9, -1)], ({ lonDeg }) => lonDeg)
    expect(thin.map(t => [t.part, t.waterC, t.of])).toEqual([[0, 12.2, 3], [1, 15, 1], [0, 13, 1]])
  })
})
