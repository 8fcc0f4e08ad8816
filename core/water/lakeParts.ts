import { deepest, type DepthGrid } from './depthGrid'
import { distanceToMarked } from './distanceTransform'
import { fetchField } from './fetchField'
import { regions } from './regions'

/** A part of a lake that warms as one: the main basin, or an arm or bay that opens to it. */
export interface LakePart {
  /** its place in the list; 0 is the main basin */
  index: number
  kind: 'basin' | 'bay'
  areaM2: number
  volumeM3: number
  deepestM: number
  /** a point well inside it, m in the local frame */
  x: number
  y: number
  /** the part it opens to; null for the main basin */
  joins: number | null
  /** cross-section of its mouth, m² */
  mouthM2: number
  /** mean open water upwind for winds from k·30°, m */
  fetchM: number[]
  /** the same where it is rough: a tenth of the part has more, m */
  roughFetchM: number[]
}

export interface LakeParts {
  parts: LakePart[]
  /** part of each cell; −1 off the water */
  labels: Int16Array
}

/** A stretch narrower than this share of the lake's widest is an arm. */
const NARROW_SHARE = 0.48
const LEAST_BAY_M2 = 8000
const LEAST_BAY_SHARE = 0.004
export const FETCH_DIRECTIONS = 12

/**
 * Takes a lake apart into its main basin and its bays: the basin is where a disc of a share of the lake's half-width fits
 * (a morphological opening of the water), what is left over and large enough is a bay. Bays stand in order of size.
 * @throws RangeError for a grid without water
 */
export function lakeParts({ grid }: { grid: DepthGrid }): LakeParts {
  const { cols, rows, cellM, depthM } = grid
  if (!(deepest(grid) > 0)) throw new RangeError('grid has no water; it must hold at least one cell with a depth')
  const wet = Uint8Array.from(depthM, d => (Number.isNaN(d) ? 0 : 1))
  const toLand = distanceToLand(wet, cols, rows)
  let widest = 0
  for (const d of toLand) if (d > widest) widest = d
  const radius = NARROW_SHARE * widest
  const core = Uint8Array.from(toLand, (d, i) => (wet[i] && d >= radius ? 1 : 0))
  const reach = distanceToMarked(core, cols, rows)
  const open = Uint8Array.from(wet, (w, i) => (w && reach[i]! <= radius ? 1 : 0))
  const labels = new Int16Array(wet.length).fill(-1)
  const pools = regions(open, cols, rows, 1).sort((a, b) => b.length - a.length)
  const rest = Uint8Array.from(wet, (w, i) => (w && !open[i] ? 1 : 0))
  const wetCells = wet.reduce((a, b) => a + b, 0)
  const least = Math.max(LEAST_BAY_M2 / cellM ** 2, LEAST_BAY_SHARE * wetCells)
  // A second wide pool beyond a narrows warms on its own as well.
  const bays = [...pools.slice(1), ...regions(rest, cols, rows, 1)].filter(cells => cells.length >= least).sort((a, b) => b.length - a.length)
  for (const i of pools[0]!) labels[i] = 0
  bays.forEach((cells, k) => {
    for (const i of cells) labels[i] = k + 1
  })
  fillNearest(labels, wet, cols, rows)
  const fetch = fetchField({ grid, directions: FETCH_DIRECTIONS })
  return { labels, parts: Array.from({ length: bays.length + 1 }, (_, index) => measure(index, labels, toLand, fetch, grid)) }
}

function distanceToLand(wet: Uint8Array, cols: number, rows: number): Float64Array {
  const land = Uint8Array.from(wet, w => (w ? 0 : 1))
  // The grid's frame is land too: a lake drawn to the very edge ends there.
  for (let c = 0; c < cols; c++) land[c] = land[(rows - 1) * cols + c] = 1
  for (let r = 0; r < rows; r++) land[r * cols] = land[r * cols + cols - 1] = 1
  return distanceToMarked(land, cols, rows)
}

/** Slivers of water without a label take that of the water they touch. */
function fillNearest(labels: Int16Array, wet: Uint8Array, cols: number, rows: number): void {
  let edge: number[] = []
  labels.forEach((label, i) => {
    if (label >= 0) edge.push(i)
  })
  while (edge.length > 0) {
    const next: number[] = []
    for (const i of edge) {
      const c = i % cols
      for (const n of [c > 0 ? i - 1 : -1, c < cols - 1 ? i + 1 : -1, i - cols, i + cols]) {
        if (n < 0 || n >= cols * rows || !wet[n] || labels[n]! >= 0) continue
        labels[n] = labels[i]!
        next.push(n)
      }
    }
    edge = next
  }
  // Ponds apart from the lake go with the main basin.
  wet.forEach((w, i) => {
    if (w && labels[i]! < 0) labels[i] = 0
  })
}

function measure(index: number, labels: Int16Array, toLand: Float64Array, fetch: Float32Array[], { cols, cellM, depthM, x0, y0 }: DepthGrid): LakePart {
  let cells = 0
  let volumeM3 = 0
  let deepestM = 0
  let middle = -1
  const fetchSum = fetch.map(() => 0)
  const mouths = new Map<number, number>()
  labels.forEach((label, i) => {
    if (label !== index) return
    const depth = depthM[i]!
    cells++
    volumeM3 += depth * cellM ** 2
    if (depth > deepestM) deepestM = depth
    if (middle < 0 || toLand[i]! > toLand[middle]!) middle = i
    fetch.forEach((field, k) => {
      fetchSum[k]! += field[i]!
    })
    for (const n of [i - 1, i + 1, i - cols, i + cols]) {
      const other = labels[n] ?? -1
      if (other >= 0 && other !== index) mouths.set(other, (mouths.get(other) ?? 0) + depth * cellM)
    }
  })
  const [joins, section] = [...mouths].sort((a, b) => b[1] - a[1])[0] ?? [null, 0]
  return {
    index, kind: index === 0 ? 'basin' : 'bay', areaM2: cells * cellM ** 2, volumeM3, deepestM,
    x: x0 + ((middle % cols) + 0.5) * cellM, y: y0 + (Math.floor(middle / cols) + 0.5) * cellM,
    joins: index === 0 ? null : joins ?? 0, mouthM2: index === 0 ? 0 : section,
    fetchM: fetchSum.map(sum => sum / cells), roughFetchM: fetch.map(field => tenthOver(field, labels, index)),
  }
}

/** The figure that a tenth of a part's cells exceed, from every few of them. */
function tenthOver(field: Float32Array, labels: Int16Array, index: number): number {
  const some: number[] = []
  for (let i = 0; i < field.length; i += 7) if (labels[i] === index) some.push(field[i]!)
  return some.sort((a, b) => a - b)[Math.floor(some.length * 0.9)] ?? 0
}
