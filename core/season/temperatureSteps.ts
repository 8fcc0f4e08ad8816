import { requireNumber } from '../guard'
import type { Units } from '../units/format'

/** How many tints a temperature chart has. */
export const TEMPERATURE_TINTS = 9

/**
 * Temperatures at which the chart's tint changes, °C: whole degrees of the reader's unit, evenly apart, that cover a span. One fewer than
 * there are tints.
 * @throws RangeError unless the ends are numbers
 */
export function temperatureSteps({ fromC, toC, units }: { fromC: number, toC: number, units: Units }): number[] {
  requireNumber('fromC', fromC)
  requireNumber('toC', toC)
  const degree = units === 'us' ? 5 / 9 : 1
  const read = (c: number) => (units === 'us' ? c * 1.8 + 32 : c)
  const back = (t: number) => (units === 'us' ? (t - 32) / 1.8 : t)
  const count = TEMPERATURE_TINTS - 1
  const wide = Math.max(1, toC - fromC) / degree
  const step = [0.5, 1, 2, 3, 4, 5, 10].find(s => s * (count - 1) >= wide) ?? 10
  const middle = (read(fromC) + read(toC)) / 2
  const first = Math.round((middle - (step * (count - 1)) / 2) / step) * step
  return Array.from({ length: count }, (_, i) => back(first + i * step))
}
