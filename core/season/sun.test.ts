import { describe, expect, it } from 'vitest'
import { lightActivity, shadowStrength, sunAt, sunTimes } from './sun'
import { temperatureTrend } from './temperatureTrend'

const PELLOWICK = { latDeg: 40.2, lonDeg: -88.6 }
const minutes = (ms: number, iso: string) => Math.abs(ms - Date.parse(iso)) / 60_000

describe('sun', () => {
  it('rises and sets when the almanac says, to two minutes', () => {
    const { riseMs, setMs } = sunTimes({ noonMs: Date.parse('2026-04-24T17:00:00Z'), ...PELLOWICK })
    expect(minutes(riseMs!, '2026-04-24T11:03:30Z')).toBeLessThan(2)
    expect(minutes(setMs!, '2026-04-25T00:41:30Z')).toBeLessThan(2)
  })

  it('stands south at noon in the north, and north in the south', () => {
    const north = sunAt({ atMs: Date.parse('2026-04-24T17:52:00Z'), ...PELLOWICK })
    expect(Math.abs(north.azimuthDeg - 180)).toBeLessThan(3)
    expect(north.altitudeDeg).toBeGreaterThan(60)
    const south = sunAt({ atMs: Date.parse('2026-06-21T02:00:00Z'), latDeg: -38, lonDeg: 150 })
    expect(Math.min(south.azimuthDeg, 360 - south.azimuthDeg)).toBeLessThan(6)
  })

  it('has no rise or set where the sun stays up', () => {
    expect(sunTimes({ noonMs: Date.parse('2026-06-21T11:00:00Z'), latDeg: 70, lonDeg: 20 })).toEqual({ riseMs: null, setMs: null })
  })

  it('refuses a position off the globe', () => {
    expect(() => sunAt({ atMs: 0, latDeg: 95, lonDeg: 0 })).toThrow(/latDeg is 95/)
    expect(() => sunTimes({ noonMs: 0, latDeg: 0, lonDeg: 200 })).toThrow(/lonDeg is 200/)
  })
})

describe('light', () => {
  it('throws no shadow at night, and less the more the sky is covered', () => {
    expect(shadowStrength({ altitudeDeg: -1, sky: 'clear' })).toBe(0)
    const at40 = (['clear', 'broken', 'overcast', 'rain'] as const).map(sky => shadowStrength({ altitudeDeg: 40, sky }))
    expect(at40).toEqual([...at40].sort((a, b) => b - a))
    expect(at40[0]).toBeLessThanOrEqual(1)
  })

  it('ranks dusk over high noon over midnight', () => {
    const [dusk, noon, night] = [3, 65, -30].map(altitudeDeg => lightActivity({ altitudeDeg, sky: 'clear' }))
    expect(dusk).toBeGreaterThan(noon!)
    expect(noon).toBeGreaterThan(night!)
  })
})

describe('temperatureTrend', () => {
  const DAY = 86_400_000
  const now = Date.parse('2026-04-24T12:00:00Z')
  const reading = (daysAgo: number, waterC: number) => ({ atMs: now - daysAgo * DAY, waterC })

  it('is the slope of the last week', () => {
    const rising = temperatureTrend({ readings: [0, 2, 4, 6].map(d => reading(d, 12 - 0.3 * d)), nowMs: now })!
    expect(rising.perWeekC).toBeCloseTo(2.1, 9)
    expect(rising.days).toBeCloseTo(6, 9)
  })

  it('leaves out older and later readings', () => {
    const trend = temperatureTrend({ readings: [reading(30, -1), reading(-2, 40), reading(3, 10), reading(0, 10)], nowMs: now })
    expect(trend!.perWeekC).toBeCloseTo(0, 9)
  })

  it('says nothing from one reading or one morning', () => {
    expect(temperatureTrend({ readings: [], nowMs: now })).toBeNull()
    expect(temperatureTrend({ readings: [reading(0, 12)], nowMs: now })).toBeNull()
    expect(temperatureTrend({ readings: [reading(0, 12), reading(0.5, 11)], nowMs: now })).toBeNull()
  })
})
