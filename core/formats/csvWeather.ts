import Papa from 'papaparse'
import { WEATHER_RANGE, type WeatherField, type WeatherHour } from '../season/weather'
import { number } from './kml'
import { cleanText, refused, Tally, type ReadResult } from './readResult'

interface Meaning { field: WeatherField, name: RegExp }

/** What a heading may be called; the first that fits is taken. */
const MEANINGS: Meaning[] = [
  { field: 'dewPointC', name: /dew/i },
  { field: 'windFromDeg', name: /wind.*(dir|from|deg|bearing)|dir(ection)?.*wind|^wd\b/i },
  { field: 'windMS', name: /wind(?!.*gust)|^ws\b/i },
  { field: 'cloud', name: /cloud|sky.?cover/i },
  { field: 'pressureHpa', name: /press|baro|hpa|\bmb(ar)?\b/i },
  { field: 'rainMm', name: /rain|precip/i },
  { field: 'airC', name: /air|temp/i },
]

const toC = (f: number) => (f - 32) / 1.8
/** Units by what the heading says; the metric one when it says nothing. */
function converter(field: WeatherField, heading: string): (value: number) => number {
  switch (field) {
    case 'airC': case 'dewPointC': return /°?\s*f\b|_f\b|fahren/i.test(heading) ? toC : v => v
    case 'windMS':
      if (/mph/i.test(heading)) return v => v * 0.44704
      if (/km.?h|kph/i.test(heading)) return v => v / 3.6
      return /kn|kt/i.test(heading) ? v => v * 0.514444 : v => v
    case 'cloud': return /okta|8/i.test(heading) ? v => v / 8 : /%|pct|percent/i.test(heading) ? v => v / 100 : v => v
    case 'pressureHpa': return /in.?hg/i.test(heading) ? v => v * 33.8639 : /kpa/i.test(heading) ? v => v * 10 : v => v
    case 'rainMm': return /\bin(ch)?(es)?\b|_in\b/i.test(heading) ? v => v * 25.4 : v => v
    case 'windFromDeg': return v => (v === 360 ? 0 : v)
  }
}

const NEEDED: { field: WeatherField, word: string }[] = [{ field: 'airC', word: 'air temperature' }, { field: 'dewPointC', word: 'dew point' }, { field: 'windMS', word: 'wind speed' }, { field: 'cloud', word: 'cloud' }]

/**
 * Weather hour by hour from a table with a heading: a time (an ISO instant, or a local one read with `offset`), air temperature, dew point,
 * wind speed and direction, cloud, pressure, rain. Units are read from the headings (°F, mph, km/h, kn, %, oktas, inHg, in), else they are
 * °C, m/s, a share of 1, hPa and mm. Rows that do not fit are counted with line and reason.
 * @param options.instant reads a time without a zone as an instant, ms
 */
export function readCsvWeather(text: string, { instant = Date.parse }: { instant?: (text: string) => number } = {}): ReadResult<WeatherHour> {
  const plain = cleanText(text)
  if (typeof plain !== 'string') return refused(plain.refusal)
  const table = plain.replace(/\r\n|\r/g, '\n')
  const firstLine = table.slice(0, table.indexOf('\n') === -1 ? undefined : table.indexOf('\n'))
  const delimiter = ['\t', ';', '|'].find(d => firstLine.includes(d)) ?? ','
  const rows = Papa.parse<string[]>(table, { newline: '\n', delimiter }).data
  const heading = (rows[0] ?? []).map(cell => cell.trim())
  const time = heading.findIndex(h => /time|date|hour|instant/i.test(h))
  if (time === -1) return refused('the first row must name the columns; none is called time or date', 1)
  const columns = new Map<WeatherField, { at: number, convert: (v: number) => number }>()
  heading.forEach((name, at) => {
    if (at === time || /water|lake/i.test(name)) return
    const meaning = MEANINGS.find(m => m.name.test(name) && !columns.has(m.field))
    if (meaning) columns.set(meaning.field, { at, convert: converter(meaning.field, name) })
  })
  const lacking = NEEDED.filter(n => !columns.has(n.field)).map(n => n.word)
  if (lacking.length > 0) return refused(`no column for ${lacking.join(', ')}`, 1)
  const tally = new Tally<WeatherHour>()
  const seen = new Set<number>()
  const comma = delimiter !== ',' && rows.slice(1).some(row => row.some(cell => /^-?\d+,\d+$/.test(cell.trim())))
  rows.slice(1).forEach((row, i) => {
    if (row.every(cell => cell.trim() === '')) return
    const line = i + 2
    const atMs = whenOf(row[time], instant)
    if (Number.isNaN(atMs)) return tally.leaveOut(line, 'the time is missing or cannot be read')
    const hour: WeatherHour = { atMs, airC: Number.NaN, dewPointC: Number.NaN, windMS: Number.NaN, windFromDeg: Number.NaN, cloud: Number.NaN, pressureHpa: Number.NaN, rainMm: Number.NaN }
    for (const [field, { at, convert }] of columns) {
      const cell = row[at]?.trim() ?? ''
      if (cell === '') continue
      const value = convert(number(comma ? cell.replace(',', '.') : cell))
      const [lo, hi] = WEATHER_RANGE[field]
      if (!(value >= lo && value <= hi)) return tally.leaveOut(line, `${heading[at]} is ${cell}; that is no weather of this world`)
      hour[field] = value
    }
    if (seen.has(atMs)) return tally.leaveOut(line, 'this time stood in an earlier row')
    seen.add(atMs)
    tally.items.push(hour)
  })
  tally.items.sort((a, b) => a.atMs - b.atMs)
  if (tally.items.length === 0) tally.note(null, 'no row could be read as an hour of weather')
  return tally.result()
}

function whenOf(cell: string | undefined, instant: (text: string) => number): number {
  const text = cell?.trim() ?? ''
  if (!/^\d{4}-\d{2}-\d{2}/.test(text)) return Number.NaN
  return /(Z|[+-]\d{2}:?\d{2})$/i.test(text) ? Date.parse(text.replace(' ', 'T')) : instant(text.replace(' ', 'T'))
}

/** Writes hours as such a table; `readCsvWeather` gives them back. Figures that are not known stay empty. */
export function writeCsvWeather(hours: readonly WeatherHour[]): string {
  const cell = (value: number, digits: number) => (Number.isNaN(value) ? '' : Number(value.toFixed(digits)))
  return `${Papa.unparse({
    fields: ['time', 'air_c', 'dew_point_c', 'wind_m_s', 'wind_from_deg', 'cloud_share', 'pressure_hpa', 'rain_mm'],
    data: hours.map(h => [new Date(h.atMs).toISOString(), cell(h.airC, 2), cell(h.dewPointC, 2), cell(h.windMS, 2), cell(h.windFromDeg, 0), cell(h.cloud, 3), cell(h.pressureHpa, 1), cell(h.rainMm, 2)]),
  }, { newline: '\n' })}\n`
}
