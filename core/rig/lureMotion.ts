import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { waterDensity } from '../water/waterDensity'
import { fallTime } from './fallTime'
import { DRIFT_DECAY_M, SURFACE_DRIFT } from './floatSetting'
import { sinkSpeed } from './sinkSpeed'

/** Where a lure is, x out from the rod tip along the water, z down from the surface, m, t seconds after it landed. */
export interface LurePoint { t: number, x: number, z: number }

export interface LureMotion {
  massKg: number
  densityKgM3: number
  dragAreaM2: number
  lineDiameterM: number
  waterTempC?: number
}

const LINE_CROSS_DRAG = 1.2
const FALL_POINTS = 48
const STEP_S = 0.05
const LONGEST_S = 120
/** A lure that moves less than this has come to rest under the rod, m/s. */
const AT_REST_MS = 1e-3

/**
 * A lure falling on slack line from where it landed: straight down in still water, carried along by what the wind has set moving near the
 * surface (3 % of the wind, dying away below: MATH §3) as long as it is in it. It takes up the water's speed at once, as it does its own fall.
 * @param options.windMS along the cast: above 0 blows from the boat to the lure, below 0 from the lure to the boat
 * @throws RangeError for a lure that floats, or a depth or distance that is not above 0
 */
export function slackFall({ fromM, depthM, windMS, ...lure }: LureMotion & { fromM: number, depthM: number, windMS: number }): LurePoint[] {
  requireNumber('fromM', fromM, NOT_NEGATIVE)
  requireNumber('depthM', depthM, POSITIVE)
  requireNumber('windMS', windMS)
  const points: LurePoint[] = [{ t: 0, x: fromM, z: 0 }]
  for (let i = 1; i <= FALL_POINTS; i++) {
    const before = points[i - 1]!
    const z = (depthM * i) / FALL_POINTS
    const t = fallTime({ ...lure, depthM: z }).seconds
    const drift = SURFACE_DRIFT * windMS * Math.exp(-((before.z + z) / 2) / DRIFT_DECAY_M)
    points.push({ t, z, x: before.x + drift * (t - before.t) })
  }
  return points
}

/**
 * A lure on a tight line: it swings about the rod tip while none is wound in, and rises or sinks off the level while it is. Across the line its
 * weight balances the drag of the lure and of the line that is swept through the water; along the line it comes in as fast as it is wound. Where
 * it runs level this is `holdDepthSpeed` to the letter (MATH §5), save for the line's own drag, which that leaves out.
 * @param options.reelMS line wound in a second; 0: held
 * @param options.untilXM stop when it has come so near, m
 * @returns points every twentieth of a second until it is so near, at the surface, at `bottomM`, or at rest under the rod
 * @throws RangeError for a lure that floats, a start above the water or under the bottom, or a negative speed
 */
export function tightLine({ from, rodTipM, reelMS, bottomM, untilXM = 0.2, ...lure }: LureMotion & { from: { x: number, z: number }, rodTipM: number, reelMS: number, bottomM: number, untilXM?: number }): LurePoint[] {
  requireNumber('from.x', from.x, POSITIVE)
  requireNumber('bottomM', bottomM, POSITIVE)
  requireNumber('from.z', from.z, { min: 0, max: bottomM })
  requireNumber('rodTipM', rodTipM, NOT_NEGATIVE)
  requireNumber('reelMS', reelMS, NOT_NEGATIVE)
  const { submergedN, floats } = sinkSpeed(lure)
  if (floats) throw new RangeError('the lure floats; it does not swing down on a line')
  const rho = waterDensity({ waterTempC: lure.waterTempC })
  const points: LurePoint[] = [{ t: 0, ...from }]
  let { x, z } = from
  for (let t = STEP_S; t <= LONGEST_S; t += STEP_S) {
    const height = z + rodTipM
    const radius = Math.hypot(x, height)
    const [outward, downward] = [x / radius, height / radius]
    const dryM = height > 0 ? (radius * rodTipM) / height : 0
    // Each piece of line moves across as far as it is from the tip; its moment about the tip is set against the lure's.
    const lineM2 = (LINE_CROSS_DRAG * lure.lineDiameterM * (radius ** 4 - dryM ** 4)) / (4 * radius ** 3)
    const across = acrossSpeed((2 * submergedN * outward) / rho, reelMS, lure.dragAreaM2, lineM2)
    // Across the line is down and inward; along it, inward and up.
    const dx = -(across * downward + reelMS * outward)
    const dz = across * outward - reelMS * downward
    if (reelMS === 0 && across < AT_REST_MS) break
    x += dx * STEP_S
    z += dz * STEP_S
    if (reelMS === 0) {
      // A held line keeps its length: the step along the tangent is put back on the circle.
      const back = radius / Math.hypot(x, z + rodTipM)
      x *= back
      z = (z + rodTipM) * back - rodTipM
    }
    const end = z >= bottomM || z <= 0 || x <= untilXM
    points.push({ t, x: Math.max(0, x), z: Math.min(bottomM, Math.max(0, z)) })
    if (end) break
  }
  return points
}

/** Solves area·v·√(reel² + v²) + line·v² = push for the speed across the line: the left side grows with v. */
function acrossSpeed(push: number, reelMS: number, areaM2: number, lineM2: number): number {
  if (push <= 0) return 0
  let [lo, hi] = [0, Math.sqrt(push / (areaM2 + lineM2))]
  for (let i = 0; i < 40; i++) {
    const v = (lo + hi) / 2
    if (areaM2 * v * Math.hypot(reelMS, v) + lineM2 * v * v < push) lo = v
    else hi = v
  }
  return (lo + hi) / 2
}

/** Where the lure is at a time: between the points, and at the last one after it. */
export function lureAt(points: readonly LurePoint[], t: number): LurePoint {
  const after = points.findIndex(p => p.t >= t)
  if (after <= 0) return after === 0 ? points[0]! : points.at(-1)!
  const [a, b] = [points[after - 1]!, points[after]!]
  const share = (t - a.t) / (b.t - a.t)
  return { t, x: a.x + (b.x - a.x) * share, z: a.z + (b.z - a.z) * share }
}
