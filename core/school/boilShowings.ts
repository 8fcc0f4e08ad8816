import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'

/** A boil that was seen: where in the local frame, when in its day and year. */
export interface SeenBoil {
  atMs: number
  x: number
  y: number
  /** hour of its day, 0–24 */
  hour: number
  /** day of its year, 1–366 */
  dayOfYear: number
}

export interface Showing {
  x: number
  y: number
  /** chance that fish show there within the time ahead */
  chance: number
  /** boils that speak for it, as they were seen; how many count is less, the unlike ones weigh little */
  boils: number
  /** hours of the day between which most of them were seen */
  fromHour: number
  toHour: number
  /** minutes since fish showed there today; null: not today */
  minutesAgo: number | null
}

/** Boils nearer than this are one stretch of water, m. */
const STRETCH_M = 180
/** Likeness by the clock and by the year falls to a third at these. */
const HOUR_SD = 0.75
const SEASON_SD_DAYS = 20
/** A school that went down comes up again about here: most often within half an hour. */
const AGAIN_MIN = 25
/** Showings for each boil of the last half hour. */
const AGAIN_SHARE = 0.6
/** Days of watching that a stretch without any would have had: keeps one lucky boil from being a rule. */
const PRIOR_DAYS = 2
const DAY_MS = 86_400_000

/**
 * Where fish should show next, likeliest first. Past boils are gathered into stretches of water; each speaks for its own hour of the day and time of
 * the year (Gaussian likeness), against the days on which somebody was there to see. What showed today is likely to show again soon, near by.
 * @param days days of the year on which the water was fished, one for each day out, today left out
 * @param aheadMin how far ahead, min
 * @throws RangeError for an hour or day out of range
 */
export function boilShowings({ boils, days, nowMs, hour, dayOfYear, aheadMin = 60 }: { boils: readonly SeenBoil[], days: readonly number[], nowMs: number, hour: number, dayOfYear: number, aheadMin?: number }): Showing[] {
  requireNumber('hour', hour, { min: 0, max: 24 })
  requireNumber('dayOfYear', dayOfYear, { min: 1, max: 366 })
  requireNumber('aheadMin', aheadMin, POSITIVE)
  boils.forEach((b, i) => {
    requireNumber(`boils[${i}].hour`, b.hour, { min: 0, max: 24 })
    requireNumber(`boils[${i}].dayOfYear`, b.dayOfYear, NOT_NEGATIVE)
  })
  const watched = PRIOR_DAYS + days.reduce((sum, day) => sum + seasonLikeness(day, dayOfYear), 0)
  const aheadH = aheadMin / 60
  return gather(boils).map((group) => {
    const today = group.filter(b => nowMs - b.atMs < DAY_MS / 2 && nowMs >= b.atMs)
    const past = group.filter(b => !today.includes(b))
    // Showings a day and hour of the clock: each past boil is one, spread over the hours about its own.
    const usual = past.reduce((sum, b) => sum + seasonLikeness(b.dayOfYear, dayOfYear) * clockShare(hour - b.hour, aheadH), 0) / watched
    const again = today.reduce((sum, b) => sum + AGAIN_SHARE * (Math.exp(-(nowMs - b.atMs) / 60_000 / AGAIN_MIN) - Math.exp(-((nowMs - b.atMs) / 60_000 + aheadMin) / AGAIN_MIN)), 0)
    const hours = group.map(b => b.hour).sort((a, b) => a - b)
    const at = (share: number) => hours[Math.round(share * (hours.length - 1))]!
    const last = today.reduce<number | null>((newest, b) => (newest === null || b.atMs > newest ? b.atMs : newest), null)
    return {
      x: mean(group.map(b => b.x)), y: mean(group.map(b => b.y)), chance: 1 - Math.exp(-usual - again), boils: group.length,
      fromHour: at(0.1), toHour: at(0.9), minutesAgo: last === null ? null : (nowMs - last) / 60_000,
    }
  }).sort((a, b) => b.chance - a.chance)
}

/** Single linkage: a boil belongs to the stretch of any within reach of it. The order given does not matter. */
function gather(boils: readonly SeenBoil[]): SeenBoil[][] {
  const left = [...boils].sort((a, b) => a.atMs - b.atMs || a.x - b.x || a.y - b.y)
  const groups: SeenBoil[][] = []
  while (left.length > 0) {
    const group = [left.shift()!]
    for (let i = 0; i < group.length; i++) {
      for (let j = left.length - 1; j >= 0; j--) if (Math.hypot(left[j]!.x - group[i]!.x, left[j]!.y - group[i]!.y) <= STRETCH_M) group.push(...left.splice(j, 1))
    }
    groups.push(group)
  }
  return groups
}

const seasonLikeness = (a: number, b: number) => {
  const apart = Math.abs(a - b) % 366
  return Math.exp(-0.5 * (Math.min(apart, 366 - apart) / SEASON_SD_DAYS) ** 2)
}

/** Share of a boil's spread over the clock that lies between `past` hours after its own and `ahead` hours more: Gaussian, cut into tenths of an hour. */
function clockShare(past: number, ahead: number): number {
  const steps = Math.max(1, Math.ceil(ahead * 10))
  let sum = 0
  for (let i = 0; i < steps; i++) {
    const apart = Math.abs(past + (i + 0.5) * ahead / steps) % 24
    sum += Math.exp(-0.5 * (Math.min(apart, 24 - apart) / HOUR_SD) ** 2)
  }
  return sum / steps * ahead / (HOUR_SD * Math.sqrt(2 * Math.PI))
}

const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length
