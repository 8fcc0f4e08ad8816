import { once } from 'node:events'
import type { AddressInfo } from 'node:net'
import { describe, expect, it } from 'vitest'
import { fronts } from '../core/season/fronts'
import { HOUR_MS, hourIndex, weatherBetween, WEATHER_FIELDS, WEATHER_RANGE } from '../core/season/weather'
import { lakeParts } from '../core/water/lakeParts'
import { pellowickGrid } from '../demo/pellowick'
import { weatherAnswer } from '../server/services/weatherProvider'
import { lakeTruth, truthColumns } from './lakeTruth'
import { serviceAnswer, weatherService } from './weatherService'
import { simForecast, simWeather } from './weather'

const PLACE = { latDeg: 40.2, lonDeg: -88.6, seed: 7 }
const START = Date.UTC(2025, 0, 1)
const year = simWeather(PLACE, START, 365 * 24)
const mean = (list: Float32Array, fromDay: number, days: number) => list.subarray(fromDay * 24, (fromDay + days) * 24).reduce((a, b) => a + b, 0) / (days * 24)

describe('made-up weather', () => {
  it('is of this world, every hour', () => {
    for (const field of WEATHER_FIELDS) {
      const [lo, hi] = WEATHER_RANGE[field]
      expect(year[field].every(v => v >= lo && v <= hi), field).toBe(true)
    }
    expect(year.dewPointC.every((d, k) => d <= year.airC[k]! + 1e-4)).toBe(true)
  })
  it('has seasons, turned round in the south, and days', () => {
    expect(mean(year.airC, 195, 20)).toBeGreaterThan(mean(year.airC, 15, 20) + 18)
    const south = simWeather({ ...PLACE, latDeg: -38, lonDeg: 145 }, START, 365 * 24)
    expect(mean(south.airC, 15, 20)).toBeGreaterThan(mean(south.airC, 195, 20) + 6)
    const byHour = Array.from({ length: 24 }, (_, h) => Array.from({ length: 100 }, (_, d) => year.airC[(d + 120) * 24 + h]!).reduce((a, b) => a + b, 0) / 100)
    expect(byHour[21]! - byHour[11]!).toBeGreaterThan(5)
  })
  it('has fronts to find, one or two a month', () => {
    const found = fronts(year).length
    expect(found).toBeGreaterThan(8)
    expect(found).toBeLessThan(140)
  })
  it('agrees where two stretches meet, and is another for another seed', () => {
    const later = simWeather(PLACE, START + 100 * HOUR_MS, 50)
    expect(later).toEqual(weatherBetween(year, START + 100 * HOUR_MS, START + 150 * HOUR_MS))
    expect(simWeather({ ...PLACE, seed: 8 }, START, 24).airC).not.toEqual(year.airC.subarray(0, 24))
  })
  it('is forecast as it was up to now, and strays more with every day', () => {
    const errors = [1, 5, 9].map((lead) => {
      let sum = 0
      for (let issue = 0; issue < 30; issue++) {
        const now = START + (40 + issue * 9) * 24 * HOUR_MS
        const forecast = simForecast(PLACE, now, now - 24 * HOUR_MS, 24 * 12)
        for (let h = 0; h < 24; h++) expect(forecast.airC[h]).toBe(year.airC[hourIndex(year, now - 24 * HOUR_MS) + h])
        const k = 24 + lead * 24
        sum += (forecast.airC[k]! - year.airC[hourIndex(year, now) + lead * 24]!) ** 2
      }
      return Math.sqrt(sum / 30)
    })
    expect(errors).toEqual([...errors].sort((a, b) => a - b))
    expect(errors[0]).toBeLessThan(2)
    expect(errors[2]).toBeGreaterThan(1.5)
  })
})

describe('stand-in weather service', () => {
  const now = Date.parse('2026-04-24T11:40:00Z')
  it('answers what the app takes, made every six hours', () => {
    const { weather, issuedMs } = weatherAnswer(JSON.stringify(serviceAnswer({ ...PLACE, fromMs: now - 48 * HOUR_MS, toMs: now + 48 * HOUR_MS, nowMs: now })))
    expect(new Date(issuedMs).toISOString()).toBe('2026-04-24T06:00:00.000Z')
    expect(weather.hours).toBe(97)
    expect(weather.airC.every(c => !Number.isNaN(c))).toBe(true)
  })
  it('speaks over HTTP, and says what it lacks', async () => {
    const server = weatherService().listen(0, '127.0.0.1')
    await once(server, 'listening')
    const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
    const iso = (ms: number) => new Date(ms).toISOString()
    const good = await fetch(`${base}/hours?lat=40.2&lon=-88.6&from=${iso(now)}&to=${iso(now + 5 * HOUR_MS)}&now=${iso(now)}`)
    expect(good.status).toBe(200)
    expect(weatherAnswer(await good.text()).weather.hours).toBe(6)
    expect((await fetch(`${base}/hours?lat=40.2`)).status).toBe(400)
    expect((await fetch(`${base}/elsewhere`)).status).toBe(404)
    server.close()
  })
})

describe('the true lake', () => {
  const grid = pellowickGrid(20)
  const lake = lakeParts({ grid })
  const columns = truthColumns(lake.parts, lake.labels, grid.depthM, grid.cellM, lake.parts.map(() => 1))
  it('warms from the top, is layered in July, mixed in October, and never below freezing', () => {
    const { surfaceC, layersC } = lakeTruth({ columns, weather: year, ...PLACE, startC: 3 })
    const july = layersC[200]![0]!
    const october = layersC[295]![0]!
    expect(july[0]! - july.at(-1)!).toBeGreaterThan(8)
    expect(october[0]! - october.at(-1)!).toBeLessThan(3)
    expect(surfaceC.every(list => list.every(c => c >= 0 && c < 40))).toBe(true)
    // No heavy water lies over light: going down, water is nearer to 4 °C.
    const offFour = (c: number) => Math.abs(c - 3.98)
    for (const day of layersC) for (const t of day) for (let i = 0; i + 1 < t.length; i++) expect(offFour(t[i + 1]!)).toBeLessThanOrEqual(offFour(t[i]!) + 0.2)
  }, 30_000)
  it('has the area its parts have', () => {
    columns.forEach((column, i) => {
      expect(column.areaM2[0]! / lake.parts[i]!.areaM2).toBeCloseTo(1, 1)
      expect(column.areaM2).toEqual([...column.areaM2].sort((a, b) => b - a))
    })
  })
})
