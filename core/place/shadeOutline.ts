import { NOT_NEGATIVE, requireNumber } from '../guard'

/** A point of a plan, m: x east, y north. */
export interface PlanPoint { x: number, y: number }

/** Speed of light in air over that in water: light bends toward the vertical by it. */
const REFRACTION = 1.333
const RAD = Math.PI / 180

/** How far under water the sun's rays lean from the vertical, as a slope (run over fall). */
export function sunSlopeInWater(sunAltitudeDeg: number): number {
  return Math.tan(Math.asin(Math.sin((90 - sunAltitudeDeg) * RAD) / REFRACTION))
}

/**
 * The shade that a deck or roof throws at a depth: its outline moved away from the sun by H/tan(alt) over the air and by
 * z·tan θw in the water, sin θw = sin(90° − alt)/1.333 (MATH §10).
 * @param options.heightM of the edge above the water
 * @param options.depthM at which the shade is wanted
 * @returns the moved outline and how far it was moved, m
 * @throws RangeError for a sun at or below the horizon, a negative height or depth, or a point that is no number
 */
export function shadeOutline({ outline, heightM, sunAzimuthDeg, sunAltitudeDeg, depthM }: { outline: readonly PlanPoint[], heightM: number, sunAzimuthDeg: number, sunAltitudeDeg: number, depthM: number }): { outline: PlanPoint[], shiftM: number } {
  requireNumber('heightM', heightM, NOT_NEGATIVE)
  requireNumber('depthM', depthM, NOT_NEGATIVE)
  requireNumber('sunAzimuthDeg', sunAzimuthDeg, { min: -360, max: 720 })
  requireNumber('sunAltitudeDeg', sunAltitudeDeg, { min: 0, above: true, max: 90 })
  const shiftM = heightM / Math.tan(sunAltitudeDeg * RAD) + depthM * sunSlopeInWater(sunAltitudeDeg)
  const dx = -Math.sin(sunAzimuthDeg * RAD) * shiftM
  const dy = -Math.cos(sunAzimuthDeg * RAD) * shiftM
  return {
    shiftM,
    outline: outline.map(({ x, y }, i) => ({ x: requireNumber(`outline[${i}].x`, x) + dx, y: requireNumber(`outline[${i}].y`, y) + dy })),
  }
}
