import { describe, expect, it } from 'vitest'
import type { Place } from '../place/kinds'
import { depthBelief } from '../school/depthBelief'
import { phaseProbabilities } from '../season/phaseProbabilities'
import { rigFor, type RigOptions } from './rigFor'
import { missingFromBox, type Box } from './box'
import { floatReasons, rejectionText, standOffText, weightReasons } from './rigReasons'
import { LEAD_HEAD_KG_M3 } from './jig'
import { phaseOf } from '../season/seasons'

const OZ = 0.028349523125
const BOX: Box = {
  heads: [1 / 80, 1 / 64, 1 / 48, 1 / 32, 1 / 24, 1 / 16, 1 / 8].map(oz => ({ massKg: oz * OZ, densityKgM3: LEAD_HEAD_KG_M3 })),
  bodies: [{ id: 'small', lengthM: 0.0254, depthM: 0.005 }, { id: 'middle', lengthM: 0.0508, depthM: 0.009 }],
  lines: [{ id: 'four', diameterM: 1.8e-4, testKg: 1.81 }, { id: 'six', diameterM: 2.25e-4, testKg: 2.72 }],
  floats: [{ id: 'tiny', volumeM3: 2.2e-6, massKg: 0.0007 }, { id: 'oval', volumeM3: 6.4e-6, massKg: 0.0021 }],
  shotsKg: [0.00026, 0.0008, 0.00177, 0.00354],
}
const brush: Place = { id: 'p', name: 'Brush', kind: 'brush', lonDeg: 0, latDeg: 40, attributes: { bottomDepthM: 4.1, coverTopM: 2.3, material: 'hardwood' } }
const phases = phaseProbabilities({ waterC: 12.2, trendCPerWeek: 2, dayOfYear: 114, latDeg: 40 })
function options(windMS: number, more: Partial<RigOptions> = {}): RigOptions {
  const belief = depthBelief({ phases, waterDepthM: 4.1, waterC: 12.2, secchiM: 0.76, hour: 7, windMS, trendCPerWeek: 2 })
  return { place: brush, belief, phase: phaseOf('crappie', 'preSpawn')!, waterC: 12.2, secchiM: 0.76, windMS, box: BOX, ...more }
}

describe('rigFor', () => {
  it('hangs the bait over the top of the fish and takes stronger line into cover', () => {
    const rig = rigFor(options(2))
    expect(rig.baitDepthM).toBeCloseTo(rig.topM - 0.2, 9)
    expect(rig.lineId).toBe('six')
    expect(rigFor(options(2, { place: { ...brush, kind: 'breakEdge', attributes: { bottomDepthM: 4, shallowDepthM: 1.4, runM: 20 } } })).lineId).toBe('four')
  })

  it('from 2 to 8 m/s of wind both the weight and the float stop move', () => {
    const calm = rigFor(options(2))
    const windy = rigFor(options(8))
    expect(windy.tie.massKg).toBeGreaterThan(calm.tie.massKg)
    expect(windy.float.setting.stopLengthM).toBeGreaterThan(calm.float.setting.stopLengthM + 0.02)
    expect(windy.float.shotKg).toBeGreaterThan(calm.float.shotKg)
    expect(windy.float.bare.riseM).toBeGreaterThan(0.1)
  })

  it('keeps at least a tenth of the float\'s lift when one at hand can', () => {
    expect(rigFor(options(2)).float.float!.reserveShare).toBeGreaterThanOrEqual(0.1)
    expect(rigFor(options(2, { box: { ...BOX, floats: [{ id: 'speck', volumeM3: 5e-7, massKg: 0.0002 }] } })).float.float).toBeNull()
  })

  it('follows the angler\'s wishes', () => {
    const rig = rigFor(options(2, { wish: { bodyId: 'small', lineId: 'four', topM: 3, mood: 'torpid' } }))
    expect(rig).toMatchObject({ bodyId: 'small', lineId: 'four', topM: 3, mood: 'torpid', chaseSpeedMS: 0.05 })
    expect(rig.weight.choice).toBeNull()
  })

  it('moves the bait for the angler and leaves the fish and the boat where they are', () => {
    const [advised, own] = [rigFor(options(2)), rigFor(options(2, { wish: { baitM: 3.9 } }))]
    expect(own.baitDepthM).toBe(3.9)
    expect(own).toMatchObject({ topM: advised.topM, distanceM: advised.distanceM, standOff: advised.standOff })
    expect(rigFor(options(2, { wish: { baitM: 0.05 } })).baitDepthM).toBe(0.3)
  })

  it('says what the box lacks', () => {
    expect(missingFromBox(BOX)).toBeNull()
    const bare = { ...BOX, bodies: [] }
    expect(missingFromBox(bare)).toBe('bodies')
    expect(() => rigFor(options(2, { box: bare }))).toThrow(/box.bodies is empty/)
  })
})

describe('reasons', () => {
  it('says what the choice does in figures of the reader\'s own units', () => {
    const rig = rigFor(options(2))
    expect(weightReasons(rig, 2, 'us')[0]!.text).toMatch(/^1\/\d+ oz is the lightest that does it all: felt in \d+ mph/)
    expect(weightReasons(rig, 2, 'metric')[0]!.text).toMatch(/^0?\.?\d+(\.\d+)? g is the lightest/)
    expect(weightReasons(rig, 2, 'metric').map(r => r.text).join(' ')).not.toMatch(/oz|ft|mph/)
  })

  it('names the clash in a strong wind and ends with the float', () => {
    const texts = weightReasons(rigFor(options(7)), 7, 'us').map(r => r.text)
    expect(texts[0]).toMatch(/16 mph of wind asks for .* oz or more; fish that follow 1.1 ft a second take .* at most/)
    expect(texts.at(-1)).toMatch(/under a float/)
    expect(weightReasons(rigFor(options(12)), 12, 'us')[0]!.text).toMatch(/^No head you carry is felt in 27 mph of wind; fish that follow/)
  })

  it('gives the stop and the lift with and without the shot', () => {
    const [stop, lift] = floatReasons(rigFor(options(8)), 8, 'us')
    expect(stop!.text).toMatch(/^Set the stop at \d+ ft/)
    expect(lift).toMatchObject({ tone: 'careful' })
    expect(lift!.text).toMatch(/18 mph lifts a bare 1\/32 oz by .* in; with .* of shot above it/)
    expect(floatReasons(rigFor(options(0)), 0, 'us')[1]!.text).toMatch(/hardly lifts/)
  })

  it('puts rejections and stand-off in words', () => {
    expect(rejectionText(['wind', 'fall'])).toBe('lost in the wind, too slow down')
    expect(standOffText(rigFor(options(2)).standOff, 'us')).toMatch(/25 ft to 40 ft off and cast past/)
  })
})
