import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dockParts, shadeHours, shadeSide, shadeUnder, type SunStand } from './dockShade'
import { shadeOutline, sunSlopeInWater } from './shadeOutline'

const square = [{ x: 0, y: 0 }, { x: 4, y: 0 }, { x: 4, y: 4 }, { x: 0, y: 4 }]
const sun = (azimuthDeg: number, altitudeDeg: number, strength = 1): SunStand => ({ atMs: 0, azimuthDeg, altitudeDeg, strength })
const dock = dockParts({ bottomDepthM: 4, deckAreaM2: 54, deckHeightM: 0.9, roofed: true, facingDeg: 180, brushAtCorners: false })

describe('shadeOutline', () => {
  it('lies away from the sun, on the water as far as height over tangent', () => {
    const { outline, shiftM } = shadeOutline({ outline: square, heightM: 2, sunAzimuthDeg: 180, sunAltitudeDeg: 45, depthM: 0 })
    expect(shiftM).toBeCloseTo(2, 9)
    expect(outline[0]!.y).toBeCloseTo(2, 9)
    expect(outline[0]!.x).toBeCloseTo(0, 9)
  })
  it('bends in the water: never flatter than the ray of the critical angle', () => {
    fc.assert(fc.property(fc.double({ min: 0.5, max: 90, noNaN: true }), (altitudeDeg) => {
      const slope = sunSlopeInWater(altitudeDeg)
      expect(slope).toBeGreaterThanOrEqual(0)
      expect(slope).toBeLessThan(1.135)
      expect(slope).toBeLessThanOrEqual(1 / Math.tan((altitudeDeg * Math.PI) / 180) + 1e-9)
    }))
  })
  it('moves further with height, depth and a lower sun, and keeps its shape', () => {
    fc.assert(fc.property(fc.double({ min: 0, max: 6, noNaN: true }), fc.double({ min: 0, max: 8, noNaN: true }), fc.double({ min: 6, max: 89, noNaN: true }), fc.double({ min: 0, max: 360, noNaN: true }), (heightM, depthM, sunAltitudeDeg, sunAzimuthDeg) => {
      const at = (change: object) => shadeOutline({ outline: square, heightM, depthM, sunAltitudeDeg, sunAzimuthDeg, ...change })
      const { outline, shiftM } = at({})
      expect(at({ heightM: heightM + 1 }).shiftM).toBeGreaterThan(shiftM)
      expect(at({ depthM: depthM + 1 }).shiftM).toBeGreaterThan(shiftM)
      expect(at({ sunAltitudeDeg: sunAltitudeDeg + 1 }).shiftM).toBeLessThanOrEqual(shiftM)
      expect(outline[1]!.x - outline[0]!.x).toBeCloseTo(4, 6)
      expect(Math.hypot(outline[0]!.x, outline[0]!.y)).toBeCloseTo(shiftM, 6)
    }))
  })
  it('refuses a sun that is not up', () => {
    expect(() => shadeOutline({ outline: square, heightM: 1, sunAzimuthDeg: 90, sunAltitudeDeg: 0, depthM: 1 })).toThrow(/sunAltitudeDeg is 0/)
    expect(() => shadeOutline({ outline: [{ x: Number.NaN, y: 0 }], heightM: 1, sunAzimuthDeg: 90, sunAltitudeDeg: 20, depthM: 1 })).toThrow(/outline\[0\].x/)
  })
})

describe('a dock\'s shade', () => {
  it('comes from a deck of its area that runs back from the outer edge, and a roof over it', () => {
    const [deck, roof] = dock
    expect(deck!.outline.map(p => p.y).sort((a, b) => a - b)).toEqual([expect.closeTo(0, 6), expect.closeTo(0, 6), expect.closeTo(9, 6), expect.closeTo(9, 6)])
    expect(Math.max(...deck!.outline.map(p => p.x)) - Math.min(...deck!.outline.map(p => p.x))).toBeCloseTo(6, 6)
    expect(roof!.heightM).toBeGreaterThan(deck!.heightM + 2)
    expect(dockParts({ bottomDepthM: 4, deckAreaM2: 54, deckHeightM: 0.9, roofed: false, facingDeg: 180, brushAtCorners: false })).toHaveLength(1)
  })
  it('lies north-west in the morning and north-east in the afternoon, further under a roof', () => {
    const morning = shadeSide({ parts: dock, depthM: 2, sun: sun(125, 40) })!
    const afternoon = shadeSide({ parts: dock, depthM: 2, sun: sun(235, 40) })!
    expect([morning.side, afternoon.side]).toEqual(['NW', 'NE'])
    expect(morning.corner).toMatch(/W|N/)
    expect(afternoon.corner).toMatch(/E|N/)
    expect(morning.corner).not.toBe(afternoon.corner)
    expect(morning.beyondM).toBeGreaterThan(shadeSide({ parts: dock.slice(0, 1), depthM: 2, sun: sun(125, 40) })!.beyondM)
  })
  it('is nothing at night, at a grazing sun, or under thick cloud', () => {
    for (const s of [sun(90, -5), sun(90, 3), sun(180, 50, 0)]) {
      expect(shadeUnder({ parts: dock, depthM: 2, sun: s })).toEqual([])
      expect(shadeSide({ parts: dock, depthM: 2, sun: s })).toBeNull()
    }
  })
  it('lasts longest under the deck, and weighs less under cloud', () => {
    const suns = Array.from({ length: 10 }, (_, i) => sun(100 + i * 16, 25 + 30 * Math.sin((Math.PI * i) / 9)))
    const plan = shadeHours({ parts: dock, depthM: 1.5, suns, stepH: 1 })
    const at = (x: number, y: number) => plan.hours[Math.floor((y - plan.y0) / plan.cellM) * plan.cols + Math.floor((x - plan.x0) / plan.cellM)]!
    // Sun in the south: the water on the bank side of the middle has it all day, that before the outer edge never.
    expect(at(0, 7)).toBe(Math.max(...plan.hours))
    expect(at(0, 7)).toBeGreaterThanOrEqual(8)
    expect(at(0, -3)).toBe(0)
    const cloudy = shadeHours({ parts: dock, depthM: 1.5, suns: suns.map(s => ({ ...s, strength: 0.2 })), stepH: 1 })
    expect(Math.max(...cloudy.hours)).toBeCloseTo(0.2 * Math.max(...plan.hours), 5)
    expect(() => shadeHours({ parts: dock, depthM: -1, suns, stepH: 1 })).toThrow(/depthM is -1/)
  })
  it('is mirrored south of the equator', () => {
    expect(shadeSide({ parts: dock, depthM: 2, sun: sun(0, 50) })!.side).toBe('S')
  })
})
