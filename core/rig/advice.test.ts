import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { colourFor, type ColourDemand } from './colourFor'
import { FAMILIES, familyFish, familyReasons, rankFamilies, type FamilyDemand } from './families'
import { buildLadder, type LadderOptions } from './ladder'
import { MOODS } from './mood'

const demand = (change: Partial<FamilyDemand> = {}): FamilyDemand => ({ fish: 'crappie', mood: 'slow', fishDepthM: 2, bottomDepthM: 4, kind: 'brush', secchiM: 0.8, windMS: 3, searching: false, ...change })
const names = (change: Partial<FamilyDemand> = {}) => rankFamilies(demand(change)).map(r => r.family.id)
const rankOf = (id: string, change: Partial<FamilyDemand> = {}) => names(change).indexOf(id)

describe('families of presentation', () => {
  it('hang still for torpid fish, and move for fast ones', () => {
    expect(names({ mood: 'torpid' }).slice(0, 3)).toEqual(expect.arrayContaining(['slipFloat']))
    expect(rankOf('lipless', { mood: 'torpid' })).toBeGreaterThan(rankOf('lipless', { mood: 'fast', searching: true, kind: 'point' }))
  })
  it('search with what covers water, and stay with a school by what does not run past it', () => {
    expect(rankOf('safetyPin', { searching: true, mood: 'keen', kind: 'weedEdge' })).toBeLessThan(rankOf('slipFloat', { searching: true, mood: 'keen', kind: 'weedEdge' }))
    expect(rankOf('slipFloat')).toBeLessThan(rankOf('safetyPin'))
  })
  it('keep a float out of the wind and a drop-shot by the bottom', () => {
    expect(rankOf('slipFloat', { windMS: 11 })).toBeGreaterThan(rankOf('slipFloat', { windMS: 2 }))
    expect(rankOf('dropShot', { fishDepthM: 6.7, bottomDepthM: 7, kind: 'flat' })).toBeLessThan(rankOf('dropShot', { fishDepthM: 3, bottomDepthM: 7, kind: 'flat' }))
  })
  it('drift deep perch with weight and leave it to perch', () => {
    expect(names({ fish: 'yellowPerch', fishDepthM: 18, bottomDepthM: 18.3, kind: 'basinEdge', mood: 'steady', searching: true })[0]).toBe('bottomRig')
    expect(names()).not.toContain('bottomRig')
    expect(names({ fish: 'whiteBass', fishDepthM: 0.6, bottomDepthM: 9, kind: 'hump', mood: 'fast', searching: true })[0]).toBe('topwater')
  })
  it('are scored 0–1 in order, and the reasons agree with the factors', () => {
    fc.assert(fc.property(fc.constantFrom(...MOODS), fc.double({ min: 0.3, max: 20, noNaN: true }), fc.double({ min: 0.1, max: 5, noNaN: true }), fc.double({ min: 0, max: 15, noNaN: true }), fc.boolean(), (mood, fishDepthM, secchiM, windMS, searching) => {
      const asked = demand({ mood, fishDepthM, bottomDepthM: fishDepthM + 1, secchiM, windMS, searching })
      const ranked = rankFamilies(asked)
      expect(ranked.map(r => r.score)).toEqual(ranked.map(r => r.score).sort((a, b) => b - a))
      for (const r of ranked) {
        expect(r.score > 0 && r.score <= 1).toBe(true)
        expect(familyReasons(r, asked, 'us').filter(x => x.tone === 'against')).toHaveLength(r.factors.filter(x => x.value < 0.6).length)
      }
    }), { numRuns: 60 })
    expect(() => rankFamilies(demand({ fishDepthM: 0 }))).toThrow(/fishDepthM/)
  })
  it('say what is wrong with figures', () => {
    const asked = demand({ mood: 'torpid', windMS: 10 })
    const lipless = rankFamilies(asked).find(r => r.family.id === 'lipless')!
    expect(familyReasons(lipless, asked, 'metric').map(r => r.text).join('; ')).toMatch(/must be moved at 0.60 m\/s; they follow 0.05 m\/s/)
    expect(familyFish(FAMILIES.find(x => x.id === 'castJig')!)).toBe('all')
    expect(new Set(FAMILIES.map(x => x.id)).size).toBe(FAMILIES.length)
  })
})

describe('colours', () => {
  const at = (change: Partial<ColourDemand> = {}) => colourFor({ fish: 'crappie', secchiM: 0.9, depthM: 2, sky: 'broken', sunDeg: 40, shaded: false, ...change })
  it('follow the water and the light that is left', () => {
    expect(at({ secchiM: 3.5, sky: 'clear' })).toMatchObject({ scene: 'bright clear', matters: 'first' })
    expect(at({ secchiM: 3.5, sky: 'clear' }).picks[0]!.colour.pattern).toBe('clear with flecks')
    expect(at({ depthM: 1 }).scene).toBe('stained')
    expect(at({ secchiM: 0.3, depthM: 0.3, sky: 'clear' }).scene).toBe('murky')
    expect(at({ sunDeg: -3 }).scene).toBe('dim')
    expect(at({ depthM: 4 }).lightShare).toBeLessThan(at({ depthM: 2 }).lightShare)
    expect(at({ sky: 'rain' }).lightShare).toBeLessThan(at({ sky: 'clear' }).lightShare)
  })
  it('come last under a dock, and give perch their own', () => {
    expect(at({ shaded: true })).toMatchObject({ matters: 'last', why: expect.stringMatching(/reflex/) })
    expect(at({ fish: 'europeanPerch' }).picks.map(p => p.colour.pattern)).toContain('orange belly')
    expect(() => at({ depthM: 0 })).toThrow(/depthM/)
  })
})

describe('the ladder', () => {
  const bodies = [{ name: '1 in', lengthM: 0.025 }, { name: '1½ in', lengthM: 0.038 }, { name: '2 in', lengthM: 0.05 }]
  const heads = [{ name: '1/64', massKg: 0.00044 }, { name: '1/32', massKg: 0.00089 }]
  const at = (change: Partial<LadderOptions> = {}) => buildLadder({ mood: 'slow', colourMatters: 'some', body: bodies[1]!, bodies, colour: 'pink', colours: ['pink', 'white', 'chartreuse'], head: heads[1]!, heads, ...change })
  it('changes one thing at a time, size before retrieve before colour, smaller first', () => {
    const rungs = at()
    expect(rungs.map(r => r.change)).toEqual(['size', 'retrieve', 'colour', 'size', 'retrieve', 'colour', 'weight'])
    expect(rungs[0]).toMatchObject({ from: '1½ in', to: '1 in', presentations: 15 })
    expect(rungs[3]!.to).toBe('2 in')
    expect(rungs.at(-1)!.to).toBe('1/64')
    expect(new Set(rungs.map(r => r.id)).size).toBe(rungs.length)
  })
  it('begins with colour where they look long, and gives slow fish longer', () => {
    expect(at({ colourMatters: 'first' })[0]!.change).toBe('colour')
    expect(at({ mood: 'torpid' })[0]!.presentations).toBeGreaterThan(at({ mood: 'fast' })[0]!.presentations)
  })
  it('offers only what is in the box', () => {
    expect(at({ bodies: [bodies[1]!], colours: ['pink'], heads: [heads[1]!] }).map(r => r.change)).toEqual(['retrieve', 'retrieve'])
  })
})
