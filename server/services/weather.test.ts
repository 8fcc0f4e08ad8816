import { once } from 'node:events'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { beforeEach, describe, expect, it } from 'vitest'
import { emptyWeather, endMs, HOUR_MS, weatherOf as weatherOfHours } from '../../core/season/weather'
import { check } from '../../shared/validate'
import { seasonNotesSchema } from '../../shared/weather'
import { serviceAnswer } from '../../sim/weatherService'
import { demoDb } from '../support/testDb'
import { Fault } from './fault'
import { seasonNotesOf, setSeasonNotes } from './seasonNotes'
import { addWeatherFile, dropWeatherFile, refreshWeather, weatherOf, weatherState } from './weather'
import { httpWeather, weatherAnswer, type WeatherProvider } from './weatherProvider'
import { requireWater } from './waters'

const MORNING = Date.parse('2026-04-24T11:40:00.000Z')
let demo: ReturnType<typeof demoDb>
beforeEach(() => {
  demo = demoDb()
})
const water = () => requireWater(demo.db, demo.ownerId, demo.waterId)

/** A provider that notes what it is asked. */
function standIn(): WeatherProvider & { asked: { fromMs: number, toMs: number }[] } {
  const asked: { fromMs: number, toMs: number }[] = []
  return {
    asked,
    hours: (question) => {
      asked.push(question)
      return Promise.resolve(weatherAnswer(JSON.stringify(serviceAnswer(question))))
    },
  }
}
const down: WeatherProvider = { hours: () => Promise.reject(new Error('it cannot be reached')) }

describe('weather of a water', () => {
  it('comes with the demo, a year and more of it', () => {
    const weather = weatherOf(demo.db, demo.waterId)
    expect(weather.hours).toBeGreaterThan(480 * 24)
    expect(weatherState(demo.db, demo.waterId, null)).toMatchObject({ service: { issuedAt: '2026-04-24T06:00:00.000Z', problem: 'no weather service is set up' }, file: null })
  })
  it('is asked for from a few days before what is known, and replaces what was only forecast', async () => {
    const provider = standIn()
    const later = MORNING + 30 * HOUR_MS
    const before = weatherOf(demo.db, demo.waterId)
    const state = await refreshWeather(demo.db, demo.ownerId, water(), provider, later)
    expect(provider.asked).toHaveLength(1)
    expect(provider.asked[0]!.fromMs).toBeGreaterThan(MORNING - 5 * 24 * HOUR_MS)
    expect(state.service).toMatchObject({ issuedAt: '2026-04-25T12:00:00.000Z', problem: null })
    const after = weatherOf(demo.db, demo.waterId)
    expect(after.startMs).toBeGreaterThanOrEqual(before.startMs)
    expect(endMs(after)).toBeGreaterThan(endMs(before))
    // The first winter is still there.
    expect(after.airC[100]).not.toBeNaN()
  })
  it('stays when the service fails, with the age and the reason, and heals when it is back', async () => {
    const before = weatherState(demo.db, demo.waterId, down)
    const failed = await refreshWeather(demo.db, demo.ownerId, water(), down, MORNING + 3 * HOUR_MS)
    expect(failed).toEqual({ ...before, service: { ...before.service, problem: 'it cannot be reached' } })
    expect(weatherOf(demo.db, demo.waterId).hours).toBeGreaterThan(480 * 24)
    expect((await refreshWeather(demo.db, demo.ownerId, water(), standIn(), MORNING + 9 * HOUR_MS)).service!.problem).toBeNull()
  })
  it('is asked once when two ask at once', async () => {
    const provider = standIn()
    await Promise.all([1, 2, 3].map(() => refreshWeather(demo.db, demo.ownerId, water(), provider, MORNING)))
    expect(provider.asked).toHaveLength(1)
  })
  it('takes the angler\'s own hours over the service\'s, adds to them, and drops them again', () => {
    const own = weatherOfHours([0, 1, 2].map(k => ({ atMs: MORNING - (MORNING % HOUR_MS) + k * HOUR_MS, airC: 33, dewPointC: 20, windMS: 1, windFromDeg: 10, cloud: 0, pressureHpa: Number.NaN, rainMm: Number.NaN })))
    const tag = weatherState(demo.db, demo.waterId, null).tag
    addWeatherFile(demo.db, demo.ownerId, demo.waterId, own, MORNING)
    const both = weatherOf(demo.db, demo.waterId)
    const k = (own.startMs - both.startMs) / HOUR_MS
    expect([...both.airC.subarray(k - 1, k + 4)].map(c => Math.round(c) === 33)).toEqual([false, true, true, true, false])
    expect(both.pressureHpa[k]).not.toBeNaN()
    expect(weatherState(demo.db, demo.waterId, null)).toMatchObject({ file: { hours: 3 } })
    expect(weatherState(demo.db, demo.waterId, null).tag).not.toBe(tag)
    addWeatherFile(demo.db, demo.ownerId, demo.waterId, weatherOfHours([{ atMs: own.startMs + 5 * HOUR_MS, airC: 1, dewPointC: 0, windMS: 1, windFromDeg: 1, cloud: 0, pressureHpa: 1000, rainMm: 0 }]), MORNING)
    expect(weatherState(demo.db, demo.waterId, null).file!.hours).toBe(6)
    dropWeatherFile(demo.db, demo.waterId)
    expect(weatherState(demo.db, demo.waterId, null)).toMatchObject({ file: null, tag })
  })
  it('refuses hours that are not of this world, or too many, and keeps nothing of them', () => {
    const fault = (weather: ReturnType<typeof emptyWeather>) => {
      try {
        addWeatherFile(demo.db, demo.ownerId, demo.waterId, weather, MORNING)
      }
      catch (error) {
        if (error instanceof Fault) return error
        throw error
      }
      throw new Error('no fault')
    }
    const hot = emptyWeather(MORNING, 2)
    hot.airC[1] = 90
    expect(fault(hot)).toMatchObject({ status: 422, field: 'airC[1]' })
    expect(fault(emptyWeather(0, 0))).toMatchObject({ status: 422, field: 'hours' })
    expect(fault(emptyWeather(0, 30_000))).toMatchObject({ status: 422, field: 'hours' })
    expect(weatherState(demo.db, demo.waterId, null).file).toBeNull()
  })
})

describe('a weather answer', () => {
  const good = serviceAnswer({ latDeg: 40, lonDeg: -88, fromMs: MORNING, toMs: MORNING + 6 * HOUR_MS, nowMs: MORNING })
  it.each([
    ['not JSON', 'nonsense', /not JSON/], ['a field missing', JSON.stringify({ ...good, cloud: undefined }), /cloud/], ['a figure off the scale', JSON.stringify({ ...good, air_c: [...good.air_c.slice(1), 99] }), /air_c\[6\]/],
    ['columns of unlike length', JSON.stringify({ ...good, rain_mm: [0] }), /rain_mm/], ['text for a figure', JSON.stringify({ ...good, air_c: ['warm'] }), /air_c/], ['an unknown field', JSON.stringify({ ...good, mood: 1 }), /mood/],
  ])('with %s is refused by name', (_, text, message) => {
    expect(() => weatherAnswer(text)).toThrow(message)
  })
  it('may leave figures out', () => {
    const { weather } = weatherAnswer(JSON.stringify({ ...good, air_c: [null, ...good.air_c.slice(1)] }))
    expect(weather.airC[0]).toBeNaN()
    expect(weather.airC[1]).not.toBeNaN()
  })
  it('that never comes is said as such', async () => {
    await expect(httpWeather('http://127.0.0.1:9/').hours({ latDeg: 0, lonDeg: 0, fromMs: 0, toMs: 1, nowMs: 0 })).rejects.toThrow('it cannot be reached')
  })
})

describe('season notes', () => {
  it('come with the demo, and are kept as they are set', () => {
    expect(seasonNotesOf(demo.db, demo.waterId).parts.map(p => p.name)).toContain('Cobbler\'s Arm')
    const notes = { parts: [], priors: [{ fish: 'crappie' as const, phase: 'spawn' as const, fromC: 14, toC: 19 }], releases: [] }
    setSeasonNotes(demo.db, demo.ownerId, demo.waterId, notes)
    expect(seasonNotesOf(demo.db, demo.waterId)).toEqual(notes)
  })
  it.each([
    [{ parts: [], priors: [{ fish: 'trout', phase: 'spawn', fromC: 1, toC: 2 }] }, 'priors[0].fish'], [{ parts: [], priors: [{ fish: 'crappie', phase: 'spawn', fromC: 20, toC: 10 }] }, 'priors[0].toC'],
    [{ parts: [{ lonDeg: 0, latDeg: 95, name: 'x', secchiM: null, inflowM3S: 0, river: false }], priors: [] }, 'parts[0].latDeg'], [{ parts: [{ lonDeg: 0, latDeg: 9, name: ' ', secchiM: null, inflowM3S: 0, river: false }], priors: [] }, 'parts[0].name'], [{ priors: [] }, 'parts'],
  ])('are refused by name: %j', (notes, field) => {
    expect(check(seasonNotesSchema, notes)).toMatchObject({ ok: false, error: { field } })
  })
})

describe('a weather service over HTTP', () => {
  async function serving(body: string, status = 200): Promise<{ url: string, close: () => void }> {
    const server = createServer((_, response) => {
      response.statusCode = status
      response.end(body)
    }).listen(0, '127.0.0.1')
    await once(server, 'listening')
    return { url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, close: () => server.close() }
  }
  const question = { latDeg: 40, lonDeg: -88, fromMs: MORNING, toMs: MORNING + HOUR_MS, nowMs: MORNING }
  it.each([['an error', 'gone', 500, /answered 500/], ['a page', '<html>', 200, /not JSON/], ['a flood', `"${'x'.repeat(9_000_000)}"`, 200, /too large/]])('that answers %s is refused in a sentence', async (_, body, status, message) => {
    const { url, close } = await serving(body, status)
    await expect(httpWeather(url).hours(question)).rejects.toThrow(message)
    close()
  })
  it('is asked with place, span and now', async () => {
    const { url, close } = await serving(JSON.stringify(serviceAnswer(question)))
    expect((await httpWeather(url).hours(question)).weather.hours).toBe(2)
    close()
  })
})
