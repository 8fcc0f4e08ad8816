import { describe, expect, it } from 'vitest'
import {
  compassPoint, depthUnit, formatArea, depthUnitM, formatDepth, formatDepthBand, formatDistance, formatFishWeight, formatLength, formatLine, formatMinutes,
  formatPercent, formatRoundDepth, formatSeconds, formatSetting, formatSmall, formatSpeed, formatTemperature, formatTemperatureChange, formatWeight, formatWind,
} from './format'

const FT = 0.3048
const IN = 0.0254
const OZ = 0.028349523125

describe('depths and lengths', () => {
  it('writes feet and inches, and carries a rounded twelfth inch into the foot', () => {
    expect(formatDepth(7 * FT + 2 * IN, 'us')).toBe('7 ft 2')
    expect(formatDepth(8 * FT, 'us')).toBe('8 ft')
    expect(formatDepth(8 * FT - 0.004, 'us')).toBe('8 ft')
    expect(formatDepth(5 * IN, 'us')).toBe('5 in')
    expect(formatDepth(0, 'us')).toBe('0 in')
  })

  it('writes metres to the decimetre in the shallows, whole below ten', () => {
    expect(formatDepth(2.24, 'metric')).toBe('2.2 m')
    expect(formatDepth(13.6, 'metric')).toBe('14 m')
    expect(formatSetting(2.1, 'metric')).toBe('2.10 m')
    expect(formatSetting(7 * FT, 'us')).toBe('7 ft')
  })

  it('rounds bands and staff ends to feet or half metres', () => {
    expect(formatDepthBand(6.2 * FT, 9.8 * FT, 'us')).toBe('6–10 ft')
    expect(formatDepthBand(1.9, 3.1, 'metric')).toBe('2–3 m')
    expect(formatRoundDepth(2.3, 'metric')).toBe('2.5 m')
    expect([depthUnit('us'), depthUnit('metric'), depthUnitM('us'), depthUnitM('metric')]).toEqual(['ft', 'm', FT, 1])
  })

  it('writes body and fish lengths in quarter inches', () => {
    expect(formatLength(1.5 * IN, 'us')).toBe('1½ in')
    expect(formatLength(0.25 * IN, 'us')).toBe('¼ in')
    expect(formatLength(10.98 * IN, 'us')).toBe('11 in')
    expect(formatLength(0.286, 'metric')).toBe('28.6 cm')
  })

  it('writes small rises in inches until they are feet', () => {
    expect(formatSmall(5 * IN, 'us')).toBe('5 in')
    expect(formatSmall(0.6 * IN, 'us')).toBe('0.6 in')
    expect(formatSmall(2.5 * FT, 'us')).toBe('2 ft 6')
    expect(formatSmall(0.123, 'metric')).toBe('12 cm')
  })

  it('writes areas in acres or hectares', () => {
    expect([4046.86, 10_117, 69_000].map(m2 => formatArea(m2, 'us'))).toEqual(['1 acre', '2.5 acres', '17 acres'])
    expect(formatArea(69_000, 'metric')).toBe('6.9 ha')
  })

  it('groups long distances and changes to miles or kilometres', () => {
    expect(formatDistance(28 * FT, 'us')).toBe('28 ft')
    expect(formatDistance(1500 * FT, 'us')).toBe('1,500 ft')
    expect(formatDistance(3218.7, 'us')).toBe('2 mi')
    expect(formatDistance(8.53, 'metric')).toBe('8.5 m')
    expect(formatDistance(1240, 'metric')).toBe('1.2 km')
  })
})

describe('weights', () => {
  it('keeps fractions of an ounce as fractions', () => {
    for (const [oz, text] of [[1 / 80, '1/80 oz'], [1 / 32, '1/32 oz'], [3 / 16, '3/16 oz'], [1, '1 oz']] as const) expect(formatWeight(oz * OZ, 'us')).toBe(text)
    expect(formatWeight(0.0284 / 7, 'us')).toBe('0.14 oz')
    expect(formatWeight(OZ / 32, 'metric')).toBe('0.89 g')
    expect(formatWeight(0.015, 'metric')).toBe('15 g')
  })

  it('never writes a fish as sixteen ounces', () => {
    expect(formatFishWeight(15.7 * OZ, 'us')).toBe('1 lb 0')
    expect(formatFishWeight(12 * OZ, 'us')).toBe('12 oz')
    expect(formatFishWeight(20 * OZ, 'us')).toBe('1 lb 4')
    expect(formatFishWeight(0.54, 'metric')).toBe('540 g')
    expect(formatFishWeight(1.234, 'metric')).toBe('1.23 kg')
  })

  it('names line by test in the US and by diameter elsewhere', () => {
    const line = { testKg: 1.814, diameterM: 1.8e-4 }
    expect(formatLine(line, 'us')).toBe('4 lb')
    expect(formatLine(line, 'metric')).toBe('0.18 mm')
  })
})

describe('weather, speed and time', () => {
  it('converts temperatures, and differences without the offset', () => {
    expect(formatTemperature(12.2, 'us')).toBe('54 °F')
    expect(formatTemperature(12.24, 'metric')).toBe('12.2 °C')
    expect(formatTemperatureChange(5 / 3, 'us')).toBe('+3 °F')
    expect(formatTemperatureChange(-1, 'metric')).toBe('−1 °C')
  })

  it('converts wind and lure speed', () => {
    expect(formatWind(4, 'us')).toBe('9 mph')
    expect(formatWind(4, 'metric')).toBe('4 m/s')
    expect(formatSpeed(FT, 'us')).toBe('1 ft a second')
    expect(formatSpeed(0.3, 'metric')).toBe('0.30 m/s')
  })

  it('counts halves below ten seconds and whole ones above', () => {
    expect([4.26, 9.74, 9.76, 13.4].map(formatSeconds)).toEqual(['4.5 s', '9.5 s', '10 s', '13 s'])
  })

  it('writes shares and minutes', () => {
    expect(formatPercent(0.176)).toBe('18 %')
    expect([45, 60, 130.2].map(formatMinutes)).toEqual(['45 min', '1 h', '2 h 10'])
  })

  it('boxes the compass, also for bearings beyond a turn', () => {
    expect([0, 44, 225, 350, -45, 405].map(compassPoint)).toEqual(['N', 'NE', 'SW', 'N', 'NW', 'NE'])
  })
})
