import { requireNumber, WATER_TEMP_C } from '../guard'

export const GRAVITY = 9.80665
export const DEFAULT_WATER_C = 15

/**
 * Density of fresh water, kg/m³, at `waterTempC` (−2 to 45 °C).
 * Source: the cubic fit of MATH (Kell-type), maximum near 3.99 °C.
 * @throws RangeError outside the range
 */
export function waterDensity({ waterTempC = DEFAULT_WATER_C }: { waterTempC?: number } = {}): number {
  const t = requireNumber('waterTempC', waterTempC, WATER_TEMP_C)
  return 1000 * (1 - ((t + 288.9414) / (508929.2 * (t + 68.12963))) * (t - 3.9863) ** 2)
}
