import { describe, expect, it } from 'vitest'
import { pellowickGrid, PELLOWICK_ORIGIN } from '../../demo/pellowick'
import { simWeather } from '../../sim/weather'
import { partOf, seasonLake, seasonModel, type SeasonInput } from './seasonModel'
import { temperatureFieldInto } from './temperatureField'
import { hourIndex, HOUR_MS, weatherBetween } from './weather'

const grid = pellowickGrid(10)
const lake = seasonLake(grid)
const NOW = Date.parse('2026-04-24T11:40:00Z')
const DAY = 24 * HOUR_MS
const weather = simWeather({ ...PELLOWICK_ORIGIN, seed: 5 }, NOW - 450 * DAY - (NOW % HOUR_MS), 461 * 24)
const input = (change: Partial<SeasonInput> = {}): SeasonInput => ({ ...PELLOWICK_ORIGIN, zone: 'America/Chicago', nowMs: NOW, weather, issuedMs: NOW - 5 * HOUR_MS, readings: [], notes: [], ...change })
const COBBLER = { x: 687, y: 1387 }

describe('seasonModel', () => {
  const plain = seasonModel(lake, grid, input())!
  it('covers the calendar year of the water, and the ten days ahead in December too', () => {
    expect(plain.days[0]!.iso).toBe('2026-01-01')
    expect(plain.days.at(-1)!.iso).toBe('2026-12-31')
    expect(plain.days[plain.today]!.iso).toBe('2026-04-24')
    expect(plain.meanC[0]!.every(c => !Number.isNaN(c))).toBe(true)
    const late = seasonModel(lake, grid, input({ nowMs: Date.parse('2026-12-28T12:00:00Z'), weather: simWeather({ ...PELLOWICK_ORIGIN, seed: 5 }, Date.UTC(2025, 9, 1), 470 * 24) }))!
    expect(late.days.at(-1)!.iso >= '2027-01-07').toBe(true)
  })
  it('knows which hours were, which are forecast and which are only usual, and is less sure of each', () => {
    expect(plain.forecastFromMs).toBe(NOW - 5 * HOUR_MS)
    expect(plain.usualFromMs).toBe(weather.startMs + weather.hours * HOUR_MS)
    const sd = (day: number) => plain.sdC[0]![day]!
    expect(sd(plain.today + 9)).toBeGreaterThan(sd(plain.today))
    expect(sd(plain.today + 60)).toBeGreaterThan(sd(plain.today + 9))
  })
  it('hears a reading where it was taken, and brings the bay\'s day for 14 °C earlier when it is warmer', () => {
    const bay = partOf(lake.lake, grid, COBBLER)
    const read = (c: number) => seasonModel(lake, grid, input({ readings: [{ atMs: NOW - HOUR_MS, at: COBBLER, sensorDepthM: 0.5, waterC: c, secchiM: null }] }))!
    const now = plain.meanC[bay]![plain.today]!
    const [cold, warm] = [read(now - 2), read(now + 2)]
    expect(warm.innovations[0]).toMatchObject({ part: bay, waterC: now + 2 })
    const first = (m: typeof plain) => m.meanC[bay]!.findIndex((c, d) => d > m.today && c >= 14)
    expect(warm.meanC[bay]![plain.today + 1]!).toBeGreaterThan(cold.meanC[bay]![plain.today + 1]! + 1)
    expect(first(warm)).toBeLessThanOrEqual(first(cold))
  })
  it('leaves out readings on land, of the future, or without a temperature', () => {
    const one = (change: object) => ({ atMs: NOW - HOUR_MS, at: null, sensorDepthM: 0.5, waterC: 12, secchiM: null, ...change })
    const heard = seasonModel(lake, grid, input({ readings: [one({ at: { x: -9000, y: 0 } }), one({ atMs: NOW + HOUR_MS }), one({ waterC: null, secchiM: 1 }), one({})] }))!
    expect(heard.innovations).toHaveLength(1)
    expect(heard.innovations[0]!.part).toBe(0)
  })
  it('takes clarity where it was read, else what is noted of the part, else the lake\'s', () => {
    const bay = partOf(lake.lake, grid, COBBLER)
    const note = { ...COBBLER, name: 'Cobbler\'s Arm', secchiM: 0.4, inflowM3S: 0, river: true }
    const reading = { atMs: NOW - DAY, at: null, sensorDepthM: 0.5, waterC: null, secchiM: 1.3 }
    const noted = seasonModel(lake, grid, input({ notes: [note], readings: [reading] }))!
    expect(noted.secchiM[bay]).toBe(0.4)
    expect(noted.secchiM[0]).toBe(1.3)
    expect(noted.names[bay]).toBe('Cobbler\'s Arm')
    expect(noted.rivers).toEqual([bay])
    const read = seasonModel(lake, grid, input({ notes: [note], readings: [reading, { ...reading, at: COBBLER, secchiM: 0.9 }] }))!
    expect(read.secchiM[bay]).toBe(0.9)
    expect(read.secchiM[0]).toBe(1.3)
  })
  it('says nothing without a day of weather, and stops where it ends when a year is not known', () => {
    expect(seasonModel(lake, grid, input({ weather: weatherBetween(weather, NOW - 5 * HOUR_MS, NOW) }))).toBeNull()
    const short = seasonModel(lake, grid, input({ weather: weatherBetween(weather, NOW - 40 * DAY, NOW + 9 * DAY) }))!
    expect(short.meanC[0]![200]).toBeNaN()
    expect(short.meanC[0]![short.today]).not.toBeNaN()
  })
  it('knows the part of a spot on the bank by the water beside it', () => {
    expect(partOf(lake.lake, grid, COBBLER)).toBeGreaterThan(0)
    expect(partOf(lake.lake, grid, { x: 2072, y: 822 })).toBe(0)
    expect(partOf(lake.lake, grid, { x: -500, y: -500 })).toBe(-1)
  })
  it('spreads to every wet cell, between the columns around it', () => {
    const { lookup, columns } = lake
    const k = hourIndex(plain.heat, NOW + 9 * HOUR_MS)
    const out = new Float32Array(lookup.cell.length)
    temperatureFieldInto(out, 0, { columnC: plain.heat.columnC, columns: columns.count }, lookup, k)
    const all = plain.heat.columnC.subarray(k * columns.count, (k + 1) * columns.count)
    expect(Math.min(...out)).toBeGreaterThanOrEqual(Math.min(...all) - 1e-4)
    expect(Math.max(...out)).toBeLessThanOrEqual(Math.max(...all) + 1e-4)
    // Late on a spring afternoon the shallows are warmer than the deep.
    const mean = (of: (depth: number) => boolean) => {
      const some = [...out].filter((_, i) => of(grid.depthM[lookup.cell[i]!]!))
      return some.reduce((a, b) => a + b, 0) / some.length
    }
    expect(mean(d => d < 1)).toBeGreaterThan(mean(d => d > 8) + 0.3)
  })
})
