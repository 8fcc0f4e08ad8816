import type { DepthGrid } from './depthGrid'

/** "RMDG" */
const MAGIC = 0x52_4d_44_47
/** Version 1 had no confidence; it is still read. */
const VERSION = 2
const HAS_CONFIDENCE = 1
const HEADER_BYTES = 48
const MOST_CELLS = 50_000_000

/**
 * A depth grid as bytes, little-endian: magic u32 (big-endian "RMDG"), version u32, cols u32, rows u32,
 * x0 f64, y0 f64, cellM f64, flags u32 (1: confidence follows), 4 bytes spare, then rows × cols depths as f32, row 0 first,
 * then as many confidences as f32.
 */
export function encodeDepthGrid({ x0, y0, cellM, cols, rows, depthM, confidence }: DepthGrid): Uint8Array {
  if (depthM.length !== cols * rows) throw new RangeError(`depthM has ${depthM.length} cells; it must have cols × rows = ${cols * rows}`)
  if (confidence && confidence.length !== depthM.length) throw new RangeError(`confidence has ${confidence.length} cells; it must have as many as depthM, ${depthM.length}`)
  const bytes = new Uint8Array(HEADER_BYTES + depthM.length * (confidence ? 8 : 4))
  const view = new DataView(bytes.buffer)
  view.setUint32(0, MAGIC)
  view.setUint32(4, VERSION, true)
  view.setUint32(8, cols, true)
  view.setUint32(12, rows, true)
  view.setFloat64(16, x0, true)
  view.setFloat64(24, y0, true)
  view.setFloat64(32, cellM, true)
  view.setUint32(40, confidence ? HAS_CONFIDENCE : 0, true)
  depthM.forEach((depth, i) => view.setFloat32(HEADER_BYTES + i * 4, depth, true))
  confidence?.forEach((c, i) => view.setFloat32(HEADER_BYTES + (depthM.length + i) * 4, c, true))
  return bytes
}

/**
 * Reads what `encodeDepthGrid` wrote.
 * @throws RangeError when the bytes are not a depth grid, of another version, or cut short
 */
export function decodeDepthGrid(bytes: Uint8Array): DepthGrid {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  if (bytes.byteLength < HEADER_BYTES || view.getUint32(0) !== MAGIC) throw new RangeError('this is not a depth grid: its first four bytes are not RMDG')
  const version = view.getUint32(4, true)
  if (version !== 1 && version !== VERSION) throw new RangeError(`depth grid version is ${version}; this program reads versions 1 and ${VERSION}`)
  const cols = view.getUint32(8, true)
  const rows = view.getUint32(12, true)
  const cells = cols * rows
  const hasConfidence = version > 1 && (view.getUint32(40, true) & HAS_CONFIDENCE) !== 0
  const wanted = HEADER_BYTES + cells * (hasConfidence ? 8 : 4)
  if (cells > MOST_CELLS || bytes.byteLength !== wanted) throw new RangeError(`depth grid holds ${bytes.byteLength} bytes; ${cols} × ${rows} cells need ${wanted}`)
  const layer = (offset: number) => Float32Array.from({ length: cells }, (_, i) => view.getFloat32(offset + i * 4, true))
  const grid: DepthGrid = { x0: view.getFloat64(16, true), y0: view.getFloat64(24, true), cellM: view.getFloat64(32, true), cols, rows, depthM: layer(HEADER_BYTES) }
  return hasConfidence ? { ...grid, confidence: layer(HEADER_BYTES + cells * 4) } : grid
}
