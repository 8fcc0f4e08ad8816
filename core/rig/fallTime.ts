import { NOT_NEGATIVE, requireNumber } from '../guard'
import { sinkSpeed, type SinkOptions } from './sinkSpeed'

/** Skin-drag coefficient of line pulled lengthwise through water (MATH §1). */
export const LINE_SKIN_DRAG = 0.015

export interface FallOptions extends SinkOptions {
  /** line that follows the lure down; 0 for a free drop */
  lineDiameterM: number
  depthM: number
}

/**
 * Seconds for a lure to fall to `depthM` on slack line that follows it down and adds skin drag.
 *
 * The drag area grows with the depth, a(z) = A + c·z with c = Cf·π·d; inertia is negligible
 * (terminal within 0.1 s), which leaves a closed form. It is written here as D/v0 times a factor of
 * r = c·D/A, in expm1/log1p, so that thin line and short drops lose no digits.
 * @throws RangeError for bad arguments, or a lure that floats
 */
export function fallTime({ lineDiameterM, depthM, ...lure }: FallOptions): { seconds: number } {
  requireNumber('lineDiameterM', lineDiameterM, NOT_NEGATIVE)
  requireNumber('depthM', depthM, NOT_NEGATIVE)
  const { speedMS, floats } = sinkSpeed(lure)
  if (floats) throw new RangeError(`densityKgM3 is ${lure.densityKgM3}; it must be greater than the water's for the lure to fall: this one floats`)
  const r = (LINE_SKIN_DRAG * Math.PI * lineDiameterM * depthM) / lure.dragAreaM2
  return { seconds: (depthM / speedMS) * lineFactor(r) }
}

/** ((1+r)^1.5 − 1)·2/(3r): how much longer the fall takes for the line's drag. */
function lineFactor(r: number): number {
  if (r < 1e-9) return 1 + r / 4
  return (2 * Math.expm1(1.5 * Math.log1p(r))) / (3 * r)
}
