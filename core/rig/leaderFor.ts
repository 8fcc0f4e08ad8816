import type { PlaceKind } from '../place/kinds'
import type { SeasonFish } from '../season/seasons'
import type { LineAtHand } from './box'
import type { Family } from './families'

const LB = 0.45359237
const FT = 0.3048

export interface Leader { material: 'fluorocarbon', diameterM: number, testKg: number, lengthM: number, because: string }

/** Families that are fished where pike swim: perch water with weed. */
const AMONG_PIKE = ['standUp', 'heavyShad', 'weedless', 'bladedJig', 'suspendingMinnow']

/** The leader a family asks for, or null where the bait is tied straight to the line (DOMAIN §6). */
export function leaderFor({ family, fish, line, kind }: { family: Family, fish: SeasonFish, line: LineAtHand, kind: PlaceKind }): Leader | null {
  const fluorocarbon = { material: 'fluorocarbon' as const }
  if (family.id === 'dropShot') return { ...fluorocarbon, diameterM: 0.00023, testKg: 8 * LB, lengthM: 6 * FT, because: 'A drop-shot hangs on six feet of 8 lb leader: hook and weight both on it.' }
  if (family.id === 'bottomRig') return { ...fluorocarbon, diameterM: 0.00028, testKg: 10 * LB, lengthM: 3 * FT, because: 'The two hooks stand off a three-foot leader between line and weight.' }
  if (fish === 'europeanPerch' && AMONG_PIKE.includes(family.id)) return { ...fluorocarbon, diameterM: 0.00035, testKg: 16 * LB, lengthM: 0.65, because: 'Pike swim where these perch do: 0.35 mm leader, and cut it back when it is rough.' }
  if (line.material !== 'braid') return null
  return { ...fluorocarbon, diameterM: 0.0002, testKg: 6 * LB, lengthM: 3 * FT, because: kind === 'weedEdge' ? 'Braid cuts through weed; the leader keeps it out of their sight.' : 'Braid is felt well and seen well: a clear leader keeps it from the bait.' }
}
