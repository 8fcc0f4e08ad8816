import { describe, expect, it } from 'vitest'
import { chooseJigWeight } from './chooseJigWeight'
import { fallTime } from './fallTime'
import { jig } from './jig'
import { learnBody } from './learnBody'
import { measureRig } from './measureRig'

const body = { lengthM: 0.05, depthM: 0.009 }
const drop = { headMassKg: 0.00177, body, lineDiameterM: 0.00018, depthM: 4, waterTempC: 14 }

describe('a body learned from a counted fall', () => {
  it('falls afterwards as it was counted, with other heads too', () => {
    const truth = { ...body, dragAreaM2: body.lengthM * body.depthM * 1.6 }
    const counted = fallTime({ ...jig({ headMassKg: drop.headMassKg, body: truth }), lineDiameterM: drop.lineDiameterM, depthM: 4, waterTempC: 14 }).seconds
    const { dragAreaM2, ratio } = learnBody({ ...drop, seconds: counted })
    expect(ratio).toBeCloseTo(1.6, 6)
    const other = (b: typeof truth) => fallTime({ ...jig({ headMassKg: 0.0009, body: b }), lineDiameterM: 0.00015, depthM: 3, waterTempC: 8 }).seconds
    expect(other({ ...body, dragAreaM2 })).toBeCloseTo(other(truth), 6)
  })
  it('moves the choice of weight', () => {
    const choose = (b: { lengthM: number, depthM: number, dragAreaM2?: number }) => chooseJigWeight({ weightsKg: [0.00044, 0.00089, 0.00177, 0.0035], body: b, lineDiameterM: 0.00018, depthM: 5, windMS: 2, chaseSpeedMS: 1.2, distanceM: 8, maxFallS: 30 })
    expect(choose({ ...body, dragAreaM2: 0.0012 }).choice!.massKg).toBeGreaterThan(choose(body).choice!.massKg)
  })
  it('is not believed when the count cannot be this body\'s', () => {
    expect(() => learnBody({ ...drop, seconds: 90 })).toThrow(/count again/)
    expect(() => learnBody({ ...drop, seconds: 0.1 })).toThrow(RangeError)
  })
})

describe('a rig in figures', () => {
  const at = (headMassKg: number, length: number, height: number) => measureRig({ headMassKg, body: { lengthM: length, depthM: height }, lineDiameterM: 0.00018, depthM: 3, distanceM: 9, bandM: [2, 3], waterTempC: 12 })
  it('shows that a bigger body undoes a heavier head', () => {
    const [large, small] = [at(0.00177, 0.064, 0.012), at(0.00089, 0.044, 0.008)]
    expect(Math.abs(large.sinkMS / small.sinkMS - 1)).toBeLessThan(0.05)
    expect(large.windMS).toBeGreaterThan(small.windMS)
  })
  it('falls ever deeper, through the fish in the time it says', () => {
    const { fall, inBandS, fallS } = at(0.00089, 0.038, 0.007)
    for (let i = 1; i < fall.length; i++) expect(fall[i]!.seconds).toBeGreaterThan(fall[i - 1]!.seconds)
    expect(fall.at(-1)!.seconds).toBeCloseTo(fallS, 9)
    expect(inBandS).toBeGreaterThan(0)
    expect(inBandS).toBeLessThan(fallS)
    expect(() => measureRig({ headMassKg: 0.001, body, lineDiameterM: 0.0002, depthM: 3, distanceM: 9, bandM: [3, 2] })).toThrow(/bandM/)
  })
})
