import { POSITIVE, requireNumber } from '../guard'
import { rootIncreasing } from '../numeric/rootIncreasing'
import { fallTime, type FallOptions } from './fallTime'

export type CalibrateOptions = Omit<FallOptions, 'dragAreaM2'> & { /** counted for the drop */ seconds: number }

/**
 * Drag area from one counted drop to a known depth: the inverse of `fallTime`, to 1e-9 relative.
 * @throws RangeError for bad arguments, a lure that floats, or a count shorter than the line alone would take
 */
export function calibrateDragArea({ seconds, ...drop }: CalibrateOptions): { dragAreaM2: number } {
  requireNumber('seconds', seconds, POSITIVE)
  requireNumber('depthM', drop.depthM, POSITIVE)
  const secondsFor = (dragAreaM2: number) => fallTime({ ...drop, dragAreaM2 }).seconds

  const SMALLEST_M2 = 1e-12
  const shortest = secondsFor(SMALLEST_M2)
  if (seconds <= shortest) {
    throw new RangeError(`seconds is ${seconds}; it must be a number greater than ${shortest.toPrecision(4)}, which the line's own drag takes`)
  }
  let upper = 1e-4
  while (secondsFor(upper) < seconds) upper *= 4
  // Bisecting the logarithm keeps the accuracy relative over the nine decades of areas.
  const log = rootIncreasing(x => secondsFor(Math.exp(x)) - seconds, Math.log(SMALLEST_M2), Math.log(upper), 1e-14)
  return { dragAreaM2: Math.exp(log) }
}
