import { NOT_NEGATIVE, POSITIVE, requireNumber, WATER_TEMP_C } from '../guard'
import { GRAVITY, waterDensity } from '../water/waterDensity'

/** Slower than this a bait hangs, m/s; up to `CREEPS_MS` it creeps (MATH §7). */
export const HANGS_MS = 0.015
export const CREEPS_MS = 0.05

export interface SuspendBalance {
  /** above 0 it is too heavy, kg */
  netKg: number
  speedMS: number
  verdict: 'rises' | 'hangs' | 'sinks'
  /** to add; below 0 to take, kg */
  trimKg: number
}

/**
 * Whether a bait hangs in water of a temperature, how fast it leaves its depth if not, and what trims it (MATH §7).
 * @param options.hardwareKg hooks, rings and trace
 * @throws RangeError for a mass that is negative, a volume or area that is not above 0, or a temperature outside −2 to 45 °C
 */
export function suspendBalance({ bodyMassKg, volumeM3, hardwareKg = [], dragAreaM2, waterTempC = 15 }: { bodyMassKg: number, volumeM3: number, hardwareKg?: readonly number[], dragAreaM2: number, waterTempC?: number }): SuspendBalance {
  requireNumber('bodyMassKg', bodyMassKg, POSITIVE)
  requireNumber('volumeM3', volumeM3, POSITIVE)
  requireNumber('dragAreaM2', dragAreaM2, POSITIVE)
  requireNumber('waterTempC', waterTempC, WATER_TEMP_C)
  const rho = waterDensity({ waterTempC })
  const netKg = hardwareKg.reduce((sum, kg, i) => sum + requireNumber(`hardwareKg[${i}]`, kg, NOT_NEGATIVE), bodyMassKg) - rho * volumeM3
  const speedMS = Math.sqrt((2 * Math.abs(netKg) * GRAVITY) / (rho * dragAreaM2))
  return { netKg, speedMS, verdict: speedMS <= HANGS_MS ? 'hangs' : netKg > 0 ? 'sinks' : 'rises', trimKg: netKg === 0 ? 0 : -netKg }
}
