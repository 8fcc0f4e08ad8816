import { GRAVITY, waterDensity } from '../water/waterDensity'
import { LEAD_KG_M3 } from './jig'
import { slackFall, tightLine, type LurePoint } from './lureMotion'
import { lineShape, type LineShapeResult } from './lineShape'
import type { Way } from './motionText'
import { swingCast } from './swingCast'
import type { RigScene } from './tieOn'

export interface WayOptions {
  scene: RigScene
  way: Way
  /** the mark is so far out from the rod tip, m */
  outM: number
  rodTipM: number
  /** along the cast, m/s: see `slackFall` */
  windMS: number
  /** line wound in a second, m/s */
  reelMS: number
  bottomM: number
}

/** A bait that runs by itself comes in from so far past the mark, m. */
const PAST_M = 0.8
const NEAR_M = 0.3
/** Slower than this nothing is wound, m/s. */
const SLOWEST_REEL_MS = 0.03

/** The way of a rig's lure in the side view: let fall so that it lands on the mark, swung in from past it, or wound in from it. */
export function lureWay({ scene, way, outM, rodTipM, windMS, reelMS, bottomM }: WayOptions): LurePoint[] {
  if (scene.mode === 'swim') return [{ t: 0, x: outM + PAST_M, z: scene.depthM }, { t: outM / scene.speedMS, x: NEAR_M, z: scene.depthM }]
  if (scene.mode !== 'cast') return [{ t: 0, x: outM, z: scene.depthM }]
  if (way === 'slack') {
    // It goes in so far short that the wind's drift brings it onto the mark.
    const fall = slackFall({ ...scene.lure, fromM: outM, depthM: scene.depthM, windMS })
    const short = Math.min(outM, fall.at(-1)!.x - outM)
    return fall.map(p => ({ ...p, x: p.x - short }))
  }
  if (way === 'tight') return tightLine({ ...scene.lure, from: { x: swingCast({ distanceM: outM, depthM: scene.depthM, rodTipM }).castM, z: 0 }, rodTipM, reelMS: 0, bottomM })
  return tightLine({ ...scene.lure, from: { x: outM, z: scene.depthM }, rodTipM, reelMS: Math.max(SLOWEST_REEL_MS, reelMS), bottomM })
}

/** Where a lure rests while nothing moves: at its depth. */
export function restingAt(points: readonly LurePoint[], scene: RigScene, way: Way): LurePoint {
  if (scene.mode !== 'cast' || way === 'wound') return points[0]!
  return way === 'tight' ? points.find(p => p.z >= scene.depthM) ?? points.at(-1)! : points.at(-1)!
}

/** Line to wind in a second so that the lure runs level at the mark, m/s: the lure's own level speed along the slant of the line. */
export function levelReelSpeed(scene: RigScene, outM: number, rodTipM: number): number {
  const lureMS = scene.mode === 'cast' ? scene.holdSpeedMS : scene.mode === 'swim' ? scene.speedMS : 0.3
  return Math.max(SLOWEST_REEL_MS, (lureMS * outM) / Math.hypot(outM, scene.depthM + rodTipM))
}

/** The line of a rig on the ground, trailing off the drifting boat; null for any other. */
export function groundedLine(scene: RigScene, { lineDiameterM, waterTempC }: { lineDiameterM: number, waterTempC: number }): LineShapeResult | null {
  if (scene.mode !== 'bottom') return null
  const submergedN = scene.massKg * GRAVITY * (1 - waterDensity({ waterTempC }) / LEAD_KG_M3)
  return lineShape({ submergedN, dragAreaM2: scene.dragAreaM2, lineDiameterM, depthM: scene.depthM, flow: scene.driftMS, waterTempC })
}
