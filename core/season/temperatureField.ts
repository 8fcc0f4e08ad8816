import type { DepthGrid } from '../water/depthGrid'
import type { LakeParts } from '../water/lakeParts'
import { columnAt, type Columns } from './columns'
import type { WaterHeat } from './waterHeat'

/** For every wet cell, in the grid's order: where it is, and the two columns its temperature lies between. */
export interface FieldLookup {
  cell: Int32Array
  column: Int16Array
  share: Float32Array
}

export function fieldLookup({ columns, lake, grid }: { columns: Columns, lake: LakeParts, grid: DepthGrid }): FieldLookup {
  const cells: number[] = []
  lake.labels.forEach((label, i) => {
    if (label >= 0) cells.push(i)
  })
  const lookup = { cell: Int32Array.from(cells), column: new Int16Array(cells.length), share: new Float32Array(cells.length) }
  cells.forEach((cell, i) => {
    const { column, share } = columnAt(columns, lake.labels[cell]!, grid.depthM[cell]!)
    lookup.column[i] = column
    lookup.share[i] = share
  })
  return lookup
}

/** Surface temperature of every wet cell at the end of hour k, °C, written into `out` (one figure a cell of the lookup). */
export function temperatureFieldInto(out: Float32Array, offset: number, { columnC, columns }: { columnC: Float32Array, columns: number }, lookup: FieldLookup, k: number): void {
  const { column, share } = lookup
  const base = k * columns
  const n = column.length
  for (let i = 0; i < n; i++) {
    const at = base + column[i]!
    const a = columnC[at]!
    const f = share[i]!
    out[offset + i] = f === 0 ? a : a + f * (columnC[at + 1]! - a)
  }
}

/** Temperature at one depth of a part's water at the end of hour k, °C; under the surface layer what lies there. */
export function temperatureAt({ heat, columns, part, waterDepthM, k }: { heat: WaterHeat, columns: Columns, part: number, waterDepthM: number, k: number }): number {
  const { column, share } = columnAt(columns, part, waterDepthM)
  const at = k * columns.count + column
  return share === 0 ? heat.columnC[at]! : heat.columnC[at]! * (1 - share) + heat.columnC[at + 1]! * share
}
