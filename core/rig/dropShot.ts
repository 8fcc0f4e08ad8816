import { POSITIVE, requireNumber } from '../guard'
import { sinkerForAngle } from './sinkerForAngle'

const FOOT_M = 0.3048
const INCH_M = 0.0254

export interface DropShot {
  /** weight that holds the line within the lean, kg: at least the handbook's quarter ounce */
  massKg: number
  /** hook over the weight: the middle of the fish, within what the rig is good for, m */
  dropM: number
  /** the fish stand higher than a drop-shot reaches well */
  tooHigh: boolean
  linkM: [number, number]
  leaderM: number
}

const LEAST_KG = 0.0070873809
/** Drop for perch on the bottom, and the longest that still works (DOMAIN §6), m. */
const SHORTEST_M = 5 * INCH_M
const LONGEST_M = 18 * INCH_M
/** Fish within this of the bottom are a drop-shot's, m. */
const REACH_M = 2 * FOOT_M

/**
 * A drop-shot for fish near the bottom: the weight that holds against drift or current, the height of the hook, the short link that a slow fish
 * can inhale, the leader (DOMAIN §6).
 * @throws RangeError for a depth or height that is not above 0, and as `sinkerForAngle`
 */
export function dropShot({ depthM, fishAboveBottomM, relSpeedMS, lineDiameterM, waterTempC }: { depthM: number, fishAboveBottomM: number, relSpeedMS: number, lineDiameterM: number, waterTempC?: number }): DropShot {
  requireNumber('fishAboveBottomM', fishAboveBottomM, POSITIVE)
  const { massKg } = sinkerForAngle({ depthM, relSpeedMS, lineDiameterM, waterTempC })
  return {
    massKg: Math.max(LEAST_KG, massKg), dropM: Math.max(SHORTEST_M, Math.min(LONGEST_M, fishAboveBottomM)), tooHigh: fishAboveBottomM > REACH_M,
    linkM: [1 * INCH_M, 2 * INCH_M], leaderM: 6 * FOOT_M,
  }
}
