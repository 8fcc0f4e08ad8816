import { getPosition, getTimes } from 'suncalc'
import { requireNumber } from '../guard'
import type { Sky } from './sky'

export interface SunState {
  /** degrees above the horizon */
  altitudeDeg: number
  /** degrees clockwise from true north */
  azimuthDeg: number
}

function requirePlace(latDeg: number, lonDeg: number): void {
  requireNumber('latDeg', latDeg, { min: -90, max: 90 })
  requireNumber('lonDeg', lonDeg, { min: -180, max: 180 })
}

/**
 * Where the sun stands at an instant. Source: `suncalc`.
 * @throws RangeError for a position off the globe
 */
export function sunAt({ atMs, latDeg, lonDeg }: { atMs: number, latDeg: number, lonDeg: number }): SunState {
  requirePlace(latDeg, lonDeg)
  const { altitude, azimuth } = getPosition(new Date(requireNumber('atMs', atMs)), latDeg, lonDeg)
  return { altitudeDeg: altitude, azimuthDeg: azimuth }
}

/**
 * Sunrise and sunset, ms, of the solar day around an instant (pass local noon); null where the sun does not rise or set that day.
 * @throws RangeError for a position off the globe
 */
export function sunTimes({ noonMs, latDeg, lonDeg }: { noonMs: number, latDeg: number, lonDeg: number }): { riseMs: number | null, setMs: number | null } {
  requirePlace(latDeg, lonDeg)
  const { sunrise, sunset } = getTimes(new Date(requireNumber('noonMs', noonMs)), latDeg, lonDeg)
  return { riseMs: instant(sunrise), setMs: instant(sunset) }
}

function instant(date: Date | null | undefined): number | null {
  const ms = date?.getTime()
  return ms === undefined || Number.isNaN(ms) ? null : ms
}

/** Share of the sun that comes through as direct light, by sky. */
const DIRECT: Record<Sky, number> = { clear: 1, broken: 0.6, overcast: 0.1, rain: 0.05 }

/** 0–1: how strongly things throw a shadow just now. */
export function shadowStrength({ altitudeDeg, sky }: { altitudeDeg: number, sky: Sky }): number {
  if (altitudeDeg <= 0) return 0
  return DIRECT[sky] * Math.sin((Math.min(90, altitudeDeg) * Math.PI) / 180) ** 0.5
}

/**
 * How much more or less the fish feed for the light alone, around 1: more near sunrise and sunset,
 * less at high sun under a clear sky, least in the night. A prior from practice, not a measurement.
 */
export function lightActivity({ altitudeDeg, sky }: { altitudeDeg: number, sky: Sky }): number {
  if (altitudeDeg < -12) return 0.5
  const twilight = Math.exp(-(((altitudeDeg - 4) / 9) ** 2))
  return 0.9 + 0.35 * twilight - 0.15 * shadowStrength({ altitudeDeg, sky })
}
