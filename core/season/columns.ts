import type { DepthGrid } from '../water/depthGrid'
import type { LakeParts } from '../water/lakeParts'

/** Depths at which a part's water is followed, m; the last of a part is its deepest. */
const LEVELS_M = [0.5, 1, 1.5, 2.2, 3, 4.2, 6, 8.5, 12, 18, 28, 45, 80]
const HYPSOMETRY_STEP_M = 0.5

/**
 * Water columns that stand for the cells of a lake: a few depths for each part. A cell's temperature lies between those of the
 * two columns of its part around its own depth.
 */
export interface Columns {
  count: number
  part: Int16Array
  depthM: Float32Array
  /** volume that the column stands for, m³ */
  volumeM3: Float64Array
  /** first column of each part, and one past the last part's end */
  firstOf: Int32Array
  /** of the main basin: area at depth k·stepM, m² */
  areaAtM2: Float64Array
  stepM: number
}

/** Where a depth of a part lies among its columns: the lower one's index, and the share of the one after it. */
export function columnAt({ depthM, firstOf }: Columns, part: number, depth: number): { column: number, share: number } {
  const first = firstOf[part]!
  const last = firstOf[part + 1]! - 1
  if (depth <= depthM[first]! || first === last) return { column: first, share: 0 }
  let at = first
  while (at < last - 1 && depthM[at + 1]! < depth) at++
  return { column: at, share: Math.min(1, (depth - depthM[at]!) / (depthM[at + 1]! - depthM[at]!)) }
}

/** The columns of a lake that has been taken apart. */
export function columnsOf({ parts, labels }: LakeParts, { depthM, cellM }: DepthGrid): Columns {
  const part: number[] = []
  const levels: number[] = []
  const firstOf = new Int32Array(parts.length + 1)
  for (const { index, deepestM } of parts) {
    firstOf[index] = levels.length
    const shallower = LEVELS_M.filter(level => level < deepestM - 0.2)
    for (const level of [...shallower, Math.max(deepestM, LEVELS_M[0]!)]) {
      part.push(index)
      levels.push(level)
    }
  }
  firstOf[parts.length] = levels.length
  const columns: Columns = {
    count: levels.length, part: Int16Array.from(part), depthM: Float32Array.from(levels), volumeM3: new Float64Array(levels.length), firstOf,
    areaAtM2: new Float64Array(Math.ceil(parts[0]!.deepestM / HYPSOMETRY_STEP_M) + 1), stepM: HYPSOMETRY_STEP_M,
  }
  labels.forEach((label, i) => {
    if (label < 0) return
    const depth = depthM[i]!
    const { column, share } = columnAt(columns, label, depth)
    columns.volumeM3[column]! += (1 - share) * depth * cellM ** 2
    if (share > 0) columns.volumeM3[column + 1]! += share * depth * cellM ** 2
    if (label === 0) for (let k = 0; k * HYPSOMETRY_STEP_M < depth; k++) columns.areaAtM2[k]! += cellM ** 2
  })
  return columns
}
