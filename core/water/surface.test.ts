import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { binPoints } from './binSoundings'
import type { DepthGrid } from './depthGrid'
import { plateSurface } from './plateSurface'
import { forNeighbours, regions } from './regions'
import { basins, humps } from './risesAndBasins'
import { roads } from './roads'

const raster = { x0: 0, y0: 0, cellM: 5, cols: 60, rows: 50 }
const everywhere = new Uint8Array(raster.cols * raster.rows).fill(1)
const place = (i: number) => ({ x: ((i % raster.cols) + 0.5) * 5, y: (Math.floor(i / raster.cols) + 0.5) * 5 })
/** Points of a surface at every `step` metres. */
function sampled(z: (x: number, y: number) => number, step: number): Float64Array {
  const out: number[] = []
  for (let x = 3; x < 300; x += step) for (let y = 4; y < 250; y += step) out.push(x, y, z(x, y))
  return Float64Array.from(out)
}
const fit = (points: Float64Array, { bend = 50, tension = 0.01, domain = everywhere, sweeps = 60 } = {}) =>
  plateSurface({ ...raster, domain, bins: binPoints(raster, [{ points, weight: 1 }]), bend, tension, sweeps })

describe('plateSurface', () => {
  it('keeps a level and a slope as they are, out to the edges', () => {
    for (const z of [() => 4, (x: number, y: number) => 2 + x / 60 + y / 90]) {
      const surface = fit(sampled(z, 11), { tension: 0 })
      let worst = 0
      surface.forEach((v, i) => {
        const { x, y } = place(i)
        worst = Math.max(worst, Math.abs(v - z(x, y)))
      })
      expect(worst).toBeLessThan(0.03)
    }
  })

  it('bridges a gap by a curve and not by a step', () => {
    const hill = (x: number) => 5 + 2 * Math.sin(x / 60)
    const points = sampled(x => hill(x), 9)
    const kept = Float64Array.from(Array.from({ length: points.length / 3 }, (_, i) => i).filter(i => Math.abs(points[3 * i]! - 150) > 25).flatMap(i => [...points.subarray(3 * i, 3 * i + 3)]))
    const surface = fit(kept)
    for (let x = 127; x < 175; x += 5) expect(Math.abs(surface[25 * raster.cols + Math.floor(x / 5)]! - hill(x))).toBeLessThan(0.25)
  })

  it('follows the data the closer the less stiff it is', () => {
    const rough = sampled((x, y) => 5 + ((Math.round(x) + Math.round(y)) % 2 ? 0.5 : -0.5), 7)
    const spread = (bend: number) => {
      const surface = fit(rough, { bend })
      const mean = surface.reduce((a, b) => a + b, 0) / surface.length
      return Math.sqrt(surface.reduce((s, v) => s + (v - mean) ** 2, 0) / surface.length)
    }
    expect(spread(5)).toBeGreaterThan(spread(100))
    expect(spread(2000)).toBeLessThan(0.12)
  })

  it('lives on its domain only, and two lakes do not pull at each other', () => {
    const domain = everywhere.map((_, i) => (Math.abs(place(i).x - 150) < 20 ? 0 : 1))
    const surface = fit(sampled(x => (x < 150 ? 2 : 9), 12), { domain })
    surface.forEach((v, i) => {
      const { x } = place(i)
      expect(domain[i] ? Math.abs(v - (x < 150 ? 2 : 9)) : v).toBeLessThan(0.1)
    })
  })

  it('needs no data at all, and tells how far it is', () => {
    const done: number[] = []
    const surface = plateSurface({ ...raster, domain: everywhere, bins: binPoints(raster, []), bend: 10, tension: 0.1, sweeps: 5, onSweep: share => done.push(share) })
    expect(surface.every(v => v === 0)).toBe(true)
    expect(done).toEqual([...done].sort((a, b) => a - b))
    expect(done.at(-1)).toBeCloseTo(1, 9)
  })
})

/** A small water of whole-metre depths; 0 is land. */
const pond = fc.array(fc.nat(6), { minLength: 30, maxLength: 30 }).map((depths): DepthGrid => ({ x0: 0, y0: 0, cellM: 1, cols: 6, rows: 5, depthM: Float32Array.from(depths, d => (d === 0 ? Number.NaN : d)) }))
const sides = (i: number) => [i % 6 > 0 ? i - 1 : -1, i % 6 < 5 ? i + 1 : -1, i >= 6 ? i - 6 : -1, i < 24 ? i + 6 : -1]

describe('persistence, against looking at every level', () => {
  /** Cells one reaches from a cell through cells no deeper (or no shallower) than a level. */
  function reach({ depthM }: DepthGrid, from: number, ok: (d: number) => boolean): Set<number> {
    const seen = new Set([from])
    for (const i of seen) for (const n of sides(i)) if (n >= 0 && !Number.isNaN(depthM[n]!) && ok(depthM[n]!)) seen.add(n)
    return seen
  }

  it('a hump cannot be walked to the bank or to a higher summit without going down by its prominence', () => {
    fc.assert(fc.property(pond, (grid) => {
      for (const h of humps(grid, 1)) {
        const within = reach(grid, h.cell, d => d < h.depthM + h.prominenceM)
        const touchesBank = [...within].some(i => sides(i).some(n => n < 0 || Number.isNaN(grid.depthM[n]!)))
        expect(touchesBank).toBe(false)
        expect(Math.min(...[...within].map(i => grid.depthM[i]!))).toBe(h.depthM)
      }
    }), { numRuns: 300 })
  })

  it('every part of a water has one basin without a rim, its deepest', () => {
    fc.assert(fc.property(pond, (grid) => {
      const wet = [...grid.depthM.keys()].filter(i => !Number.isNaN(grid.depthM[i]!))
      const rimless = basins(grid, 1).filter(b => b.saddle === null)
      const parts = new Set(wet.map(i => Math.min(...reach(grid, i, () => true))))
      expect(rimless).toHaveLength(parts.size)
      for (const b of rimless) expect(b.depthM).toBe(Math.max(...[...reach(grid, b.cell, () => true)].map(i => grid.depthM[i]!)))
    }), { numRuns: 300 })
  })
})

describe('regions', () => {
  it('hang together by corners, and every marked cell is in one', () => {
    // Row by row: a cell, one corner to corner with it, one apart.
    const mask = Uint8Array.from([1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1])
    expect(regions(mask, 4, 3, 1).map(r => [...r])).toEqual([[0, 5], [11]])
    expect(regions(mask, 4, 3, 2)).toHaveLength(1)
    expect(regions(new Uint8Array(12), 4, 3, 1)).toEqual([])
  })

  it('do not reach round the end of a row', () => {
    const around: number[] = []
    forNeighbours(3, 4, 3, n => around.push(n))
    expect(around.sort((a, b) => a - b)).toEqual([2, 6, 7])
  })
})

describe('roads, against a slow search', () => {
  it('are the cheapest ways', () => {
    fc.assert(fc.property(pond, fc.nat(29), fc.nat(29), (grid, from, to) => {
      fc.pre(!Number.isNaN(grid.depthM[from]!) && !Number.isNaN(grid.depthM[to]!) && from !== to)
      const price = (a: number, b: number) => Math.hypot(Math.hypot((a % 6) - (b % 6), Math.floor(a / 6) - Math.floor(b / 6)), 15 * (grid.depthM[a]! - grid.depthM[b]!))
      // Bellman and Ford: as many rounds as there are cells.
      const cost = new Array<number>(30).fill(Infinity)
      cost[from] = 0
      for (let round = 0; round < 30; round++) {
        for (let i = 0; i < 30; i++) if (cost[i]! < Infinity) forNeighbours(i, 6, 5, (n) => {
          if (!Number.isNaN(grid.depthM[n]!)) cost[n] = Math.min(cost[n]!, cost[i]! + price(i, n))
        })
      }
      const [road] = roads(grid, [from], [{ cells: Int32Array.from([to]) }])
      if (cost[to] === Infinity) {
        expect(road).toBeUndefined()
        return
      }
      const cells = road!.line.map(([x, y]) => Math.floor(y) * 6 + Math.floor(x))
      expect([cells[0], cells.at(-1)]).toEqual([from, to])
      expect(cells.slice(1).reduce((sum, c, i) => sum + price(cells[i]!, c), 0)).toBeCloseTo(cost[to]!, 6)
    }), { numRuns: 200 })
  })
})
