import Papa from 'papaparse'
import { number } from './kml'
import { cleanText, position, refused, Tally, type GeoItem, type ReadResult } from './readResult'

const LON = /^(lon|lng|long|longitude|x)\b/i
const LAT = /^(lat|latitude|y)\b/i
const NAME = /^(name|title|label|place)\b/i
const FOOT_M = 0.3048

/** Places of a table with a heading: longitude and latitude in degrees, and any of name, kind, notes, depth (metres, or feet where the heading says so). */
export function readCsvPlaces(text: string): ReadResult<GeoItem> {
  const plain = cleanText(text)
  if (typeof plain !== 'string') return refused(plain.refusal)
  const { data: rows } = Papa.parse<string[]>(plain, { skipEmptyLines: 'greedy' })
  const heading = (rows[0] ?? []).map(cell => cell.trim())
  const [lon, lat, name] = [LON, LAT, NAME].map(words => heading.findIndex(h => words.test(h))) as [number, number, number]
  if (lon === -1 || lat === -1) return refused('the table needs a heading with a longitude and a latitude')
  const tally = new Tally<GeoItem>()
  rows.slice(1).forEach((row, i) => {
    const at = position(number(row[lon]), number(row[lat]))
    if (typeof at === 'string') return tally.leaveOut(i + 2, at)
    const properties: GeoItem['properties'] = Object.fromEntries(heading.flatMap((key, c): [string, string | number][] => {
      const cell = row[c]?.trim() ?? ''
      if (c === lon || c === lat || c === name || cell === '') return []
      if (!/^(bottom ?)?depth/i.test(key)) return [[key, cell]]
      const depth = number(cell) * (/\bft\b|feet|foot|_ft/i.test(key) ? FOOT_M : 1)
      return [['depthM', depth]]
    }))
    tally.items.push({ shape: 'point', rings: [[at]], name: name === -1 ? null : row[name]?.trim() || null, properties })
  })
  if (tally.items.length === 0 && tally.result().issues.length === 0) tally.note(null, 'there is a heading and no row under it')
  return tally.result()
}
