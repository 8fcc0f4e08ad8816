import { standOff, type StandOff } from '../place/standOff'
import type { Place, PlaceKind } from '../place/kinds'
import type { DepthBelief } from '../school/depthBelief'
import type { PhasePrior } from '../season/phases'
import { chooseJigWeight, type JigCandidate, type JigWeightResult } from './chooseJigWeight'
import { missingFromBox, type BodyAtHand, type Box, type LineAtHand } from './box'
import { floatRig, type FloatRig } from './floatRig'
import { jig } from './jig'
import { chaseSpeed, type Mood } from './mood'
import { DEFAULT_SCHOOLS, type Schools } from './schools'

/** Fish come up to a bait more readily than down: hang it this far over the top of the school, m. */
const CLEARANCE_M = 0.2
const SHALLOWEST_BAIT_M = 0.3
export const ROD_TIP_M = 1.5

export interface RigOptions {
  place: Place
  belief: DepthBelief
  phase: PhasePrior
  waterC: number
  secchiM: number
  windMS: number
  box: Box
  /** what the angler goes by where practitioners disagree */
  schools?: Schools
  /** the angler's own wishes; what is left out is chosen */
  wish?: { bodyId?: string, lineId?: string, held?: boolean, /** where the top of the fish was seen, m */ topM?: number, /** the angler's own depth for the bait, whatever the fish do, m */ baitM?: number, mood?: Mood, /** how far out, and the rod tip over the water, m */ distanceM?: number, rodTipM?: number }
}

export interface RigAdvice {
  mood: Mood
  chaseSpeedMS: number
  /** top of the fish, and where the bait goes for it */
  topM: number
  baitDepthM: number
  /** middle of the fish, m */
  fishM: number
  standOff: StandOff
  /** how far out it is worked, and the rod tip over the water, m */
  distanceM: number
  rodTipM: number
  bodyId: string
  lineId: string
  /** head weight for a cast jig */
  weight: JigWeightResult
  /** the weight to tie on: the choice, or what misses the demands by least */
  tie: JigCandidate
  /** the same bait under a slip float, on the lightest head at hand that the float carries well */
  float: FloatRig & { headKg: number }
}

/** Body length that suits a mood, m: small for slow fish, larger to choose among willing ones. */
const BODY_LENGTH_M: Record<Mood, number> = { torpid: 0.025, slow: 0.038, steady: 0.045, keen: 0.05, fast: 0.06 }
/** The other school's answer to slow fish: one big bait. */
const BIG_BAIT_M = 0.08
/** Wanted line: 4 lb in open water, stronger around posts and limbs. */
const OPEN_LINE_KG = 1.81
const COVER_LINE_KG = 2.72
/** Posts and limbs that cut braid. */
const CUTS: readonly PlaceKind[] = ['dock', 'timber', 'brush', 'moorings']

/** Length of body to begin with, m. */
export function wantedBodyM(mood: Mood, schools: Schools = DEFAULT_SCHOOLS): number {
  return schools.coldSize === 'big' && (mood === 'torpid' || mood === 'slow') ? BIG_BAIT_M : BODY_LENGTH_M[mood]
}

/** The line to use of those at hand: mono round posts, and elsewhere as the angler's school has it. */
export function lineFor(lines: readonly LineAtHand[], kind: PlaceKind, schools: Schools = DEFAULT_SCHOOLS): LineAtHand {
  const cuts = CUTS.includes(kind)
  const braided = schools.line === 'braid' && !cuts
  const fit = lines.filter(l => (l.material === 'braid') === braided)
  if (braided && fit.length > 0) return nearestBy(fit, l => l.diameterM)
  return nearestBy(fit.length > 0 ? fit : lines, l => Math.log(l.testKg / (cuts ? COVER_LINE_KG : OPEN_LINE_KG)))
}

/**
 * A rig for a place from the things in the box: body by mood, line by cover, head weight by the
 * three demands, and the same bait under a float.
 * @throws RangeError when the box lacks heads, bodies or lines (ask `missingFromBox` first)
 */
export function rigFor({ place, belief, phase, waterC, secchiM, windMS, box, schools = DEFAULT_SCHOOLS, wish = {} }: RigOptions): RigAdvice {
  const missing = missingFromBox(box)
  if (missing) throw new RangeError(`box.${missing} is empty; it must hold at least one`)
  const mood = wish.mood ?? phase.mood
  const topM = wish.topM ?? belief.quantiles.p20
  const baitDepthM = Math.max(SHALLOWEST_BAIT_M, wish.baitM ?? topM - CLEARANCE_M)
  const stance = standOff({ kind: place.kind, phase: phase.phase, fishDepthM: topM, secchiM, overDeep: schools.overDeep })
  const distanceM = wish.distanceM ?? stance.fromM
  const rodTipM = wish.rodTipM ?? ROD_TIP_M
  const body = box.bodies.find(b => b.id === wish.bodyId) ?? nearestBy<BodyAtHand>(generalBodies(box), b => Math.log(b.lengthM / wantedBodyM(mood, schools)))
  const line = box.lines.find(l => l.id === wish.lineId) ?? lineFor(box.lines, place.kind, schools)
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
    lineInAirM: Math.max(rodTipM, distanceM),
    chaseSpeedMS: chaseSpeed(mood),
    distanceM,
    rodTipM,
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
    mood, chaseSpeedMS: chaseSpeed(mood), topM, baitDepthM, fishM: belief.quantiles.p50, standOff: stance, distanceM, rodTipM, bodyId: body.id, lineId: line.id,
    weight, tie: weight.choice ?? weight.clash!.nearest, float: { ...float, headKg },
  }
}

/** Bodies that ride on a plain jig; creatures, flies and nymphs have families of their own. */
const SPECIAL: readonly (string | undefined)[] = ['creature', 'hair', 'nymph']
function generalBodies({ bodies }: Box): BodyAtHand[] {
  const general = bodies.filter(b => !SPECIAL.includes(b.tail))
  return general.length > 0 ? general : bodies
}

function nearestBy<T>(items: readonly T[], distance: (item: T) => number): T {
  return items.reduce((best, item) => (Math.abs(distance(item)) < Math.abs(distance(best)) ? item : best))
}
