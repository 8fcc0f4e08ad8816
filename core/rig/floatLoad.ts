import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { waterDensity } from '../water/waterDensity'

export interface FloatLoadOptions {
  floatVolumeM3: number
  floatMassKg: number
  /** everything that hangs from it */
  loads: { massKg: number, densityKgM3: number }[]
  waterTempC?: number
}

export interface FloatLoadResult {
  /** lift left over; negative when it sinks */
  reserveKg: number
  /** reserve over the float's net lift; aim for 0.10 to 0.25 */
  reserveShare: number
  sinks: boolean
}

/**
 * Buoyancy a float has left under its load: ρ·V − m_float − Σ m·(1 − ρ/ρ_load) (MATH §3).
 * @throws RangeError for bad arguments, or a float that cannot carry itself
 */
export function floatLoad({ floatVolumeM3, floatMassKg, loads, waterTempC }: FloatLoadOptions): FloatLoadResult {
  requireNumber('floatVolumeM3', floatVolumeM3, POSITIVE)
  requireNumber('floatMassKg', floatMassKg, NOT_NEGATIVE)
  const rho = waterDensity({ waterTempC })
  const liftKg = rho * floatVolumeM3 - floatMassKg
  if (liftKg <= 0) throw new RangeError(`floatMassKg is ${floatMassKg}; it must be a number less than ${rho * floatVolumeM3}, what the float displaces`)
  let hungKg = 0
  loads.forEach((load, i) => {
    requireNumber(`loads[${i}].massKg`, load.massKg, NOT_NEGATIVE)
    requireNumber(`loads[${i}].densityKgM3`, load.densityKgM3, POSITIVE)
    hungKg += load.massKg * (1 - rho / load.densityKgM3)
  })
  const reserveKg = liftKg - hungKg
  return { reserveKg, reserveShare: reserveKg / liftKg, sinks: reserveKg < 0 }
}
