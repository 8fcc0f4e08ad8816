import { NOT_NEGATIVE, requireNumber } from '../guard'

/**
 * How far to cast so that a lure swinging down on a tight line about the rod tip passes `depthM`
 * at `distanceM`: X = √(x² + (z+h)² − h²) (MATH §5).
 * @returns castM from the rod tip along the water, pastM beyond the mark
 * @throws RangeError for a negative or non-finite argument
 */
export function swingCast({ distanceM, depthM, rodTipM }: { distanceM: number, depthM: number, rodTipM: number }): { castM: number, pastM: number } {
  requireNumber('distanceM', distanceM, NOT_NEGATIVE)
  requireNumber('depthM', depthM, NOT_NEGATIVE)
  requireNumber('rodTipM', rodTipM, NOT_NEGATIVE)
  const castM = Math.sqrt(distanceM ** 2 + (depthM + rodTipM) ** 2 - rodTipM ** 2)
  return { castM, pastM: castM - distanceM }
}
