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

/**
 * Phases of a fish for every day of a run of days, from the daily mean temperatures of a part of the lake. Spawning is counted from
 * the first day, so the run must begin in the cold half of the year.
 * @returns null for days without a temperature
 */
export function phasesByDay({ dailyC, dayOfYear, latDeg, season }: { dailyC: ArrayLike<number>, dayOfYear: readonly number[], latDeg: number, season: readonly PhasePrior[] }): (PhaseShare[] | null)[] {
  const passed = spawnPassedByDay({ dailyC, season })
  return dayOfYear.map((day, d) => {
    const waterC = dailyC[d]
    if (waterC === undefined || Number.isNaN(waterC)) return null
    // In the south the year's count begins in summer: what spawned before the new year is not known from it.
    const spawned = latDeg < 0 && day < 182 ? undefined : passed[d]!
    return phaseProbabilities({ waterC: Math.max(-2, waterC), trendCPerWeek: weekTrend(dailyC, d), dayOfYear: day, latDeg, season, spawned })
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
