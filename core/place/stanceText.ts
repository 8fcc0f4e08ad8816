import { compassPoint, formatDistance, formatRoundDepth, formatSpeed, type Units } from '../units/format'
import type { Stance } from './stance'

const WHY: Record<Stance['because'], string> = {
  upCurrent: 'up-current, so that the bait is carried to them',
  slackSide: 'on the slack side of the current',
  downwind: 'downwind, casting over them into the wind',
  openSide: 'on its open side',
  onlyWater: 'where there is water to float on',
}
const RULED: Record<Stance['ruledBy'], string> = { wind: 'into the wind', current: 'into the current', both: 'into what is left of wind and current', calm: 'toward the place' }

/** Words of the eight points, for a sentence. */
const POINTS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west']
export const eighth = (deg: number) => POINTS[Math.round((((deg % 360) + 360) % 360) / 45) % 8]!

/** How to hold, in sentences a person would say; the last ones are cautions. */
export function stanceText(s: Stance, units: Units): { hold: string, bow: string, anchor: string | null, drift: string | null, caution: string | null } {
  return {
    hold: `Hold ${formatDistance(s.distanceM, units)} to the ${eighth(s.fromTargetDeg)} of it, ${WHY[s.because]}.`,
    bow: `Bow ${RULED[s.ruledBy]}, ${compassPoint(s.bowDeg)}.`,
    anchor: s.anchor && `Without a motor: drop the anchor ${formatDistance(Math.hypot(s.anchor.x - s.hold.x, s.anchor.y - s.hold.y), units)} ${eighth((s.push.towardDeg + 180) % 360)} of there, in ${formatRoundDepth(s.anchor.depthM, units)}, and fall back on ${formatDistance(s.anchor.ropeM, units)} of rope. To lie safely use far more.`,
    drift: s.drift && `Let go, the boat drifts ${eighth(s.push.towardDeg)} at ${formatSpeed(s.push.speedMS, units)}.`,
    caution: s.ruledBy === 'both'
      ? 'Wind and current work against each other: the boat will not lie still. Try another hour or another place if you cannot hold it.'
      : s.control === 'poor' ? 'This push is more than a small motor holds for long.' : null,
  }
}
