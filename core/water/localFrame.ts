import { requireNumber } from '../guard'

/** Mean Earth radius of the sphere that the map library uses too, m. */
const EARTH_M = 6371008.8
const RAD = Math.PI / 180

/** Origin of a water's metric frame: x metres east, y metres north of it. */
export interface FrameOrigin {
  lonDeg: number
  latDeg: number
}

export interface LocalFrame {
  toLocal: (lonDeg: number, latDeg: number) => { x: number, y: number }
  toLonLat: (x: number, y: number) => { lonDeg: number, latDeg: number }
}

/**
 * Metric frame around an origin (equirectangular on the sphere). Within 10 km of the origin
 * and below 65° of latitude distances are true to 0.4 %.
 * @throws RangeError for an origin off the globe or within a degree of a pole
 */
export function localFrame({ lonDeg, latDeg }: FrameOrigin): LocalFrame {
  requireNumber('lonDeg', lonDeg, { min: -180, max: 180 })
  requireNumber('latDeg', latDeg, { min: -89, max: 89 })
  const perDegY = EARTH_M * RAD
  const perDegX = perDegY * Math.cos(latDeg * RAD)
  return {
    toLocal: (lon, lat) => ({ x: wrap(lon - lonDeg) * perDegX, y: (lat - latDeg) * perDegY }),
    toLonLat: (x, y) => ({ lonDeg: wrap(lonDeg + x / perDegX), latDeg: latDeg + y / perDegY }),
  }
}

/** Into −180…180, so that a water across the date line stays in one piece. */
function wrap(deg: number): number {
  return deg > 180 ? deg - 360 : deg < -180 ? deg + 360 : deg
}
