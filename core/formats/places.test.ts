import { describe, expect, it } from 'vitest'
import { placeKindOf } from '../place/placeKindOf'
import { planImport } from '../place/planImport'
import type { Place } from '../place/kinds'
import { localFrame } from '../water/localFrame'
import { placeItems } from './chartItems'
import { readCsvPlaces } from './csvPlaces'
import { writeGeoJson } from './geoJson'
import { writeGpx } from './gpx'
import { writeKml } from './kml'
import { readPlaces } from './readPlaces'

const brush: Place = { id: 'a', name: 'Old "brush" & co', kind: 'brush', lonDeg: -88.6, latDeg: 40.2, notes: 'laid by the club', attributes: { bottomDepthM: 4, coverTopM: 2.2, material: 'cedar', laidYear: 2019 } }
const weed: Place = { id: 'b', name: 'North weed', kind: 'weedEdge', lonDeg: -88.59, latDeg: 40.21, shape: { type: 'LineString', coordinates: [[-88.591, 40.21], [-88.59, 40.21], [-88.589, 40.2101]] }, attributes: { bottomDepthM: 3, coverTopM: 1, growth: 'mat' } }
const dock: Place = { id: 'c', name: 'T dock', kind: 'dock', lonDeg: -88.58, latDeg: 40.2, shape: { type: 'Polygon', coordinates: [[[-88.58, 40.2], [-88.5799, 40.2], [-88.5799, 40.2001], [-88.58, 40.2]]] }, attributes: { bottomDepthM: 3, deckAreaM2: 40, deckHeightM: 0.9, roofed: true, facingDeg: 180, brushAtCorners: false } }

describe('places in files', () => {
  it.each([['x.geojson', writeGeoJson], ['x.kml', (items: Parameters<typeof writeKml>[0]) => writeKml(items, 'places')], ['x.gpx', writeGpx]] as const)('come back from %s with name, kind, position and words', (name, write) => {
    const { items, skipped } = readPlaces(name, write(placeItems([brush, weed, dock])))
    expect(skipped).toBe(0)
    expect(items.map(i => [i.name, i.kind])).toEqual([[brush.name, 'brush'], ['North weed', 'weedEdge'], ['T dock', 'dock']])
    expect(items[0]).toMatchObject({ lonDeg: -88.6, latDeg: 40.2, notes: 'laid by the club', shape: null })
    expect(items[1]).toMatchObject({ lonDeg: -88.59, notes: null })
    expect(items[1]!.shape).toMatchObject({ type: 'LineString' })
  })
  it('keep their own figures in GeoJSON', () => {
    const { items } = readPlaces('x.geojson', writeGeoJson(placeItems([brush, dock])))
    expect(items[0]!.properties).toMatchObject(brush.attributes)
    expect(items[0]!.depthM).toBe(4)
    expect(items[1]!.shape).toEqual(dock.shape)
  })
  it('of a table are read by their headings, feet as feet, wrong rows by their line', () => {
    const { items, skipped, issues } = readCsvPlaces('name,latitude,longitude,kind,depth_ft,notes\nCrib 1,40.2,-88.6,brush pile,12,two trees\nBad,95,-88,dock,,\n,40.21,-88.6,,,\n')
    expect(items).toHaveLength(2)
    expect(items[0]!.properties.depthM).toBeCloseTo(3.66, 2)
    expect(skipped).toBe(1)
    expect(issues[0]).toMatchObject({ line: 3, message: expect.stringMatching(/latitude 95/) })
    const found = readPlaces('x.csv', 'lat;lon;name\n40,2;-88,6;x')
    expect(found.items).toHaveLength(0)
    expect(readCsvPlaces('a,b\n1,2').issues[0]!.message).toMatch(/heading with a longitude/)
    expect(readCsvPlaces('lat,lon').issues[0]!.message).toMatch(/no row/)
  })
  it('are not looked for in a boat\'s log, and an empty file is said to be empty', () => {
    expect(readPlaces('x.nmea', '$GPRMC,1,A*00').issues[0]!.message).toMatch(/boat's log/)
    expect(readPlaces('x.gpx', '').issues[0]!.message).toMatch(/empty/)
  })
  it.each([['old brush pile', 'brush'], ['Crib 4', 'brush'], ['North DOCK', 'dock'], ['weed point', 'weedEdge'], ['stump field', 'timber'], ['drop-off', 'breakEdge'], ['lily pads', 'reedStubble'], ['Lock wall', 'lockCut'], ['insideTurn', 'insideTurn'], ['weirs and tailraces', 'weir'], ['A12', null], ['blocky', null]])('%s is %s', (text, kind) => {
    expect(placeKindOf([text])).toBe(kind)
  })
  it('go by the first text that tells', () => {
    expect(placeKindOf([null, 'A12', 'hump', 'dock'])).toBe('hump')
  })
})

describe('places of a file against those that are kept', () => {
  const frame = localFrame({ lonDeg: -88.6, latDeg: 40.2 })
  const at = (x: number, y: number, id = `${x}`) => ({ id, ...frame.toLonLat(x, y) })
  it('finds the nearest twin within fifteen metres, and none beyond', () => {
    const kept = [at(0, 0, 'k0'), at(20, 0, 'k20')]
    const plan = planImport({ found: [at(12, 0), at(-14.9, 0), at(0, 15.2), at(36, 0)], kept, frame })
    expect(plan.map(p => p.twin?.place.id ?? null)).toEqual(['k20', 'k0', null, null])
    expect(plan[0]!.twin!.distanceM).toBeCloseTo(8, 6)
  })
  it('finds a file\'s own repeats, the first of them standing', () => {
    const plan = planImport({ found: [at(0, 0), at(4, 4), at(300, 0)], kept: [], frame })
    expect(plan.map(p => p.repeats)).toEqual([null, 0, null])
  })
  it('gives the same twins as trying every pair', () => {
    const points = (n: number, of: number) => Array.from({ length: n }, (_, i) => at(((i * 7919 + of) % 997) / 3, ((i * 104729 + of) % 991) / 3, `${of}-${i}`))
    const [found, kept] = [points(150, 3), points(150, 11)]
    const plain = found.map(f => kept.map(k => ({ id: k.id, d: Math.hypot(frame.toLocal(f.lonDeg, f.latDeg).x - frame.toLocal(k.lonDeg, k.latDeg).x, frame.toLocal(f.lonDeg, f.latDeg).y - frame.toLocal(k.lonDeg, k.latDeg).y) })).filter(k => k.d <= 15).sort((a, b) => a.d - b.d)[0]?.id ?? null)
    expect(planImport({ found, kept, frame }).map(p => p.twin?.place.id ?? null)).toEqual(plain)
    expect(() => planImport({ found, kept, frame, withinM: 0 })).toThrow(/withinM/)
  })
})
