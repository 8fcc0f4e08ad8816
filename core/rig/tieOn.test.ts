import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Place } from '../place/kinds'
import { phaseProbabilities } from '../season/phaseProbabilities'
import { phaseOf } from '../season/seasons'
import { depthBelief } from '../school/depthBelief'
import type { Box } from './box'
import { FAMILIES } from './families'
import { LEAD_HEAD_KG_M3, TUNGSTEN_HEAD_KG_M3 } from './jig'
import { MOODS } from './mood'
import { lineFor, rigFor, wantedBodyM, type RigOptions } from './rigFor'
import { standOffText, weightReasons } from './rigReasons'
import { DEFAULT_SCHOOLS, SCHOOL_KEYS, schoolViews, SCHOOLS } from './schools'
import { sinkerForAngle } from './sinkerForAngle'
import { tieOn, type TieContext } from './tieOn'

const OZ = 0.028349523125
const lead = (oz: number) => ({ massKg: oz * OZ, densityKgM3: LEAD_HEAD_KG_M3 })
const BOX: Box = {
  heads: [1 / 80, 1 / 64, 1 / 32, 1 / 16, 1 / 8].map(lead),
  otherHeads: [{ ...lead(1 / 4), shape: 'stand-up', hook: '#2' }, { massKg: OZ / 16, densityKgM3: TUNGSTEN_HEAD_KG_M3 }, { ...lead(1 / 7), shape: 'offset' }],
  bodies: [{ id: 'small', lengthM: 0.0254, depthM: 0.005, colour: 'white' }, { id: 'middle', lengthM: 0.0508, depthM: 0.009, colour: 'pink and white' }, { id: 'creature', lengthM: 0.05, depthM: 0.01, tail: 'creature', colour: 'brown' }, { id: 'shad', lengthM: 0.09, depthM: 0.017, tail: 'paddle', colour: 'natural shad' }],
  lines: [{ id: 'four', diameterM: 1.8e-4, testKg: 1.81, material: 'mono' }, { id: 'six', diameterM: 2.25e-4, testKg: 2.72, material: 'mono' }, { id: 'braid', diameterM: 1.2e-4, testKg: 4.5, material: 'braid' }],
  floats: [{ id: 'oval', volumeM3: 6.4e-6, massKg: 0.0021 }], shotsKg: [0.00026, 0.0008, 0.00177, 0.00354],
  weights: [{ id: 's', massKg: 0.0008, style: 'shot' }, { id: 'p', massKg: 0.00354, style: 'pegged' }, { id: 'b', massKg: OZ / 4, style: 'bottom' }, { id: 'c', massKg: 1.5 * OZ, style: 'bottom' }],
  baits: [{ id: 'hangs', name: 'Hanging minnow', type: 'minnow', lengthM: 0.057, massKg: 0.00362, volumeM3: 3.62e-6, diveM: 1.1 }, { id: 'floats', name: 'Floating minnow', type: 'minnow', lengthM: 0.057, massKg: 0.003, volumeM3: 3.6e-6, diveM: 1.1 }],
  hooks: [{ id: 'h', name: '#4' }], leaders: [{ id: 'l', diameterM: 0.00023, testKg: 3.6, material: 'fluorocarbon' }], socks: [{ id: 'k', diameterM: 0.91 }], rods: [],
}
const place: Place = { id: 'p', name: 'Edge', kind: 'breakEdge', lonDeg: 0, latDeg: 40, attributes: { bottomDepthM: 5, shallowDepthM: 1.4, runM: 20 } }
const brush: Place = { ...place, kind: 'brush', attributes: { bottomDepthM: 5, coverTopM: 3, material: 'hardwood' } }
const phases = phaseProbabilities({ waterC: 12, trendCPerWeek: 2, dayOfYear: 114, latDeg: 40 })
const belief = (waterDepthM = 5) => depthBelief({ phases, waterDepthM, waterC: 12, secchiM: 0.76, hour: 7, windMS: 2, trendCPerWeek: 2 })
function context(more: Partial<TieContext> = {}, options: Partial<RigOptions> = {}): TieContext {
  const at = more.place ?? place
  const rig = rigFor({ place: at, belief: belief(at.attributes.bottomDepthM), phase: phaseOf('crappie', 'preSpawn')!, waterC: 12, secchiM: 0.76, windMS: more.windMS ?? 2, box: more.box ?? BOX, ...options })
  return { rig, place: at, fish: 'crappie', box: BOX, windMS: 2, waterC: 12, searching: false, schools: DEFAULT_SCHOOLS, colours: ['natural shad', 'white'], units: 'us', ...more }
}
const part = (made: ReturnType<typeof tieOn>, name: string) => made.parts.find(p => p.part === name)
const words = (made: ReturnType<typeof tieOn>) => made.reasons.map(r => r.text).join(' ')

describe('a family leads to a rig', () => {
  it('whatever the mood, the wind and the box, with parts, two figures, a way to work it and a reason', () => {
    const bare: Box = { heads: BOX.heads, bodies: BOX.bodies.slice(0, 1), lines: BOX.lines.slice(0, 1), floats: [], shotsKg: [] }
    fc.assert(fc.property(fc.constantFrom(...FAMILIES), fc.constantFrom(...MOODS), fc.double({ min: 0, max: 12, noNaN: true }), fc.constantFrom(BOX, bare), fc.constantFrom('us' as const, 'metric' as const), (family, mood, windMS, box, units) => {
      const made = tieOn(family.id, context({ windMS, box, units }, { wish: { mood } }))
      expect(made.parts.length).toBeGreaterThanOrEqual(2)
      expect(`${made.figures.map(f => f.label + f.value).join()} ${made.work} ${words(made)}`).not.toMatch(/NaN|undefined|Infinity/)
      expect(made.work).toMatch(/\.$/)
      expect(made.reasons.length).toBeGreaterThan(0)
    }), { numRuns: 250 })
    expect(() => tieOn('spear', context())).toThrow(/familyId is spear/)
  })
  it('stand-up: the head and creature of the box; a leader where pike swim', () => {
    const made = tieOn('standUp', context({ fish: 'europeanPerch' }, { wish: { mood: 'torpid' } }))
    expect(part(made, 'head')).toEqual({ part: 'head', what: '1/4 oz lead, stand-up, hook #2', have: true })
    expect(part(made, 'body')!.what).toContain('creature')
    expect(made.work).toContain('ten seconds')
    expect(part(made, 'leader')!.have).toBe(false)
    expect(words(made)).toContain('Pike')
  })
  it('names what the box lacks by the size that would do', () => {
    const made = tieOn('heavyShad', context())
    expect(part(made, 'head')).toMatchObject({ have: false, what: expect.stringMatching(/^(3\/8|1\/2|5\/8) oz lead, round/) })
    expect(part(made, 'body')).toMatchObject({ have: true, what: expect.stringContaining('natural shad') })
  })
  it('a peg ahead keeps the small bait and is felt in the wind, a heavier one in more of it', () => {
    const added = (windMS: number) => part(tieOn('weightedJig', context({ windMS })), 'weight')!.what
    expect(added(2)).toContain('shot')
    expect(added(9)).toContain('pegged weight')
    expect(part(tieOn('weightedJig', context({ windMS: 9 })), 'head')!.what).toContain('1/80')
  })
  it('of two minnows takes the one that hangs, and says how long to stop it', () => {
    const made = tieOn('suspendingMinnow', context({ waterC: 8 }))
    expect(part(made, 'bait')!.what).toContain('Hanging')
    expect(made.figures[1]).toEqual({ label: 'pause', value: '5 to 10 s' })
    const other = tieOn('suspendingMinnow', context({ box: { ...BOX, baits: BOX.baits!.slice(1) } }))
    expect(words(other)).toMatch(/rises at .* add 0\.6/)
  })
  it('a drop-shot stands on the weight that holds it; out of reach is said', () => {
    const made = tieOn('dropShot', context())
    expect(part(made, 'weight')).toEqual({ part: 'weight', what: '1/4 oz ball', have: true })
    expect(made.scene).toMatchObject({ mode: 'bottom', depthM: 5 })
    expect(words(tieOn('dropShot', context({ place: { ...place, attributes: { ...place.attributes, bottomDepthM: 8 } } })))).toContain('out of a drop-shot')
  })
  it('at 65 ft drifting a quarter metre a second asks for 1½ to 1¾ oz, and puts a sock out when the box has no such weight', () => {
    const massKg = sinkerForAngle({ depthM: 65 * 0.3048, relSpeedMS: 0.25, lineDiameterM: 0.00025 }).massKg
    expect(massKg / OZ).toBeGreaterThan(1.45)
    expect(massKg / OZ).toBeLessThan(1.8)
    const deep = { ...place, attributes: { ...place.attributes, bottomDepthM: 19.8 } }
    const windMS = 0.25 / Math.sqrt((1.2 * 2.7) / (999.5 * 1.2))
    const held = tieOn('bottomRig', context({ place: deep, windMS }, { wish: { lineId: 'six' } }))
    expect(held.figures[0].value).toBe('1.5 oz')
    const light = tieOn('bottomRig', context({ place: deep, windMS, box: { ...BOX, weights: BOX.weights!.slice(0, 3) } }, { wish: { lineId: 'six' } }))
    expect(part(light, 'socks')!.what).toBe('1')
    expect(words(light)).toMatch(/with a sock out.*Without, it drifts at 0\.8 ft a second/)
    expect(words(light)).toContain('seldom live')
  })
})

describe('the weight', () => {
  const vertical = (windMS: number, heads = [1 / 64, 1 / 32, 1 / 8]) => rigFor({ place: brush, belief: belief(), phase: phaseOf('crappie', 'preSpawn')!, waterC: 6, secchiM: 0.76, windMS, box: { ...BOX, heads: heads.map(lead) }, wish: { mood: 'torpid', topM: 3.048 + 0.2, distanceM: 0, lineId: 'six', bodyId: 'small' } })
  it('in still water at 10 ft for torpid fish is a 1/32 before a 1/8, and says why', () => {
    const rig = vertical(0, [1 / 32, 1 / 8])
    expect(rig.tie.massKg).toBeCloseTo(OZ / 32, 9)
    expect(weightReasons(rig, 0, 'us').map(r => r.text).join(' ')).toMatch(/1\/8 oz does it too, but drops past them at/)
  })
  it('in 20 mph of wind is no 1/64, and what to add is said', () => {
    const rig = rigFor({ place, belief: belief(), phase: phaseOf('crappie', 'preSpawn')!, waterC: 12, secchiM: 0.76, windMS: 8.94, box: { ...BOX, heads: [lead(1 / 64)] }, wish: { mood: 'steady', lineId: 'six' } })
    expect(rig.weight.choice).toBeNull()
    expect(rig.weight.rejected[0]!.because[0]).toBe('wind')
    const keen = rigFor({ place, belief: belief(), phase: phaseOf('crappie', 'preSpawn')!, waterC: 12, secchiM: 0.76, windMS: 8.94, box: { ...BOX, heads: [lead(1 / 64)] }, wish: { mood: 'fast', lineId: 'six' } })
    expect(weightReasons(keen, 8.94, 'us').map(r => r.text).join(' ')).toMatch(/No head at hand is felt in 20 mph\. To feel a 1\/64 oz in 20 mph, add (3\/16|1\/4) oz on the line ahead of it/)
  })
  it('the big bait falls as the small one with half the head', () => {
    const fall = (oz: number, bodyId: string) => rigFor({ place, belief: belief(), phase: phaseOf('crappie', 'preSpawn')!, waterC: 12, secchiM: 0.76, windMS: 0, box: { ...BOX, heads: [lead(oz)], bodies: [{ id: 'big', lengthM: 0.064, depthM: 0.012 }, { id: 'little', lengthM: 0.044, depthM: 0.008 }] }, wish: { bodyId, mood: 'fast' } }).tie.sinkSpeedMS
    expect(fall(1 / 16, 'big') / fall(1 / 32, 'little')).toBeCloseTo(1, 1)
  })
})

describe('two schools of thought', () => {
  it('each has a default and another answer, and each changes something', () => {
    for (const key of SCHOOL_KEYS) {
      const { here, other } = schoolViews(key, DEFAULT_SCHOOLS)
      expect(here.id).toBe(SCHOOLS[key].answers[0].id)
      expect(other.id).not.toBe(here.id)
    }
    expect(wantedBodyM('slow', { ...DEFAULT_SCHOOLS, coldSize: 'big' })).toBeGreaterThan(2 * wantedBodyM('slow'))
    expect(wantedBodyM('keen', { ...DEFAULT_SCHOOLS, coldSize: 'big' })).toBe(wantedBodyM('keen'))
    expect(lineFor(BOX.lines, 'flat').id).toBe('braid')
    expect(lineFor(BOX.lines, 'dock').id).toBe('six')
    expect(lineFor(BOX.lines, 'flat', { ...DEFAULT_SCHOOLS, line: 'mono' }).id).toBe('four')
    const dock: Place = { ...place, kind: 'dock', attributes: { bottomDepthM: 4, deckAreaM2: 30, deckHeightM: 0.8, roofed: false, facingDeg: 90, brushAtCorners: false } }
    expect(tieOn('castJig', context({ place: dock })).work).toContain('two or three short pops')
    expect(tieOn('castJig', context({ place: dock, schools: { ...DEFAULT_SCHOOLS, dockRetrieve: 'pullPop' } })).work).toContain('slow pull and pop')
    expect(words(tieOn('lipless', context({ searching: true })))).toContain('rattling one while you search')
    expect(words(tieOn('lipless', context({ searching: true, schools: { ...DEFAULT_SCHOOLS, noise: 'silent' } })))).toContain('as you hold with')
    const deep = { ...place, attributes: { ...place.attributes, bottomDepthM: 8 } }
    const far = context({ place: deep }, { schools: { ...DEFAULT_SCHOOLS, overDeep: 'far' }, wish: { topM: 5 } })
    expect(standOffText(far.rig.standOff, 'us')).toContain('that is how you want it')
  })
})
