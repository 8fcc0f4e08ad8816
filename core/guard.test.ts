import { describe, expect, it } from 'vitest'
import { NOT_NEGATIVE, POSITIVE, requireNumber, requireOneOf, WATER_TEMP_C } from './guard'

describe('requireNumber', () => {
  it('lets the ends of the range through and gives the value back', () => {
    expect(requireNumber('depthM', 0, NOT_NEGATIVE)).toBe(0)
    expect(requireNumber('waterTempC', 45, WATER_TEMP_C)).toBe(45)
    expect(requireNumber('flow', -3)).toBe(-3)
  })

  it('names the argument, the value and the range', () => {
    expect(() => requireNumber('depthM', -1, NOT_NEGATIVE)).toThrow(new RangeError('depthM is -1; it must be a number 0 or more'))
    expect(() => requireNumber('massKg', 0, POSITIVE)).toThrow(new RangeError('massKg is 0; it must be a number greater than 0'))
    expect(() => requireNumber('waterTempC', 60, WATER_TEMP_C)).toThrow(new RangeError('waterTempC is 60; it must be a number from -2 to 45'))
    expect(() => requireNumber('share', 2, { max: 1 })).toThrow(new RangeError('share is 2; it must be a number 1 or less'))
  })

  it.each([Number.NaN, Infinity, -Infinity, '3', null, undefined])('refuses %s as no finite number', (value) => {
    expect(() => requireNumber('windMS', value)).toThrow(RangeError)
    expect(() => requireNumber('windMS', value)).toThrow(`windMS is ${String(value)}`)
  })
})

describe('requireOneOf', () => {
  it('passes a known word and lists the known ones for another', () => {
    expect(requireOneOf('sky', 'rain', ['clear', 'rain'])).toBe('rain')
    expect(() => requireOneOf('sky', 'hail', ['clear', 'rain'])).toThrow('sky is hail; it must be one of clear, rain')
  })
})
