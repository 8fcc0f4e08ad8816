import { requireNumber } from '../guard'
import { roseFetch } from '../water/fetchRose'
import { waveHeight } from '../water/waveHeight'

export interface WindHour {
  atMs: number
  windMS: number
  windFromDeg: number
  fetchM: number
  waveM: number
  periodS: number
  /** what the wind does there */
  side: 'calm' | 'lee' | 'across' | 'into'
  over: boolean
}

const CALM_MS = 1.5
const LEE_M = 150
const OPEN_M = 250

/**
 * Wind, open water and waves at a place, hour by hour.
 * @param options.roseM see `fetchRose`
 * @throws RangeError for a depth or limit not above 0, a negative wind, or a wind without a bearing
 */
export function windThroughDay({ hours, roseM, depthM, limitM }: { hours: readonly { atMs: number, windMS: number, windFromDeg: number }[], roseM: Float32Array, depthM: number, limitM: number }): WindHour[] {
  requireNumber('limitM', limitM, { min: 0, above: true })
  return hours.map(({ atMs, windMS, windFromDeg }) => {
    const fetchM = roseFetch(roseM, windFromDeg)
    const { heightM, periodS } = waveHeight({ windMS, fetchM, depthM })
    const side = windMS < CALM_MS ? 'calm' : fetchM >= OPEN_M ? 'into' : fetchM <= LEE_M ? 'lee' : 'across'
    return { atMs, windMS, windFromDeg, fetchM, waveM: heightM, periodS, side, over: heightM > limitM }
  })
}

/** The strongest wind that counts for packing, and what it packs at, m/s. */
const PACKS_FROM_MS = 3
const PACKS_FULL_MS = 9
/** A strong wind pushes a school about this far off the downwind end (DOMAIN §3). */
const PUSHED_M = 6

/** A bed's end in the wind. */
export interface DownwindEnd {
  x: number
  y: number
  /** how far off it the fish may have been pushed, m */
  pushedM: number
}

/** The end of a weed bed or hump that lies furthest downwind, and how far a wind may push its fish off it; null in too little wind to pack them. */
export function downwindEnd({ outline, windMS, windFromDeg }: { outline: readonly { x: number, y: number }[], windMS: number, windFromDeg: number }): DownwindEnd | null {
  requireNumber('windMS', windMS, { min: 0 })
  requireNumber('windFromDeg', windFromDeg)
  if (outline.length === 0 || windMS < PACKS_FROM_MS) return null
  const toward = ((windFromDeg + 180) * Math.PI) / 180
  const along = (p: { x: number, y: number }) => p.x * Math.sin(toward) + p.y * Math.cos(toward)
  const end = outline.reduce((best, p) => (along(p) > along(best) ? p : best))
  return { x: end.x, y: end.y, pushedM: PUSHED_M * Math.min(1, (windMS - PACKS_FROM_MS) / (PACKS_FULL_MS - PACKS_FROM_MS)) }
}
