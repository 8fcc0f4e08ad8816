import { NOT_NEGATIVE, POSITIVE, requireNumber, WATER_TEMP_C } from '../guard'
import { heatExchange } from './heatExchange'

/** Heat to warm a cubic metre of water by a degree, J/(m³ K): 1000 kg/m³ × 4186 J/(kg K). */
export const HEAT_CAPACITY = 1000 * 4186

type StepOptions = {
  waterC: number
  /** depth over which the heat is mixed, m: the local depth, or the surface layer's where that is less */
  depthM: number
  hours: number
} & ({ kWm2K: number, equilibriumC: number } | { dewPointC: number, windMS: number, solarWm2: number })

/**
 * Temperature of a mixed column after some hours of steady weather: T' = Te + (T − Te)·exp(−K·Δt/(ρ·c·h)). Give the
 * exchange itself, or the weather that makes it (then K is that of the starting temperature). MATH §8.
 * @throws RangeError for a temperature outside −2 to 45 °C, a depth or K that is not above 0, negative hours, or weather out of range
 */
export function stepTemperature(options: StepOptions): { waterC: number } {
  const { waterC, depthM, hours } = options
  requireNumber('waterC', waterC, WATER_TEMP_C)
  requireNumber('depthM', depthM, POSITIVE)
  requireNumber('hours', hours, NOT_NEGATIVE)
  const { kWm2K, equilibriumC } = 'kWm2K' in options ? options : heatExchange({ surfaceC: waterC, ...options })
  requireNumber('kWm2K', kWm2K, POSITIVE)
  requireNumber('equilibriumC', equilibriumC)
  return { waterC: equilibriumC + (waterC - equilibriumC) * Math.exp((-kWm2K * hours * 3600) / (HEAT_CAPACITY * depthM)) }
}
