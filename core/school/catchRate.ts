import { NOT_NEGATIVE, requireNumber } from '../guard'

/** Under this there is no rate worth showing. */
export const ENOUGH_HOURS = 3
export const ENOUGH_FISH = 5

/**
 * Fish an hour, or null with the reason why there is not enough to say.
 * @throws RangeError for a negative argument
 */
export function catchRate({ fish, minutes }: { fish: number, minutes: number }): { perHour: number } | { perHour: null, missing: 'hours' | 'fish' } {
  requireNumber('fish', fish, NOT_NEGATIVE)
  requireNumber('minutes', minutes, NOT_NEGATIVE)
  if (minutes / 60 < ENOUGH_HOURS) return { perHour: null, missing: 'hours' }
  if (fish < ENOUGH_FISH) return { perHour: null, missing: 'fish' }
  return { perHour: fish / (minutes / 60) }
}
