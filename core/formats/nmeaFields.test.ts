import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dateOf, fieldsOf, figure, fixOf } from './nmeaFields'

const summed = (body: string) => `$${body}*${[...body].reduce((sum, c) => sum ^ c.charCodeAt(0), 0).toString(16).toUpperCase().padStart(2, '0')}`

describe('the fields of a sentence', () => {
  it('are given when the checksum holds, in either case of its letters', () => {
    expect(fieldsOf('$SDDBT,14.1,f,4.3,M,2.3,F*34')).toEqual(['SDDBT', '14.1', 'f', '4.3', 'M', '2.3', 'F'])
    expect(fieldsOf('$SDDPT,4.8,0.5*5e')).toEqual(fieldsOf('$SDDPT,4.8,0.5*5E'))
  })
  it('are refused for a wrong or missing checksum', () => {
    expect(fieldsOf('$SDDBT,14.1,f,4.3,M,2.3,F*3A')).toMatch(/wrong checksum: 3A instead of 34/)
    expect(fieldsOf('$SDDBT,14.1,f,4.3,M,2.3,F')).toMatch(/no checksum/)
  })
  it('are never taken with a single character changed', () => {
    const sentence = summed('GPRMC,064500,A,4012.500,N,09312.250,W,3.1,045.0,240426,,')
    fc.assert(fc.property(fc.integer({ min: 1, max: sentence.lastIndexOf('*') - 1 }), fc.constantFrom(...'0123456789ABCDEF,.'), (at, letter) => {
      fc.pre(sentence[at] !== letter)
      expect(typeof fieldsOf(sentence.slice(0, at) + letter + sentence.slice(at + 1))).toBe('string')
    }))
  })
})

describe('figures, positions and dates', () => {
  it('are plain numbers or none', () => {
    expect(['4.3', '-0.5', '+2', '.7'].map(figure)).toEqual([4.3, -0.5, 2, 0.7])
    for (const text of [undefined, '', ' ', '4.3M', '1e3', '0x10', '4,3', '--1', 'NaN']) expect(figure(text), String(text)).toBeNaN()
  })
  it('are degrees and minutes with their hemisphere', () => {
    const fix = fixOf('4030.000', 'N', '09315.000', 'W', '064530.50', Date.UTC(2026, 3, 24))
    expect(fix).toEqual({ latDeg: 40.5, lonDeg: -93.25, atMs: Date.UTC(2026, 3, 24, 6, 45, 30, 500) })
    expect(fixOf('3345.500', 'S', '15112.000', 'E', undefined, null)).toMatchObject({ latDeg: expect.closeTo(-33.7583, 4) as number, lonDeg: 151.2, atMs: null })
  })
  it('without a day, or with no time of day, have no instant', () => {
    for (const [time, day] of [['064530', null], ['', 0], ['6:45', 0], ['994530', 0]] as const) expect(fixOf('4030.0', 'N', '09315.0', 'W', time, day)).toMatchObject({ atMs: null })
  })
  it('that cannot be are told, not bent', () => {
    for (const [lat, ns, lon, ew] of [['', 'N', '09315.0', 'W'], ['4060.0', 'N', '09315.0', 'W'], ['4030.0', '', '09315.0', 'W'], ['4030.0', 'E', '09315.0', 'W'], ['9100.0', 'N', '09315.0', 'W'], ['4030.0', 'N', '18100.0', 'E'], [undefined, undefined, undefined, undefined]] as const) {
      expect(fixOf(lat, ns, lon, ew, undefined, null)).toMatch(/position is missing/)
    }
  })
  it('are a day of this century, or none', () => {
    expect(dateOf('240426')).toBe(Date.UTC(2026, 3, 24))
    for (const text of [undefined, '', '2404', '24-04-26']) expect(dateOf(text)).toBeNull()
  })
})
