import { describe, expect, it } from 'vitest'
import { FAMILIES } from './families'
import { leaderFor } from './leaderFor'

const mono = { id: 'm', diameterM: 2.25e-4, testKg: 2.72, material: 'mono' as const }
const braid = { id: 'b', diameterM: 1.2e-4, testKg: 4.5, material: 'braid' as const }
const of = (id: string) => FAMILIES.find(f => f.id === id)!

describe('the leader', () => {
  it('is tied to braid and not to mono', () => {
    expect(leaderFor({ family: of('castJig'), fish: 'crappie', line: mono, kind: 'brush' })).toBeNull()
    expect(leaderFor({ family: of('castJig'), fish: 'crappie', line: braid, kind: 'brush' })).toMatchObject({ material: 'fluorocarbon', lengthM: expect.closeTo(0.914, 3) as number })
  })
  it('of a drop-shot or a bottom rig is there on any line', () => {
    for (const line of [mono, braid]) {
      expect(leaderFor({ family: of('dropShot'), fish: 'yellowPerch', line, kind: 'flat' })!.lengthM).toBeCloseTo(1.83, 2)
      expect(leaderFor({ family: of('bottomRig'), fish: 'yellowPerch', line, kind: 'flat' })!.testKg).toBeCloseTo(4.54, 2)
    }
  })
  it('is heavier where pike swim, for the fish of those waters alone', () => {
    const among = (fish: 'europeanPerch' | 'yellowPerch') => leaderFor({ family: of('weedless'), fish, line: braid, kind: 'weedEdge' })!
    expect(among('europeanPerch').diameterM).toBe(0.00035)
    expect(among('yellowPerch').diameterM).toBe(0.0002)
    expect(leaderFor({ family: of('nymph'), fish: 'europeanPerch', line: mono, kind: 'weedEdge' })).toBeNull()
  })
  it('says why: weed is another reason than clear water', () => {
    const why = (kind: 'weedEdge' | 'brush') => leaderFor({ family: of('castJig'), fish: 'crappie', line: braid, kind })!.because
    expect(why('weedEdge')).toMatch(/weed/)
    expect(why('brush')).not.toMatch(/weed/)
  })
})
