import { NOT_NEGATIVE, requireNumber, WATER_TEMP_C, type Interval } from '../guard'

export const DEW_POINT_C: Interval = { min: -80, max: 45 }
export const SOLAR_WM2: Interval = { min: 0, max: 1500 }

export interface Heat {
  /** surface heat exchange coefficient, W/(m² K) */
  kWm2K: number
  /** temperature at which the surface neither gains nor loses heat, °C */
  equilibriumC: number
}

/**
 * How fast a water surface follows the weather, and where to: the equilibrium-temperature method.
 * `solarWm2` is what the water takes in, after reflection. Source: Edinger, Duttweiler & Geyer 1968; MATH §8.
 * @throws RangeError for a surface outside −2 to 45 °C, a dew point outside −80 to 45 °C, a negative wind or a sun outside 0 to 1500 W/m²
 */
export function heatExchange({ surfaceC, dewPointC, windMS, solarWm2 }: { surfaceC: number, dewPointC: number, windMS: number, solarWm2: number }): Heat {
  requireNumber('surfaceC', surfaceC, WATER_TEMP_C)
  requireNumber('dewPointC', dewPointC, DEW_POINT_C)
  requireNumber('windMS', windMS, NOT_NEGATIVE)
  requireNumber('solarWm2', solarWm2, SOLAR_WM2)
  const kWm2K = exchangeCoefficient(surfaceC, dewPointC, windMS)
  return { kWm2K, equilibriumC: dewPointC + solarWm2 / kWm2K }
}

/** K alone, unchecked: for loops over hours and columns. W/(m² K) from °C, °C, m/s. */
export function exchangeCoefficient(surfaceC: number, dewPointC: number, windMS: number): number {
  const meanC = 0.5 * (surfaceC + dewPointC)
  const beta = 0.35 + 0.015 * meanC + 0.0012 * meanC * meanC
  return 4.5 + 0.05 * surfaceC + (beta + 0.47) * (9.2 + 0.46 * windMS * windMS)
}
