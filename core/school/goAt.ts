import { POSITIVE, requireNumber } from '../guard'
import { adviseStay, type AdviseStayOptions } from './adviseStay'

/**
 * Minutes from now after which going is advised if nothing more shows; null when staying stays right for as far as it was looked. For advice that says
 * "go at 10:40 unless one more takes".
 * @param stepMin how finely, min
 * @param mostMin how far ahead, min
 * @throws RangeError for a step that is not above 0, and what `adviseStay` throws
 */
export function goAt(options: AdviseStayOptions, { stepMin = 4, mostMin = 48 }: { stepMin?: number, mostMin?: number } = {}): number | null {
  requireNumber('stepMin', stepMin, POSITIVE)
  const nothing = { presentations: 0, catches: 0, taps: 0, follows: 0 }
  for (let ahead = stepMin; ahead <= Math.min(mostMin, options.minutesLeft); ahead += stepMin) {
    const stretches = [...options.stretches, ...Array.from({ length: Math.round(ahead / stepMin) }, () => ({ minutes: stepMin, ...nothing }))]
    if (adviseStay({ ...options, stretches, minutesLeft: options.minutesLeft - ahead }).action === 'go') return ahead
  }
  return null
}
