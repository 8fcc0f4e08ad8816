import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { floatLoad } from './floatLoad'
import { floatRig, type FloatAtHand, type FloatRigOptions } from './floatRig'
import { floatSetting } from './floatSetting'
import { jig, LEAD_HEAD_KG_M3, LEAD_KG_M3, SOFT_BODY_KG_M3, TUNGSTEN_HEAD_KG_M3 } from './jig'
import { sinkSpeed } from './sinkSpeed'

const OZ = 0.028349523125
const body = { lengthM: 0.0381, depthM: 0.007 }
const FLOATS: FloatAtHand[] = [{ id: 'thin', volumeM3: 1.5e-6, massKg: 0.00045 }, { id: 'small', volumeM3: 3.8e-6, massKg: 0.0013 }, { id: 'large', volumeM3: 10.6e-6, massKg: 0.0033 }]
const base: FloatRigOptions = { lure: jig({ headMassKg: OZ / 32, body }), lineDiameterM: 1.8e-4, baitDepthM: 2, windMS: 3, held: false, shotsKg: [0.0018, 0.0004, 0.0008], floats: FLOATS, waterTempC: 12 }

describe('jig', () => {
  it('is the sum of its parts in mass and volume', () => {
    const head = OZ / 16
    const lure = jig({ headMassKg: head, body })
    const volume = lure.massKg / lure.densityKgM3
    expect(lure.massKg - head).toBeCloseTo(SOFT_BODY_KG_M3 * (volume - head / LEAD_HEAD_KG_M3), 12)
    expect(lure.dragAreaM2).toBeCloseTo(body.lengthM * body.depthM, 12)
  })

  it('falls faster with a denser head of the same weight, and slower with a bigger body', () => {
    const fall = (change: Partial<Parameters<typeof jig>[0]>) => sinkSpeed(jig({ headMassKg: OZ / 16, body, ...change })).speedMS
    expect(fall({ headDensityKgM3: TUNGSTEN_HEAD_KG_M3 })).toBeGreaterThan(fall({}))
    expect(fall({ body: { lengthM: 0.064, depthM: 0.012 } })).toBeLessThan(fall({}))
    expect(fall({ dragAreaM2: 1e-4 })).toBeGreaterThan(fall({}))
  })

  it('undoes a heavier head with a bigger body, as the handbook says', () => {
    const heavy = sinkSpeed(jig({ headMassKg: OZ / 16, body: { lengthM: 0.064, depthM: 0.012 } })).speedMS
    const light = sinkSpeed(jig({ headMassKg: OZ / 32, body: { lengthM: 0.044, depthM: 0.008 } })).speedMS
    expect(heavy / light).toBeGreaterThan(0.9)
    expect(heavy / light).toBeLessThan(1.1)
  })

  it('names the part that is wrong', () => {
    expect(() => jig({ headMassKg: 0, body })).toThrow(/headMassKg is 0/)
    expect(() => jig({ headMassKg: 1, body: { ...body, depthM: -1 } })).toThrow(/body.depthM is -1/)
    expect(() => jig({ headMassKg: 1, body, dragAreaM2: Number.NaN })).toThrow(/dragAreaM2 is NaN/)
  })
})

describe('floatRig', () => {
  it('adds no shot in a calm, and the smallest that will do in wind', () => {
    expect(floatRig({ ...base, windMS: 0 }).shotKg).toBe(0)
    for (const windMS of [5, 7, 9]) {
      const rig = floatRig({ ...base, windMS })
      if (rig.setting.riseM > 0.1) continue
      const smaller = base.shotsKg.filter(kg => kg < rig.shotKg).sort((a, b) => b - a)[0] ?? 0
      const lighter = floatSetting({ ...base, ...base.lure, windMS, submergedN: rig.submergedN - (rig.shotKg - smaller) * 9.80665 * (1 - 999.5 / LEAD_KG_M3) })
      if (rig.shotKg > 0) expect(lighter.riseM).toBeGreaterThan(0.1)
    }
  })

  it('keeps to the heaviest shot at hand when none is enough, and says how far it still rides up', () => {
    const storm = floatRig({ ...base, windMS: 14 })
    expect(storm.shotKg).toBe(0.0018)
    expect(storm.setting.riseM).toBeGreaterThan(0.1)
    expect(storm.bare.riseM).toBeGreaterThan(storm.setting.riseM)
    expect(floatRig({ ...base, windMS: 14, shotsKg: [] }).shotKg).toBe(0)
  })

  it('rides up less when it is held on a tight line in deep water', () => {
    const deep = { ...base, baitDepthM: 4, windMS: 8, shotsKg: [] }
    expect(floatRig({ ...deep, held: true }).bare.riseM).toBeLessThan(floatRig(deep).bare.riseM)
  })

  it('takes the smallest float that keeps a tenth of its lift, never one that sinks', () => {
    fc.assert(fc.property(fc.double({ min: 0.0003, max: 0.006, noNaN: true }), (headMassKg) => {
      const lure = jig({ headMassKg, body })
      const rig = floatRig({ ...base, lure, windMS: 0 })
      const loads = [{ massKg: lure.massKg, densityKgM3: lure.densityKgM3 }]
      const share = (f: FloatAtHand) => floatLoad({ floatVolumeM3: f.volumeM3, floatMassKg: f.massKg, loads, waterTempC: 12 }).reserveShare
      const enough = FLOATS.filter(f => share(f) >= 0.1).sort((a, b) => share(a) - share(b))
      if (enough[0]) expect(rig.float).toMatchObject({ id: enough[0].id, sitsRight: share(enough[0]) <= 0.25 })
      else if (rig.float) {
        expect(rig.float.reserveShare).toBeGreaterThanOrEqual(0)
        expect(rig.float.sitsRight).toBe(false)
      }
      else expect(FLOATS.every(f => share(f) < 0)).toBe(true)
    }))
  })

  it('does not sort the caller\'s shot', () => {
    const shotsKg = [0.0018, 0.0004]
    floatRig({ ...base, shotsKg, windMS: 9 })
    expect(shotsKg).toEqual([0.0018, 0.0004])
  })
})
