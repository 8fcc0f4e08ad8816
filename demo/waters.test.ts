import { describe, expect, it } from 'vitest'
import { depthAreas } from '../core/water/contourLines'
import { deepest, depthAt, waterArea, type DepthGrid } from '../core/water/depthGrid'
import { fetchField } from '../core/water/fetchField'
import { localFrame } from '../core/water/localFrame'
import { placeSchema } from '../shared/places'
import { check } from '../shared/validate'
import { TAMARROW_TRUTH } from './tamarrow'
import { DEMO_WATERS } from './waters'
import { WENNEL_TRUTH } from './wennel'

const idOf = (n: number) => `0198a1f0-0000-7000-8000-${String(n).padStart(12, '0')}`

describe.each(DEMO_WATERS.map(w => [w.name, w] as const))('%s', (_, water) => {
  const grid = water.grid()
  const frame = localFrame(water.origin)
  let n = 0
  const places = water.places(grid, () => idOf(n++))

  it('is one lake with places that its own schema takes', () => {
    expect(depthAreas({ grid, levelsM: [0] })[0]!.polygons).toHaveLength(1)
    for (const place of places) expect(check(placeSchema, place), place.name).toMatchObject({ ok: true })
    expect(new Set(places.map(p => p.name)).size).toBe(places.length)
    expect(new Set(places.map(p => p.kind)).size).toBeGreaterThanOrEqual(8)
  })
  it('has every place, and every corner of its lines, in water of about the depth it claims', () => {
    for (const place of places) {
      const depth = depthAt({ grid, ...frame.toLocal(place.lonDeg, place.latDeg) })
      const claimed = place.kind === 'hump' ? place.attributes.bottomDepthM - 3 : place.attributes.bottomDepthM
      expect(Math.abs(depth - claimed), place.name).toBeLessThan(0.2)
      if (place.shape?.type === 'LineString') for (const [lon, lat] of place.shape.coordinates) expect(depthAt({ grid, ...frame.toLocal(lon, lat) }), place.name).toBeGreaterThan(0.5)
    }
  })
  it('has fetches by sweep that equal marching within one cell', () => {
    const field = fetchField({ grid, directions: 36 })
    let [within, all] = [0, 0]
    for (let k = 0; k < 36; k += 5) {
      for (let i = 3; i < grid.depthM.length; i += 61) {
        if (Number.isNaN(grid.depthM[i]!)) continue
        // A ray that grazes the bank ends here or there by a hair: those from within a cell of the middle bracket it.
        const near = Array.from({ length: 13 }, (_, n) => march(grid, i, k * 10, (n === 0 ? 0 : n % 2 === 0 ? n / 2 : -(n + 1) / 2) / 6))
        const swept = field[k]![i]!
        expect(swept).toBeGreaterThanOrEqual(Math.min(...near) - grid.cellM)
        expect(swept).toBeLessThanOrEqual(Math.max(...near) + grid.cellM)
        all++
        if (Math.abs(swept - near[0]!) <= grid.cellM) within++
      }
    }
    expect(within / all).toBeGreaterThan(0.97)
  })
})

describe('the new waters', () => {
  const [, tamarrow, wennel] = DEMO_WATERS
  it('have the size and the deeps that were dug', () => {
    const lake = tamarrow!.grid()
    expect(waterArea(lake) / 10_000).toBeGreaterThan(60)
    expect(deepest(lake)).toBeGreaterThan(9)
    for (const { x, y, topM } of TAMARROW_TRUTH.humps) expect(depthAt({ grid: lake, x, y })).toBeLessThan(topM + 1)
    const still = wennel!.grid()
    expect(depthAt({ grid: still, ...WENNEL_TRUTH.pit })).toBeGreaterThan(5.5)
    for (const { x, y } of WENNEL_TRUTH.cut.line.slice(1, -1)) expect(depthAt({ grid: still, x, y })).toBeGreaterThan(3.5)
  })
})

/** Exact walk from cell border to cell border until the first dry cell, from a point so many cells beside the cell's middle, across the wind. */
function march({ depthM, cols, rows, cellM }: DepthGrid, i: number, fromDeg: number, besideCells: number): number {
  const tidy = (v: number) => (Math.abs(v) < 1e-12 ? 0 : v)
  const [dx, dy] = [tidy(Math.sin((fromDeg * Math.PI) / 180)), tidy(Math.cos((fromDeg * Math.PI) / 180))]
  const [x, y] = [(i % cols) + 0.5 + dy * besideCells, Math.floor(i / cols) + 0.5 - dx * besideCells]
  let [c, r] = [Math.floor(x), Math.floor(y)]
  const until = (at: number, cell: number, d: number) => (d === 0 ? Infinity : (Math.abs(d > 0 ? cell + 1 - at : at - cell) * cellM) / Math.abs(d))
  let [tx, ty] = [until(x, c, dx), until(y, r, dy)]
  for (let t = 0; ;) {
    if (c < 0 || r < 0 || c >= cols || r >= rows || Number.isNaN(depthM[r * cols + c]!)) return t
    t = Math.min(tx, ty)
    if (tx < ty) {
      c += Math.sign(dx)
      tx += cellM / Math.abs(dx)
    }
    else {
      r += Math.sign(dy)
      ty += cellM / Math.abs(dy)
    }
  }
}
