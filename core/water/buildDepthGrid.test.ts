import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import { survey, gridError, type Survey } from '../../bench/survey'
import { triangulated, triangulatedMeans } from '../../bench/rivals'
import { pellowickGrid } from '../../demo/pellowick'
import { binPoints, coarsen } from './binSoundings'
import { buildDepthGrid, HALF_TRUST_M, type SurveyedGrid } from './buildDepthGrid'
import { depthAt, type DepthGrid } from './depthGrid'
import { distanceToMarked } from './distanceTransform'
import { fetchField } from './fetchField'
import { rasterAround, rasterise } from './rasterise'
import { soundingNoise, USUAL_NOISE_M } from './soundingNoise'

const square = (from: number, to: number) => [{ x: from, y: from }, { x: to, y: from }, { x: to, y: to }, { x: from, y: to }]
const valueAt = ({ x0, y0, cellM, cols, rows }: Omit<DepthGrid, 'depthM'>, values: Float32Array) => (x: number, y: number) => {
  const [c, r] = [Math.floor((x - x0) / cellM), Math.floor((y - y0) / cellM)]
  return c < 0 || r < 0 || c >= cols || r >= rows ? Number.NaN : values[r * cols + c]!
}

describe('rasterise', () => {
  it('wets the cells whose centre is inside, whichever way the ring runs', () => {
    const raster = { x0: 0, y0: 0, cellM: 1, cols: 10, rows: 10 }
    const wet = rasterise(raster, square(2, 7))
    expect(wet.reduce((a, b) => a + b, 0)).toBe(25)
    expect(rasterise(raster, [...square(2, 7)].reverse())).toEqual(wet)
    expect(rasterise(raster, square(2, 7), [square(4, 5)]).reduce((a, b) => a + b, 0)).toBe(24)
  })

  it('leaves a dry cell all round', () => {
    const raster = rasterAround(square(-3, 12), 2.5)
    const wet = rasterise(raster, square(-3, 12))
    for (let c = 0; c < raster.cols; c++) expect([wet[c], wet[(raster.rows - 1) * raster.cols + c]]).toEqual([0, 0])
    for (let r = 0; r < raster.rows; r++) expect([wet[r * raster.cols], wet[(r + 1) * raster.cols - 1]]).toEqual([0, 0])
  })
})

describe('bins', () => {
  it('keep the mean depth and place when made coarser', () => {
    const raster = { x0: 0, y0: 0, cellM: 1, cols: 5, rows: 5 }
    const points = Float64Array.from([0.2, 0.3, 1, 1.7, 0.6, 3, 4.9, 4.9, 7])
    const fine = binPoints(raster, [{ points, weight: 2 }])
    const direct = binPoints({ ...raster, cellM: 2, cols: 3, rows: 3 }, [{ points, weight: 2 }])
    const coarse = coarsen(fine, 5, 5)
    for (const key of ['weight', 'depthM', 'offX', 'offY'] as const) coarse[key].forEach((v, i) => expect(v, `${key} ${i}`).toBeCloseTo(direct[key][i]!, 12))
  })
})

describe('distance transform', () => {
  it('is exact against looking at every mark', () => {
    fc.assert(fc.property(fc.array(fc.nat(71), { minLength: 1, maxLength: 6 }), (marks) => {
      const marked = new Uint8Array(72)
      for (const m of marks) marked[m] = 1
      distanceToMarked(marked, 9, 8).forEach((d, i) => {
        expect(d).toBeCloseTo(Math.min(...marks.map(m => Math.hypot((m % 9) - (i % 9), Math.floor(m / 9) - Math.floor(i / 9)))), 9)
      })
    }))
    expect(distanceToMarked(new Uint8Array(6), 3, 2).every(d => d === Infinity)).toBe(true)
  })
})

describe('buildDepthGrid on a known water', () => {
  const truth = pellowickGrid(10)
  let sparse: Survey
  let dense: Survey
  let grid: SurveyedGrid
  beforeAll(() => {
    sparse = survey(truth, { spacingM: 80, count: 10_000 })
    dense = survey(truth, { spacingM: 16, count: 100_000 })
    grid = buildDepthGrid({ ...sparse, cellM: 10 })
  })
  const errorOf = (s: Survey) => {
    const g = buildDepthGrid({ ...s, cellM: 10 })
    return gridError(truth, valueAt(g, g.depthM)).rms
  }

  it('is nearer to the bottom than triangles through the soundings', () => {
    const rival = triangulated(sparse, 10)
    expect(errorOf(sparse)).toBeLessThan(0.96 * gridError(truth, valueAt(rival.raster, rival.depthM)).rms)
  })

  it('takes the noise out of dense soundings better than triangles through cell means', () => {
    const rival = triangulatedMeans(dense, 10)
    expect(errorOf(dense)).toBeLessThan(0.9 * gridError(truth, valueAt(rival.raster, rival.depthM)).rms)
  })

  it('has water where the shoreline says, all of it deeper than 0', () => {
    let differ = 0
    for (let i = 0; i < truth.depthM.length; i++) {
      const x = truth.x0 + ((i % truth.cols) + 0.5) * 10
      const y = truth.y0 + (Math.floor(i / truth.cols) + 0.5) * 10
      const got = valueAt(grid, grid.depthM)(x, y)
      if (Number.isNaN(got) !== Number.isNaN(truth.depthM[i]!)) differ++
      if (!Number.isNaN(got)) expect(got).toBeGreaterThan(0)
    }
    expect(differ / truth.depthM.length).toBeLessThan(0.005)
  })

  it('is sure at a sounding and half as sure at the given distance', () => {
    const [x, y] = [sparse.soundings[3000]!, sparse.soundings[3001]!]
    expect(valueAt(grid, grid.confidence)(x, y)).toBe(1)
    const wet = grid.confidence.filter(c => !Number.isNaN(c))
    expect(wet).toHaveLength(grid.depthM.filter(d => !Number.isNaN(d)).length)
    expect(Math.min(...wet)).toBeLessThan(0.5)
    const one = buildDepthGrid({ outer: square(0, 200), soundings: Float64Array.from([102.5, 102.5, 3]), cellM: 5 })
    expect(depthAt({ grid: { ...one, depthM: one.confidence }, x: 102.5 + HALF_TRUST_M, y: 102.5 })).toBeCloseTo(0.5, 2)
  })

  it('reproduces a plane between its shores, and an island', () => {
    const soundings: number[] = []
    for (let x = 10; x < 200; x += 4) for (let y = 10; y < 200; y += 20) soundings.push(x, y, 1 + x / 50)
    const g = buildDepthGrid({ outer: square(0, 200), islands: [square(140, 160)], soundings: Float64Array.from(soundings), cellM: 4 })
    for (const x of [50, 80, 110]) expect(depthAt({ grid: g, x, y: 90 })).toBeCloseTo(1 + x / 50, 1)
    expect(depthAt({ grid: g, x: 150, y: 150 })).toBeNaN()
  })

  it('shrugs at the order of soundings and reports its progress', () => {
    const shuffled = sparse.soundings.slice()
    for (let i = 0; i < shuffled.length; i += 3) shuffled.set(sparse.soundings.subarray(sparse.soundings.length - 3 - i, sparse.soundings.length - i), i)
    const done: number[] = []
    const again = buildDepthGrid({ ...sparse, soundings: shuffled, cellM: 10, onProgress: share => done.push(share) })
    expect(again.depthM.every((d, i) => Number.isNaN(d) || Math.abs(d - grid.depthM[i]!) < 0.1)).toBe(true)
    expect(done).toEqual([...done].sort((a, b) => a - b))
    expect([done[0], done.at(-1)]).toEqual([0, 1])
    expect(done.length).toBeGreaterThan(20)
  })

  it('stops when told to, with the reason given', () => {
    const signal = { aborted: false, reason: new Error('enough') }
    expect(() => buildDepthGrid({ ...sparse, cellM: 10, signal, onProgress: (d) => {
      signal.aborted = d > 0.3
    } })).toThrow('enough')
  })

  it('refuses what it cannot grid, by name', () => {
    const good = { outer: square(0, 50), soundings: new Float64Array(0), cellM: 5 }
    expect(buildDepthGrid(good).depthM.filter(d => !Number.isNaN(d)).length).toBe(100)
    expect(() => buildDepthGrid({ ...good, outer: square(0, 50).slice(2) })).toThrow(/outer has 2 corners/)
    expect(() => buildDepthGrid({ ...good, islands: [[{ x: 1, y: Number.NaN }, { x: 2, y: 2 }, { x: 3, y: 1 }]] })).toThrow(/islands\[0\]\[0\]\.y is NaN/)
    expect(() => buildDepthGrid({ ...good, soundings: Float64Array.from([1, 2]) })).toThrow(/soundings has 2 numbers/)
    expect(() => buildDepthGrid({ ...good, soundings: Float64Array.from([1, 2, 3, 1, 2, -3]) })).toThrow(/soundings\[1\]\.depth is -3/)
    expect(() => buildDepthGrid({ ...good, cellM: 0 })).toThrow(/cellM is 0/)
    expect(() => buildDepthGrid({ ...good, outer: square(0, 1e6), cellM: 1 })).toThrow(/cellM is 1; it must be large enough/)
  })
})

describe('sounding noise', () => {
  it('is found from pairs in one cell, whatever the slope', () => {
    const truth = pellowickGrid(10)
    for (const noiseM of [0.05, 0.15, 0.4]) {
      const { outer, soundings } = survey(truth, { spacingM: 30, count: 40_000, noiseM })
      const raster = rasterAround(outer, 5)
      const coarse = { ...raster, cellM: 20, cols: Math.ceil(raster.cols / 4), rows: Math.ceil(raster.rows / 4) }
      const surface = Float64Array.from({ length: coarse.cols * coarse.rows }, (_, i) => {
        const depth = depthAt({ grid: truth, x: coarse.x0 + ((i % coarse.cols) + 0.5) * 20, y: coarse.y0 + (Math.floor(i / coarse.cols) + 0.5) * 20 })
        return Number.isNaN(depth) ? 0 : depth
      })
      expect(soundingNoise(soundings, raster, { surface, raster: coarse }) / noiseM).toBeCloseTo(1, 0)
    }
  })

  it('falls back where no two soundings meet', () => {
    const raster = { x0: 0, y0: 0, cellM: 1, cols: 4, rows: 4 }
    expect(soundingNoise(Float64Array.from([0.5, 0.5, 1]), raster, { surface: new Float64Array(16), raster })).toBe(USUAL_NOISE_M)
  })
})

describe('fetchField', () => {
  const grid = pellowickGrid(10)

  it('agrees with a ray marched from each cell, to a cell and a half at the 95th percentile', () => {
    const field = fetchField({ grid, directions: 36 })
    const errors: number[] = []
    for (const k of [0, 3, 10, 18, 23, 31]) {
      for (let i = 0; i < grid.depthM.length; i += 7) {
        if (Number.isNaN(grid.depthM[i]!)) {
          expect(field[k]![i]).toBeNaN()
          continue
        }
        errors.push(Math.abs(field[k]![i]! - march(grid, i, k * 10)))
      }
    }
    errors.sort((a, b) => a - b)
    expect(errors[Math.floor(0.95 * errors.length)]).toBeLessThanOrEqual(15)
  })

  it('is exact along the axes of a box', () => {
    const box: DepthGrid = { x0: 0, y0: 0, cellM: 5, cols: 12, rows: 7, depthM: Float32Array.from({ length: 84 }, (_, i) => (i % 12 > 1 && i % 12 < 10 && i > 11 && i < 72 ? 2 : Number.NaN)) }
    const [north, east, south, west] = fetchField({ grid: box, directions: 4 })
    const i = 3 * 12 + 4
    expect([north![i], east![i], south![i], west![i]]).toEqual([12.5, 27.5, 12.5, 12.5])
  })

  it('takes the raster\'s end for land and wants whole directions', () => {
    const all: DepthGrid = { x0: 0, y0: 0, cellM: 2, cols: 3, rows: 3, depthM: new Float32Array(9).fill(1) }
    expect([...fetchField({ grid: all, directions: 4 })[1]!]).toEqual([5, 3, 1, 5, 3, 1, 5, 3, 1])
    expect(() => fetchField({ grid: all, directions: 2.5 })).toThrow(/directions is 2.5/)
    expect(() => fetchField({ grid: all, directions: 0 })).toThrow(/directions is 0/)
  })
})

/** Exact walk from cell border to cell border until the first dry cell. */
function march({ depthM, cols, rows, cellM }: DepthGrid, i: number, fromDeg: number): number {
  const tidy = (v: number) => (Math.abs(v) < 1e-12 ? 0 : v)
  const [dx, dy] = [tidy(Math.sin((fromDeg * Math.PI) / 180)), tidy(Math.cos((fromDeg * Math.PI) / 180))]
  let [c, r] = [i % cols, Math.floor(i / cols)]
  let [tx, ty] = [dx === 0 ? Infinity : cellM / 2 / Math.abs(dx), dy === 0 ? Infinity : cellM / 2 / Math.abs(dy)]
  for (;;) {
    const t = Math.min(tx, ty)
    if (tx < ty) {
      c += Math.sign(dx)
      tx += cellM / Math.abs(dx)
    }
    else {
      r += Math.sign(dy)
      ty += cellM / Math.abs(dy)
    }
    if (c < 0 || r < 0 || c >= cols || r >= rows || Number.isNaN(depthM[r * cols + c]!)) return t
  }
}
