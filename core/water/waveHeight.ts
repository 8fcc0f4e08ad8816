import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { GRAVITY } from './waterDensity'

/**
 * Significant wave height (m) and period (s) over water of even depth.
 * Source: shallow-water growth curves of the Shore Protection Manual (1984), MATH §12.
 * @throws RangeError for a negative wind or fetch, or a depth that is not above 0
 */
export function waveHeight({ windMS, fetchM, depthM }: { windMS: number, fetchM: number, depthM: number }): { heightM: number, periodS: number } {
  requireNumber('windMS', windMS, NOT_NEGATIVE)
  requireNumber('fetchM', fetchM, NOT_NEGATIVE)
  requireNumber('depthM', depthM, POSITIVE)
  if (windMS === 0 || fetchM === 0) return { heightM: 0, periodS: 0 }
  const ua = 0.71 * windMS ** 1.23
  const relDepth = (GRAVITY * depthM) / ua ** 2
  const relFetch = (GRAVITY * fetchM) / ua ** 2
  const a = Math.tanh(0.53 * relDepth ** 0.75)
  const b = Math.tanh(0.833 * relDepth ** 0.375)
  return {
    heightM: 0.283 * (ua ** 2 / GRAVITY) * a * Math.tanh((0.00565 * relFetch ** 0.5) / a),
    periodS: 7.54 * (ua / GRAVITY) * b * Math.tanh((0.0379 * relFetch ** (1 / 3)) / b),
  }
}
