import { beforeAll, describe, expect, it } from 'vitest'
import { featuresFound } from '../../bench/features'
import { pellowickGrid, PELLOWICK_TRUTH } from '../../demo/pellowick'
import { bandMeetings } from './bandMeetings'
import { bankTurns } from './points'
import { breaks } from './breaks'
import { channels } from './channels'
import { depthAt, type DepthGrid } from './depthGrid'
import { featureKindName, featureText, featureTitle, roadText } from './featureText'
import { flats } from './flats'
import { atPoolLevel, levelAt } from './poolLevel'
import { profile } from './profile'
import { FEATURE_KINDS, readWater, type Feature, type WaterReading } from './readWater'
import { basins, humps } from './risesAndBasins'
import { ROAD_BANDS_M, roads } from './roads'
import { slopes } from './slope'
import { smoothDepth } from './smoothDepth'
import { resample, turns, type XY } from './turns'

/** A made-up water from a depth for each point; 0 or less is land. */
function water(depth: (x: number, y: number) => number, { cols = 120, rows = 90, cellM = 5 } = {}): DepthGrid {
  const depthM = Float32Array.from({ length: cols * rows }, (_, i) => {
    const [c, r] = [i % cols, Math.floor(i / cols)]
    const d = c === 0 || r === 0 || c === cols - 1 || r === rows - 1 ? 0 : depth((c + 0.5) * cellM, (r + 0.5) * cellM)
    return d > 0 ? d : Number.NaN
  })
  return { x0: 0, y0: 0, cellM, cols, rows, depthM }
}
const xy = ({ cols, cellM }: DepthGrid, cell: number) => ({ x: ((cell % cols) + 0.5) * cellM, y: (Math.floor(cell / cols) + 0.5) * cellM })
const bump = (x: number, y: number, cx: number, cy: number, r: number) => Math.exp(-((x - cx) ** 2 + (y - cy) ** 2) / (r * r))

describe('smoothing and slope', () => {
  it('leaves a plane a plane, up to the bank', () => {
    const plane = water((x, y) => 2 + x / 100 + y / 200)
    const smooth = smoothDepth(plane, 12)
    for (const [x, y] of [[300, 200], [100, 300]] as const) expect(depthAt({ grid: { ...plane, depthM: smooth }, x, y })).toBeCloseTo(2 + x / 100 + y / 200, 3)
    expect(smooth.map((d, i) => (Number.isNaN(d) === Number.isNaN(plane.depthM[i]!) ? 0 : 1)).reduce((a, b) => a + b, 0)).toBe(0)
  })

  it('measures fall and the way down', () => {
    const { steepness, downX, downY } = slopes(water(x => 1 + x / 50))
    const i = 45 * 120 + 60
    expect(steepness[i]).toBeCloseTo(0.02, 5)
    expect([downX[i], downY[i]]).toEqual([1, expect.closeTo(0, 5)])
  })
})

describe('humps and basins', () => {
  const lake = water((x, y) => 8 - 5 * bump(x, y, 200, 225, 40) - 2 * bump(x, y, 420, 225, 35) + 3 * bump(x, y, 320, 120, 40))

  it('stand out by their own height, measured to where they join', () => {
    const found = humps(lake, 1)
    expect(found.map(h => xy(lake, h.cell))).toEqual([expect.objectContaining({ x: expect.closeTo(200, -1), y: expect.closeTo(225, -1) }), expect.objectContaining({ x: expect.closeTo(420, -1) })])
    expect(found[0]!.depthM).toBeCloseTo(3, 0)
    expect(found[0]!.prominenceM).toBeCloseTo(4.9, 0)
  })

  it('are not the bank, nor a shoal that hangs on it', () => {
    const shelving = water((x, y) => 6 - 5.2 * bump(x, y, 0, 225, 150))
    expect(humps(shelving, 0.5)).toEqual([])
  })

  it('has one basin without a rim and finds the others by theirs', () => {
    const two = water((x, y) => 3 + 6 * bump(x, y, 150, 225, 60) + 4 * bump(x, y, 450, 225, 60))
    const found = basins(two, 1)
    expect(found).toHaveLength(2)
    expect(found[0]!.saddle).toBeNull()
    expect(found[1]!.prominenceM).toBeCloseTo(4, 0)
    expect(basins(two, 5)).toHaveLength(1)
  })
})

describe('turns', () => {
  it('resamples at even steps', () => {
    expect(resample([[0, 0], [10, 0], [10, 5]], 4)).toEqual([[0, 0], [4, 0], [8, 0], [10, 2]])
  })

  it('finds each corner of a square once, turning inward', () => {
    const square: XY[] = [[0, 0], [400, 0], [400, 400], [0, 400], [0, 0]]
    const found = turns(square, { windowM: 60, leastDeg: 60, closed: true })
    expect(found).toHaveLength(4)
    for (const t of found) {
      expect(t.turnDeg).toBeGreaterThan(60)
      const toMiddle = (Math.atan2(200 - t.x, 200 - t.y) * 180) / Math.PI
      expect(Math.abs(((t.insideDeg - toMiddle + 540) % 360) - 180)).toBeLessThan(15)
    }
  })

  it('finds nothing on a straight line, a wide circle, or a line too short', () => {
    expect(turns([[0, 0], [900, 30]], { windowM: 60, leastDeg: 40, closed: false })).toEqual([])
    const circle = Array.from({ length: 181 }, (_, i): XY => [600 * Math.cos((i * Math.PI) / 90), 600 * Math.sin((i * Math.PI) / 90)])
    expect(turns(circle, { windowM: 60, leastDeg: 40, closed: true })).toEqual([])
    expect(turns([[0, 0], [20, 0], [20, 20]], { windowM: 60, leastDeg: 40, closed: false })).toEqual([])
  })
})

describe('bank, bed and flats', () => {
  it('tells a point from an inside turn', () => {
    // A spur from the south bank into a basin.
    const spur = water((x, y) => Math.min(9, (y - 20) / 25) - 6 * Math.exp(-(((x - 600) / 50) ** 2)) * Math.max(0, Math.min(1, (330 - y) / 60)), { cols: 240, rows: 120 })
    const found = bankTurns({ ...spur, depthM: smoothDepth(spur, 12) }, [1.25, 1.75, 2.25, 2.75, 3.25, 3.75])
    const points = found.filter(f => f.kind === 'point')
    expect(points.some(p => Math.abs(p.x - 600) < 60)).toBe(true)
    expect(points.every(p => Math.abs(p.x - 600) < 120)).toBe(true)
    expect(points[0]!.facingDeg > 315 || points[0]!.facingDeg < 45).toBe(true)
    expect(found.filter(f => f.kind === 'insideTurn').length).toBeGreaterThanOrEqual(1)
  })

  it('follows a bed through an even floor', () => {
    const bed = (x: number) => 225 + 110 * Math.sin(x / 82)
    const floor = water((x, y) => 5 + 2 * Math.exp(-(((y - bed(x)) / 22) ** 2)), { cols: 200 })
    const [channel, ...others] = channels({ ...floor, depthM: smoothDepth(floor, 10) })
    expect(others).toEqual([])
    expect(channel!.lengthM).toBeGreaterThan(850)
    for (const [x, y] of channel!.line) expect(Math.abs(y - bed(x))).toBeLessThan(30)
    expect(channel!.bends.length).toBeGreaterThanOrEqual(2)
  })

  it('parts two flats at their neck and finds the fall beside one', () => {
    const shelf = (x: number, y: number) => (Math.hypot(x - 140, y - 220) < 110 || Math.hypot(x - 420, y - 220) < 110 || (Math.abs(y - 220) < 25 && x > 140 && x < 420) ? 1.2 : 7)
    const lake = water((x, y) => shelf(x, y))
    const smooth = { ...lake, depthM: smoothDepth(lake, 8) }
    const fall = slopes(smooth)
    const found = flats(smooth, fall)
    expect(found).toHaveLength(2)
    for (const f of found) expect(f.depthM).toBeCloseTo(1.2, 0)
    const edges = breaks(smooth, fall, found)
    expect(edges.length).toBeGreaterThanOrEqual(2)
    for (const b of edges) expect(b.steepness).toBeGreaterThan(0.08)
  })
})

describe('roads', () => {
  it('take the ramp instead of the cliff', () => {
    // A flat in the east above a basin: a cliff in between but for a ramp in the south.
    const lake = water((x, y) => (x > 400 ? 1.5 : x < 200 ? 9 : y < 270 ? 9 - ((x - 200) / 200) * 7.5 : x < 395 ? 9 : 1.5))
    const cell = (x: number, y: number) => Math.floor(y / 5) * 120 + Math.floor(x / 5)
    const [road] = roads(lake, [cell(100, 300)], [{ cells: Int32Array.from([cell(500, 300)]) }])
    expect(road!.line.some(([x, y]) => x > 250 && x < 350 && y < 270)).toBe(true)
    expect(road!.bandM.reduce((a, b) => a + b, 0)).toBeCloseTo(road!.lengthM, 6)
    expect(road!.bandM).toHaveLength(ROAD_BANDS_M.length)
  })

  it('do not cross land', () => {
    const split = water(x => (Math.abs(x - 300) < 10 ? 0 : 5))
    expect(roads(split, [45 * 120 + 10], [{ cells: Int32Array.from([45 * 120 + 100]) }])).toEqual([])
  })
})

describe('the demo reservoir', () => {
  let reading: WaterReading
  beforeAll(() => {
    reading = readWater({ grid: pellowickGrid(), latDeg: 40.2 })
  })
  const of = (kind: Feature['kind']) => reading.features.filter(f => f.kind === kind)

  it('gives back what the generator put there', () => {
    for (const { kind, recall, precision } of featuresFound()) {
      expect(recall, `${kind} recall`).toBeGreaterThanOrEqual(0.9)
      expect(precision, `${kind} precision`).toBeGreaterThanOrEqual(0.8)
    }
  }, 20_000)

  it('ranks the steep edge of the biggest flat first among breaks', () => {
    const biggest = of('flat').reduce((a, b) => (b.areaM2! > a.areaM2! ? b : a))
    const orchard = PELLOWICK_TRUTH.flats[0]!
    expect(Math.hypot(biggest.x - orchard.x, biggest.y - orchard.y)).toBeLessThan(100)
    expect(of('break').find(b => b.rank === 1)!.flatId).toBe(biggest.id)
  })

  it('leads a road from wintering water to every flat', () => {
    expect(new Set(reading.roads.map(r => r.flatId))).toEqual(new Set(of('flat').map(f => f.id)))
    for (const road of reading.roads) {
      const basin = reading.features.find(f => f.id === road.basinId)!
      expect(basin.depthM[1]).toBeGreaterThanOrEqual(reading.winteringM)
      expect(roadText(road, 'us')).toMatch(/ft along the bottom, \d+ % of it in/)
    }
  })

  it('has a name and a sentence for each, in either unit', () => {
    for (const f of reading.features) {
      expect(featureTitle(f, 'us'), f.id).toMatch(/^[A-Z]/)
      expect(featureText(f, 'us'), f.id).toMatch(/\.$/)
      expect(featureText(f, 'us') + featureText(f, 'metric') + featureTitle(f, 'metric'), f.id).not.toMatch(/NaN|undefined|null|Infinity/)
    }
    expect(new Set(reading.features.map(f => f.id)).size).toBe(reading.features.length)
    expect(new Set(FEATURE_KINDS.map(featureKindName)).size).toBe(FEATURE_KINDS.length)
    expect(featureText(of('break').find(b => b.rank === 1)!, 'us')).toMatch(/beside 17 acres of flat/)
  })

  it('turns the sunny side round in the south', () => {
    const south = readWater({ grid: pellowickGrid(), latDeg: -40.2 })
    const sun = (r: WaterReading, n: string) => r.features.find(f => f.id === n)!.spawning!.sun
    expect(sun(reading, 'flat-1') < 0.5).toBe(sun(south, 'flat-1') > 0.5)
  })

  it('can be stopped, and refuses a grid without water', () => {
    expect(() => readWater({ grid: pellowickGrid(20), latDeg: 40, signal: { aborted: true, reason: new Error('enough') } })).toThrow('enough')
    expect(() => readWater({ grid: water(() => 0), latDeg: 40 })).toThrow(/deepest water/)
    expect(() => readWater({ grid: pellowickGrid(20), latDeg: 100 })).toThrow(/latDeg/)
  })
})

describe('bands, level and profile', () => {
  const ramp = water(x => x / 40)

  it('finds where two bands meet, and how steeply', () => {
    const [meeting, ...rest] = bandMeetings({ grid: ramp, shallow: [1, 2], deep: [2.5, 4] })
    expect(rest).toEqual([])
    expect(meeting!.apartM).toBe(25)
    expect(meeting!.lengthM).toBeGreaterThan(400)
    expect(bandMeetings({ grid: ramp, shallow: [1, 2], deep: [9, 10] })).toEqual([])
    expect(() => bandMeetings({ grid: ramp, shallow: [1, 3], deep: [2, 4] })).toThrow(/deep\[0\] is 2/)
  })

  it('moves every depth with the pool, and dries the shallows', () => {
    const low = atPoolLevel(ramp, -1)
    expect(depthAt({ grid: low, x: 400, y: 200 })).toBeCloseTo(9, 5)
    expect(depthAt({ grid: low, x: 30, y: 200 })).toBeNaN()
    expect(atPoolLevel(ramp, 0)).toBe(ramp)
    expect(() => atPoolLevel(ramp, Number.NaN)).toThrow(/aboveReferenceM/)
  })

  it('reads the level between readings', () => {
    const readings = [{ atMs: 0, levelM: 100 }, { atMs: 10, levelM: 102 }]
    expect([-5, 0, 5, 10, 99].map(t => levelAt(readings, t))).toEqual([100, 100, 101, 102, 102])
    expect(levelAt([], 5)).toBeNull()
  })

  it('reads depths along a line, with gaps on land', () => {
    const cut = profile({ grid: ramp, line: [[-40, 200], [360, 200]], stepM: 20 })
    expect(cut[0]).toEqual({ alongM: 0, depthM: null })
    expect(cut.at(-1)!.depthM).toBeCloseTo(340 / 40, 3)
  })
})
