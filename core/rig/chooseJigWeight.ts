import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { fallTime } from './fallTime'
import { holdDepthSpeed } from './holdDepthSpeed'
import { jig, type Body } from './jig'
import { lineWindLoad } from './lineWindLoad'
import { sinkSpeed } from './sinkSpeed'

/** A jig is in touch while its weight in water is at least this share of the wind's pull on the line (MATH §6). */
export const TOUCH_SHARE = 0.5
export const DEFAULT_MAX_FALL_S = 25
const DEFAULT_LINE_IN_AIR_M = 8

/** wind: too light to feel; fall: too slow to get there; chase: must be wound faster than the fish will follow. */
export type WeightDemand = 'wind' | 'fall' | 'chase'

export interface JigWeightOptions {
  /** head weights at hand, any order */
  weightsKg: number[]
  headDensityKgM3?: number
  body: Body
  /** a learned drag area for this body, if there is one */
  dragAreaM2?: number
  lineDiameterM: number
  /** other lines and bodies at hand: tried when demands clash */
  otherLinesM?: number[]
  otherBodies?: Body[]
  /** depth of the fish */
  depthM: number
  windMS: number
  lineInAirM?: number
  /** default 25 s */
  maxFallS?: number
  /** fastest the fish will follow; see `chaseSpeed` */
  chaseSpeedMS: number
  /** how far out the lure is worked; 0 for straight below */
  distanceM: number
  rodTipM?: number
  waterTempC?: number
}

export interface JigCandidate {
  massKg: number
  submergedN: number
  sinkSpeedMS: number
  fallS: number
  holdSpeedMS: number
  /** strongest wind in which it stays in touch */
  windLimitMS: number
}

export interface RejectedWeight extends JigCandidate {
  /** every demand it fails, the worst failure first */
  because: WeightDemand[]
}

export type WayOut
  = | { way: 'thinnerLine', lineDiameterM: number, massKg: number }
    | { way: 'closer', distanceM: number, massKg: number }
    | { way: 'otherBody', body: Body, massKg: number }
    | { way: 'addWeight', addedKg: number, massKg: number }
    | { way: 'float' }

export interface WeightClash {
  /** the two that cannot both be met; 'box' when no weight at hand is light or heavy enough */
  demands: [WeightDemand, WeightDemand | 'box']
  /** each was tried and works, the smallest change first */
  waysOut: WayOut[]
  /** the weight that misses its worst demand by least */
  nearest: RejectedWeight
}

export interface JigWeightResult {
  choice: JigCandidate | null
  /** lightest first */
  rejected: RejectedWeight[]
  /** weights that meet every demand but are not the lightest to do so */
  alsoGood: JigCandidate[]
  clash?: WeightClash
}

/**
 * The lightest head that is felt in the wind, reaches the fish in time and can be run level no faster
 * than the fish will chase (MATH §6). Weights equal to a limit pass.
 * With no such head: which demands clash, and the changes that were tried and do work.
 * @throws RangeError for bad arguments or an empty list of weights
 */
export function chooseJigWeight(options: JigWeightOptions): JigWeightResult {
  const judged = judgeAll(options)
  const good = judged.filter(c => c.because.length === 0)
  const rejected = judged.filter(c => c.because.length > 0)
  const [first, ...rest] = good.map(withoutVerdict)
  if (first) return { choice: first, rejected, alsoGood: rest }
  return { choice: null, rejected, alsoGood: [], clash: { demands: clashOf(rejected), waysOut: waysOut(options), nearest: nearestOf(rejected, options) } }
}

function judgeAll(options: JigWeightOptions): RejectedWeight[] {
  const { weightsKg } = options
  if (weightsKg.length === 0) throw new RangeError('weightsKg is empty; it must be a list of at least one weight')
  requireNumber('maxFallS', options.maxFallS ?? DEFAULT_MAX_FALL_S, POSITIVE)
  requireNumber('chaseSpeedMS', options.chaseSpeedMS, NOT_NEGATIVE)
  weightsKg.forEach((massKg, i) => requireNumber(`weightsKg[${i}]`, massKg, POSITIVE))
  return [...weightsKg].sort((a, b) => a - b).map((massKg) => {
    const candidate = measure(options, massKg)
    return { ...candidate, because: demandsFailed(candidate, options) }
  })
}

function measure(options: JigWeightOptions, headMassKg: number): JigCandidate {
  const { headDensityKgM3, body, dragAreaM2, lineDiameterM, depthM, windMS, lineInAirM = DEFAULT_LINE_IN_AIR_M, distanceM, rodTipM = 1, waterTempC } = options
  const lure = jig({ headMassKg, headDensityKgM3, body, dragAreaM2 })
  const { submergedN, speedMS } = sinkSpeed({ ...lure, waterTempC })
  requireNumber('windMS', windMS, NOT_NEGATIVE)
  const perWindSquared = lineWindLoad({ windMS: 1, lineDiameterM, lineInAirM }).forceN
  return {
    massKg: headMassKg,
    submergedN,
    sinkSpeedMS: speedMS,
    fallS: fallTime({ ...lure, lineDiameterM, depthM, waterTempC }).seconds,
    holdSpeedMS: holdDepthSpeed({ submergedN, dragAreaM2: lure.dragAreaM2, distanceM, depthM, rodTipM, waterTempC }).speedMS,
    windLimitMS: perWindSquared > 0 ? Math.sqrt(submergedN / (TOUCH_SHARE * perWindSquared)) : Number.MAX_VALUE,
  }
}

/** How many times over each demand's limit a candidate is; 1 or less passes. */
function overshoot(c: JigCandidate, o: JigWeightOptions): Record<WeightDemand, number> {
  return {
    wind: (o.windMS / c.windLimitMS) ** 2,
    fall: c.fallS / (o.maxFallS ?? DEFAULT_MAX_FALL_S),
    chase: c.holdSpeedMS === 0 ? 0 : c.holdSpeedMS / Math.max(o.chaseSpeedMS, Number.MIN_VALUE),
  }
}

function demandsFailed(c: JigCandidate, o: JigWeightOptions): WeightDemand[] {
  const over = overshoot(c, o)
  return (Object.keys(over) as WeightDemand[])
    .filter(d => over[d] > 1 + 1e-9)
    .sort((a, b) => over[b] - over[a])
}

function withoutVerdict({ because: _none, ...candidate }: RejectedWeight): JigCandidate {
  return candidate
}

function nearestOf(rejected: RejectedWeight[], o: JigWeightOptions): RejectedWeight {
  const worst = (c: JigCandidate) => Math.max(...Object.values(overshoot(c, o)))
  return rejected.reduce((best, c) => (worst(c) < worst(best) ? c : best))
}

/** Wind and fall set the lightest weight, chase the heaviest. */
function clashOf(rejected: RejectedWeight[]): [WeightDemand, WeightDemand | 'box'] {
  const lightest = rejected[0]!
  const heaviest = rejected[rejected.length - 1]!
  if (lightest.because.includes('chase') && !fails(lightest, 'wind') && !fails(lightest, 'fall')) return ['chase', 'box']
  if (!heaviest.because.includes('chase')) return [heaviest.because[0]!, 'box']
  const lower = [...rejected].reverse().find(c => fails(c, 'wind') || fails(c, 'fall'))
  if (!lower) return ['chase', 'box']
  return [fails(lower, 'wind') ? 'wind' : 'fall', 'chase']
}

const fails = (c: RejectedWeight, d: WeightDemand) => c.because.includes(d)

const CLOSER_SHARES = [0.75, 0.5, 0.33, 0]
const ADDED_KG = [0.0002, 0.0004, 0.0008, 0.0012, 0.0018, 0.0035]

function waysOut(o: JigWeightOptions): WayOut[] {
  const ways: WayOut[] = []
  const choiceWith = (change: Partial<JigWeightOptions>) => judgeAll({ ...o, ...change }).find(c => c.because.length === 0)

  const thinner = [...(o.otherLinesM ?? [])].filter(d => d < o.lineDiameterM).sort((a, b) => b - a)
  for (const lineDiameterM of thinner) {
    const found = choiceWith({ lineDiameterM })
    if (found) {
      ways.push({ way: 'thinnerLine', lineDiameterM, massKg: found.massKg })
      break
    }
  }
  for (const share of CLOSER_SHARES) {
    const distanceM = o.distanceM * share
    const lineInAirM = Math.min(o.lineInAirM ?? DEFAULT_LINE_IN_AIR_M, Math.max(distanceM, o.rodTipM ?? 1))
    const found = o.distanceM > 0 ? choiceWith({ distanceM, lineInAirM }) : undefined
    if (found) {
      ways.push({ way: 'closer', distanceM, massKg: found.massKg })
      break
    }
  }
  const bySize = [...(o.otherBodies ?? [])].sort((a, b) => sizeChange(o.body, a) - sizeChange(o.body, b))
  for (const body of bySize) {
    const found = choiceWith({ body, dragAreaM2: undefined })
    if (found) {
      ways.push({ way: 'otherBody', body, massKg: found.massKg })
      break
    }
  }
  for (const addedKg of ADDED_KG) {
    const found = choiceWith({ weightsKg: o.weightsKg.map(kg => kg + addedKg) })
    if (found) {
      ways.push({ way: 'addWeight', addedKg, massKg: found.massKg - addedKg })
      break
    }
  }
  // A float holds the depth without being wound and takes the wind's pull off the jig.
  ways.push({ way: 'float' })
  return ways
}

/** How far apart two bodies are in size, whichever is the larger. */
function sizeChange(from: Body, to: Body): number {
  return Math.abs(Math.log((to.lengthM * to.depthM) / (from.lengthM * from.depthM)))
}
