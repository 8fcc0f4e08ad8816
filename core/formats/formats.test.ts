import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../numeric/random'
import { guessCsv, readCsvSoundings, writeCsvSoundings, type CsvGuess } from './csvSoundings'
import { readGeoJson, writeGeoJson } from './geoJson'
import { readGpx, writeGpx } from './gpx'
import { readKml, writeKml } from './kml'
import { nmeaSentence, readNmea } from './nmea'
import { MOST_BYTES, type GeoItem, type ReadResult } from './readResult'
import type { Sounding } from './soundings'

const lonLat = fc.record({ lonDeg: fc.double({ min: -180, max: 180, noNaN: true }), latDeg: fc.double({ min: -90, max: 90, noNaN: true }) })
const label = fc.option(fc.string({ unit: fc.constantFrom('a', 'Z', '7', '&', '<', '>', '"', '\'', 'é', '½', ' x '), minLength: 1, maxLength: 8 }).map(s => s.trim()).filter(s => s !== '' && s !== '__proto__'), { nil: null })
const item = (shapes: GeoItem['shape'][]) => fc.constantFrom(...shapes).chain(shape => fc.record<GeoItem>({
  shape: fc.constant(shape), name: label, properties: fc.constant({}),
  rings: shape === 'point' ? fc.tuple(fc.tuple(lonLat)) : shape === 'line' ? fc.tuple(fc.array(lonLat, { minLength: 2, maxLength: 5 })) : fc.array(fc.uniqueArray(lonLat, { minLength: 3, maxLength: 6, selector: p => `${p.lonDeg},${p.latDeg}` }), { minLength: 1, maxLength: 3 }),
}))
const zero = (v: unknown): unknown => JSON.parse(JSON.stringify(v)) as unknown // −0 and 0 are one place
const first = (r: ReadResult<unknown>) => r.issues[0]!

describe('what is written comes back unchanged', () => {
  it.each<[string, (items: GeoItem[]) => ReadResult<GeoItem>, GeoItem['shape'][]]>([
    ['GeoJSON', items => readGeoJson(writeGeoJson(items)), ['point', 'line', 'polygon']],
    ['KML', items => readKml(writeKml(items, 'A & B')), ['point', 'line', 'polygon']],
    ['GPX', items => readGpx(writeGpx(items)), ['point', 'line']],
  ])('%s', (_, roundTrip, shapes) => {
    fc.assert(fc.property(fc.array(item(shapes), { minLength: 1, maxLength: 4 }), (items) => {
      const { items: back, skipped, issues } = roundTrip(items)
      const name = (i: GeoItem) => (i.name === null ? {} : { name: i.name })
      const ordered = shapes.length === 2 ? [...items.filter(i => i.shape === 'point'), ...items.filter(i => i.shape !== 'point')] : items
      expect(zero(back.map(b => ({ ...b, properties: { ...b.properties, ...name(b) } })))).toEqual(zero(ordered.map(i => ({ ...i, properties: { ...i.properties, ...name(i) } }))))
      expect([skipped, issues]).toEqual([0, []])
    }), { numRuns: 60 })
  })

  it('soundings as CSV', () => {
    const sounding = fc.record<Sounding>({ lonDeg: fc.double({ min: -179, max: 179, noNaN: true }), latDeg: fc.double({ min: -89, max: 89, noNaN: true }), depthM: fc.double({ min: 0, max: 60, noNaN: true }), atMs: fc.option(fc.integer({ min: 0, max: 2e12 }), { nil: null }) })
    fc.assert(fc.property(fc.array(sounding, { minLength: 1, maxLength: 6 }), (soundings) => {
      const text = writeCsvSoundings(soundings)
      expect(zero(readCsvSoundings(text, (guessCsv(text) as CsvGuess).mapping).items)).toEqual(zero(soundings))
    }), { numRuns: 60 })
  })
})

describe('GeoJSON', () => {
  it('reads bare geometries, collections and several outlines, closing corner dropped', () => {
    const square = [[0, 0], [0, 1], [1, 1], [0, 0]]
    expect(readGeoJson(JSON.stringify({ type: 'Polygon', coordinates: [square] })).items[0]!.rings[0]).toHaveLength(3)
    expect(readGeoJson(JSON.stringify({ type: 'MultiPolygon', coordinates: [[square], [square]] })).items).toHaveLength(2)
    expect(readGeoJson(JSON.stringify({ type: 'GeometryCollection', geometries: [{ type: 'MultiPoint', coordinates: [[1, 2], [3, 4]] }, { type: 'MultiLineString', coordinates: [[[1, 2], [3, 4]]] }] })).items.map(i => i.shape)).toEqual(['point', 'point', 'line'])
  })

  it('keeps the good beside the bad and says which was bad', () => {
    const feature = (coordinates: unknown, type = 'Point') => ({ type: 'Feature', properties: {}, geometry: { type, coordinates } })
    const read = readGeoJson(JSON.stringify({ type: 'FeatureCollection', features: [feature([1, 2]), feature([40, -120]), feature([1, null]), feature([[0, 0], [1, 1]], 'Polygon'), { type: 'Feature', geometry: null }, feature([1], 'Blob')] }))
    expect(read.items).toHaveLength(1)
    expect(read.skipped).toBe(5)
    expect(read.issues.map(i => i.message)).toEqual([
      expect.stringMatching(/^features\[1\]: latitude -120 is over 90: longitude and latitude look swapped/), expect.stringMatching(/features\[2\].*missing or no number/),
      expect.stringMatching(/features\[3\].*not a list|coordinate/), expect.stringMatching(/features\[4\] has no geometry/), expect.stringMatching(/features\[5\] is of the unknown type Blob/),
    ])
  })

  it('refuses what is not JSON, empty, too large, or without end', () => {
    expect(first(readGeoJson('{"type":')).message).toMatch(/not JSON/)
    expect(first(readGeoJson(' \n')).message).toBe('the file is empty')
    expect(first(readGeoJson('\uFEFF{"type":"FeatureCollection","features":[]}')).message).toMatch(/no point, line or outline/)
    let deep: object = { type: 'Point', coordinates: [0, 0] }
    for (let i = 0; i < 50; i++) deep = { type: 'GeometryCollection', geometries: [deep] }
    expect(first(readGeoJson(JSON.stringify(deep))).message).toMatch(/nested more than/)
    expect(first(readGeoJson('x'.repeat(MOST_BYTES + 1))).message).toMatch(/the file is 100 MB; at most 100 MB are read/)
  })
})

describe('KML and GPX', () => {
  it('reads islands as holes and decodes names', () => {
    const ring = (n: number) => `<LinearRing><coordinates>${n},0 ${n + 1},0 ${n + 1},1 ${n},0</coordinates></LinearRing>`
    const { items } = readKml(`<kml xmlns="x"><Document><Folder><Placemark><name>Nan&apos;s &amp; Co &#65;</name><Polygon><outerBoundaryIs>${ring(0)}</outerBoundaryIs><innerBoundaryIs>${ring(2)}</innerBoundaryIs><innerBoundaryIs>${ring(4)}</innerBoundaryIs></Polygon></Placemark></Folder></Document></kml>`)
    expect(items[0]).toMatchObject({ shape: 'polygon', name: 'Nan\'s & Co A' })
    expect(items[0]!.rings.map(r => r.length)).toEqual([3, 3, 3])
  })

  it('never expands entities and says where they stand', () => {
    const bomb = '<?xml version="1.0"?>\n<!DOCTYPE kml [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;&a;">]>\n<kml><Placemark><name>&b;</name></Placemark></kml>'
    expect(readKml(bomb)).toMatchObject({ items: [], issues: [{ line: 2, message: expect.stringMatching(/entities, which are not read/) as string }] })
    expect(readGpx('<gpx><wpt lat="1" lon="2"><name>&b;</name></wpt></gpx>').items[0]!.name).toBe('&b;')
  })

  it('says where a truncated file ends', () => {
    const issue = first(readGpx('<gpx>\n<wpt lat="1" lon="2">\n<name>A'))
    expect(issue.message).toMatch(/not well-formed/)
    expect(issue.line).toBeGreaterThan(0)
    expect(first(readKml('<gpx></gpx>')).message).toMatch(/this XML is not KML: its first element is gpx/)
    expect(first(readGpx('<html></html>')).message).toMatch(/not GPX/)
  })

  it('does not take a missing coordinate for 0', () => {
    const gpx = readGpx('<gpx><wpt lat="" lon="2"/><wpt lon="2"/><wpt lat="1e1" lon="2"/><trk><trkseg><trkpt lat="1" lon="1"/><trkpt lat="x" lon="1"/></trkseg></trk></gpx>')
    expect(gpx.items).toHaveLength(1)
    expect(gpx.items[0]!.rings[0]![0]).toEqual({ lonDeg: 2, latDeg: 10 })
    expect(gpx.skipped).toBe(4)
    expect(readKml('<kml><Placemark><Point><coordinates>5</coordinates></Point></Placemark></kml>').items).toEqual([])
  })
})

describe('CSV of soundings', () => {
  const guess = (text: string) => guessCsv(text) as CsvGuess
  const read = (text: string) => readCsvSoundings(text, guess(text).mapping)

  it('finds the columns by name, in any order, with CRLF and a byte-order mark', () => {
    const text = '\uFEFFDepth (ft),Latitude,Longitude,time\r\n10,40.1,-88.5,2026-04-01T10:00:00Z\r\n12,40.2,-88.6,\r\n'
    expect(guess(text).mapping).toMatchObject({ delimiter: ',', lon: 2, lat: 1, depth: 0, time: 3, unit: 'ft', hasHeader: true })
    expect(read(text).items).toEqual([{ lonDeg: -88.5, latDeg: 40.1, depthM: 3.048, atMs: Date.UTC(2026, 3, 1, 10) }, expect.objectContaining({ atMs: null })])
  })

  it('understands decimal commas with semicolons', () => {
    const text = 'lon;lat;depth_m\n-88,5;40,1;3,25\n-88,6;40,2;4\n'
    expect(guess(text).mapping).toMatchObject({ delimiter: ';', decimalComma: true, unit: 'm' })
    expect(read(text).items[0]).toEqual({ lonDeg: -88.5, latDeg: 40.1, depthM: 3.25, atMs: null })
  })

  it('turns swapped columns round when a latitude cannot be one', () => {
    const { mapping, doubts } = guess('40.1 -120.5 3\n40.2 -120.6 4\n')
    expect(mapping).toMatchObject({ lon: 1, lat: 0, depth: 2, delimiter: ' ', hasHeader: false })
    expect(doubts.join(' ')).toMatch(/no heading.*other way round.*unit of depth is not named/)
  })

  it('reads negative heights as depths, and lets the mapping be overruled', () => {
    const text = 'x,y,z\n10,50,-3\n11,51,-4.5\n'
    expect(read(text).items.map(i => i.depthM)).toEqual([3, 4.5])
    expect(readCsvSoundings(text, { ...guess(text).mapping, unit: 'ft' }).items[1]!.depthM).toBeCloseTo(4.5 * 0.3048, 9)
  })

  it('skips rows that do not fit, with line and reason, and never makes a 0 of a gap', () => {
    const { items, skipped, issues } = read('lon,lat,depth_m\n1,2,3\n1,,3\n1,2,\n1,2,x\n1,2,-5\n1,2,900\n\n1,95,4\n2,3,4\n')
    expect(items).toHaveLength(2)
    expect(skipped).toBe(6)
    expect(issues.map(i => i.line)).toEqual([3, 4, 5, 6, 7, 9])
    expect(issues.map(i => i.message).join('|')).toMatch(/coordinate is missing.*depth is missing.*depth is missing.*negative.*more than 400.*latitude 95/)
  })

  it('says why a file is no table of soundings', () => {
    expect(guessCsv('')).toEqual({ refusal: 'the file is empty' })
    expect(guessCsv('hello\nworld\n')).toMatchObject({ refusal: expect.stringMatching(/no delimiter/) as string })
    expect(guessCsv('a,b,c\nd,e,f\n')).toMatchObject({ refusal: expect.stringMatching(/three columns of numbers/) as string })
    expect(guessCsv('lon,lat,depth\n')).toMatchObject({ refusal: expect.stringMatching(/no row under it/) as string })
  })
})

describe('NMEA log', () => {
  const rmc = (s: number, lon: string, valid = 'A') => nmeaSentence(`GPRMC,1200${String(s).padStart(2, '0')}.00,${valid},4012.0000,N,${lon},W,3.0,90.0,240426,,`)
  const gga = (s: number, lon: string) => nmeaSentence(`GNGGA,1200${String(s).padStart(2, '0')}.00,4012.0000,N,${lon},W,1,08,1.0,200,M,-33,M,,`)
  const dbt = (m: number) => nmeaSentence(`SDDBT,${(m / 0.3048).toFixed(1)},f,${m.toFixed(1)},M,${(m / 1.8288).toFixed(1)},F`)
  const dpt = (m: number, offset = '') => nmeaSentence(`SDDPT,${m.toFixed(1)},${offset}`)
  const log = (...lines: string[]) => lines.join('\r\n')

  it('sets depths between the fixes around them, in place and time', () => {
    const { items, skipped } = readNmea(log(rmc(0, '08836.0000'), dbt(3), dbt(4), dbt(5), rmc(4, '08835.9600')))
    expect(skipped).toBe(0)
    expect(items.map(i => i.depthM)).toEqual([3, 4, 5])
    expect(items.map(i => i.atMs! - Date.UTC(2026, 3, 24, 12))).toEqual([1000, 2000, 3000])
    expect(items[1]!.lonDeg).toBeCloseTo(-(88 + 35.98 / 60), 9)
    expect(items[1]!.latDeg).toBeCloseTo(40.2, 9)
  })

  it('adds the transducer to DBT, trusts an offset that DPT names, and counts one sounder once', () => {
    const depths = (...middle: string[]) => readNmea(log(rmc(0, '08836.0000'), ...middle, rmc(2, '08835.9900')), { transducerM: 0.4 }).items.map(i => i.depthM)
    expect(depths(dbt(3))).toEqual([3.4])
    expect(depths(dpt(3, '0.5'))).toEqual([3.5])
    expect(depths(dpt(3, '-0.2'))).toEqual([3.4])
    expect(depths(dbt(3), dpt(3, '0.5'))).toEqual([3.5])
  })

  it('takes mixed talkers and a GGA that repeats the RMC', () => {
    const { items } = readNmea(log(rmc(0, '08836.0000'), gga(0, '08836.0000'), dbt(3), rmc(1, '08835.9900'), gga(1, '08835.9900'), dbt(4), nmeaSentence('YXMTW,12.2,C'), rmc(2, '08835.9800')))
    expect(items.map(i => i.depthM)).toEqual([3, 4])
  })

  it('leaves out wrong checksums, lost fixes and depths without a place, by line', () => {
    const wrong = dbt(7).replace(/\*..$/, '*00')
    const read = readNmea(log(dbt(9), rmc(0, '08836.0000'), wrong, dbt(3), rmc(1, '08835.9900', 'V'), rmc(2, '08835.9800'), dbt(4), rmc(30, '08835.9000'), '!AIVDM,x', 'garbage', dbt(5)))
    expect(read.items.map(i => i.depthM)).toEqual([3])
    expect(read.issues.map(i => i.line)).toEqual([1, 3, 5, 7, 9, 10, 11])
    expect(read.issues[1]!.message).toMatch(/wrong checksum: 00 instead of/)
    expect(read.issues[3]!.message).toMatch(/no fix within 15 s/)
  })

  it('crosses the date line the short way', () => {
    const west = nmeaSentence('GPRMC,120000,A,1700.0000,S,17959.9900,E,3,90,240426,,')
    const east = nmeaSentence('GPRMC,120002,A,1700.0000,S,17959.9900,W,3,90,240426,,')
    const { items } = readNmea(log(west, dbt(3), east))
    expect(Math.abs(Math.abs(items[0]!.lonDeg) - 180)).toBeLessThan(1e-6)
  })

  it('says what a log lacks', () => {
    expect(readNmea('').issues[0]!.message).toBe('the file is empty')
    expect(readNmea(log(rmc(0, '08836.0000'))).issues.at(-1)!.message).toMatch(/no depth/)
    expect(readNmea(log(dbt(3))).issues.at(-1)!.message).toMatch(/no position/)
  })
})

describe('fuzz', () => {
  const seeds: [string, (text: string) => ReadResult<GeoItem | Sounding>][] = [
    [writeGeoJson([{ shape: 'polygon', rings: [[{ lonDeg: 0, latDeg: 0 }, { lonDeg: 1, latDeg: 0 }, { lonDeg: 1, latDeg: 1 }]], name: 'A', properties: { d: 3 } }, { shape: 'point', rings: [[{ lonDeg: 5, latDeg: 6 }]], name: null, properties: {} }]), readGeoJson],
    [writeKml([{ shape: 'polygon', rings: [[{ lonDeg: 0, latDeg: 0 }, { lonDeg: 1, latDeg: 0 }, { lonDeg: 1, latDeg: 1 }]], name: 'A & B', properties: { d: 3 } }], 'x'), readKml],
    [writeGpx([{ shape: 'line', rings: [[{ lonDeg: 0, latDeg: 0 }, { lonDeg: 1, latDeg: 0 }]], name: 'T', properties: { desc: 'x' } }, { shape: 'point', rings: [[{ lonDeg: 5, latDeg: 6 }]], name: 'P', properties: {} }]), readGpx],
    ['lon;lat;depth_m;time\n-88,5;40,1;3,25;2026-04-01\n-88,6;40,2;4;\n', (text) => {
      const guess = guessCsv(text)
      return 'refusal' in guess ? { items: [], skipped: 0, issues: [{ line: null, message: guess.refusal }] } : readCsvSoundings(text, guess.mapping)
    }],
    ['$GPRMC,120000.00,A,4012.0000,N,08836.0000,W,3.0,90.0,240426,,*23\r\n$SDDBT,9.8,f,3.0,M,1.6,F*0A\r\n$GPRMC,120002.00,A,4012.0000,N,08835.9900,W,3.0,90.0,240426,,*25', text => readNmea(text)],
  ]

  it('20,000 spoiled files: no crash, no hang, and nothing but sound items', () => {
    const random = seededRandom(99)
    const pick = (n: number) => Math.floor(random() * n)
    const junk = ['<', '>', '&', '"', '{', '[', ',', ';', '\n', '\0', '\uFEFF', '-', '9'.repeat(40), 'NaN', '1e999', '<!ENTITY x "y">', '\uD800', '*', '$', '']
    let slowest = 0
    let read = 0
    for (let n = 0; n < 20_000; n++) {
      const [seed, reader] = seeds[n % seeds.length]!
      let text = seed
      for (let k = 1 + pick(4); k > 0; k--) {
        const at = pick(text.length + 1)
        const cut = pick(4) === 0 ? pick(text.length) : pick(3)
        text = text.slice(0, at) + junk[pick(junk.length)]! + text.slice(at + cut)
      }
      const from = performance.now()
      const { items, issues } = reader(text)
      slowest = Math.max(slowest, performance.now() - from)
      for (const one of items) {
        const corners = 'rings' in one ? one.rings.flat() : [one]
        for (const c of corners) if (!(Math.abs(c.lonDeg) <= 180 && Math.abs(c.latDeg) <= 90)) throw new Error(`${JSON.stringify(c)} from ${JSON.stringify(text)}`)
        if ('depthM' in one && !(one.depthM >= 0 && one.depthM <= 400)) throw new Error(`depth ${one.depthM} from ${JSON.stringify(text)}`)
      }
      if (items.length === 0 && issues.length === 0) throw new Error(`nothing said of ${JSON.stringify(text)}`)
      read += items.length
    }
    expect(slowest).toBeLessThan(2000)
    expect(read).toBeGreaterThan(3000)
  }, 60_000)
})
