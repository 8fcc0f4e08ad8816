import { NOT_NEGATIVE, POSITIVE, requireNumber, WATER_TEMP_C } from '../guard'
import { waterDensity } from '../water/waterDensity'

const AIR_KG_M3 = 1.2
/** Drag coefficient of an open sock on its mouth. */
const SOCK_CD = 1.35
/** A five-metre open boat, drag coefficients in. */
export const BOAT_AIR_M2 = 2.7
export const BOAT_WATER_M2 = 1.2

/**
 * Speed at which wind drives a boat through the water, m/s: its drag in the air balances that of hull and socks (MATH §4).
 * @param options.airDragAreaM2 area times drag coefficient above the water
 * @param options.waterDragAreaM2 the same below it, without socks
 * @throws RangeError for a negative wind or sock, or an area that is not above 0
 */
export function driftSpeed({ windMS, airDragAreaM2 = BOAT_AIR_M2, waterDragAreaM2 = BOAT_WATER_M2, socks = [], waterTempC = 15 }: { windMS: number, airDragAreaM2?: number, waterDragAreaM2?: number, socks?: readonly { diameterM: number }[], waterTempC?: number }): { speedMS: number } {
  requireNumber('windMS', windMS, NOT_NEGATIVE)
  requireNumber('airDragAreaM2', airDragAreaM2, POSITIVE)
  requireNumber('waterDragAreaM2', waterDragAreaM2, POSITIVE)
  requireNumber('waterTempC', waterTempC, WATER_TEMP_C)
  const held = socks.reduce((sum, { diameterM }, i) => sum + SOCK_CD * (Math.PI / 4) * requireNumber(`socks[${i}].diameterM`, diameterM, NOT_NEGATIVE) ** 2, waterDragAreaM2)
  return { speedMS: windMS * Math.sqrt((AIR_KG_M3 * airDragAreaM2) / (waterDensity({ waterTempC }) * held)) }
}
