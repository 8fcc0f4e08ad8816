import { SOUNDING_FLAGS } from '../water/cleanSoundings'
import { depthFault, type Sounding } from './soundings'

/** "RMSD" */
const MAGIC = 0x52_4d_53_44
const VERSION = 1
const HEADER_BYTES = 16
const EACH_BYTES = 8 + 8 + 8 + 8 + 1

/** Soundings as columns, with why each is left out (index into `SOUNDING_FLAGS`; 0 counts). */
export interface SoundingTable {
  lonDeg: Float64Array
  latDeg: Float64Array
  depthM: Float64Array
  /** ms since the epoch; NaN when not known */
  atMs: Float64Array
  flags: Uint8Array
}

export function soundingTable(soundings: readonly Sounding[], flags: Uint8Array): SoundingTable {
  return {
    lonDeg: Float64Array.from(soundings, s => s.lonDeg), latDeg: Float64Array.from(soundings, s => s.latDeg), depthM: Float64Array.from(soundings, s => s.depthM),
    atMs: Float64Array.from(soundings, s => s.atMs ?? Number.NaN), flags,
  }
}

/** Little-endian: magic (big-endian "RMSD"), version u32, count u32, 4 bytes spare, then the columns one after another, f64 but for the flags. */
export function encodeSoundings({ lonDeg, latDeg, depthM, atMs, flags }: SoundingTable): Uint8Array {
  const n = lonDeg.length
  if ([latDeg, depthM, atMs, flags].some(column => column.length !== n)) throw new RangeError('the columns of soundings must be equally long')
  const bytes = new Uint8Array(HEADER_BYTES + n * EACH_BYTES)
  const view = new DataView(bytes.buffer)
  view.setUint32(0, MAGIC)
  view.setUint32(4, VERSION, true)
  view.setUint32(8, n, true)
  ;[lonDeg, latDeg, depthM, atMs].forEach((column, k) => column.forEach((v, i) => view.setFloat64(HEADER_BYTES + (k * n + i) * 8, v, true)))
  bytes.set(flags, HEADER_BYTES + n * 32)
  return bytes
}

/**
 * Reads what `encodeSoundings` wrote, checking every figure: they cross a border.
 * @throws RangeError naming the first sounding that is wrong, or that the bytes are not soundings
 */
export function decodeSoundings(bytes: Uint8Array): SoundingTable {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  if (bytes.byteLength < HEADER_BYTES || view.getUint32(0) !== MAGIC) throw new RangeError('these bytes are not soundings: the first four are not RMSD')
  if (view.getUint32(4, true) !== VERSION) throw new RangeError(`version of the soundings is ${view.getUint32(4, true)}; this program reads version ${VERSION}`)
  const n = view.getUint32(8, true)
  if (bytes.byteLength !== HEADER_BYTES + n * EACH_BYTES) throw new RangeError(`${n} soundings need ${HEADER_BYTES + n * EACH_BYTES} bytes; there are ${bytes.byteLength}`)
  const column = (k: number) => Float64Array.from({ length: n }, (_, i) => view.getFloat64(HEADER_BYTES + (k * n + i) * 8, true))
  const table: SoundingTable = { lonDeg: column(0), latDeg: column(1), depthM: column(2), atMs: column(3), flags: bytes.slice(HEADER_BYTES + n * 32) }
  for (let i = 0; i < n; i++) {
    const wrong = !(Math.abs(table.lonDeg[i]!) <= 180) ? 'longitude' : !(Math.abs(table.latDeg[i]!) <= 90) ? 'latitude' : depthFault(table.depthM[i]!) ? 'depth' : table.flags[i]! >= SOUNDING_FLAGS.length ? 'flag' : null
    if (wrong) throw new RangeError(`soundings[${i}] has a ${wrong} out of range`)
  }
  return table
}

/** Soundings that count, as x, y, depth triples in a local frame; `liftM` is added to each depth, to bring it to the chart's level. */
export function countedTriples(table: SoundingTable, toLocal: (lonDeg: number, latDeg: number) => { x: number, y: number }, liftM: number): Float64Array {
  const out: number[] = []
  table.flags.forEach((flag, i) => {
    if (flag !== 0) return
    const { x, y } = toLocal(table.lonDeg[i]!, table.latDeg[i]!)
    out.push(x, y, Math.max(0, table.depthM[i]! + liftM))
  })
  return Float64Array.from(out)
}
