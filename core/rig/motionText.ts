import { formatDepth, formatDistance, formatSeconds, formatSmall, formatSpeed, type Units } from '../units/format'
import type { LurePoint } from './lureMotion'

export const WAYS = ['slack', 'tight', 'wound'] as const
/** slack: let fall on loose line; tight: held, it swings; wound: brought in. */
export type Way = (typeof WAYS)[number]

/** Less than this way off is not worth a word, m. */
const HARDLY_M = 0.04
/** A retrieve that stays within this of its depth is level, m. */
const LEVEL_M = 0.15

/** What a lure did on its way, in a sentence: see `slackFall` and `tightLine`. */
export function motionText({ way, points, depthM, pastM, reelMS, units }: { way: Way, points: readonly LurePoint[], depthM: number, /** how far past the mark a tight cast lands, m */ pastM: number, reelMS: number, units: Units }): string {
  const [first, last] = [points[0]!, points.at(-1)!]
  if (way === 'slack') {
    const off = last.x - first.x
    const drift = Math.abs(off) < HARDLY_M ? 'It falls straight: aim at the spot itself.' : `The wind carries it ${formatSmall(Math.abs(off), units)} on the way: aim that far ${off > 0 ? 'short of' : 'past'} the spot.`
    return `Slack line: ${formatSeconds(last.t)} to ${formatDepth(depthM, units)}. ${drift}`
  }
  if (way === 'tight') {
    const pass = points.find(p => p.z >= depthM)
    const lands = `Tight line: it swings toward you, so land it ${formatSmall(pastM, units)} past.`
    return pass ? `${lands} It passes ${formatDepth(depthM, units)} after ${formatSeconds(pass.t)}.` : `${lands} It does not get down to ${formatDepth(depthM, units)}.`
  }
  const wound = `Wound at ${formatSpeed(reelMS, units)}`
  const near = points.find(p => Math.abs(p.z - depthM) > LEVEL_M)
  if (!near) return `${wound} it stays within ${formatSmall(LEVEL_M, units)} of ${formatDepth(depthM, units)} all the way.`
  const stays = first.x - near.x
  const verb = near.z < depthM ? 'rises' : 'sinks'
  return `${wound} it ${verb}: ${formatSmall(LEVEL_M, units)} off the depth after ${formatDistance(stays, units)}${last.z === 0 ? `, at the top ${formatDistance(last.x, units)} out` : ''}. Wind ${verb === 'rises' ? 'slower' : 'faster'} ${verb === 'rises' ? 'the nearer it comes' : 'to keep it up'}.`
}
