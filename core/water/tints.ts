import { POSITIVE, requireNumber } from '../guard'
import { depthUnitM, type Units } from '../units/format'

/** How many steps the depth tint has, shallow to deep. */
export const TINT_STEPS = 9
const NICE_STEPS = [0.5, 1, 1.5, 2, 2.5, 5, 10, 20]

/**
 * Depths at which the tint changes, m, starting at 0: round figures in the reader's own unit,
 * the same for a water whatever is shown of it.
 * @throws RangeError for a depth that is not above 0
 */
export function tintLevels({ deepestM, units }: { deepestM: number, units: Units }): number[] {
  const unitM = depthUnitM(units)
  const wanted = requireNumber('deepestM', deepestM, POSITIVE) / unitM / TINT_STEPS
  const step = NICE_STEPS.find(s => s >= wanted - 0.6) ?? NICE_STEPS.at(-1)!
  return Array.from({ length: TINT_STEPS }, (_, i) => i * step * unitM)
}

/**
 * Depth of the staff beside one place, m: 20 ft or 6 m whatever the place, so that the eye learns it;
 * the water's whole staff where the fish are below that.
 */
export function placeStaffDepth({ reachM, deepestM, units }: { reachM: number, deepestM: number, units: Units }): number {
  const near = units === 'us' ? 20 * 0.3048 : 6
  const whole = staffDepth({ deepestM, units })
  return reachM <= near * 0.95 && near < whole ? near : whole
}

/** Depth of the staff of a water, m: its deepest point and a little, to a whole five feet or two metres. */
export function staffDepth({ deepestM, units }: { deepestM: number, units: Units }): number {
  const step = units === 'us' ? 5 * 0.3048 : 2
  return Math.ceil((requireNumber('deepestM', deepestM, POSITIVE) * 1.02) / step) * step
}
