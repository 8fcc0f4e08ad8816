import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { GRAVITY, waterDensity } from '../water/waterDensity'
import { anchorRope } from './anchorRope'
import { CALCULATORS } from './calculators'
import { divingDepth, divingFit } from './divingFit'
import { driftSpeed } from './driftSpeed'
import { dropShot } from './dropShot'
import { LEAD_KG_M3 } from './jig'
import { lineShape } from './lineShape'
import { sinkerForAngle } from './sinkerForAngle'
import { suspendBalance } from './suspendBalance'

const OZ = 0.028349523125

describe('driftSpeed', () => {
  it('goes with the wind, and slower for every sock', () => {
    const at = (windMS: number, ...mouths: number[]) => driftSpeed({ windMS, socks: mouths.map(diameterM => ({ diameterM })) }).speedMS
    expect(at(8)).toBeCloseTo(2 * at(4), 12)
    expect(at(4, 0.8)).toBeLessThan(at(4))
    expect(at(4, 0.8, 0.8)).toBeLessThan(at(4, 0.8))
    expect(at(0)).toBe(0)
    expect(() => driftSpeed({ windMS: -1 })).toThrow(/windMS/)
    expect(() => driftSpeed({ windMS: 1, socks: [{ diameterM: -1 }] })).toThrow(/socks\[0\].diameterM/)
  })
})

describe('sinkerForAngle', () => {
  it('asks for one and a half to one and three quarter ounces at 65 ft and 0.25 m/s', () => {
    const { massKg } = sinkerForAngle({ depthM: 20, relSpeedMS: 0.25, lineDiameterM: 0.00025 })
    expect(massKg / OZ).toBeGreaterThan(1.4)
    expect(massKg / OZ).toBeLessThan(1.8)
  })
  it('is the smallest: a little less leans over the limit', () => {
    fc.assert(fc.property(fc.double({ min: 2, max: 25, noNaN: true }), fc.double({ min: 0.03, max: 0.5, noNaN: true }), fc.double({ min: 5, max: 40, noNaN: true }), (depthM, relSpeedMS, maxMeanAngleDeg) => {
      const { massKg } = sinkerForAngle({ depthM, relSpeedMS, lineDiameterM: 0.0002, maxMeanAngleDeg })
      const lean = (kg: number) => {
        const s = lineShape({ submergedN: kg * GRAVITY * (1 - waterDensity() / LEAD_KG_M3), dragAreaM2: 8e-4, lineDiameterM: 0.0002, depthM, flow: relSpeedMS })
        return s.planes ? 90 : s.meanAngleDeg
      }
      expect(lean(massKg * 1.001)).toBeLessThanOrEqual(maxMeanAngleDeg)
      expect(lean(massKg * 0.99)).toBeGreaterThan(maxMeanAngleDeg)
    }), { numRuns: 25 })
  })
  it('needs more for more depth, speed and line, and nothing in still water', () => {
    const at = (depthM: number, relSpeedMS: number, lineDiameterM = 0.0002) => sinkerForAngle({ depthM, relSpeedMS, lineDiameterM }).massKg
    expect(at(15, 0.2)).toBeGreaterThan(at(10, 0.2))
    expect(at(10, 0.3)).toBeGreaterThan(at(10, 0.2))
    expect(at(10, 0.2, 0.0004)).toBeGreaterThan(at(10, 0.2))
    expect(at(10, 0)).toBe(0)
    expect(() => at(10, 40)).toThrow(/relSpeedMS is 40/)
    expect(() => sinkerForAngle({ depthM: 5, relSpeedMS: 0.1, lineDiameterM: 0.0002, sinkerDensityKgM3: 900 })).toThrow(/sinkerDensityKgM3/)
  })
})

describe('suspendBalance', () => {
  const bait = { bodyMassKg: 0.0072, volumeM3: 8e-6, hardwareKg: [0.0008], dragAreaM2: 8e-4 }
  it('trims to nothing with what it says to add', () => {
    const off = suspendBalance({ ...bait, waterTempC: 20 })
    const trimmed = suspendBalance({ ...bait, hardwareKg: [...bait.hardwareKg, Math.max(0, off.trimKg)], bodyMassKg: bait.bodyMassKg + Math.min(0, off.trimKg), waterTempC: 20 })
    expect(Math.abs(trimmed.netKg)).toBeLessThan(1e-12)
    expect(trimmed.verdict).toBe('hangs')
  })
  it('rises in cold water where it hung in warm', () => {
    const hung = suspendBalance({ ...bait, waterTempC: 20 })
    const extra = hung.trimKg
    const at = (waterTempC: number) => suspendBalance({ ...bait, bodyMassKg: bait.bodyMassKg + extra, waterTempC })
    expect(at(20).verdict).toBe('hangs')
    expect(at(5)).toMatchObject({ verdict: 'rises' })
    expect(at(5).trimKg).toBeGreaterThan(0)
    expect(at(30).verdict).toBe('sinks')
    expect(() => suspendBalance({ ...bait, hardwareKg: [-1] })).toThrow(/hardwareKg\[0\]/)
  })
})

describe('a diving bait', () => {
  it('runs as deep as its two readings, and as the same law gives elsewhere', () => {
    const law = { limitM: 3.2, lengthM: 14 }
    const fit = divingFit([{ castM: 20, depthM: divingDepth(law, 20) }, { castM: 10, depthM: divingDepth(law, 10) }])
    expect(fit.limitM).toBeCloseTo(3.2, 6)
    expect(fit.lengthM).toBeCloseTo(14, 5)
    expect(divingDepth(fit, 30)).toBeCloseTo(divingDepth(law, 30), 6)
  })
  it('refuses readings that no bait gives', () => {
    expect(() => divingFit([{ castM: 10, depthM: 2 }, { castM: 10, depthM: 2.2 }])).toThrow(/must differ/)
    expect(() => divingFit([{ castM: 10, depthM: 2 }, { castM: 20, depthM: 1.9 }])).toThrow(/must run deeper/)
    expect(() => divingFit([{ castM: 10, depthM: 1 }, { castM: 20, depthM: 2.4 }])).toThrow(/levels off/)
  })
})

describe('rope and drop-shot', () => {
  it('leave the bow at the angle, and ask far more to lie safely', () => {
    const { ropeM, awayM, safeM } = anchorRope({ depthM: 5, bowM: 0.6, ropeDeg: 30 })
    expect(ropeM).toBeCloseTo(11.2, 9)
    expect(Math.atan2(5.6, awayM) * 180 / Math.PI).toBeCloseTo(30, 9)
    expect(safeM).toBeGreaterThan(3 * ropeM)
    expect(() => anchorRope({ depthM: 5, ropeDeg: 5 })).toThrow(/ropeDeg/)
  })
  it('hang the hook at the fish, within what the rig is good for', () => {
    const at = (fishAboveBottomM: number, relSpeedMS = 0) => dropShot({ depthM: 7, fishAboveBottomM, relSpeedMS, lineDiameterM: 0.0002 })
    expect(at(0.05).dropM).toBeCloseTo(0.127, 6)
    expect(at(0.3).dropM).toBe(0.3)
    expect(at(1)).toMatchObject({ tooHigh: true, dropM: 18 * 0.0254 })
    expect(at(0.3).massKg).toBeCloseTo(OZ / 4, 9)
    expect(at(0.3, 0.4).massKg).toBeGreaterThan(OZ / 4)
  })
})

describe('every calculator of the bench', () => {
  const start = (c: (typeof CALCULATORS)[number]) => Object.fromEntries(c.fields.map(field => [field.key, field.value]))
  it.each(CALCULATORS.map(c => [c.id, c] as const))('%s answers in a sentence, a table and a drawing that stays in its frame', (_, calculator) => {
    for (const units of ['us', 'metric'] as const) {
      const { said, head, rows, view } = calculator.work(start(calculator), units)
      expect(said).toMatch(/\.$/)
      expect(said).not.toMatch(/NaN|Infinity|undefined/)
      expect(rows.length).toBeGreaterThan(3)
      for (const row of rows) {
        expect(row).toHaveLength(head.length)
        expect(row.join(' ')).not.toMatch(/NaN|Infinity|undefined/)
      }
      for (const p of view?.lines.flatMap(l => l.points) ?? []) {
        expect(p.x).toBeGreaterThanOrEqual(0)
        expect(p.x).toBeLessThanOrEqual(view!.widthM * 1.0001)
        expect(p.z).toBeLessThanOrEqual(view!.depthM)
      }
    }
  })
  it.each(CALCULATORS.map(c => [c.id, c] as const))('%s holds at both ends of every figure, or says what cannot be', (_, calculator) => {
    for (const field of calculator.fields) {
      for (const value of [field.min, field.max]) {
        try {
          expect(calculator.work({ ...start(calculator), [field.key]: value }, 'us').said).not.toMatch(/NaN|undefined/)
        }
        catch (error) {
          expect(error).toBeInstanceOf(RangeError)
        }
      }
    }
  })
  it('agrees with the functions behind it', () => {
    const of = (id: string, change: Record<string, number> = {}) => {
      const c = CALCULATORS.find(x => x.id === id)!
      return c.work({ ...start(c), ...change }, 'metric').said
    }
    expect(of('drift', { windMS: 0.25 / driftSpeed({ windMS: 1 }).speedMS, socks: 0 })).toMatch(/0\.25 m\/s: (4\d|5[01])\.?\d* g/)
    expect(of('anchor')).toMatch(/^6\.5 m of rope/)
    expect(of('count')).not.toBe(of('count', { waterC: 30, bodyM: 0.06 }))
  })
})
