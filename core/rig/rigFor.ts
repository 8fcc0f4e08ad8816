import { standOff, type StandOff } from '../place/standOff'
import type { Place } from '../place/kinds'
import type { DepthBelief } from '../school/depthBelief'
import type { PhasePrior } from '../season/phases'
import { chooseJigWeight, type JigCandidate, type JigWeightResult } from './chooseJigWeight'
import { floatRig, type FloatAtHand, type FloatRig } from './floatRig'
import { jig, type Body } from './jig'
import { chaseSpeed, type Mood } from './mood'

/** Fish come up to a bait more readily than down: hang it this far over the top of the school, m. */
export const CLEARANCE_M = 0.2
const SHALLOWEST_BAIT_M = 0.3
const ROD_TIP_M = 1.5

export interface Box {
  heads: { massKg: number, densityKgM3: number }[]
  bodies: (Body & { id: string })[]
  lines: { id: string, diameterM: number, testKg: number }[]
  floats: FloatAtHand[]
  shotsKg: number[]
}

export interface RigOptions {
  place: Place
  belief: DepthBelief
  phase: PhasePrior
  waterC: number
  secchiM: number
  windMS: number
  box: Box
  /** the angler's own wishes; what is left out is chosen */
  wish?: { bodyId?: string, lineId?: string, held?: boolean, topM?: number, mood?: Mood }
}

export interface RigAdvice {
  mood: Mood
  chaseSpeedMS: number
  /** top of the fish, and where the bait goes for it */
  topM: number
  baitDepthM: number
  standOff: StandOff
  bodyId: string
  lineId: string
  /** head weight for a cast jig */
  weight: JigWeightResult
  /** the weight to tie on: the choice, or what misses the demands by least */
  tie: JigCandidate
  /** the same bait under a slip float, on the lightest head at hand that the float carries well */
  float: FloatRig & { headKg: number }
}

/** What the box lacks for any rig at all, or null. */
export function missingFromBox(box: Box): 'heads' | 'bodies' | 'lines' | null {
  if (box.heads.length === 0) return 'heads'
  if (box.bodies.length === 0) return 'bodies'
  return box.lines.length === 0 ? 'lines' : null
}

/** Body length that suits a mood, m: small for slow fish, larger to choose among willing ones. */
const BODY_LENGTH_M: Record<Mood, number> = { torpid: 0.025, slow: 0.038, steady: 0.045, keen: 0.05, fast: 0.06 }
/** Wanted line: 4 lb in open water, stronger around posts and limbs. */
const OPEN_LINE_KG = 1.81
const COVER_LINE_KG = 2.72

/**
 * A rig for a place from the things in the box: body by mood, line by cover, head weight by the
 * three demands, and the same bait under a float.
 * @throws RangeError when the box lacks heads, bodies or lines (ask `missingFromBox` first)
 */
export function rigFor({ place, belief, phase, waterC, secchiM, windMS, box, wish = {} }: RigOptions): RigAdvice {
  const missing = missingFromBox(box)
  if (missing) throw new RangeError(`box.${missing} is empty; it must hold at least one`)
  const mood = wish.mood ?? phase.mood
  const topM = wish.topM ?? belief.quantiles.p20
  const baitDepthM = Math.max(SHALLOWEST_BAIT_M, topM - CLEARANCE_M)
  const stance = standOff({ kind: place.kind, phase: phase.phase, fishDepthM: topM, secchiM })
  const body = box.bodies.find(b => b.id === wish.bodyId) ?? nearestBy(box.bodies, b => Math.log(b.lengthM / BODY_LENGTH_M[mood]))
  const wantedKg = place.kind === 'dock' || place.kind === 'timber' || place.kind === 'brush' ? COVER_LINE_KG : OPEN_LINE_KG
  const line = box.lines.find(l => l.id === wish.lineId) ?? nearestBy(box.lines, l => Math.log(l.testKg / wantedKg))
  const densityKgM3 = box.heads[0]!.densityKgM3

  const weight = chooseJigWeight({
    weightsKg: box.heads.map(h => h.massKg),
    headDensityKgM3: densityKgM3,
    body,
    otherBodies: box.bodies.filter(b => b.id !== body.id),
    lineDiameterM: line.diameterM,
    otherLinesM: box.lines.map(l => l.diameterM),
    depthM: baitDepthM,
    windMS,
    lineInAirM: Math.max(ROD_TIP_M, stance.fromM),
    chaseSpeedMS: chaseSpeed(mood),
    distanceM: stance.fromM,
    rodTipM: ROD_TIP_M,
    waterTempC: waterC,
  })
  const lightest = Math.min(...box.heads.map(h => h.massKg))
  // Under a float the head only has to hang: two sizes up from the lightest keeps the bait straight in small chop.
  const headKg = box.heads.map(h => h.massKg).sort((a, b) => a - b).find(kg => kg >= 0.0008) ?? lightest
  const lure = jig({ headMassKg: headKg, headDensityKgM3: densityKgM3, body })
  const float = floatRig({
    lure, lineDiameterM: line.diameterM, baitDepthM, windMS, held: wish.held ?? false, shotsKg: box.shotsKg, floats: box.floats, waterTempC: waterC,
  })
  return {
    mood, chaseSpeedMS: chaseSpeed(mood), topM, baitDepthM, standOff: stance, bodyId: body.id, lineId: line.id,
    weight, tie: weight.choice ?? weight.clash!.nearest, float: { ...float, headKg },
  }
}

function nearestBy<T>(items: T[], distance: (item: T) => number): T {
  return items.reduce((best, item) => (Math.abs(distance(item)) < Math.abs(distance(best)) ? item : best))
}
