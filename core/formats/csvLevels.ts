import Papa from 'papaparse'
import { number } from './kml'
import { cleanText, refused, Tally, type ReadResult } from './readResult'

export interface LevelRow {
  /** ms since the epoch */
  atMs: number
  levelM: number
}

const FOOT_M = 0.3048
const MOST_M = 9000

/**
 * Pool levels from a table of two columns or more: a time (an ISO date or instant) and a level. The level's column is the one named so,
 * else the first of numbers; a heading with feet in it makes them feet. Rows that do not fit are counted with line and reason.
 */
export function readCsvLevels(text: string): ReadResult<LevelRow> {
  const plain = cleanText(text)
  if (typeof plain !== 'string') return refused(plain.refusal)
  const table = plain.replace(/\r\n|\r/g, '\n')
  // A semicolon or a tab is never within a figure; a comma may be.
  const delimiter = ['\t', ';', '|'].find(d => table.slice(0, table.indexOf('\n')).includes(d)) ?? ','
  const rows = Papa.parse<string[]>(table, { newline: '\n', delimiter }).data
  const comma = rows.some(row => row.length > 1 && row.some(cell => /^-?\d+,\d+$/.test(cell.trim())))
  const value = (cell: string | undefined) => number(comma ? cell?.replace(',', '.') : cell)
  const first = rows[0] ?? []
  const hasHeader = first.every(cell => Number.isNaN(value(cell)) && Number.isNaN(when(cell)))
  const body = hasHeader ? rows.slice(1) : rows
  const time = column(first.map((_, i) => body.filter(r => !Number.isNaN(when(r[i]))).length))
  const named = hasHeader ? first.findIndex((name, i) => i !== time && /level|stage|elev|pool|pegel/i.test(name)) : -1
  const level = named !== -1 ? named : column(first.map((_, i) => (i === time ? 0 : body.filter(r => !Number.isNaN(value(r[i]))).length)))
  if (time === -1 || level === -1) return refused('two columns are needed: a time such as 2026-04-24 and a level')
  const unitM = hasHeader && /f(ee|oo)?t\b|_ft/i.test(first[level]!) ? FOOT_M : 1
  const tally = new Tally<LevelRow>()
  const seen = new Set<number>()
  body.forEach((row, i) => {
    if (row.every(cell => cell.trim() === '')) return
    const line = i + 1 + (hasHeader ? 1 : 0)
    const atMs = when(row[time])
    const levelM = value(row[level]) * unitM
    if (Number.isNaN(atMs)) tally.leaveOut(line, 'the time is missing or cannot be read')
    else if (!Number.isFinite(levelM)) tally.leaveOut(line, 'the level is missing or no number')
    else if (Math.abs(levelM) > MOST_M) tally.leaveOut(line, `the level ${levelM} m is more than ${MOST_M} m`)
    else if (seen.has(atMs)) tally.leaveOut(line, 'this time stood in an earlier row')
    else {
      seen.add(atMs)
      tally.items.push({ atMs, levelM })
    }
  })
  tally.items.sort((a, b) => a.atMs - b.atMs)
  if (tally.items.length === 0) tally.note(null, 'no row could be read as a level')
  return tally.result()
}

/** An ISO date or instant, else not a number; a bare number is no time. */
function when(cell: string | undefined): number {
  return cell !== undefined && /^\s*\d{4}-\d{2}-\d{2}/.test(cell) ? Date.parse(cell.trim()) : Number.NaN
}

function column(counts: number[]): number {
  const most = Math.max(0, ...counts)
  return most === 0 ? -1 : counts.indexOf(most)
}

/** Writes levels as a table in metres; `readCsvLevels` gives them back unchanged. */
export function writeCsvLevels(levels: readonly LevelRow[]): string {
  return `${Papa.unparse({ fields: ['time', 'level_m'], data: levels.map(l => [new Date(l.atMs).toISOString(), l.levelM]) }, { newline: '\n' })}\n`
}
