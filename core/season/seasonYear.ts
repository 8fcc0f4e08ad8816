import { phaseProbabilities, type PhaseShare } from './phaseProbabilities'
import type { Phase, PhasePrior } from './phases'
import { spawnPassedByDay } from './spawnPassed'

/** Trend of a day's mean: against a week before, or what there is of it, °C a week. */
export function weekTrend(dailyC: ArrayLike<number>, day: number): number {
  for (let back = 7; back >= 3; back--) {
    const before = dailyC[day - back]
    if (before !== undefined && !Number.isNaN(before)) return ((dailyC[day]! - before) / back) * 7
  }
  return 0
}

/** What a year's phases are worked out from: daily means of a part, with each day's number in its calendar year. */
export interface YearOptions {
  dailyC: ArrayLike<number>
  dayOfYear: readonly number[]
  latDeg: number
  season: readonly PhasePrior[]
}

const MIDYEAR = 182

/**
 * How far spawning is over on each day of a run of days that begins with the calendar year; undefined where that cannot be known: in the
 * south the year begins in summer, so the first half's spawn lies before it, and the count starts at midwinter.
 */
export function spawnedByDay({ dailyC, dayOfYear, latDeg, season }: YearOptions): (number | undefined)[] {
  if (latDeg >= 0) return [...spawnPassedByDay({ dailyC, season })]
  const start = dayOfYear.findIndex(day => day >= MIDYEAR)
  if (start === -1) return dayOfYear.map(() => undefined)
  const later = spawnPassedByDay({ dailyC: Array.from(dailyC).slice(start), season })
  return dayOfYear.map((_, d) => (d < start ? undefined : later[d - start]))
}

/** Phases of a fish for every day; null for days without a temperature. */
export function phasesByDay(options: YearOptions): (PhaseShare[] | null)[] {
  const { dailyC, dayOfYear, latDeg, season } = options
  const spawned = spawnedByDay(options)
  return dayOfYear.map((day, d) => {
    const waterC = dailyC[d]
    if (waterC === undefined || Number.isNaN(waterC)) return null
    return phaseProbabilities({ waterC: Math.max(-2, waterC), trendCPerWeek: weekTrend(dailyC, d), dayOfYear: day, latDeg, season, spawned: spawned[d] })
  })
}

/** How likely a phase is on each day, 0 where nothing is known. */
export function phaseCourse(days: readonly (PhaseShare[] | null)[], phase: Phase): Float32Array {
  return Float32Array.from(days, shares => shares?.find(s => s.phase === phase)?.probability ?? 0)
}

export interface PhaseSpan { phase: Phase, from: number, to: number }

/** Stretches of days in which a phase is the most likely one. */
export function leadingPhases(days: readonly (PhaseShare[] | null)[]): PhaseSpan[] {
  const spans: PhaseSpan[] = []
  days.forEach((shares, d) => {
    const phase = shares?.[0]?.phase
    const last = spans.at(-1)
    if (phase && last?.phase === phase && last.to === d - 1) last.to = d
    else if (phase) spans.push({ phase, from: d, to: d })
  })
  return spans
}
