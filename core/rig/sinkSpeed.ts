import { POSITIVE, requireNumber } from '../guard'
import { GRAVITY, waterDensity } from '../water/waterDensity'

export interface SinkOptions {
  /** whole lure: head, hook and body */
  massKg: number
  /** mean density of the whole lure */
  densityKgM3: number
  /** drag area Cd·S of the fall */
  dragAreaM2: number
  /** default 15 °C */
  waterTempC?: number
}

export interface SinkResult {
  /** terminal speed on a free line; 0 when it floats */
  speedMS: number
  /** weight in water; zero or negative when it floats */
  submergedN: number
  floats: boolean
}

/**
 * Terminal sinking speed of a lure with no line on it: v = √(2·W′/(ρ·A)), W′ = m·g·(1 − ρ/ρ_lure).
 * @throws RangeError for a mass, density or area that is not above 0, or water outside −2 to 45 °C
 */
export function sinkSpeed({ massKg, densityKgM3, dragAreaM2, waterTempC }: SinkOptions): SinkResult {
  requireNumber('massKg', massKg, POSITIVE)
  requireNumber('densityKgM3', densityKgM3, POSITIVE)
  requireNumber('dragAreaM2', dragAreaM2, POSITIVE)
  const rho = waterDensity({ waterTempC })
  const submergedN = massKg * GRAVITY * (1 - rho / densityKgM3)
  if (submergedN <= 0) return { speedMS: 0, submergedN, floats: true }
  return { speedMS: Math.sqrt((2 * submergedN) / (rho * dragAreaM2)), submergedN, floats: false }
}
