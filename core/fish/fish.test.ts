import { describe, expect, it } from 'vitest'
import { estimateWeight, relativeWeight, sizeStructure, standardWeight } from '../index'
import { SPECIES, speciesName, requireSpecies } from './species'
import { STANDARD_SPECIES } from './weight'

describe('weight', () => {
  it('a fish of standard weight has a relative weight of 100', () => {
    for (const species of STANDARD_SPECIES) {
      const { massKg } = standardWeight({ species, lengthM: 0.25 })
      expect(relativeWeight({ species, lengthM: 0.25, massKg }).percent).toBeCloseTo(100, 9)
      expect(estimateWeight({ species, lengthM: 0.25 })).toEqual({ massKg, estimate: true })
    }
  })

  it('has a length below which the formula does not hold, and holds at it', () => {
    for (const [species, lengthM] of [['blackCrappie', 0.1], ['bluegill', 0.08], ['whiteBass', 0.115], ['yellowBass', 0.07]] as const) {
      expect(standardWeight({ species, lengthM }).massKg).toBeGreaterThan(0)
      expect(() => standardWeight({ species, lengthM: lengthM - 0.001 })).toThrow(/lengthM/)
    }
  })

  it('gives European perch an estimate and no standard', () => {
    expect(estimateWeight({ species: 'europeanPerch', lengthM: 0.4 }).massKg).toBeCloseTo(0.0107 * 40 ** 3.08 / 1000, 12)
    expect(() => standardWeight({ species: 'europeanPerch', lengthM: 0.3 })).toThrow(/species is europeanPerch/)
    expect(() => relativeWeight({ species: 'blackCrappie', lengthM: 0.3, massKg: 0 })).toThrow(/massKg/)
  })

  it('catches inches given as metres', () => {
    expect(() => standardWeight({ species: 'blackCrappie', lengthM: 11 })).toThrow(/lengthM is 11/)
  })
})

describe('sizeStructure', () => {
  it('counts a fish that is just long enough', () => {
    const { stock, quality, preferred } = sizeStructure({ species: 'blackCrappie', lengthsM: [0.129, 0.13, 0.2, 0.25] })
    expect(stock).toBe(3)
    expect(quality.psd).toBeCloseTo(200 / 3, 9)
    expect(preferred.psd).toBeCloseTo(100 / 3, 9)
  })

  it('gives an interval that holds the share and stays within 0 to 100', () => {
    const { quality, trophy } = sizeStructure({ species: 'yellowPerch', lengthsM: [0.21, 0.22, 0.23, 0.24] })
    expect(quality).toMatchObject({ psd: 100, hi: 100 })
    expect(quality.lo!).toBeGreaterThan(40)
    expect(trophy).toMatchObject({ psd: 0, lo: 0 })
    expect(trophy.hi!).toBeLessThan(60)
  })

  it('has no share without a stock fish', () => {
    expect(sizeStructure({ species: 'bluegill', lengthsM: [0.07] })).toMatchObject({ stock: 0, quality: { psd: null, lo: null, hi: null } })
    expect(() => sizeStructure({ species: 'bluegill', lengthsM: [0.1, -1] })).toThrow(/lengthsM\[1\]/)
  })
})

describe('species', () => {
  it('has a name for each key and refuses others', () => {
    expect(new Set(SPECIES.map(speciesName)).size).toBe(7)
    expect(() => requireSpecies('pike')).toThrow(/species is pike/)
  })
})
