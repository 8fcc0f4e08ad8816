import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { contourLines, depthAreas } from './contourLines'
import { deepest, depthAt, effectiveFetch, openWater, waterArea, type DepthGrid } from './depthGrid'
import { decodeDepthGrid, encodeDepthGrid } from './depthGridBlob'
import { depthOfLight, lightAtDepth } from './light'
import { localFrame } from './localFrame'
import { placeStaffDepth, staffDepth, tintLevels, TINT_STEPS } from './tints'
import { waterDensity } from './waterDensity'
import { waveHeight } from './waveHeight'

/** A round bowl: deepest in the middle, land outside its rim. */
function bowl({ cols = 60, rows = 50, cellM = 5, x0 = 100, y0 = -40, radiusM = 100, depthM = 10 } = {}): DepthGrid {
  const depths = new Float32Array(cols * rows)
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < cols; c++) {
      const away = Math.hypot((c + 0.5 - cols / 2) * cellM, (r + 0.5 - rows / 2) * cellM)
      depths[r * cols + c] = away < radiusM ? depthM * (1 - away / radiusM) : Number.NaN
    }
  }
  return { x0, y0, cellM, cols, rows, depthM: depths }
}
const grid = bowl()
const centre = { x: 100 + 150, y: -40 + 125 }
const ringArea = (ring: [number, number][]) => ring.reduce((sum, [x, y], i) => {
  const [nx, ny] = ring[(i + 1) % ring.length]!
  return sum + (x * ny - nx * y) / 2
}, 0)

describe('depth grid', () => {
  it('reads depths between the cells on a plane without error', () => {
    const plane: DepthGrid = { x0: 0, y0: 0, cellM: 2, cols: 20, rows: 20, depthM: Float32Array.from({ length: 400 }, (_, i) => 1 + (i % 20) * 0.25 + Math.floor(i / 20) * 0.5) }
    fc.assert(fc.property(fc.double({ min: 1, max: 39, noNaN: true }), fc.double({ min: 1, max: 39, noNaN: true }), (x, y) => {
      expect(depthAt({ grid: plane, x, y })).toBeCloseTo(1 + (x / 2 - 0.5) * 0.25 + (y / 2 - 0.5) * 0.5, 4)
    }))
  })

  it('is NaN on land and off the raster at all four sides', () => {
    for (const [x, y] of [[101, -39], [0, 85], [999, 85], [250, -900], [250, 900]] as const) expect(depthAt({ grid, x, y })).toBeNaN()
  })

  it('uses only wet cells beside the bank', () => {
    const edge = depthAt({ grid, x: centre.x + 97, y: centre.y })
    expect(edge).toBeGreaterThan(0)
    expect(edge).toBeLessThan(0.8)
  })

  it('knows its deepest water and its area', () => {
    expect(deepest(grid)).toBeCloseTo(10 * (1 - Math.hypot(2.5, 2.5) / 100), 4)
    expect(waterArea(grid) / (Math.PI * 100 ** 2)).toBeCloseTo(1, 1)
    expect(deepest({ ...grid, depthM: new Float32Array(3000).fill(Number.NaN) })).toBe(0)
  })

  it('finds the same open water all round a round lake, and none on land', () => {
    for (let bearingDeg = 0; bearingDeg < 360; bearingDeg += 30) expect(openWater({ grid, ...centre, bearingDeg })).toBeCloseTo(100, -1)
    expect(openWater({ grid, x: 101, y: -39, bearingDeg: 90 })).toBe(0)
    expect(effectiveFetch({ grid, ...centre, windFromDeg: 200 })).toBeCloseTo(100, -1)
  })

  it('sees more water upwind from the lee shore', () => {
    const east = { x: centre.x + 90, y: centre.y }
    expect(effectiveFetch({ grid, ...east, windFromDeg: 270 })).toBeGreaterThan(5 * effectiveFetch({ grid, ...east, windFromDeg: 90 }))
  })
})

describe('contours', () => {
  it('enclose the area of water at least that deep', () => {
    for (const levelM of [2, 5, 8]) {
      const [area] = depthAreas({ grid, levelsM: [levelM] })
      expect(area!.polygons).toHaveLength(1)
      const radius = 100 * (1 - levelM / 10)
      expect(Math.abs(ringArea(area!.polygons[0]![0]!)) / (Math.PI * radius ** 2)).toBeCloseTo(1, 1)
    }
  })

  it('lie at their depth', () => {
    for (const { levelM, lines } of contourLines({ grid, levelsM: [3, 6] })) {
      for (const [x, y] of lines[0]!) expect(depthAt({ grid, x, y })).toBeCloseTo(levelM, 0)
    }
  })

  it('leave an island as a hole and find nothing below the deepest point', () => {
    const ring: DepthGrid = { ...grid, depthM: grid.depthM.map(d => (d > 7 ? Number.NaN : d)) }
    const [water] = depthAreas({ grid: ring, levelsM: [0] })
    expect(water!.polygons[0]).toHaveLength(2)
    expect(contourLines({ grid, levelsM: [11] })[0]!.lines).toEqual([])
    expect(() => contourLines({ grid, levelsM: [1, -2] })).toThrow(/levelsM\[1\]/)
  })
})

describe('depth grid blob', () => {
  it('comes back as it went, land and all', () => {
    const back = decodeDepthGrid(encodeDepthGrid(grid))
    expect(back).toEqual(grid)
  })

  it('keeps the confidence, and still reads version 1', () => {
    const sure = { ...grid, confidence: grid.depthM.map(d => d / 20) }
    expect(decodeDepthGrid(encodeDepthGrid(sure))).toEqual(sure)
    const old = encodeDepthGrid(grid)
    old[4] = 1
    expect(decodeDepthGrid(old)).toEqual(grid)
    expect(() => encodeDepthGrid({ ...sure, confidence: new Float32Array(3) })).toThrow(/confidence has 3 cells/)
  })

  it('reads from the middle of a larger buffer', () => {
    const bytes = encodeDepthGrid(grid)
    const shifted = new Uint8Array(bytes.length + 3)
    shifted.set(bytes, 3)
    expect(decodeDepthGrid(shifted.subarray(3)).depthM).toEqual(grid.depthM)
  })

  it('refuses foreign, cut and newer bytes by name', () => {
    const bytes = encodeDepthGrid(grid)
    expect(() => decodeDepthGrid(new Uint8Array(4))).toThrow(/not a depth grid/)
    expect(() => decodeDepthGrid(bytes.slice(0, -4))).toThrow(/cells need/)
    const newer = bytes.slice()
    newer[4] = 9
    expect(() => decodeDepthGrid(newer)).toThrow(/version is 9/)
    expect(() => encodeDepthGrid({ ...grid, cols: 7 })).toThrow(/cols × rows/)
  })
})

describe('local frame', () => {
  it('goes there and back, also across the date line', () => {
    for (const origin of [{ lonDeg: -88.6, latDeg: 40.2 }, { lonDeg: 179.99, latDeg: -17 }, { lonDeg: 0, latDeg: 60 }]) {
      const frame = localFrame(origin)
      fc.assert(fc.property(fc.double({ min: -5000, max: 5000, noNaN: true }), fc.double({ min: -5000, max: 5000, noNaN: true }), (x, y) => {
        const { lonDeg, latDeg } = frame.toLonLat(x, y)
        const back = frame.toLocal(lonDeg, latDeg)
        expect(Math.hypot(back.x - x, back.y - y)).toBeLessThan(1e-5)
        expect(Math.abs(lonDeg)).toBeLessThanOrEqual(180)
      }), { numRuns: 50 })
    }
  })

  it('measures a minute of latitude as a sea mile, less east and west', () => {
    const frame = localFrame({ lonDeg: 10, latDeg: 60 })
    expect(frame.toLocal(10, 60 + 1 / 60).y).toBeCloseTo(1853, 0)
    expect(frame.toLocal(10 + 1 / 60, 60).x).toBeCloseTo(1853 / 2, -1)
  })
})

describe('staff and tints', () => {
  it('keeps one scale for a water in round figures', () => {
    expect(staffDepth({ deepestM: 14, units: 'us' }) / 0.3048).toBeCloseTo(50, 9)
    expect(staffDepth({ deepestM: 14, units: 'metric' })).toBe(16)
    expect(placeStaffDepth({ reachM: 3, deepestM: 14, units: 'us' }) / 0.3048).toBeCloseTo(20, 9)
    expect(placeStaffDepth({ reachM: 9, deepestM: 14, units: 'us' })).toBe(staffDepth({ deepestM: 14, units: 'us' }))
    expect(placeStaffDepth({ reachM: 1, deepestM: 3, units: 'metric' })).toBe(4)
  })

  it('tints from the surface down in even round steps that reach most of the depth', () => {
    for (const deepestM of [2, 4.6, 14, 33]) {
      const levels = tintLevels({ deepestM, units: 'us' })
      expect(levels).toHaveLength(TINT_STEPS)
      expect(levels[0]).toBe(0)
      expect(levels.at(-1)! / deepestM).toBeGreaterThan(0.6)
    }
  })
})

describe('light and waves', () => {
  it('finds the depth at which a share of light is left', () => {
    const { depthM } = depthOfLight({ secchiM: 0.8, share: 0.05 })
    expect(lightAtDepth({ secchiM: 0.8, depthM }).share).toBeCloseTo(0.05, 12)
  })

  it('raises higher waves by more wind, more fetch and more depth, none without them', () => {
    const base = { windMS: 8, fetchM: 1000, depthM: 5 }
    const { heightM } = waveHeight(base)
    expect(waveHeight({ ...base, windMS: 10 }).heightM).toBeGreaterThan(heightM)
    expect(waveHeight({ ...base, fetchM: 2000 }).heightM).toBeGreaterThan(heightM)
    expect(waveHeight({ ...base, depthM: 0.5 }).heightM).toBeLessThan(heightM)
    expect(waveHeight({ ...base, windMS: 0 })).toEqual({ heightM: 0, periodS: 0 })
  })

  it('has its densest water near four degrees', () => {
    const densest = [0, 2, 3.9863, 6, 10].sort((a, b) => waterDensity({ waterTempC: b }) - waterDensity({ waterTempC: a }))[0]
    expect(densest).toBe(3.9863)
    expect(waterDensity()).toBeCloseTo(999.1, 1)
  })
})
