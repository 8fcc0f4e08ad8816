import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { driftSpeed } from '../rig/driftSpeed'
import { depthAt, type DepthGrid } from '../water/depthGrid'
import { stance, type Stance, type StanceOptions } from './stance'
import { stanceText } from './stanceText'
import { standOff } from './standOff'

/** Open water, 5 m deep, 400 m across, with the land where a test puts it. */
function water(dry: (x: number, y: number) => boolean = () => false): DepthGrid {
  const cols = 80
  return { x0: -200, y0: -200, cellM: 5, cols, rows: cols, depthM: Float32Array.from({ length: cols * cols }, (_, i) => (dry(-197.5 + (i % cols) * 5, -197.5 + Math.floor(i / cols) * 5) ? Number.NaN : 5)) }
}
const off = standOff({ kind: 'brush', phase: 'preSpawn', fishDepthM: 2.4, secchiM: 0.8 })
const at = (change: Partial<StanceOptions> = {}): StanceOptions => ({ grid: water(), target: { x: 0, y: 0 }, kind: 'brush', standOff: off, fishDepthM: 2.4, windMS: 4, windFromDeg: 225, ...change })
const made = (change: Partial<StanceOptions> = {}) => stance(at(change))!
const bearing = (s: Stance) => ((Math.atan2(s.hold.x, s.hold.y) * 180) / Math.PI + 360) % 360
const apart = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180)

describe('stance in the wind', () => {
  it('lies downwind with the bow into it, at the stand-off distance, and casts over the fish', () => {
    const s = made()
    expect(apart(bearing(s), 45)).toBeLessThan(1e-9)
    expect(s).toMatchObject({ bowDeg: 225, ruledBy: 'wind', because: 'downwind', control: 'good' })
    expect(Math.hypot(s.hold.x, s.hold.y)).toBeCloseTo((off.fromM + off.toM) / 2, 9)
    expect(apart(s.casts[0]!.towardDeg, 225)).toBeLessThan(1e-9)
    expect(s.casts[0]!.distanceM).toBeGreaterThan(s.distanceM)
  })
  it('turns with the wind', () => {
    for (const windFromDeg of [0, 90, 180, 300]) {
      const s = made({ windFromDeg })
      expect(apart(bearing(s), windFromDeg + 180)).toBeLessThan(1e-6)
      expect(s.bowDeg).toBe(windFromDeg)
    }
  })
  it('drops the anchor one depth up-wind for a rope at 45°, further for a flatter one', () => {
    const { anchor, hold } = made()
    const away = Math.hypot(anchor!.x - hold.x, anchor!.y - hold.y)
    expect(away).toBeCloseTo(5, 6)
    expect(anchor!.ropeM).toBeCloseTo(5 * Math.SQRT2, 6)
    expect(apart((Math.atan2(anchor!.x - hold.x, anchor!.y - hold.y) * 180) / Math.PI, 225)).toBeLessThan(1e-6)
    expect(made({ ropeDeg: 15 }).anchor!.ropeM).toBeGreaterThan(15)
  })
  it('drifts the way and as fast as the wind drives a boat, past the place at its distance', () => {
    const s = made({ windMS: 6 })
    expect(s.push.speedMS).toBeCloseTo(driftSpeed({ windMS: 6 }).speedMS, 12)
    expect(apart(s.push.towardDeg, 45)).toBeLessThan(1e-6)
    const [from, to] = s.drift!
    expect(apart((Math.atan2(to.x - from.x, to.y - from.y) * 180) / Math.PI, 45)).toBeLessThan(1e-6)
    // The place's distance from the line of the drift
    const length = Math.hypot(to.x - from.x, to.y - from.y)
    expect(Math.abs((to.x - from.x) * from.y - (to.y - from.y) * from.x) / length).toBeCloseTo(s.distanceM, 6)
  })
  it('has neither anchor nor drift in a calm, and looks at the place', () => {
    const s = made({ windMS: 0 })
    expect(s).toMatchObject({ anchor: null, drift: null, ruledBy: 'calm' })
    expect(apart(s.bowDeg, bearing(s) + 180)).toBeLessThan(1e-6)
  })
  it('says when a small motor is too little', () => {
    expect(made({ windMS: 2 }).control).toBe('good')
    expect(made({ windMS: 8 }).control).toBe('fair')
    const s = made({ windMS: 14 })
    expect(s.control).toBe('poor')
    expect(stanceText(s, 'us').caution).toMatch(/small motor/)
  })
})

describe('stance in a current', () => {
  const flow = { currentMS: 0.5, currentTowardDeg: 90, windMS: 1 }
  it('lies up-current with the bow up, or on the slack side when that is preferred', () => {
    expect(made(flow)).toMatchObject({ ruledBy: 'current', bowDeg: 270, because: 'upCurrent' })
    expect(apart(bearing(made(flow)), 270)).toBeLessThan(1e-6)
    const slack = made({ ...flow, side: 'slack' })
    expect(slack.because).toBe('slackSide')
    expect(apart(bearing(slack), 90)).toBeLessThan(1e-6)
    expect(stanceText(made(flow), 'metric').hold).toBe('Hold 9.9 m to the west of it, up-current, so that the bait is carried to them.')
  })
  it('answers to what is left when wind and current work against each other, and warns', () => {
    const s = made({ currentMS: 0.4, currentTowardDeg: 90, windMS: 6, windFromDeg: 95 })
    expect(s).toMatchObject({ ruledBy: 'both', control: 'poor' })
    expect(apart(s.bowDeg, s.push.towardDeg + 180)).toBeLessThan(1e-6)
    expect(stanceText(s, 'us').caution).toMatch(/against each other/)
    expect(made({ currentMS: 0.4, currentTowardDeg: 90, windMS: 1, windFromDeg: 95 }).ruledBy).toBe('current')
  })
})

describe('stance beside land', () => {
  it('stays off a dock\'s open side whatever the wind', () => {
    const grid = water((_, y) => y > 0)
    for (const windFromDeg of [0, 90, 180, 270]) {
      const s = made({ grid, kind: 'dock', facingDeg: 180, windFromDeg, target: { x: 0, y: -2 } })
      expect(s.hold.y).toBeLessThan(-2)
      expect(apart(s.fromTargetDeg, 180)).toBeLessThanOrEqual(61)
      expect(s.bowDeg).toBe(windFromDeg)
    }
  })
  it('goes round to where there is water, and says so', () => {
    const s = made({ grid: water((x, y) => x + y > -8), windFromDeg: 225, target: { x: -6, y: -6 } })
    expect(s.because).toBe('onlyWater')
  })
  it('is null where there is none', () => {
    expect(stance(at({ grid: water(() => true) }))).toBeNull()
  })
  it('always floats, at one of the stand-off distances', () => {
    fc.assert(fc.property(fc.double({ min: 0, max: 15, noNaN: true }), fc.integer({ min: 0, max: 359 }), fc.double({ min: 0, max: 1, noNaN: true }), fc.integer({ min: 0, max: 359 }), fc.integer({ min: 0, max: 359 }), (windMS, windFromDeg, currentMS, currentTowardDeg, shore) => {
      const [sx, sy] = [Math.sin((shore * Math.PI) / 180), Math.cos((shore * Math.PI) / 180)]
      const grid = water((x, y) => x * sx + y * sy > 5)
      const s = stance(at({ grid, windMS, windFromDeg, currentMS, currentTowardDeg }))
      expect(s).not.toBeNull()
      expect(depthAt({ grid, ...s!.hold })).toBeGreaterThan(0.6)
      expect(s!.distanceM).toBeGreaterThanOrEqual(off.fromM - 1e-9)
      expect(s!.distanceM).toBeLessThanOrEqual(off.toM + 1e-9)
    }), { numRuns: 120 })
  })
  it('refuses figures that cannot be', () => {
    expect(() => stance(at({ windMS: -1 }))).toThrow(/windMS is -1/)
    expect(() => stance(at({ currentMS: Number.NaN }))).toThrow(/currentMS/)
    expect(() => stance(at({ ropeDeg: 90 }))).toThrow(/ropeDeg is 90/)
  })
})
