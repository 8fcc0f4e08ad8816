import type { PhaseShare } from '../season/phaseProbabilities'
import type { StandingPlace } from './rankPlaces'

/** The handbook's rate counts as so many fish. */
const PRIOR_FISH = 8

/**
 * How much more or less this angler takes than the handbook's rate says, from the log as it speaks of this time of the year: places that were
 * never fished are measured with the same yardstick as those that were.
 */
export function ownScale({ records, phases }: { records: Iterable<StandingPlace['record']>, phases: readonly PhaseShare[] }): number {
  const perHour = phases.reduce((sum, p) => sum + p.probability * p.prior.fishPerHour, 0)
  let [catches, hours] = [0, 0]
  for (const record of records) {
    catches += record.catches
    hours += record.effortHours
  }
  return (catches + PRIOR_FISH) / (hours * perHour + PRIOR_FISH)
}
