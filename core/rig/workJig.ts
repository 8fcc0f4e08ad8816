import { formatSpeed } from '../units/format'
import type { Family } from './families'
import type { TieContext } from './tieOn'

/** How a jig of a family is worked for the mood, the place and the angler's school (DOMAIN §4 and §6). */
export function workJig(family: Family, { rig, place, schools, units }: Pick<TieContext, 'rig' | 'place' | 'schools' | 'units'>, holdSpeedMS: number): string {
  const { mood, chaseSpeedMS } = rig
  const slow = mood === 'torpid' || mood === 'slow'
  switch (family.id) {
    case 'standUp': return mood === 'torpid' ? 'Hop it a hand, then leave it ten seconds and longer: the strands move on their own.' : 'Hop, then still for five to ten seconds; a bite is a weight that was not there.'
    case 'heavyShad': return 'Fast and low, with stops: they hit it before they have looked.'
    case 'weedless': return 'Let it settle into the holes of the weed, lift it out, let it settle again.'
    case 'safetyPin': return 'Slow and steady, blade just turning, with a pause beside each clump.'
    case 'bladedJig': return 'Slow and straight, so that it only just throbs.'
    case 'nymph': return 'Lay it on the rise, let it sink a hand, twitch once, leave it.'
    case 'denseJig': return 'Straight down to them, hold; after a fish or a miss, down again at once.'
    case 'minnowJig': return slow ? 'Hold it still just over them; the minnow does the rest.' : 'Lift a hand, hold, let it sink back.'
  }
  if (place.kind === 'dock') {
    return schools.dockRetrieve === 'popFall'
      ? 'Skip it under the edge, slack line to the bottom, two or three short pops, slack to the bottom again; watch the line for a jump.'
      : 'Skip it under the edge, let it sink half way, then a slow pull and pop all the way back.'
  }
  if (slow) return `Slack line down to them, then as good as still: they follow no more than ${formatSpeed(chaseSpeedMS, units)}.`
  if (mood === 'steady') return 'Count it down on slack line, two or three short pops, let it fall again; most bites come on the fall.'
  return `Wind it level at ${formatSpeed(holdSpeedMS, units)}, a stop now and then.`
}
