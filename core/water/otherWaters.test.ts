import { describe, expect, it } from 'vitest'
import { seededRandom } from '../numeric/random'
import { noise } from '../../demo/terrain'
import { buildChart } from './buildChart'
import { contourLines } from './contourLines'
import { deepest, depthAt, waterArea, type DepthGrid } from './depthGrid'
import { featureText, featureTitle } from './featureText'
import { atPoolLevel } from './poolLevel'
import { readWater } from './readWater'

/** A natural lake: two basins with a saddle between them, an island on it, a shelf along the north. */
const cellM = 10
const cols = 130
const rows = 90
const rough = noise(9, 90)
const bump = (x: number, y: number, cx: number, cy: number, r: number) => Math.exp(-((x - cx) ** 2 + (y - cy) ** 2) / (r * r))
function lakeDepth(x: number, y: number): number {
  const rim = 1 - ((x - 650) / 560) ** 2 - ((y - 450) / 360) ** 2
  const shelf = y > 620 ? Math.max(0, 1 - (y - 620) / 60) : 1
  return 1.2 * Math.min(1, rim * 4) + shelf * Math.max(0, rim) * (9 * bump(x, y, 380, 430, 190) + 7 * bump(x, y, 930, 430, 170)) - 6 * bump(x, y, 650, 430, 60) + 0.15 * rough(x, y)
}
const lake: DepthGrid = {
  x0: 0, y0: 0, cellM, cols, rows,
  depthM: Float32Array.from({ length: cols * rows }, (_, i) => {
    const d = lakeDepth(((i % cols) + 0.5) * cellM, (Math.floor(i / cols) + 0.5) * cellM)
    return d > 0.05 && i % cols > 0 && i % cols < cols - 1 && i >= cols && i < cols * (rows - 1) ? d : Number.NaN
  }),
}
const reading = readWater({ grid: lake, latDeg: 46 })
const of = (kind: string) => reading.features.filter(f => f.kind === kind)

describe('a natural lake', () => {
  it('has its two basins, the shallower one told off by the sill between them', () => {
    const found = of('basin').sort((a, b) => b.depthM[1] - a.depthM[1])
    expect(found.length).toBeGreaterThanOrEqual(2)
    expect(Math.hypot(found[0]!.x - 380, found[0]!.y - 430)).toBeLessThan(60)
    expect(Math.hypot(found[1]!.x - 930, found[1]!.y - 430)).toBeLessThan(60)
    expect(found[1]!.depthM[0]).toBeGreaterThan(1)
    expect(found[1]!.depthM[0]).toBeLessThan(found[1]!.depthM[1])
  })

  it('does not call an island a hump, nor the bank a point everywhere', () => {
    expect(depthAt({ grid: lake, x: 650, y: 430 })).toBeNaN()
    for (const hump of of('hump')) expect(Math.hypot(hump.x - 650, hump.y - 430)).toBeGreaterThan(60)
    expect(of('point').length).toBeLessThan(6)
  })

  it('leads roads from both basins, none over land', () => {
    for (const road of reading.roads) {
      for (const [x, y] of road.line) expect(depthAt({ grid: lake, x, y })).not.toBeNaN()
      expect(road.lengthM).toBeGreaterThan(50)
    }
  })

  it('reads the same on a finer grid, within a few cells', () => {
    const fine: DepthGrid = {
      x0: 0, y0: 0, cellM: 5, cols: 260, rows: 180,
      depthM: Float32Array.from({ length: 260 * 180 }, (_, i) => {
        const d = lakeDepth(((i % 260) + 0.5) * 5, (Math.floor(i / 260) + 0.5) * 5)
        return d > 0.05 && i % 260 > 1 && i % 260 < 258 ? d : Number.NaN
      }),
    }
    const again = readWater({ grid: fine, latDeg: 46 })
    const best = (r: typeof reading) => r.features.filter(f => f.kind === 'basin').sort((a, b) => b.rank - a.rank)[0]!
    expect(Math.hypot(best(again).x - best(reading).x, best(again).y - best(reading).y)).toBeLessThan(40)
    const flatM2 = (r: typeof reading) => r.features.filter(f => f.kind === 'flat').reduce((sum, f) => sum + f.areaM2!, 0)
    expect(flatM2(again) / flatM2(reading)).toBeCloseTo(1, 0)
  })

  it('keeps its reading when the water is moved, and turns with it in words', () => {
    const moved = readWater({ grid: { ...lake, x0: 5000, y0: -3000 }, latDeg: 46 })
    expect(moved.features.map(f => [f.id, Math.round(f.x - 5000), Math.round(f.y + 3000)])).toEqual(reading.features.map(f => [f.id, Math.round(f.x), Math.round(f.y)]))
    expect(moved.features.map(f => featureText(f, 'metric'))).toEqual(reading.features.map(f => featureText(f, 'metric')))
  })

  it('gives ranks with a best of one in each kind', () => {
    for (const kind of new Set(reading.features.map(f => f.kind))) {
      expect(Math.max(...of(kind).map(f => f.rank)), kind).toBe(1)
      expect(Math.min(...of(kind).map(f => f.rank)), kind).toBeGreaterThanOrEqual(0)
    }
  })

  it('reads a drawn-down pool as shallower water with less of it', () => {
    const low = atPoolLevel(lake, -1.5)
    expect(deepest(low)).toBeCloseTo(deepest(lake) - 1.5, 4)
    expect(waterArea(low)).toBeLessThan(waterArea(lake))
    const lowReading = readWater({ grid: low, latDeg: 46 })
    expect(lowReading.winteringM).toBeLessThan(reading.winteringM)
    expect(lowReading.features.every(f => featureTitle(f, 'us').length > 4)).toBe(true)
  })
})

describe('a chart from soundings', () => {
  it('states an error that is near the true one', () => {
    const random = seededRandom(3)
    const outer = contourLines({ grid: lake, levelsM: [0] })[0]!.lines.sort((a, b) => b.length - a.length)[0]!.slice(0, -1).map(([x, y]) => ({ x, y }))
    const soundings: number[] = []
    for (let x = 30; x < 1290; x += 40) {
      for (let y = 10; y < 890; y += 3) {
        const d = depthAt({ grid: lake, x, y })
        if (!Number.isNaN(d)) soundings.push(x, y, Math.max(0, d + 0.1 * (random() + random() - 1)))
      }
    }
    const { grid, heldOut } = buildChart({ outer, soundings: Float64Array.from(soundings), cellM })
    let [sum, n] = [0, 0]
    for (let x = 15; x < 1290; x += 10) {
      for (let y = 15; y < 890; y += 10) {
        const [a, b] = [depthAt({ grid, x, y }), depthAt({ grid: lake, x, y })]
        if (Number.isNaN(a) || Number.isNaN(b)) continue
        sum += (a - b) ** 2
        n++
      }
    }
    const rms = Math.sqrt(sum / n)
    expect(rms).toBeLessThan(0.35)
    // Tracks left out are foretold from twice the distance: the stated error is the harder one.
    expect(heldOut!.rmsM).toBeGreaterThan(rms * 0.5)
    expect(heldOut!.rmsM).toBeLessThan(1)
  })

  it('tells its progress from nought to one through both halves of the work', () => {
    const done: number[] = []
    buildChart({ outer: [{ x: 0, y: 0 }, { x: 200, y: 0 }, { x: 200, y: 200 }, { x: 0, y: 200 }], soundings: Float64Array.from(Array.from({ length: 900 }, (_, i) => [(i % 30) * 6 + 5, Math.floor(i / 30) * 6 + 5, 3]).flat()), cellM: 10, onProgress: share => done.push(share) })
    expect(done).toEqual([...done].sort((a, b) => a - b))
    expect([done[0], done.at(-1)]).toEqual([0, 1])
    expect(done.some(d => d > 0.8 && d < 1)).toBe(true)
  })
})
