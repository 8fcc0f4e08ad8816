import { DateTime } from 'luxon'
import { getMoonIllumination, getMoonTimes, getTimes } from 'suncalc'
import { requireNumber } from '../guard'

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS

/** A day of a water as its own calendar counts it: 23 or 25 hours long where the clocks change. */
export interface LocalDay {
  /** "2026-04-24" */
  iso: string
  dayOfYear: number
  startMs: number
  endMs: number
}

/** The calendar day of a zone that an instant lies in. @throws RangeError for a zone that is not known or an instant that is no number */
export function localDay({ atMs, zone }: { atMs: number, zone: string }): LocalDay {
  requireNumber('atMs', atMs)
  return dayOf(firstInstant(inZone(atMs, zone)))
}

/** A day by its date. @throws RangeError for a date or zone that is not known */
export function localDayOf({ iso, zone }: { iso: string, zone: string }): LocalDay {
  const day = DateTime.fromISO(iso, { zone })
  if (!day.isValid) throw new RangeError(`iso is ${iso} in ${zone}; it must be a date such as 2026-04-24 in a zone that is known`)
  return dayOf(firstInstant(day))
}

/** Days one after another from the one an instant lies in. */
export function localDays({ fromMs, count, zone }: { fromMs: number, count: number, zone: string }): LocalDay[] {
  const first = inZone(requireNumber('fromMs', fromMs), zone).set({ hour: 12 })
  return Array.from({ length: requireNumber('count', count, { min: 0, max: 4000 }) }, (_, i) => dayOf(firstInstant(first.plus({ days: i }))))
}

function inZone(atMs: number, zone: string): DateTime {
  const at = DateTime.fromMillis(atMs, { zone })
  if (!at.isValid) throw new RangeError(`zone is ${zone}; it must be one of the IANA time zones`)
  return at
}

/** The first instant of a day: where the clocks go back at midnight its first hour comes twice, and the library names the second. */
function firstInstant(at: DateTime): DateTime {
  const start = at.startOf('day')
  const before = start.minus({ hours: 1 })
  return before.hasSame(start, 'day') ? before : start
}

function dayOf(start: DateTime): LocalDay {
  return { iso: start.toISODate()!, dayOfYear: start.ordinal, startMs: start.toMillis(), endMs: firstInstant(start.set({ hour: 12 }).plus({ days: 1 })).toMillis() }
}

/** Sun and moon of one day; instants in ms, null for what does not happen. Dusk may be past midnight: it ends the day's own light. */
export interface DayLights {
  /** sun at its highest, and whether that is in the north */
  noonMs: number
  sunInNorth: boolean
  dawnMs: number | null
  riseMs: number | null
  setMs: number | null
  duskMs: number | null
  /** the sun does not set, or does not rise */
  alwaysUp: boolean
  alwaysDown: boolean
  moonRiseMs: number | null
  moonSetMs: number | null
  /** lit share of the moon, 0–1, and its name */
  moonLit: number
  moonName: string
}

/**
 * Sunrise, sunset, civil twilight and moon of a water's own day. The sun's times are those of the solar day whose noon lies in the
 * calendar day, so that they hold on either side of the date line and where the night is short. Source: `suncalc`.
 * @throws RangeError for a position off the globe
 */
export function dayLights({ day, latDeg, lonDeg }: { day: LocalDay, latDeg: number, lonDeg: number }): DayLights {
  requireNumber('latDeg', latDeg, { min: -90, max: 90 })
  requireNumber('lonDeg', lonDeg, { min: -180, max: 180 })
  const middle = (day.startMs + day.endMs) / 2
  const around = [0, -DAY_MS, DAY_MS].map(off => getTimes(new Date(middle + off), latDeg, lonDeg))
  const times = around.find(t => t.solarNoon.getTime() >= day.startMs && t.solarNoon.getTime() < day.endMs) ?? around[0]!
  const { rise, set } = moonBetween(day, latDeg, lonDeg)
  const moon = getMoonIllumination(new Date(middle))
  return {
    noonMs: times.solarNoon.getTime(), sunInNorth: latDeg < declinationDeg(day.dayOfYear),
    dawnMs: ms(times.dawn), riseMs: ms(times.sunrise), setMs: ms(times.sunset), duskMs: ms(times.dusk),
    alwaysUp: times.alwaysUp === true, alwaysDown: times.alwaysDown === true,
    moonRiseMs: rise, moonSetMs: set, moonLit: moon.fraction, moonName: moonName(moon.phase),
  }
}

const ms = (date: Date | null | undefined): number | null => {
  const at = date?.getTime()
  return at === undefined || Number.isNaN(at) ? null : at
}

function declinationDeg(dayOfYear: number): number {
  return 23.45 * Math.sin((2 * Math.PI * (284 + dayOfYear)) / 365)
}

/** The library's days are UTC days: two or three of them touch a local one. */
function moonBetween({ startMs, endMs }: LocalDay, latDeg: number, lonDeg: number): { rise: number | null, set: number | null } {
  const found = [startMs - DAY_MS, startMs, endMs - 1, endMs + DAY_MS].map(at => getMoonTimes(new Date(at), latDeg, lonDeg))
  const within = (dates: (Date | undefined)[]) => dates.map(ms).find(at => at !== null && at >= startMs && at < endMs) ?? null
  return { rise: within(found.map(f => f.rise)), set: within(found.map(f => f.set)) }
}

const MOONS = ['new moon', 'waxing crescent', 'first quarter', 'waxing moon', 'full moon', 'waning moon', 'last quarter', 'waning crescent']
function moonName(phase: number): string {
  return MOONS[Math.round(phase * 8) % 8]!
}
