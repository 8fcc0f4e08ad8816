import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chooseJigWeight, DEFAULT_MAX_FALL_S, TOUCH_SHARE, type JigWeightOptions, type WayOut } from './chooseJigWeight'
import { fallTime } from './fallTime'
import { holdDepthSpeed } from './holdDepthSpeed'
import { jig } from './jig'
import { lineWindLoad } from './lineWindLoad'
import { MOODS, chaseSpeed } from './mood'
import { sinkSpeed } from './sinkSpeed'

const OZ = 0.028349523125
const BOX = [1 / 80, 1 / 64, 1 / 48, 1 / 32, 1 / 24, 1 / 16, 1 / 8, 3 / 16, 1 / 4].map(oz => oz * OZ)
const body = fc.record({ lengthM: fc.double({ min: 0.02, max: 0.07, noNaN: true }), depthM: fc.double({ min: 0.004, max: 0.014, noNaN: true }) })
const options = fc.record({
  weightsKg: fc.shuffledSubarray(BOX, { minLength: 1 }), body, otherBodies: fc.array(body, { maxLength: 2 }),
  lineDiameterM: fc.constantFrom(1.28e-4, 1.8e-4, 2.25e-4), depthM: fc.double({ min: 0.3, max: 9, noNaN: true }), windMS: fc.double({ min: 0, max: 12, noNaN: true }),
  chaseSpeedMS: fc.constantFrom(...MOODS.map(chaseSpeed)), distanceM: fc.double({ min: 0, max: 12, noNaN: true }), waterTempC: fc.double({ min: 2, max: 30, noNaN: true }),
}).map((o): JigWeightOptions => ({ ...o, otherLinesM: [1.28e-4, 1.8e-4, 2.25e-4], rodTipM: 1.5 }))

/** The three demands, asked of the formulas themselves. */
function meets(o: JigWeightOptions, headMassKg: number, slack = 1e-6): boolean {
  const lure = jig({ headMassKg, body: o.body, dragAreaM2: o.dragAreaM2 })
  const { submergedN } = sinkSpeed({ ...lure, waterTempC: o.waterTempC })
  const { forceN } = lineWindLoad({ windMS: o.windMS, lineDiameterM: o.lineDiameterM, lineInAirM: o.lineInAirM })
  const { seconds } = fallTime({ ...lure, lineDiameterM: o.lineDiameterM, depthM: o.depthM, waterTempC: o.waterTempC })
  const { speedMS } = holdDepthSpeed({ submergedN, dragAreaM2: lure.dragAreaM2, distanceM: o.distanceM, depthM: o.depthM, rodTipM: 1.5, waterTempC: o.waterTempC })
  return submergedN >= TOUCH_SHARE * forceN * (1 - slack) && seconds <= DEFAULT_MAX_FALL_S * (1 + slack) && speedMS <= o.chaseSpeedMS * (1 + slack)
}

/** What a way out changes, as the chooser is told of it. */
function taken(o: JigWeightOptions, way: WayOut): JigWeightOptions | null {
  switch (way.way) {
    case 'thinnerLine': return { ...o, lineDiameterM: way.lineDiameterM }
    case 'closer': return { ...o, distanceM: way.distanceM, lineInAirM: Math.min(8, Math.max(way.distanceM, 1.5)) }
    case 'otherBody': return { ...o, body: way.body }
    case 'addWeight': return { ...o, weightsKg: o.weightsKg.map(kg => kg + way.addedKg) }
    case 'float': return null
  }
}

describe('chooseJigWeight, for any box, wind, depth and mood', () => {
  it('chooses the lightest that meets the three demands, and nothing else', () => {
    fc.assert(fc.property(options, (o) => {
      const { choice } = chooseJigWeight(o)
      const lightest = [...o.weightsKg].sort((a, b) => a - b).find(kg => meets(o, kg))
      if (lightest === undefined) expect(choice === null || meets(o, choice.massKg, 1e-4)).toBe(true)
      else expect(choice!.massKg).toBe(lightest)
    }), { numRuns: 400 })
  })

  it('accounts for every weight once', () => {
    fc.assert(fc.property(options, (o) => {
      const { choice, rejected, alsoGood } = chooseJigWeight(o)
      const all = [...(choice ? [choice] : []), ...alsoGood, ...rejected].map(c => c.massKg).sort((a, b) => a - b)
      expect(all).toEqual([...o.weightsKg].sort((a, b) => a - b))
      for (const r of rejected) expect(r.because.length).toBeGreaterThan(0)
    }), { numRuns: 200 })
  })

  it('offers only ways out that work when they are taken', () => {
    let tried = 0
    fc.assert(fc.property(options, (o) => {
      const { clash } = chooseJigWeight(o)
      for (const way of clash?.waysOut ?? []) {
        const changed = taken(o, way)
        if (!changed) continue
        tried++
        const { choice } = chooseJigWeight(changed)
        expect(choice, way.way).not.toBeNull()
      }
    }), { numRuns: 500 })
    expect(tried).toBeGreaterThan(20)
  })

  it('names a clash exactly when there is no choice, and the nearest miss is one of the box', () => {
    fc.assert(fc.property(options, (o) => {
      const { choice, clash } = chooseJigWeight(o)
      expect(clash === undefined).toBe(choice !== null)
      if (clash) {
        expect(o.weightsKg).toContain(clash.nearest.massKg)
        expect(clash.waysOut.at(-1)).toEqual({ way: 'float' })
        expect(clash.demands[0]).not.toBe(clash.demands[1])
      }
    }), { numRuns: 200 })
  })
})
