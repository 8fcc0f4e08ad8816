/** One depth reading as a file gives it. */
export interface Sounding {
  lonDeg: number
  latDeg: number
  /** positive down, m */
  depthM: number
  /** ms since the epoch; null when the file does not say */
  atMs: number | null
}

/** Deeper than any water this is for: such a figure is a mistake, m. */
export const DEEPEST_SOUNDING_M = 400

/** What is wrong with a depth, or null. */
export function depthFault(depthM: number): string | null {
  if (!Number.isFinite(depthM)) return 'the depth is missing or no number'
  if (depthM < 0) return `the depth ${depthM} is negative`
  return depthM > DEEPEST_SOUNDING_M ? `the depth ${Math.round(depthM)} m is more than ${DEEPEST_SOUNDING_M} m` : null
}
