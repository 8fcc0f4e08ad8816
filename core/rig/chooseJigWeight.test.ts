import { describe, expect, it } from 'vitest'
import { chooseJigWeight, type JigWeightOptions } from './chooseJigWeight'
import { chaseSpeed } from './mood'

const OZ = 0.028349523125
const BOX = [1 / 80, 1 / 64, 1 / 48, 1 / 32, 1 / 24, 1 / 16, 1 / 8].map(oz => oz * OZ)
const at = (change: Partial<JigWeightOptions> = {}): JigWeightOptions => ({
  weightsKg: BOX, body: { lengthM: 0.0508, depthM: 0.009 }, lineDiameterM: 1.8e-4, otherLinesM: [1.28e-4, 1.8e-4, 1.2e-4],
  depthM: 1.7, windMS: 2, chaseSpeedMS: chaseSpeed('steady'), distanceM: 7.6, rodTipM: 1.5, waterTempC: 12, ...change,
})

describe('chooseJigWeight', () => {
  it('takes the lightest that meets every demand, and says why the others stayed in the box', () => {
    const { choice, rejected, alsoGood, clash } = chooseJigWeight(at({ windMS: 4 }))
    expect(choice!.massKg / OZ).toBeCloseTo(1 / 32, 6)
    expect(clash).toBeUndefined()
    for (const r of rejected) {
      expect(r.because).toEqual(r.massKg < choice!.massKg ? ['wind'] : ['chase'])
    }
    expect(alsoGood.every(a => a.massKg > choice!.massKg)).toBe(true)
    expect(rejected.length + alsoGood.length + 1).toBe(BOX.length)
  })

  it('more wind never asks for less weight', () => {
    const chosen = [0, 1, 2, 3, 4].map(windMS => chooseJigWeight(at({ windMS })).choice!.massKg)
    expect(chosen).toEqual([...chosen].sort((a, b) => a - b))
    expect(chosen.at(-1)).toBeGreaterThan(chosen[0]!)
  })

  it('in still water at 10 ft torpid fish get 1/32 before 1/8', () => {
    const deep = at({ windMS: 0, depthM: 3.048, lineDiameterM: 2.25e-4, chaseSpeedMS: chaseSpeed('torpid'), distanceM: 0, weightsKg: [OZ / 32, OZ / 8] })
    expect(chooseJigWeight(deep).choice!.massKg).toBeCloseTo(OZ / 32, 9)
  })

  it('in a gale it refuses the light ones, names the clash and offers only ways that work', () => {
    const storm = at({ windMS: 8, otherBodies: [{ lengthM: 0.0635, depthM: 0.012 }] })
    const { choice, clash } = chooseJigWeight(storm)
    expect(choice).toBeNull()
    expect(clash!.demands).toEqual(['wind', 'chase'])
    const closer = clash!.waysOut.find(w => w.way === 'closer')!
    expect(closer).toBeDefined()
    const nearer = chooseJigWeight({ ...storm, distanceM: closer.way === 'closer' ? closer.distanceM : 0, lineInAirM: closer.way === 'closer' ? Math.max(1.5, closer.distanceM) : 0 })
    expect(nearer.choice?.massKg).toBe(closer.way === 'closer' ? closer.massKg : null)
    expect(clash!.waysOut.at(-1)).toEqual({ way: 'float' })
  })

  it('tells a box that lacks weights from demands that clash', () => {
    const tooLight = chooseJigWeight(at({ windMS: 6, weightsKg: [OZ / 80], chaseSpeedMS: 5 }))
    expect(tooLight.clash!.demands).toEqual(['wind', 'box'])
    expect(tooLight.clash!.waysOut.some(w => w.way === 'addWeight')).toBe(true)
    const tooHeavy = chooseJigWeight(at({ windMS: 0, weightsKg: [OZ / 4], chaseSpeedMS: 0.2 }))
    expect(tooHeavy.clash!.demands).toEqual(['chase', 'box'])
    const tooSlow = chooseJigWeight(at({ windMS: 0, weightsKg: [OZ / 80], maxFallS: 3, chaseSpeedMS: 5 }))
    expect(tooSlow.clash!.demands).toEqual(['fall', 'box'])
  })

  it('reports limits that bind exactly where the choice changes', () => {
    const { windLimitMS, massKg } = chooseJigWeight(at({ windMS: 0, chaseSpeedMS: 5 })).choice!
    expect(chooseJigWeight(at({ windMS: windLimitMS * 0.999, chaseSpeedMS: 5 })).choice!.massKg).toBe(massKg)
    expect(chooseJigWeight(at({ windMS: windLimitMS * 1.001, chaseSpeedMS: 5 })).choice!.massKg).toBeGreaterThan(massKg)
  })

  it('does not sort the caller\'s list, and refuses an empty or spoiled one', () => {
    const weightsKg = [OZ / 8, OZ / 32]
    chooseJigWeight(at({ weightsKg }))
    expect(weightsKg).toEqual([OZ / 8, OZ / 32])
    expect(() => chooseJigWeight(at({ weightsKg: [] }))).toThrow(/weightsKg is empty/)
    expect(() => chooseJigWeight(at({ weightsKg: [0.001, Number.NaN] }))).toThrow(/weightsKg\[1\]/)
    expect(() => chooseJigWeight(at({ windMS: -1 }))).toThrow(/windMS/)
    expect(() => chooseJigWeight(at({ chaseSpeedMS: Number.NaN }))).toThrow(/chaseSpeedMS/)
  })
})
