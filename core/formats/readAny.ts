import { guessCsv, readCsvSoundings, type CsvGuess, type CsvMapping } from './csvSoundings'
import { readGeoJson } from './geoJson'
import { readGpx } from './gpx'
import { readKml } from './kml'
import { readNmea } from './nmea'
import type { GeoItem, LonLat, ReadIssue, ReadResult } from './readResult'
import { depthFault, type Sounding } from './soundings'

export type FileKind = 'geojson' | 'kml' | 'gpx' | 'nmea' | 'csv'

/** What a file of any known format holds that a chart can be made of. */
export interface FileContents {
  kind: FileKind
  /** outlines: outside first, then holes */
  outlines: LonLat[][][]
  soundings: Sounding[]
  skipped: number
  issues: ReadIssue[]
  /** for a table: how it was read, to be overruled */
  csv: CsvGuess | null
}

export interface ReadAnyOptions {
  /** overrules what is guessed of a table */
  mapping?: CsvMapping
  /** depth of the transducer below the surface, m, for NMEA logs */
  transducerM?: number
}

/** Tells the format from the text itself, the name only where the text leaves it open. */
export function fileKind(name: string, text: string): FileKind {
  const head = text.slice(0, 4000).trimStart().replace(/^\uFEFF/, '').trimStart()
  if (head.startsWith('{') || head.startsWith('[')) return 'geojson'
  if (head.startsWith('<')) return /<gpx[\s>]/i.test(head) || (/\.gpx$/i.test(name) && !/<kml[\s>]/i.test(head)) ? 'gpx' : 'kml'
  return /^[^\n]{0,40}\$[A-Z]{2}[A-Z0-9]{3},/m.test(head) ? 'nmea' : 'csv'
}

/** Reads a file of any known format into outlines and soundings. Never throws for what is in it. */
export function readAny(name: string, text: string, { mapping, transducerM }: ReadAnyOptions = {}): FileContents {
  const kind = fileKind(name, text)
  if (kind === 'nmea') return fromSoundings(kind, readNmea(text, { transducerM }), null)
  if (kind === 'csv') {
    const guess = guessCsv(text)
    if ('refusal' in guess) return fromSoundings(kind, { items: [], skipped: 0, issues: [{ line: null, message: guess.refusal }] }, null)
    const used = mapping ?? guess.mapping
    return fromSoundings(kind, readCsvSoundings(text, used), { ...guess, mapping: used })
  }
  const read = kind === 'geojson' ? readGeoJson(text) : kind === 'gpx' ? readGpx(text) : readKml(text)
  return fromItems(kind, read)
}

function fromSoundings(kind: FileKind, { items, skipped, issues }: ReadResult<Sounding>, csv: CsvGuess | null): FileContents {
  return { kind, outlines: [], soundings: items, skipped, issues, csv }
}

const DEPTH_NAMES = ['depthM', 'depth_m', 'depth', 'DEPTH', 'Depth', 'z']

/** Polygons are outlines, closed lines too; points with a depth are soundings. */
function fromItems(kind: FileKind, { items, skipped, issues }: ReadResult<GeoItem>): FileContents {
  const contents: FileContents = { kind, outlines: [], soundings: [], skipped, issues: [...issues], csv: null }
  let open = 0
  let bare = 0
  for (const { shape, rings, properties } of items) {
    if (shape === 'polygon') contents.outlines.push(rings)
    else if (shape === 'line') {
      const [first, last] = [rings[0]![0]!, rings[0]!.at(-1)!]
      if (rings[0]!.length > 3 && first.lonDeg === last.lonDeg && first.latDeg === last.latDeg) contents.outlines.push([rings[0]!.slice(0, -1)])
      else open++
    }
    else {
      const key = DEPTH_NAMES.find(n => properties[n] !== undefined)
      const value = key === undefined ? Number.NaN : typeof properties[key] === 'number' ? properties[key] : Number.parseFloat(String(properties[key]))
      const wrong = key === undefined ? null : depthFault(value)
      if (key === undefined) bare++
      else if (wrong) {
        contents.skipped++
        contents.issues.push({ line: null, message: `a point: ${wrong}` })
      }
      else contents.soundings.push({ ...rings[0]![0]!, depthM: value, atMs: null })
    }
  }
  if (open > 0) contents.issues.push({ line: null, message: `${open} open ${open === 1 ? 'line is' : 'lines are'} no outline and ${open === 1 ? 'was' : 'were'} left out` })
  if (bare > 0) contents.issues.push({ line: null, message: `${bare} ${bare === 1 ? 'point has' : 'points have'} no depth and ${bare === 1 ? 'was' : 'were'} left out` })
  return contents
}
