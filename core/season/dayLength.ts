import { requireNumber } from '../guard'

const RAD = Math.PI / 180
/** Centre of the sun below a level horizon when its rim touches it, with refraction, degrees. */
const RISE_ALTITUDE_DEG = -0.833

/**
 * Hours from sunrise to sunset, 0–24; a calendar figure to about five minutes (the exact times come from `dayLights`).
 * Source: Cooper 1969 for the sun's declination.
 * @throws RangeError for a day outside 1–366 or a latitude outside ±90
 */
export function dayLengthH({ dayOfYear, latDeg }: { dayOfYear: number, latDeg: number }): number {
  requireNumber('dayOfYear', dayOfYear, { min: 1, max: 366 })
  requireNumber('latDeg', latDeg, { min: -90, max: 90 })
  const declination = 23.45 * RAD * Math.sin((2 * Math.PI * (284 + dayOfYear)) / 365)
  const lat = Math.max(-89.9, Math.min(89.9, latDeg)) * RAD
  const cosine = (Math.sin(RISE_ALTITUDE_DEG * RAD) - Math.sin(lat) * Math.sin(declination)) / (Math.cos(lat) * Math.cos(declination))
  return (24 / Math.PI) * Math.acos(Math.max(-1, Math.min(1, cosine)))
}
