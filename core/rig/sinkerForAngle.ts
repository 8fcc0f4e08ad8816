import { POSITIVE, NOT_NEGATIVE, requireNumber } from '../guard'
import { rootIncreasing } from '../numeric/rootIncreasing'
import { GRAVITY, waterDensity } from '../water/waterDensity'
import { LEAD_KG_M3 } from './jig'
import { lineShape } from './lineShape'

/** Steeper than this a bottom rig is fished blind, degrees from the vertical. */
export const MOST_LEAN_DEG = 15
export const SINKER_DRAG_M2 = 8e-4
const HEAVIEST_KG = 20

export interface SinkerOptions {
  depthM: number
  /** the boat's speed through the water at the line, m/s */
  relSpeedMS: number
  lineDiameterM: number
  /** default 15° */
  maxMeanAngleDeg?: number
  sinkerDensityKgM3?: number
  sinkerDragAreaM2?: number
  waterTempC?: number
}

/**
 * The smallest sinker that keeps the line to the bottom near enough to the vertical while boat and water move past each other (MATH §4).
 * @throws RangeError for a depth, diameter, density or area that is not above 0, a negative speed, an angle outside 1–80°, or a speed
 * that 20 kg would not hold against
 */
export function sinkerForAngle({ depthM, relSpeedMS, lineDiameterM, maxMeanAngleDeg = MOST_LEAN_DEG, sinkerDensityKgM3 = LEAD_KG_M3, sinkerDragAreaM2 = SINKER_DRAG_M2, waterTempC }: SinkerOptions): { massKg: number } {
  requireNumber('depthM', depthM, POSITIVE)
  requireNumber('relSpeedMS', relSpeedMS, NOT_NEGATIVE)
  requireNumber('lineDiameterM', lineDiameterM, POSITIVE)
  requireNumber('maxMeanAngleDeg', maxMeanAngleDeg, { min: 1, max: 80 })
  requireNumber('sinkerDragAreaM2', sinkerDragAreaM2, POSITIVE)
  const rho = waterDensity({ waterTempC })
  requireNumber('sinkerDensityKgM3', sinkerDensityKgM3, { min: rho, above: true })
  if (relSpeedMS === 0) return { massKg: 0 }
  const leans = (massKg: number) => {
    const shape = lineShape({ submergedN: massKg * GRAVITY * (1 - rho / sinkerDensityKgM3), dragAreaM2: sinkerDragAreaM2, lineDiameterM, depthM, flow: relSpeedMS, waterTempC })
    return shape.planes ? 90 : shape.meanAngleDeg
  }
  if (leans(HEAVIEST_KG) > maxMeanAngleDeg) throw new RangeError(`relSpeedMS is ${relSpeedMS}; no sinker of up to ${HEAVIEST_KG} kg holds ${maxMeanAngleDeg}° there`)
  // The logarithm keeps the accuracy relative from grams to kilograms.
  const log = rootIncreasing(x => maxMeanAngleDeg - leans(Math.exp(x)), Math.log(1e-6), Math.log(HEAVIEST_KG), 1e-7)
  return { massKg: Math.exp(log) }
}
