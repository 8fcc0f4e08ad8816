import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { calibrateDragArea, fallTime, floatLoad, floatSetting, holdDepthSpeed, lineShape, lineWindLoad, sinkSpeed, swingCast } from '../index'
import { floatFlow, floatLine } from './floatSetting'
import { jig, LEAD_HEAD_KG_M3 } from './jig'

const OZ = 0.028349523125
const mass = fc.double({ min: 0.0003, max: 0.02, noNaN: true })
const area = fc.double({ min: 5e-5, max: 2e-3, noNaN: true })
const depth = fc.double({ min: 0.2, max: 20, noNaN: true })
const diameter = fc.double({ min: 0, max: 0.0005, noNaN: true })

describe('sinking', () => {
  it('a heavier lure of the same size falls faster, and thicker line slows it', () => {
    fc.assert(fc.property(mass, area, depth, diameter, (massKg, dragAreaM2, depthM, lineDiameterM) => {
      const drop = { massKg, densityKgM3: LEAD_HEAD_KG_M3, dragAreaM2, depthM, lineDiameterM }
      const { seconds } = fallTime(drop)
      expect(fallTime({ ...drop, massKg: massKg * 1.3 }).seconds).toBeLessThan(seconds)
      expect(fallTime({ ...drop, lineDiameterM: lineDiameterM + 1e-4 }).seconds).toBeGreaterThan(seconds)
    }))
  })

  it('without line the time is depth over terminal speed', () => {
    const lure = { massKg: 0.0018, densityKgM3: 9000, dragAreaM2: 4e-4 }
    expect(fallTime({ ...lure, lineDiameterM: 0, depthM: 3 }).seconds).toBeCloseTo(3 / sinkSpeed(lure).speedMS, 9)
    expect(fallTime({ ...lure, lineDiameterM: 2e-4, depthM: 0 }).seconds).toBe(0)
  })

  it('a floating lure has no speed and never gets a fall time', () => {
    fc.assert(fc.property(mass, area, depth, fc.double({ min: 100, max: 990, noNaN: true }), (massKg, dragAreaM2, depthM, densityKgM3) => {
      expect(sinkSpeed({ massKg, densityKgM3, dragAreaM2 })).toMatchObject({ floats: true, speedMS: 0 })
      expect(() => fallTime({ massKg, densityKgM3, dragAreaM2, depthM, lineDiameterM: 1e-4 })).toThrow(/densityKgM3.*floats/)
    }))
  })

  it('a counted drop gives back the drag area it was made with', () => {
    fc.assert(fc.property(mass, area, depth, diameter, (massKg, dragAreaM2, depthM, lineDiameterM) => {
      const drop = { massKg, densityKgM3: 8000, depthM, lineDiameterM }
      const { seconds } = fallTime({ ...drop, dragAreaM2 })
      const learned = calibrateDragArea({ ...drop, seconds }).dragAreaM2
      expect(fallTime({ ...drop, dragAreaM2: learned }).seconds / seconds).toBeCloseTo(1, 8)
    }))
  })

  it('refuses a count that is shorter than the line alone takes', () => {
    expect(() => calibrateDragArea({ massKg: 0.001, densityKgM3: 8000, depthM: 15, lineDiameterM: 5e-4, seconds: 0.01 })).toThrow(/seconds is 0.01/)
  })

  it('a big body undoes a heavier head', () => {
    const speed = (oz: number, lengthM: number, depthM: number) => sinkSpeed(jig({ headMassKg: oz * OZ, body: { lengthM, depthM } })).speedMS
    expect(speed(1 / 16, 0.05, 0.009)).toBeCloseTo(0.27, 2)
    expect(speed(1 / 16, 0.064, 0.012) / speed(1 / 32, 0.044, 0.008)).toBeCloseTo(1, 1)
  })
})

describe('lineShape', () => {
  const base = { submergedN: 0.05, dragAreaM2: 4e-4, lineDiameterM: 2e-4, depthM: 6, flow: 0.2 }

  it('hangs straight down without flow', () => {
    const shape = lineShape({ ...base, flow: 0 })
    expect(shape).toMatchObject({ offsetM: 0, meanAngleDeg: 0, topAngleDeg: 0, planes: false })
    expect(shape.lengthM).toBeCloseTo(6, 9)
    expect(shape.topTensionN).toBeCloseTo(0.05, 12)
  })

  it('is straight, at atan(F/W), without line drag', () => {
    const shape = lineShape({ ...base, lineDiameterM: 0 })
    const force = 0.5 * 999.1 * 4e-4 * 0.2 ** 2
    const angle = (Math.atan2(force, 0.05) * 180) / Math.PI
    expect(shape.meanAngleDeg).toBeCloseTo(angle, 3)
    expect(shape.topAngleDeg).toBeCloseTo(angle, 3)
  })

  it('mirrors with the flow', () => {
    const there = lineShape(base)
    const back = lineShape({ ...base, flow: -0.2 })
    expect(back.offsetM).toBeCloseTo(-there.offsetM, 12)
    expect(back.meanAngleDeg).toBeCloseTo(-there.meanAngleDeg, 12)
    expect(back.lengthM).toBeCloseTo(there.lengthM, 12)
  })

  it('finds the same shape from the depth and from the length', () => {
    for (const flow of [0.2, (z: number) => 0.3 * Math.exp(-z / 2)]) {
      const byDepth = lineShape({ ...base, flow })
      const byLength = lineShape({ ...base, depthM: undefined, lengthM: byDepth.lengthM, flow })
      expect(byLength.depthM).toBeCloseTo(6, 5)
      expect(byLength.offsetM).toBeCloseTo(byDepth.offsetM, 5)
    }
  })

  it('runs from the top to the lure, no step longer than 5 cm', () => {
    const { points, offsetM, lengthM } = lineShape(base)
    expect(points[0]!.x).toBeCloseTo(0, 12)
    expect(points[0]!.z).toBeCloseTo(0, 9)
    expect(points.at(-1)!.x).toBeCloseTo(offsetM, 12)
    expect(points.at(-1)!.z).toBeCloseTo(6, 12)
    const steps = points.slice(1).map((p, i) => Math.hypot(p.x - points[i]!.x, p.z - points[i]!.z))
    expect(Math.max(...steps)).toBeLessThanOrEqual(0.0501)
    expect(steps.reduce((a, b) => a + b, 0)).toBeCloseTo(lengthM, 4)
  })

  it('does not depend on the step by more than half a percent', () => {
    fc.assert(fc.property(
      fc.double({ min: 0.01, max: 0.5, noNaN: true }), fc.double({ min: 1e-4, max: 1e-3, noNaN: true }), fc.double({ min: 5e-5, max: 4e-4, noNaN: true }),
      fc.double({ min: 1, max: 15, noNaN: true }), fc.double({ min: 0.02, max: 0.25, noNaN: true }),
      (submergedN, dragAreaM2, lineDiameterM, depthM, flow) => {
        const got = lineShape({ submergedN, dragAreaM2, lineDiameterM, depthM, flow })
        fc.pre(!got.planes && Math.abs(got.meanAngleDeg) < 70)
        const fine = fineEuler({ submergedN, dragAreaM2, lineDiameterM, depthM, flow })
        expect(got.lengthM / fine.lengthM).toBeCloseTo(1, 2)
        expect(Math.abs(got.offsetM - fine.offsetM)).toBeLessThan(0.005 * Math.max(0.05, fine.offsetM))
      }), { numRuns: 40 })
  })

  it('says that it planes instead of returning NaN', () => {
    const weightless = lineShape({ ...base, submergedN: 0 })
    expect(weightless).toMatchObject({ planes: true, depthM: 0 })
    const flat = lineShape({ ...base, submergedN: 1e-5, flow: 2, depthM: 20 })
    expect(flat.planes).toBe(true)
    expect(flat.depthM).toBeLessThan(20)
    for (const value of [flat.lengthM, flat.depthM, flat.offsetM, flat.topAngleDeg, flat.meanAngleDeg, flat.topTensionN]) expect(Number.isFinite(value)).toBe(true)
  })

  it('wants exactly one of depth and length, and a finite flow', () => {
    expect(() => lineShape({ ...base, lengthM: 7 })).toThrow(/depthM.*lengthM/)
    expect(() => lineShape({ ...base, depthM: undefined })).toThrow(/depthM.*lengthM/)
    expect(() => lineShape({ ...base, flow: () => Number.NaN })).toThrow(/flow/)
    expect(() => lineShape({ ...base, submergedN: -0.1 })).toThrow(/submergedN/)
  })
})

/** Plain Euler with millimetre steps: slow and independent of the solver. */
function fineEuler({ submergedN, dragAreaM2, lineDiameterM, depthM, flow }: { submergedN: number, dragAreaM2: number, lineDiameterM: number, depthM: number, flow: number }) {
  const rho = 999.1026
  let [tx, tz, x, z, s] = [0.5 * rho * dragAreaM2 * flow * flow, submergedN, 0, 0, 0]
  const ds = 0.001
  while (z < depthM) {
    const phi = Math.atan2(tx, tz)
    const normal = 0.5 * rho * 1.2 * lineDiameterM * (flow * Math.cos(phi)) ** 2
    const along = 0.5 * rho * 0.015 * Math.PI * lineDiameterM * (flow * Math.sin(phi)) ** 2
    tx += (normal * Math.cos(phi) + along * Math.sin(phi)) * ds
    tz += (-normal * Math.sin(phi) + along * Math.cos(phi)) * ds
    x += Math.sin(phi) * ds
    z += Math.cos(phi) * ds
    s += ds
  }
  return { lengthM: s, offsetM: x }
}

describe('float', () => {
  const rig = { baitDepthM: 2.4, held: false, submergedN: 0.009, dragAreaM2: 3e-4, lineDiameterM: 1.8e-4 }

  it('needs no compensation in a calm', () => {
    expect(floatSetting({ ...rig, windMS: 0 })).toEqual({ stopLengthM: expect.closeTo(2.4, 9) as number, tiltDeg: 0, riseM: expect.closeTo(0, 9) as number, planes: false })
  })

  it('lifts the bait more in more wind, and less with more weight', () => {
    const rises = [1, 2, 4, 8].map(windMS => floatSetting({ ...rig, windMS }).riseM)
    expect(rises).toEqual([...rises].sort((a, b) => a - b))
    expect(floatSetting({ ...rig, windMS: 8, submergedN: 0.03 }).riseM).toBeLessThan(rises[3]!)
  })

  it('a free float leaves the deep water behind; a held one stands in the drift at the top', () => {
    const free = floatFlow({ windMS: 10, held: false })
    const held = floatFlow({ windMS: 10, held: true })
    expect(free(0)).toBeCloseTo(0, 12)
    expect(free(30)).toBeCloseTo(0.3, 6)
    expect(held(0)).toBeCloseTo(-0.3, 12)
    expect(Math.abs(held(30))).toBeLessThan(1e-6)
  })

  it('draws the line it sets: the set line reaches the bait, the bare one hangs higher', () => {
    const { set, bare } = floatLine({ ...rig, windMS: 8 })
    const { stopLengthM, riseM } = floatSetting({ ...rig, windMS: 8 })
    expect(set.depthM).toBeCloseTo(2.4, 9)
    expect(set.lengthM).toBeCloseTo(stopLengthM, 9)
    expect(2.4 - bare.depthM).toBeCloseTo(riseM, 9)
    expect(riseM).toBeGreaterThan(0.1)
  })

  it('sinks under too much lead, and a float that cannot carry itself is refused', () => {
    const load = { floatVolumeM3: 4e-6, floatMassKg: 0.0013, loads: [{ massKg: 0.004, densityKgM3: 11340 }] }
    expect(floatLoad(load).sinks).toBe(true)
    expect(floatLoad({ ...load, loads: [] })).toMatchObject({ sinks: false, reserveShare: 1 })
    expect(() => floatLoad({ ...load, floatMassKg: 0.005 })).toThrow(/floatMassKg/)
  })
})

describe('retrieve and wind', () => {
  it('heavier must be wound faster to stay level: four times the weight, twice the speed', () => {
    const hold = { submergedN: 0.01, dragAreaM2: 3e-4, distanceM: 8, depthM: 2, rodTipM: 1.5 }
    expect(holdDepthSpeed({ ...hold, submergedN: 0.04 }).speedMS / holdDepthSpeed(hold).speedMS).toBeCloseTo(2, 9)
    expect(() => holdDepthSpeed({ ...hold, depthM: 0, rodTipM: 0 })).toThrow(/depthM \+ rodTipM/)
  })

  it('a swing passes the mark from beyond it', () => {
    expect(swingCast({ distanceM: 3, depthM: 4, rodTipM: 0 })).toEqual({ castM: 5, pastM: 2 })
  })

  it('the wind\'s pull grows with its square', () => {
    const pull = (windMS: number) => lineWindLoad({ windMS, lineDiameterM: 2e-4 }).forceN
    expect(pull(8) / pull(4)).toBeCloseTo(4, 12)
    expect(lineWindLoad({ windMS: 5, lineDiameterM: 2e-4, lineInAirM: 8 })).toEqual(lineWindLoad({ windMS: 5, lineDiameterM: 2e-4 }))
  })
})
