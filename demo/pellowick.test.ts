import { describe, expect, it } from 'vitest'
import { depthAreas } from '../core/water/contourLines'
import { deepest, depthAt, waterArea } from '../core/water/depthGrid'
import { localFrame } from '../core/water/localFrame'
import { PELLOWICK_ORIGIN, PELLOWICK_TRUTH, pellowickGrid } from './pellowick'
import { pellowickPlaces } from './places'
import { curve, nearestOn, noise, smoothMin } from './terrain'

const grid = pellowickGrid()

describe('Pellowick Reservoir', () => {
  it('is about 240 ha and 14 m deep, deepest at the dam', () => {
    expect(waterArea(grid) / 10_000).toBeGreaterThan(200)
    expect(waterArea(grid) / 10_000).toBeLessThan(280)
    const max = deepest(grid)
    expect(max).toBeGreaterThan(12.5)
    expect(max).toBeLessThan(15)
    expect(grid.depthM.indexOf(max) % grid.cols * grid.cellM).toBeGreaterThan(1800)
  })

  it('is one lake, in which every wet cell has a depth', () => {
    expect(depthAreas({ grid, levelsM: [0] })[0]!.polygons).toHaveLength(1)
    expect(grid.depthM.some(d => d <= 0)).toBe(false)
  })

  it('has the humps, flats and channel where they were put', () => {
    for (const { x, y, topM, name } of PELLOWICK_TRUTH.humps) {
      expect(depthAt({ grid, x, y }), name).toBeLessThan(topM + 0.8)
      const around = Math.max(...[0, 90, 180, 270].map(a => depthAt({ grid, x: x + 160 * Math.sin(a * Math.PI / 180), y: y + 160 * Math.cos(a * Math.PI / 180) })).filter(d => !Number.isNaN(d)))
      expect(around, name).toBeGreaterThan(topM + 1.5)
    }
    for (const { x, y, depthM, name } of PELLOWICK_TRUTH.flats) expect(Math.abs(depthAt({ grid, x, y }) - depthM), name).toBeLessThan(0.7)
  })

  it('is the same every time', () => {
    expect(pellowickGrid(20)).toEqual(pellowickGrid(20))
  })

  it('has places that stand in the depth they claim', () => {
    const frame = localFrame(PELLOWICK_ORIGIN)
    let n = 0
    for (const place of pellowickPlaces(grid, () => String(n++))) {
      const depth = depthAt({ grid, ...frame.toLocal(place.lonDeg, place.latDeg) })
      const claimed = place.kind === 'hump' ? place.attributes.coverTopM : place.attributes.bottomDepthM
      expect(Math.abs(depth - claimed), place.name).toBeLessThan(0.11)
    }
    expect(n).toBeGreaterThanOrEqual(12)
  })
})

describe('terrain', () => {
  it('measures to a polyline', () => {
    expect(nearestOn([{ x: 0, y: 0 }, { x: 10, y: 0 }], 5, 3)).toEqual({ distanceM: 3, along: 0.5 })
    expect(nearestOn([{ x: 0, y: 0 }, { x: 10, y: 0 }], 13, 4)).toEqual({ distanceM: 5, along: 1 })
  })

  it('draws curves through their points', () => {
    const points = [{ x: 0, y: 0 }, { x: 5, y: 5 }, { x: 10, y: 0 }]
    const drawn = curve(points, 4)
    expect([drawn[0], drawn[4], drawn[8]]).toEqual(points)
  })

  it('has smooth noise within bounds and no crease in the smooth minimum', () => {
    const n = noise(3, 50)
    for (let x = 0; x < 300; x += 7) {
      expect(Math.abs(n(x, 20))).toBeLessThanOrEqual(1)
      expect(Math.abs(n(x + 0.01, 20) - n(x, 20))).toBeLessThan(0.002)
    }
    expect(smoothMin([1, 9], 2)).toBe(1)
    expect(smoothMin([4, 4], 2)).toBeLessThan(4)
  })
})
