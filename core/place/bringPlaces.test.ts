import { describe, expect, it } from 'vitest'
import type { FoundPlace } from '../formats/readPlaces'
import type { DepthGrid } from '../water/depthGrid'
import { depthNear, mergedPlaces, placeFromFound } from './bringPlaces'
import type { Place } from './kinds'

/** Water 4 m deep east of x = 100, land west of it. */
const grid: DepthGrid = { x0: 0, y0: 0, cellM: 5, cols: 60, rows: 40, depthM: Float32Array.from({ length: 2400 }, (_, i) => ((i % 60) * 5 >= 100 ? 4 : Number.NaN)) }
const found = (change: Partial<FoundPlace> = {}): FoundPlace => ({ name: 'A', kind: null, lonDeg: 0, latDeg: 40, shape: null, notes: null, depthM: null, properties: {}, ...change })
const make = (one: FoundPlace, sound = true) => placeFromFound({ found: one, id: 'new', kind: 'point', chartDepthM: 4, sound: () => sound })

describe('places brought in', () => {
  it('belong to the water on it and on its bank, and not beyond', () => {
    expect(depthNear({ grid, x: 150, y: 100 })).toBe(4)
    expect(depthNear({ grid, x: 85, y: 100 })).toBe(4)
    expect(depthNear({ grid, x: 65, y: 100 })).toBe(4)
    expect(depthNear({ grid, x: 40, y: 100 })).toBeNull()
  })
  it('take the file\'s kind and depth before what is supposed', () => {
    expect(make(found())).toMatchObject({ kind: 'point', attributes: { bottomDepthM: 4 } })
    expect(make(found({ kind: 'brush', depthM: 6 }))).toMatchObject({ id: 'new', kind: 'brush', attributes: { bottomDepthM: 6 } })
  })
  it('take the file\'s own figures where they are sound, and a guess where not', () => {
    const one = found({ kind: 'brush', properties: { material: 'cedar', type: 'brush', desc: 'x', coverTopM: 1 } })
    expect(make(one).attributes).toEqual({ bottomDepthM: 4, coverTopM: 1, material: 'cedar' })
    expect(make(one, false).attributes).toEqual({ bottomDepthM: 4, coverTopM: 2.2, material: 'hardwood' })
  })
})

describe('twins of kept places', () => {
  const place: Place = { id: 'k', name: 'Kept', kind: 'point', lonDeg: 0, latDeg: 40, notes: 'mine', attributes: { bottomDepthM: 3, slope: 'steep' } }
  const twin = (one: Partial<FoundPlace>) => ({ found: found(one), twin: { place, distanceM: 3 }, repeats: null })
  it('add up their words and the first line, and change nothing else', () => {
    const shape = { type: 'LineString' as const, coordinates: [[0, 40], [0.001, 40]] as [number, number][] }
    const [merged, ...more] = mergedPlaces([twin({ notes: 'first' }), twin({ notes: 'second', shape }), twin({ notes: 'first' })])
    expect(more).toEqual([])
    expect(merged).toEqual({ ...place, notes: 'mine\nfirst\nsecond', shape })
  })
  it('with nothing to add leave it alone', () => {
    expect(mergedPlaces([twin({}), twin({ notes: 'mine' }), { found: found({ notes: 'alone' }), twin: null, repeats: null }])).toEqual([])
  })
})
