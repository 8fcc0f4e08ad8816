import Papa from 'papaparse'
import { number } from './kml'
import { cleanText, refused, Tally, type ReadResult } from './readResult'

/** A thing of the box as a table has it, before it is checked: the file's own names and figures. */
export interface TackleRow {
  kind: string
  name: string
  carried: boolean
  stock: number | null
  attributes: Record<string, string | number>
}

/** Columns of figures, in SI; every other column but the fixed ones is a text. */
const FIGURES = ['massKg', 'densityKgM3', 'lengthM', 'depthM', 'dragAreaM2', 'diameterM', 'testKg', 'volumeM3', 'diveM']
const TEXTS = ['metal', 'colour', 'material', 'shape', 'hook', 'tail', 'type', 'style', 'size', 'power']
const YES = /^(1|yes|y|true|x)$/i

/** Reads a table of tackle with a heading: kind and name, and any of carried, stock and the figures by their names. */
export function readCsvTackle(text: string): ReadResult<TackleRow> {
  const plain = cleanText(text)
  if (typeof plain !== 'string') return refused(plain.refusal)
  const { data: rows } = Papa.parse<string[]>(plain, { skipEmptyLines: 'greedy' })
  const heading = (rows[0] ?? []).map(cell => cell.trim())
  const column = (name: string) => heading.findIndex(h => h.toLowerCase() === name.toLowerCase())
  if (column('kind') === -1 || column('name') === -1) return refused('the table needs a heading with kind and name')
  const tally = new Tally<TackleRow>()
  rows.slice(1).forEach((row, i) => {
    const cell = (name: string) => row[column(name)]?.trim() ?? ''
    const stock = cell('stock') === '' ? null : number(cell('stock'))
    const attributes: TackleRow['attributes'] = {}
    let wrong: string | null = null
    for (const key of FIGURES) {
      if (column(key) === -1 || cell(key) === '') continue
      const value = number(cell(key))
      if (Number.isFinite(value)) attributes[key] = value
      else wrong ??= `${key} is no number`
    }
    for (const key of TEXTS) if (column(key) !== -1 && cell(key) !== '') attributes[key] = cell(key)
    if (cell('kind') === '' || cell('name') === '') wrong ??= 'kind and name are needed'
    if (stock !== null && !(Number.isInteger(stock) && stock >= 0)) wrong ??= 'stock is no whole number'
    if (wrong !== null) tally.leaveOut(i + 2, wrong)
    else tally.items.push({ kind: cell('kind'), name: cell('name'), carried: column('carried') === -1 || YES.test(cell('carried')), stock, attributes })
  })
  if (tally.items.length === 0 && tally.result().issues.length === 0) tally.note(null, 'there is a heading and no row under it')
  return tally.result()
}

/** Writes a box as a table in SI; `readCsvTackle` gives it back unchanged. */
export function writeCsvTackle(items: readonly TackleRow[]): string {
  const used = [...FIGURES, ...TEXTS].filter(key => items.some(i => i.attributes[key] !== undefined))
  const data = items.map(i => [i.kind, i.name, i.carried ? 'yes' : 'no', i.stock ?? '', ...used.map(key => i.attributes[key] ?? '')])
  return `${Papa.unparse({ fields: ['kind', 'name', 'carried', 'stock', ...used], data }, { newline: '\n' })}\n`
}
