import { describe, expect, it } from 'vitest'
import { pellowickGrid, PELLOWICK_ORIGIN } from '../../demo/pellowick'
import { pellowickPlaces } from '../../demo/places'
import { boatLog } from '../../sim/boatLog'
import { chartFile } from '../../app/utils/chartFile'
import { depthAt, type DepthGrid } from '../water/depthGrid'
import { localFrame } from '../water/localFrame'
import { readOut } from '../water/readOut'
import { readWater } from '../water/readWater'
import { tintLevels } from '../water/tints'
import { readGeoJson } from './geoJson'
import { readGpx } from './gpx'
import { readKml } from './kml'
import { fileKind, readAny } from './readAny'

const grid = pellowickGrid(10)
const frame = localFrame(PELLOWICK_ORIGIN)

describe('any file', () => {
  it('is told by what is in it, whatever it is called', () => {
    expect(fileKind('a.csv', '\uFEFF {"type":')).toBe('geojson')
    expect(fileKind('a.txt', '<?xml version="1.0"?><gpx version="1.1">')).toBe('gpx')
    expect(fileKind('a.gpx', '<?xml version="1.0"?><kml>')).toBe('kml')
    expect(fileKind('a.csv', '1690000000 $GPRMC,120000,A')).toBe('nmea')
    expect(fileKind('a.log', 'lon,lat,depth')).toBe('csv')
  })

  it('gives outlines from polygons and closed lines, soundings from points that have a depth', () => {
    const feature = (geometry: object, properties = {}) => ({ type: 'Feature', properties, geometry })
    const read = readAny('x.json', JSON.stringify({ type: 'FeatureCollection', features: [
      feature({ type: 'Polygon', coordinates: [[[0, 0], [1, 0], [1, 1], [0, 0]]] }), feature({ type: 'LineString', coordinates: [[0, 0], [2, 0], [2, 2], [0, 0]] }),
      feature({ type: 'LineString', coordinates: [[0, 0], [2, 0]] }), feature({ type: 'Point', coordinates: [0.5, 0.2] }, { depth: 3.2 }),
      feature({ type: 'Point', coordinates: [0.5, 0.2] }, { depth_m: '4.5' }), feature({ type: 'Point', coordinates: [0.5, 0.2] }, { depth: -2 }), feature({ type: 'Point', coordinates: [0.5, 0.2] }),
    ] }))
    expect(read.outlines.map(o => o[0]!.length)).toEqual([3, 3])
    expect(read.soundings.map(s => s.depthM)).toEqual([3.2, 4.5])
    expect(read.skipped).toBe(1)
    expect(read.issues.map(i => i.message)).toEqual(['a point: the depth -2 is negative', '1 open line is no outline and was left out', '1 point has no depth and was left out'])
  })

  it('reads a table by its guess until it is overruled', () => {
    const text = 'lon,lat,depth\n1,2,10\n3,4,20\n'
    const guessed = readAny('x.csv', text)
    expect(guessed.soundings[0]!.depthM).toBe(10)
    const ruled = readAny('x.csv', text, { mapping: { ...guessed.csv!.mapping, unit: 'ft' } })
    expect(ruled.soundings[0]!.depthM).toBeCloseTo(3.048, 9)
    expect(ruled.csv!.mapping.unit).toBe('ft')
    expect(readAny('x.csv', '').issues[0]!.message).toBe('the file is empty')
  })
})

describe('the stand-in boat', () => {
  const options = { truth: grid, frame, startMs: Date.UTC(2026, 3, 1, 23, 50), spacingM: 120, seed: 3, transducerM: 0.4, noiseM: 0.05 }

  it('writes a log whose depths are the water\'s, once the transducer is added', () => {
    const { soundings, skipped, issues } = readAny('boat.nmea', boatLog(options), { transducerM: 0.4 })
    expect(soundings.length).toBeGreaterThan(5000)
    expect(skipped).toBeGreaterThan(5)
    expect(issues.some(i => i.message.startsWith('wrong checksum'))).toBe(true)
    const off = soundings.map((s) => {
      const at = frame.toLocal(s.lonDeg, s.latDeg)
      return Math.abs(depthAt({ grid, ...at }) - s.depthM)
    }).filter(d => !Number.isNaN(d)).sort((a, b) => a - b)
    expect(off[off.length >> 1]).toBeLessThan(0.1)
    expect(off.at(-1)).toBeGreaterThan(2)
    expect(soundings.every((s, i) => i === 0 || s.atMs! >= soundings[i - 1]!.atMs!)).toBe(true)
  })

  it('is the same for the same seed, and without faults when none are asked for', () => {
    expect(boatLog(options)).toBe(boatLog(options))
    expect(readAny('boat.nmea', boatLog({ ...options, spikes: 0, broken: 0 })).issues.filter(i => i.message.startsWith('wrong'))).toEqual([])
  })
})

describe('taking a chart out', () => {
  const reading = readWater({ grid, latDeg: 40.2 })
  const places = pellowickPlaces(pellowickGrid(), () => 'id')
  const file = (what: 'contours' | 'features' | 'places', as: 'geojson' | 'kml' | 'gpx') => chartFile({
    what, as, water: 'Pellowick Reservoir', frame, grid, levelsM: tintLevels({ deepestM: 14, units: 'us' }), reading, places, units: 'us',
  })

  it.each([['geojson', readGeoJson], ['kml', readKml], ['gpx', readGpx]] as const)('reads back every %s it wrote', (as, read) => {
    const counts = (['contours', 'features', 'places'] as const).map((what) => {
      const { items, skipped, issues } = read(file(what, as).text)
      expect([skipped, issues], what).toEqual([0, []])
      return items.length
    })
    expect(counts[1]).toBe(reading.features.length + reading.roads.length)
    expect(counts[2]).toBeGreaterThanOrEqual(12)
    expect(file('places', as).name).toBe(`pellowick-reservoir-places.${as}`)
  })

  it('keeps contours at their depth', () => {
    const { items } = readGeoJson(file('contours', 'geojson').text)
    const deep = items.find(i => Number(i.properties.depthM) > 9)!
    const { lonDeg, latDeg } = deep.rings[0]![3]!
    expect(depthAt({ grid, ...frame.toLocal(lonDeg, latDeg) })).toBeCloseTo(Number(deep.properties.depthM), 0)
  })
})

describe('readOut', () => {
  const ramp: DepthGrid = { x0: 0, y0: 0, cellM: 5, cols: 60, rows: 40, depthM: Float32Array.from({ length: 2400 }, (_, i) => (i % 60 > 3 ? (i % 60) * 0.2 : Number.NaN)) }

  it('gives depth, fall, its way and the distance to the bank', () => {
    const at = readOut({ grid: ramp, x: 120, y: 100 })!
    expect(at.depthM).toBeCloseTo(120 / 25 - 0.1, 1)
    expect(at.steepness).toBeCloseTo(0.04, 3)
    expect(at.facingDeg).toBeCloseTo(90, 3)
    expect(at.toShoreM).toBeCloseTo(100, -1)
  })

  it('says nothing of land', () => {
    expect(readOut({ grid: ramp, x: 5, y: 100 })).toBeNull()
  })
})
