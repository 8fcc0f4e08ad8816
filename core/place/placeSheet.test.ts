import { describe, expect, it } from 'vitest'
import { depthBelief } from '../school/depthBelief'
import { phaseProbabilities } from '../season/phaseProbabilities'
import { insideRing } from '../water/shoreline'
import type { DepthGrid } from '../water/depthGrid'
import { localFrame } from '../water/localFrame'
import type { Feature } from '../water/readWater'
import { candidatePlaces, isCandidate } from './candidatePlaces'
import { crossSection } from './crossSection'
import { dockParts, shadeSide, shadeUnder } from './dockShade'
import type { PlaceAttributes, PlaceOf } from './kinds'
import { recentWeight, stepLogs, stepsOn, type StepLog } from './stepsOn'
import { downwindEnd, windThroughDay } from './windThroughDay'

describe('cross-section', () => {
  /** Falls to the east, one in ten, from a bank at x = 0. */
  const slope: DepthGrid = { x0: -50, y0: -50, cellM: 2, cols: 100, rows: 50, depthM: Float32Array.from({ length: 5000 }, (_, i) => (-49 + (i % 100) * 2 > 0 ? (-49 + (i % 100) * 2) / 10 : Number.NaN)), confidence: Float32Array.from({ length: 5000 }, (_, i) => (i % 100 < 60 ? 0.9 : 0.1)) }
  it('runs down the fall of the bottom, shallow side first', () => {
    const { bearingDeg, points } = crossSection({ grid: slope, x: 40, y: 0, spanM: 20, stepM: 1 })
    expect(bearingDeg).toBeCloseTo(90, 0)
    expect(points).toHaveLength(41)
    for (const p of points) expect(p.depthM!).toBeCloseTo((40 + p.alongM) / 10, 1)
  })
  it('keeps land as land, and tells soundings from guesses', () => {
    const { points } = crossSection({ grid: slope, x: 10, y: 0, bearingDeg: 90, spanM: 80, stepM: 2 })
    expect(points.filter(p => p.alongM < -12).every(p => p.depthM === null)).toBe(true)
    expect(points.find(p => p.alongM === 0)!.trust).toBeCloseTo(0.9, 5)
    expect(points.find(p => p.alongM === 70)!.trust).toBeCloseTo(0.1, 5)
    expect(() => crossSection({ grid: slope, x: 0, y: 0, spanM: 0 })).toThrow(/spanM/)
  })
})

describe('wind through the day at a place', () => {
  const roseM = Float32Array.from({ length: 36 }, (_, k) => (k >= 14 && k <= 31 ? 1500 : 40))
  const hours = [[2, 225], [9, 225], [9, 45], [0.5, 225]].map(([windMS, windFromDeg], i) => ({ atMs: i * 3_600_000, windMS: windMS!, windFromDeg: windFromDeg! }))
  it('says lee or blown into, and which hours go over the limit', () => {
    const day = windThroughDay({ hours, roseM, depthM: 5, limitM: 0.2 })
    expect(day.map(h => h.side)).toEqual(['into', 'into', 'lee', 'calm'])
    expect(day.map(h => h.over)).toEqual([false, true, false, false])
    expect(day[1]!.waveM).toBeGreaterThan(day[0]!.waveM)
    expect(() => windThroughDay({ hours, roseM, depthM: 0, limitM: 0.3 })).toThrow(/depthM/)
    expect(() => windThroughDay({ hours, roseM, depthM: 5, limitM: 0 })).toThrow(/limitM/)
  })
  it('finds the end of a bed that a strong wind packs', () => {
    const outline = [{ x: 0, y: 0 }, { x: 50, y: 10 }, { x: 100, y: 0 }]
    expect(downwindEnd({ outline, windMS: 9, windFromDeg: 270 })).toEqual({ x: 100, y: 0, pushedM: 6 })
    expect(downwindEnd({ outline, windMS: 6, windFromDeg: 90 })).toMatchObject({ x: 0, pushedM: 3 })
    expect(downwindEnd({ outline, windMS: 2, windFromDeg: 90 })).toBeNull()
    expect(downwindEnd({ outline: [], windMS: 9, windFromDeg: 90 })).toBeNull()
  })
})

describe('which step of a line is on', () => {
  const step = (n: number, bottomDepthM: number, catches = 0, hours = 0): StepLog => ({
    place: { id: `s${n}`, name: `step ${n}`, kind: 'brush', lonDeg: 0, latDeg: 0, attributes: { bottomDepthM, coverTopM: bottomDepthM - 1.5, material: 'hardwood', line: 'Kiln', step: n, steps: 4 } } satisfies PlaceOf<'brush'>,
    catches, hours,
  })
  const at = (waterC: number, dayOfYear: number, trendCPerWeek: number) => depthBelief({ phases: phaseProbabilities({ waterC, trendCPerWeek, dayOfYear, latDeg: 40 }), waterDepthM: 14, waterC, secchiM: 0.9, hour: 8, windMS: 3, trendCPerWeek })
  const depths = [2.6, 4.1, 5.4, 8]
  const chances = (belief: ReturnType<typeof at>, logs: Record<number, [number, number]> = {}) => stepsOn({ steps: depths.map((d, i) => step(i + 1, d, ...(logs[i + 1] ?? []))), belief }).map(s => s.chance)
  const best = (list: number[]) => list.indexOf(Math.max(...list)) + 1

  it('goes down the line with the season', () => {
    expect(best(chances(at(17, 125, 1.5)))).toBe(1)
    expect(best(chances(at(5, 20, 0)))).toBe(4)
    for (const list of [chances(at(17, 125, 1.5)), chances(at(5, 20, 0))]) expect(list.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12)
  })
  it('reads the log up to the day asked about: half after ten days, other fish not at all', () => {
    const [place] = [step(2, 4.1).place]
    const atMs = Date.parse('2026-04-24T12:00:00Z')
    const ago = (days: number) => new Date(atMs - days * 86_400_000).toISOString()
    const visits = [{ at: ago(10), placeId: 's2', minutes: 120 }, { at: ago(-1), placeId: 's2', minutes: 60 }, { at: ago(0), placeId: 'other', minutes: 60 }]
    const catches = [{ at: ago(10), placeId: 's2', species: 'blackCrappie' as const }, { at: ago(10), placeId: 's2', species: null }, { at: ago(0), placeId: 's2', species: 'bluegill' as const }]
    const [log] = stepLogs({ steps: [place], visits, catches, fish: 'crappie', atMs })
    expect(log!.hours).toBeCloseTo(1, 9)
    expect(log!.catches).toBeCloseTo(1, 9)
  })
  it('believes the recent log more, the more hours there are', () => {
    const belief = at(12, 112, 1.5)
    const plain = chances(belief)
    const one = chances(belief, { 3: [3, 1] })
    const many = chances(belief, { 3: [12, 4] })
    expect(one[2]).toBeGreaterThan(plain[2]!)
    expect(many[2]).toBeGreaterThan(one[2]!)
    expect(chances(belief, { 2: [0, 4] })[1]).toBeLessThan(plain[1]!)
    expect(recentWeight(10)).toBeCloseTo(0.5, 12)
    expect(() => stepsOn({ steps: [], belief })).toThrow(/steps.length/)
  })
})

describe('a dock with what stands on it and beside it', () => {
  const dock: PlaceAttributes['dock'] = { bottomDepthM: 3, deckAreaM2: 48, deckHeightM: 0.8, roofed: true, facingDeg: 180, brushAtCorners: false, deckLengthM: 12, roofHeightM: 3.5, boatLengthM: 6 }
  it('takes the lengths and heights that are known', () => {
    const [deck, roof, boat] = dockParts(dock)
    expect(Math.max(...deck!.outline.map(p => p.y)) - Math.min(...deck!.outline.map(p => p.y))).toBeCloseTo(12, 9)
    expect(Math.max(...deck!.outline.map(p => p.x)) - Math.min(...deck!.outline.map(p => p.x))).toBeCloseTo(4, 9)
    expect(roof).toMatchObject({ what: 'roof', heightM: 3.5 })
    expect(boat!.what).toBe('boat')
    expect(dockParts({ ...dock, roofed: false, boatLengthM: undefined })).toHaveLength(1)
  })
  it('goes by the drawn outline where there is one', () => {
    const drawn = [{ x: 0, y: 0 }, { x: 6, y: 0 }, { x: 6, y: 9 }, { x: 0, y: 9 }]
    expect(dockParts(dock, drawn)[0]!.outline).toEqual(drawn)
  })
  it('shades water under the boat, and a higher roof shades further off', () => {
    const sun = { atMs: 0, altitudeDeg: 40, azimuthDeg: 180, strength: 1 }
    const boat = dockParts(dock)[2]!
    const [shade] = shadeUnder({ parts: [boat], depthM: 0.5, sun })
    const middle = { x: boat.outline.reduce((a, p) => a + p.x, 0) / 4, y: boat.outline.reduce((a, p) => a + p.y, 0) / 4 + 1 }
    expect(insideRing(shade!, middle.x, middle.y)).toBe(true)
    const reach = (roofHeightM: number) => shadeSide({ parts: dockParts({ ...dock, roofHeightM }), depthM: 1, sun })!.beyondM
    expect(reach(5)).toBeGreaterThan(reach(3))
  })
})

describe('unfished ground off the chart', () => {
  const frame = localFrame({ lonDeg: -88, latDeg: 40 })
  const feature = (kind: Feature['kind'], x: number, depthM: [number, number], more: Partial<Feature> = {}): Feature => ({ id: `${kind}-1`, kind, x, y: 0, depthM, areaM2: 5000, lengthM: 80, steepness: 0.1, facingDeg: null, toBasinM: 200, rank: 1, line: [], ...more })
  const features = [feature('hump', 0, [3, 7]), feature('break', 200, [1.5, 5], { facingDeg: 370 }), feature('saddle', 300, [4, 4]), feature('channelBend', 400, [8, 8]), feature('flat', 500, [1.2, 1.2], { spawning: { shelter: 1, sun: 1 } }), feature('point', 600, [1, 5]), feature('insideTurn', 700, [2, 5]), feature('basin', 800, [6, 11])]
  const places = candidatePlaces({ features, kept: [], frame, units: 'us' })
  it('makes a place of each that can be fished, with the figures the chart has', () => {
    expect(places.map(p => p.kind)).toEqual(['hump', 'breakEdge', 'channelBend', 'flat', 'point', 'insideTurn', 'basinEdge'])
    expect(places[0]).toMatchObject({ id: 'chart:hump-1', attributes: { bottomDepthM: 7, coverTopM: 3 } })
    expect(places[1]!.attributes).toMatchObject({ bottomDepthM: 5, shallowDepthM: 1.5, runM: 35, facingDeg: 10 })
    expect(places.every(p => isCandidate(p.id))).toBe(true)
    expect(frame.toLocal(places[1]!.lonDeg, places[1]!.latDeg).x).toBeCloseTo(200, 3)
  })
  it('leaves out what is kept already', () => {
    expect(candidatePlaces({ features, kept: [frame.toLonLat(20, 10)], frame, units: 'us' }).map(p => p.kind)).not.toContain('hump')
  })
})
