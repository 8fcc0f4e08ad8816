import Papa from 'papaparse'
import { number } from './kml'
import { cleanText, position, refused, Tally, type ReadResult } from './readResult'
import { depthFault, type Sounding } from './soundings'

export const DEPTH_UNITS = ['m', 'ft', 'fathom'] as const
export type DepthUnit = (typeof DEPTH_UNITS)[number]
const UNIT_M: Record<DepthUnit, number> = { m: 1, ft: 0.3048, fathom: 1.8288 }

/** How a table of soundings is to be read; every part is a guess that can be overruled. */
export interface CsvMapping {
  delimiter: string
  decimalComma: boolean
  hasHeader: boolean
  /** column numbers from 0 */
  lon: number
  lat: number
  depth: number
  time: number | null
  unit: DepthUnit
  /** depths are written as negative heights */
  negative: boolean
}

export interface CsvGuess {
  mapping: CsvMapping
  /** names of the columns, or "column 1" … */
  columns: string[]
  /** first rows as texts */
  sample: string[][]
  /** what was not certain, in sentences */
  doubts: string[]
}

const DELIMITERS = ['\t', ';', ',', '|', ' ']
const SAMPLE_ROWS = 60
const NAMES = {
  lon: /^(lon|lng|long|longitude|x|easting_deg|länge)\b|longitude/i,
  lat: /^(lat|latitude|y|breite)\b|latitude/i,
  depth: /depth|^z\b|sounding|tiefe|^d$|^dpt/i,
  time: /time|date|^t$|stamp/i,
}

/** Guesses how a table of soundings is written: delimiter, decimals, columns, units. Null with a reason when it is no such table. */
export function guessCsv(text: string): CsvGuess | { refusal: string } {
  const plain = cleanText(text)
  if (typeof plain !== 'string') return plain
  const head = plain.slice(0, 20_000)
  const lines = head.split(/\r\n|\r|\n/).filter(l => l.trim() !== '').slice(0, SAMPLE_ROWS)
  const delimiter = DELIMITERS.find((d) => {
    const widths = lines.map(l => l.split(d).length)
    return widths[0]! >= 3 && widths.filter(w => w === widths[0]).length >= 0.8 * widths.length
  })
  if (!delimiter) return { refusal: 'no delimiter gives three columns or more: longitude, latitude and depth are needed' }
  const rows = parse(lines.join('\n'), delimiter)
  const width = rows[0]!.length
  const decimalComma = delimiter !== ',' && rows.slice(1).some(r => r.some(cell => /^-?\d+,\d+$/.test(cell.trim())))
  const value = (cell: string | undefined) => toNumber(cell, decimalComma)
  const hasHeader = rows[0]!.filter(cell => Number.isNaN(value(cell))).length >= Math.min(2, width)
  const body = hasHeader ? rows.slice(1) : rows
  if (body.length === 0) return { refusal: 'there is a heading and no row under it' }
  const columns = hasHeader ? rows[0]!.map(c => c.trim()) : Array.from({ length: width }, (_, i) => `column ${i + 1}`)
  const doubts: string[] = []
  const column = (key: keyof typeof NAMES) => (hasHeader ? columns.findIndex(name => NAMES[key].test(name)) : -1)
  const numeric = columns.map((_, i) => body.map(r => value(r[i])).filter(Number.isFinite)).map(values => (values.length >= 0.5 * body.length ? values : null))
  let [lon, lat, depth] = [column('lon'), column('lat'), column('depth')]
  const free = numeric.flatMap((v, i) => (v && i !== lon && i !== lat && i !== depth ? [i] : []))
  if (lon === -1) lon = free.shift() ?? -1
  if (lat === -1) lat = free.shift() ?? -1
  if (depth === -1) depth = free.shift() ?? -1
  if (lon === -1 || lat === -1 || depth === -1) return { refusal: 'three columns of numbers are needed: longitude, latitude and depth' }
  if (!hasHeader) doubts.push('There is no heading: the columns are guessed from their order.')
  const time = column('time')
  const mostlyOver90 = (i: number) => (numeric[i] ?? []).filter(v => Math.abs(v) > 90).length > 0.5 * (numeric[i]?.length ?? 0)
  if (mostlyOver90(lat) && !mostlyOver90(lon)) {
    [lon, lat] = [lat, lon]
    doubts.push('Latitudes over 90 were found: longitude and latitude are taken the other way round.')
  }
  const heading = hasHeader ? columns[depth]! : ''
  const unit: DepthUnit | null = /f(ee|oo)?t\b|_ft|\(ft/i.test(heading) ? 'ft' : /fath|fm\b/i.test(heading) ? 'fathom' : /\bm\b|_m$|met(er|re)/i.test(heading) ? 'm' : null
  if (unit === null) doubts.push('The unit of depth is not named: metres are taken.')
  const depths = numeric[depth] ?? []
  const negative = depths.filter(d => d < 0).length > 0.5 * depths.length
  if (negative) doubts.push('Depths are negative: they are read as heights below the surface.')
  return { mapping: { delimiter, decimalComma, hasHeader, lon, lat, depth, time: time === -1 ? null : time, unit: unit ?? 'm', negative }, columns, sample: body.slice(0, 5), doubts }
}

/** Reads a table of soundings by a mapping; rows that do not fit are counted, with the line and the reason. */
export function readCsvSoundings(text: string, mapping: CsvMapping): ReadResult<Sounding> {
  const plain = cleanText(text)
  if (typeof plain !== 'string') return refused(plain.refusal)
  const tally = new Tally<Sounding>()
  parse(plain, mapping.delimiter).forEach((row, i) => {
    if ((i === 0 && mapping.hasHeader) || row.every(cell => cell.trim() === '')) return
    const value = (column: number) => toNumber(row[column], mapping.decimalComma)
    const at = position(value(mapping.lon), value(mapping.lat))
    if (typeof at === 'string') return tally.leaveOut(i + 1, at)
    const depthM = value(mapping.depth) * UNIT_M[mapping.unit] * (mapping.negative ? -1 : 1)
    const wrong = depthFault(depthM)
    if (wrong) return tally.leaveOut(i + 1, wrong)
    const when = mapping.time === null ? Number.NaN : Date.parse(row[mapping.time]?.trim() ?? '')
    tally.items.push({ ...at, depthM, atMs: Number.isNaN(when) ? null : when })
  })
  if (tally.items.length === 0) tally.note(null, 'no row could be read as a sounding')
  return tally.result()
}

function parse(text: string, delimiter: string): string[][] {
  return Papa.parse<string[]>(text.replace(/\r\n|\r/g, '\n'), { delimiter, newline: '\n', skipEmptyLines: false }).data
}

function toNumber(cell: string | undefined, decimalComma: boolean): number {
  return number(decimalComma ? cell?.replace(',', '.') : cell)
}

/** Writes soundings as a table in metres; `readCsvSoundings` with what `guessCsv` says gives them back unchanged. */
export function writeCsvSoundings(soundings: readonly Sounding[]): string {
  return Papa.unparse({
    fields: ['longitude', 'latitude', 'depth_m', 'time'],
    data: soundings.map(s => [s.lonDeg, s.latDeg, s.depthM, s.atMs === null ? '' : new Date(s.atMs).toISOString()]),
  }, { newline: '\n' }) + '\n'
}
