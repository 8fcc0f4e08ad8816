import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { nmeaSentence } from '../formats/nmea'
import { boatNow, hear, SILENT, type Instruments } from './instruments'

const two = (n: number) => String(n).padStart(2, '0')
/** A fix of 24 April 2026 at some second after 11:00, minutes of arc from 40° N 88° W. */
const rmc = (second: number, north: number, east: number, more = '5.0,90.0') =>
  nmeaSentence(`GPRMC,11${two(Math.floor(second / 60))}${two(second % 60)}.00,A,40${north.toFixed(5).padStart(8, '0')},N,088${east.toFixed(5).padStart(8, '0')},W,${more},240426,,`)
const after = (lines: [number, string][], from: Instruments = SILENT) => lines.reduce((state, [ms, line]) => hear(state, line, ms), from)

describe('the boat\'s instruments', () => {
  it('say position, way, depth, temperature and heading', () => {
    const state = after([[1000, rmc(1, 12, 36.9)], [1100, nmeaSentence('SDDPT,4.20,0.30')], [1200, nmeaSentence('YXMTW,15.6,C')], [1300, nmeaSentence('HCHDG,100.0,1.5,E,3.5,W')]])
    const now = boatNow(state, 2000)
    expect(now.position!.latDeg).toBeCloseTo(40.2, 9)
    expect(now.position!.lonDeg).toBeCloseTo(-88.615, 9)
    expect(now.speedMS).toBeCloseTo(2.572, 3)
    expect(now.depthM).toBeCloseTo(4.5, 9)
    expect(now.waterC).toBe(15.6)
    expect(now.headingDeg).toBeCloseTo(98, 9)
  })

  it('reads feet where a sounder says no metres', () => {
    expect(boatNow(hear(SILENT, nmeaSentence('SDDBT,14.0,f,,M,,F'), 0), 0).depthM).toBeCloseTo(4.2672, 6)
  })

  it('takes the boat\'s own way out of the apparent wind', () => {
    // Running east at 10 kn into a 10 kn easterly: 20 kn over the bow.
    const head = after([[0, rmc(1, 12, 36, '10.0,90.0')], [10, nmeaSentence('HCHDT,90.0,T')], [20, nmeaSentence('WIMWV,0.0,R,20.0,N,A')]])
    expect(boatNow(head, 50).windMS).toBeCloseTo(5.144, 3)
    expect(boatNow(head, 50).windFromDeg).toBeCloseTo(90, 6)
    // Running before it at its own speed nothing is felt: the wind comes from astern, from where it came is still known.
    const before = after([[0, rmc(1, 12, 36, '10.0,270.0')], [10, nmeaSentence('HCHDT,270.0,T')], [20, nmeaSentence('WIMWV,0.0,R,0.0,N,A')]], head)
    expect(boatNow(before, 50).windMS).toBeCloseTo(5.144, 3)
    expect(boatNow(before, 50).windFromDeg).toBeCloseTo(90, 6)
    expect(boatNow(after([[0, nmeaSentence('WIMWV,30.0,T,5.0,M,A')]]), 1).windFromDeg, 'without a heading it comes from nowhere').toBeNull()
  })

  it('lets what has grown old go, each in its own time', () => {
    const state = after([[0, rmc(1, 12, 36)], [0, nmeaSentence('SDDPT,4.2,')], [0, nmeaSentence('YXMTW,15.6,C')]])
    expect(boatNow(state, 7000)).toMatchObject({ depthM: null, waterC: 15.6 })
    expect(boatNow(state, 7000).position).not.toBeNull()
    expect(boatNow(state, 11_000)).toMatchObject({ position: null, speedMS: null, waterC: 15.6 })
    expect(boatNow(state, 61_000).waterC).toBeNull()
  })

  it('is not moved or kept fresh by a receiver that repeats itself', () => {
    const frozen = rmc(1, 12, 36)
    const state = after([[0, frozen], ...Array.from({ length: 20 }, (_, i): [number, string] => [(i + 1) * 1000, frozen])])
    expect(boatNow(state, 20_000).position).toBeNull()
  })

  it('takes way and course from the second sentence of an instant, in whichever order they come', () => {
    const gga = (second: number) => nmeaSentence(`GPGGA,1100${two(second)}.00,4012.00000,N,08836.00000,W,1,9,0.9,180,M,,M,,`)
    const state = after([[1000, gga(1)], [1050, rmc(1, 12, 36)], [2000, gga(2)], [2050, rmc(2, 12, 36, '6.0,95.0')]])
    expect(boatNow(state, 2100)).toMatchObject({ courseDeg: 95 })
    expect(boatNow(state, 2100).speedMS).toBeCloseTo(3.087, 3)
    // A receiver that stands still says its old way too, which is not taken for new.
    expect(boatNow(after([[20_000, rmc(2, 12, 36, '6.0,95.0')]], state), 20_000).speedMS).toBeNull()
  })

  it('goes by the clock of a receiver that never says the day, past midnight too', () => {
    const gga = (clock: string, north = '4012.00000') => nmeaSentence(`GPGGA,${clock}.00,${north},N,08836.00000,W,1,9,0.9,180,M,,M,,`)
    const frozen = after([[0, gga('110001')], ...Array.from({ length: 20 }, (_, i): [number, string] => [(i + 1) * 1000, gga('110001')])])
    expect(boatNow(frozen, 20_000).position).toBeNull()
    const past = after([[0, gga('235959')], [1000, gga('000000', '4012.00200')], [2000, gga('000001', '4012.00400')]])
    expect(past.position!.value.latDeg).toBeCloseTo(40.2000667, 6)
    expect(past.left).toBe(0)
  })

  it('is not moved by an older fix', () => {
    const state = after([[0, rmc(30, 12, 36)], [1000, rmc(10, 12.01, 36)]])
    expect(state.position!.value.latDeg).toBeCloseTo(40.2, 9)
    expect(state.left).toBe(1)
  })

  it('is not thrown across the country by one wild fix, and believes a place that three in a row agree on', () => {
    const wild = (s: number) => rmc(s, 52, 36)
    const once = after([[1000, rmc(1, 12, 36)], [2000, wild(2)], [3000, rmc(3, 12.001, 36)]])
    expect(once.position!.value.latDeg).toBeCloseTo(40.20001667, 6)
    expect(once.doubted).toBeNull()
    const thrice = after([[1000, rmc(1, 12, 36)], [2000, wild(2)], [3000, wild(3)], [4000, wild(4)]])
    expect(thrice.position!.value.latDeg).toBeCloseTo(40.8667, 3)
  })

  it('leaves out what is out of range, without a satellite or in an unknown unit', () => {
    const bad = ['SDDPT,0.0,', 'SDDPT,900,', 'SDDBT,,f,,M,,F', 'YXMTW,80,C', 'YXMTW,59,F', 'GPRMC,110001,V,4012.0,N,08836.0,W,0,0,240426,,', 'GPGGA,110001,4012.0,N,08836.0,W,0,0,,,M,,M,,', 'WIMWV,400,R,5,N,A', 'WIMWV,40,R,5,N,V', 'GPRMC,110001,A,9912.0,N,08836.0,W,0,0,240426,,']
    const state = after(bad.map((body, i) => [i, nmeaSentence(body)]))
    expect(state.left).toBe(bad.length)
    expect(Object.values(boatNow(state, 0)).every(v => v === null)).toBe(true)
  })

  it('never moves, never throws, whatever comes down the wire', () => {
    const start = after([[0, rmc(1, 12, 36)], [0, nmeaSentence('SDDPT,4.2,')]])
    const good = rmc(2, 12.001, 36)
    const garbage = fc.oneof(fc.string(), fc.string().map(s => `$${s}`), fc.tuple(fc.nat(good.length), fc.string({ maxLength: 2 })).map(([at, s]) => good.slice(0, at) + s + good.slice(at + 1)).filter(s => s !== good))
    fc.assert(fc.property(garbage, (line) => {
      const state = hear(start, line, 1000)
      // A letter changed and its checksum with it is a sentence like any other, and there is one chance in 256 of that.
      if (state.sentences === start.sentences) expect(state).toEqual({ ...start, left: start.left + 1 })
    }))
  })
})
