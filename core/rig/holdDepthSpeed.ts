import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { waterDensity } from '../water/waterDensity'

export interface HoldDepthOptions {
  submergedN: number
  dragAreaM2: number
  /** how far out the lure runs */
  distanceM: number
  depthM: number
  /** rod tip above the water */
  rodTipM: number
  waterTempC?: number
}

/**
 * Retrieve speed at which a lure neither climbs nor sinks: the line's upward pull equals its weight,
 * u = √(2·W′·x/(ρ·A·(z+h))). Heavier must go faster (MATH §5).
 * @throws RangeError for bad arguments, or depthM and rodTipM both 0
 */
export function holdDepthSpeed({ submergedN, dragAreaM2, distanceM, depthM, rodTipM, waterTempC }: HoldDepthOptions): { speedMS: number } {
  requireNumber('submergedN', submergedN, NOT_NEGATIVE)
  requireNumber('dragAreaM2', dragAreaM2, POSITIVE)
  requireNumber('distanceM', distanceM, NOT_NEGATIVE)
  requireNumber('depthM', depthM, NOT_NEGATIVE)
  requireNumber('rodTipM', rodTipM, NOT_NEGATIVE)
  requireNumber('depthM + rodTipM', depthM + rodTipM, POSITIVE)
  const rho = waterDensity({ waterTempC })
  return { speedMS: Math.sqrt((2 * submergedN * distanceM) / (rho * dragAreaM2 * (depthM + rodTipM))) }
}
