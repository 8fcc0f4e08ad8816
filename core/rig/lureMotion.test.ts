import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fallTime } from './fallTime'
import { holdDepthSpeed } from './holdDepthSpeed'
import { jig } from './jig'
import { lureAt, slackFall, tightLine } from './lureMotion'
import { sinkSpeed } from './sinkSpeed'
import { swingCast } from './swingCast'

const lure = (headKg = 0.0018, more: object = {}) => ({ ...jig({ headMassKg: headKg, body: { lengthM: 0.045, depthM: 0.008 } }), lineDiameterM: 0.00018, waterTempC: 12, ...more })

describe('a lure on slack line', () => {
  it('falls straight in still water, in the time of its fall', () => {
    const points = slackFall({ ...lure(), fromM: 9, depthM: 3, windMS: 0 })
    expect(points.every(p => p.x === 9)).toBe(true)
    expect(points.at(-1)!.t).toBeCloseTo(fallTime({ ...lure(), depthM: 3 }).seconds, 9)
  })
  it('is carried with the wind, the lighter one farther, and no farther than the surface goes in that time', () => {
    const far = (headKg: number, windMS: number) => slackFall({ ...lure(headKg), fromM: 9, depthM: 3, windMS }).at(-1)!
    expect(far(0.0018, 6).x).toBeGreaterThan(9)
    expect(far(0.0018, -6).x).toBeCloseTo(18 - far(0.0018, 6).x, 9)
    expect(far(0.0009, 6).x).toBeGreaterThan(far(0.0018, 6).x)
    expect(far(0.0009, 6).x - 9).toBeLessThan(0.03 * 6 * far(0.0009, 6).t)
  })
  it('throws for a lure that floats', () => {
    expect(() => slackFall({ massKg: 0.001, densityKgM3: 800, dragAreaM2: 4e-4, lineDiameterM: 0.0002, fromM: 9, depthM: 2, windMS: 0 })).toThrow(/float/)
    expect(() => slackFall({ ...lure(), fromM: 9, depthM: 0, windMS: 0 })).toThrow(/depthM/)
  })
})

describe('a lure on a tight line', () => {
  it('that is held keeps its distance from the rod tip, and passes where the cast past the mark says', () => {
    const { castM } = swingCast({ distanceM: 8, depthM: 2, rodTipM: 1.5 })
    const points = tightLine({ ...lure(), from: { x: castM, z: 0 }, rodTipM: 1.5, reelMS: 0, bottomM: 6 })
    for (const p of points.slice(0, -1)) expect(Math.hypot(p.x, p.z + 1.5)).toBeCloseTo(Math.hypot(castM, 1.5), 6)
    const t = points.find(p => p.z >= 2)!.t
    expect(lureAt(points, t).x).toBeCloseTo(8, 1)
    expect(points.at(-1)!.z).toBeCloseTo(6, 9)
  })
  it('begins to swing as fast as it would sink when it is far out on the thinnest line, and slower than that on any', () => {
    const share = (lineDiameterM: number, z: number) => (tightLine({ ...lure(0.0018, { lineDiameterM }), from: { x: 60, z }, rodTipM: 0.5, reelMS: 0, bottomM: 6 })[1]!.z - z) / 0.05 / sinkSpeed(lure()).speedMS
    expect(share(1e-9, 0)).toBeCloseTo(1, 2)
    expect(share(0.0002, 1)).toBeLessThan(0.9)
    expect(share(0.0003, 1)).toBeLessThan(share(0.0002, 1))
  })
  it('runs level at the speed that holds a depth, rises when wound faster and sinks when slower', () => {
    fc.assert(fc.property(fc.double({ min: 0.0006, max: 0.004, noNaN: true }), fc.double({ min: 4, max: 14, noNaN: true }), fc.double({ min: 0.5, max: 4, noNaN: true }), (headKg, x, z) => {
      const bare = lure(headKg, { lineDiameterM: 1e-9 })
      const { speedMS } = holdDepthSpeed({ submergedN: sinkSpeed(bare).submergedN, dragAreaM2: bare.dragAreaM2, distanceM: x, depthM: z, rodTipM: 1.2, waterTempC: 12 })
      // The lure's own speed is that of the line over the slant of it.
      const wound = (share: number) => tightLine({ ...bare, from: { x, z }, rodTipM: 1.2, reelMS: (share * speedMS * x) / Math.hypot(x, z + 1.2), bottomM: 9, untilXM: 0 })[1]!.z - z
      expect(Math.abs(wound(1))).toBeLessThan(1e-6)
      expect(wound(1.3)).toBeLessThan(0)
      expect(wound(0.7)).toBeGreaterThan(0)
    }), { numRuns: 80 })
  })
  it('comes to the boat when it is wound, and says what cannot be', () => {
    const points = tightLine({ ...lure(), from: { x: 8, z: 2 }, rodTipM: 1.2, reelMS: 0.5, bottomM: 5 })
    const last = points.at(-1)!
    expect(last.z === 0 || last.x <= 0.2).toBe(true)
    expect(() => tightLine({ ...lure(), from: { x: 8, z: 7 }, rodTipM: 1.2, reelMS: 0.5, bottomM: 5 })).toThrow(/from.z/)
    expect(() => tightLine({ massKg: 0.001, densityKgM3: 800, dragAreaM2: 4e-4, lineDiameterM: 0.0002, from: { x: 8, z: 0 }, rodTipM: 1, reelMS: 0, bottomM: 5 })).toThrow(/floats/)
  })
})

it('a lure is where its points say, before, between and after them', () => {
  const points = [{ t: 0, x: 5, z: 0 }, { t: 2, x: 5, z: 1 }, { t: 4, x: 4, z: 2 }]
  expect(lureAt(points, 0)).toEqual(points[0])
  expect(lureAt(points, 3)).toEqual({ t: 3, x: 4.5, z: 1.5 })
  expect(lureAt(points, 9)).toEqual(points[2])
})
