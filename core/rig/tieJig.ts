import { formatDepth, formatLength, formatSeconds, formatSmall, formatSpeed, formatWeight } from '../units/format'
import type { BodyAtHand, HeadAtHand, HeadShape, Tail } from './box'
import { chooseJigWeight, TOUCH_SHARE } from './chooseJigWeight'
import type { Family } from './families'
import { jig, LEAD_HEAD_KG_M3, TUNGSTEN_HEAD_KG_M3 } from './jig'
import { lineWindLoad } from './lineWindLoad'
import { wantedBodyM } from './rigFor'
import { weightReasons, type RigReason } from './rigReasons'
import { sinkSpeed } from './sinkSpeed'
import type { RigPart, TieContext, TiedCore } from './tieOn'
import { workJig } from './workJig'

const OZ = 0.028349523125

/** What a jig of a family is made of: the handbook's envelope of weights, bodies and blades (DOMAIN §6). */
interface JigFamily {
  shapes: readonly HeadShape[]
  tungsten?: boolean
  /** lightest and heaviest head, kg */
  headKg: readonly [number, number]
  /** bodies that suit, the best first; none: any general one */
  tails?: readonly Tail[]
  /** shortest and longest body, m */
  bodyM?: readonly [number, number]
  /** area of a spinning blade, m² */
  bladeM2?: number
  /** weight is not bound by how fast the fish follow: worked on the bottom, or for a reaction */
  free?: boolean
  /** weight added ahead of the lightest head rather than a heavier head */
  pegged?: boolean
}

const ROUND: readonly HeadShape[] = ['round', 'flat']
export const JIG_FAMILIES: Readonly<Record<string, JigFamily>> = {
  castJig: { shapes: ROUND, headKg: [OZ / 80, OZ / 8] },
  weightedJig: { shapes: ROUND, headKg: [OZ / 80, OZ / 32], pegged: true },
  denseJig: { shapes: ROUND, tungsten: true, headKg: [OZ / 48, OZ / 8], tails: ['hair'] },
  minnowJig: { shapes: ROUND, headKg: [OZ / 64, OZ / 8], tails: ['minnow'], bodyM: [0.035, 0.065] },
  safetyPin: { shapes: ROUND, headKg: [OZ / 32, OZ / 4], tails: ['curl', 'paddle'], bladeM2: 1.6e-4 },
  bladedJig: { shapes: ROUND, headKg: [OZ / 8, OZ / 2], tails: ['paddle', 'curl'], bodyM: [0.05, 0.09], bladeM2: 3e-4, free: true },
  nymph: { shapes: ROUND, headKg: [OZ / 120, OZ / 64], tails: ['nymph'], bodyM: [0.015, 0.035] },
  standUp: { shapes: ['stand-up'], headKg: [OZ / 16, OZ / 2], tails: ['creature'], bodyM: [0.035, 0.08], free: true },
  heavyShad: { shapes: ROUND, headKg: [0.01, 0.02], tails: ['paddle'], bodyM: [0.075, 0.11], free: true },
  weedless: { shapes: ['offset'], headKg: [0.0035, 0.005], tails: ['paddle', 'straight', 'curl'], bodyM: [0.05, 0.1], free: true },
}
/** Weights that are sold, for saying what would do. */
const SOLD_KG = [1 / 100, 1 / 80, 1 / 64, 1 / 48, 1 / 32, 1 / 24, 1 / 16, 3 / 32, 1 / 8, 3 / 16, 1 / 4, 3 / 8, 1 / 2, 5 / 8].map(oz => oz * OZ)
/** Reaction baits are run as fast as the angler likes. */
const ANY_SPEED_MS = 5
const BLADE_DRAG = 1.2
const PEG_AHEAD_M = 0.4064

/** A jig of a family out of the box, with the lightest head that does what is asked of it. */
export function tieJig(spec: JigFamily, family: Family, context: TieContext): TiedCore {
  const { rig, box, windMS, waterC, units } = context
  const line = box.lines.find(l => l.id === rig.lineId)!
  const body = bodyFor(spec, family, context)
  const heads = headsFor(spec, [...box.heads, ...(box.otherHeads ?? [])])
  const densityKgM3 = spec.tungsten ? TUNGSTEN_HEAD_KG_M3 : LEAD_HEAD_KG_M3
  const dragAreaM2 = (body.is.dragAreaM2 ?? body.is.lengthM * body.is.depthM) + BLADE_DRAG * (spec.bladeM2 ?? 0)
  const sold = SOLD_KG.filter(kg => kg >= spec.headKg[0] * 0.98 && kg <= spec.headKg[1] * 1.02)
  const weightsKg = heads.length > 0 ? heads.map(h => h.massKg) : sold
  const limits = { headDensityKgM3: densityKgM3, body: body.is, dragAreaM2, lineDiameterM: line.diameterM, depthM: rig.baitDepthM, windMS, waterTempC: waterC, distanceM: rig.distanceM, rodTipM: rig.rodTipM, lineInAirM: Math.max(rig.rodTipM, rig.distanceM) }
  const chaseSpeedMS = spec.free ? ANY_SPEED_MS : rig.chaseSpeedMS
  const peg = spec.pegged ? pegFor(Math.min(...weightsKg), limits, context) : null
  const weight = family.id === 'castJig' ? rig.weight : chooseJigWeight({ ...limits, weightsKg: peg ? [peg.headKg + peg.addedKg] : weightsKg, chaseSpeedMS, otherBodies: box.bodies.filter(b => b.id !== body.is.id), otherLinesM: box.lines.map(l => l.diameterM) })
  const tie = weight.choice ?? weight.clash!.nearest
  const headKg = peg?.headKg ?? tie.massKg
  const head = (family.id === 'castJig' ? box.heads : heads).find(h => h.massKg === headKg)

  const parts: RigPart[] = [
    { part: 'head', what: `${formatWeight(headKg, units)} ${spec.tungsten ? 'tungsten' : 'lead'}, ${head?.shape ?? spec.shapes[0]!}${head?.hook ? `, hook ${head.hook}` : ''}`, have: head !== undefined },
    ...(peg ? [{ part: 'weight', what: `${formatWeight(peg.addedKg, units)} ${peg.style}, ${formatSmall(PEG_AHEAD_M, units)} ahead`, have: peg.have }] : []),
    ...(spec.bladeM2 ? [{ part: 'blade', what: `${Math.round(Math.sqrt(spec.bladeM2 / 0.47) * 1000)} mm, matched to the head`, have: true }] : []),
    body.part,
  ]
  const said = peg ? pegReasons(peg, tie, context) : spec.free ? freeReasons(tie, heads.length === 0, context) : weightReasons({ ...rig, weight, tie }, windMS, units)
  return {
    parts, figures: [{ label: weight.choice ? 'tie on' : 'nearest, but see why', value: formatWeight(peg ? peg.headKg + peg.addedKg : headKg, units) }, { label: `count to ${formatDepth(rig.baitDepthM, units)}`, value: formatSeconds(tie.fallS) }],
    work: workJig(family, context, tie.holdSpeedMS), reasons: said,
    scene: { mode: 'cast', lure: { ...jig({ headMassKg: tie.massKg, headDensityKgM3: densityKgM3, body: body.is, dragAreaM2 }), lineDiameterM: line.diameterM, waterTempC: waterC }, depthM: rig.baitDepthM, fallS: tie.fallS, holdSpeedMS: tie.holdSpeedMS },
  }
}

function headsFor({ shapes, tungsten = false, headKg: [least, most] }: JigFamily, heads: readonly HeadAtHand[]): HeadAtHand[] {
  return heads.filter(h => shapes.includes(h.shape ?? 'round') && (h.densityKgM3 > 13_000) === tungsten && h.massKg >= least * 0.98 && h.massKg <= most * 1.02).sort((a, b) => a.massKg - b.massKg)
}

/** The body nearest the size that is wanted, one in a colour to begin with before another of about its size. */
function bodyFor({ tails, bodyM }: JigFamily, family: Family, { rig, box, schools, colours, units }: TieContext): { is: BodyAtHand, part: RigPart } {
  const own = box.bodies.find(b => b.id === rig.bodyId)!
  if (!tails) return { is: own, part: { part: 'body', what: `${formatLength(own.lengthM, units)}${own.colour ? `, ${own.colour}` : ''}`, have: true } }
  const [least, most] = bodyM ?? [0.02, 0.1]
  const wanted = Math.min(most, Math.max(least, wantedBodyM(rig.mood, schools)))
  const misses = (b: BodyAtHand) => Math.abs(Math.log(b.lengthM / wanted)) + tails.indexOf(b.tail!) * 0.15 + (colours.some(c => sharesColour(c, b.colour ?? '')) ? 0 : 0.2)
  const fit = box.bodies.filter(b => b.tail !== undefined && tails.includes(b.tail) && b.lengthM >= least * 0.95 && b.lengthM <= most * 1.05).sort((a, b) => misses(a) - misses(b))[0]
  if (fit) return { is: fit, part: { part: 'body', what: `${formatLength(fit.lengthM, units)} ${fit.tail}${fit.colour ? `, ${fit.colour}` : ''}`, have: true } }
  const kind = family.id === 'minnowJig' ? 'live minnow, where the rules allow' : `${tails[0]}, ${colours[0] ?? 'any colour'}`
  return { is: { id: '', lengthM: wanted, depthM: wanted * 0.185 }, part: { part: family.id === 'minnowJig' ? 'bait' : 'body', what: `${formatLength(wanted, units)} ${kind}`, have: family.id === 'minnowJig' } }
}

const sharesColour = (a: string, b: string) => a.split(/\W+/).some(word => word.length > 3 && b.includes(word))

type Limits = Omit<Parameters<typeof chooseJigWeight>[0], 'weightsKg' | 'chaseSpeedMS'>
interface Peg { headKg: number, addedKg: number, style: string, have: boolean }

/** The smallest weight ahead with which the lightest head is felt in the wind and gets down in time; the heaviest there is when none does both. */
function pegFor(headKg: number, limits: Limits, { box }: TieContext): Peg {
  const own = (box.weights ?? []).filter(w => w.style !== 'bottom').sort((a, b) => a.massKg - b.massKg)
  const pieces = own.length > 0 ? own : [0.0003, 0.0008, 0.00177, 0.00354].map(massKg => ({ massKg, style: 'pegged' as const }))
  const pulls = TOUCH_SHARE * lineWindLoad({ windMS: limits.windMS, lineDiameterM: limits.lineDiameterM, lineInAirM: limits.lineInAirM }).forceN
  const felt = (addedKg: number) => sinkSpeed({ ...jig({ headMassKg: headKg + addedKg, body: limits.body, dragAreaM2: limits.dragAreaM2 }), waterTempC: limits.waterTempC }).submergedN >= pulls
  const chosen = pieces.find(p => felt(p.massKg)) ?? pieces.at(-1)!
  return { headKg, addedKg: chosen.massKg, style: chosen.style === 'shot' ? 'shot' : 'pegged weight', have: own.length > 0 }
}

function pegReasons({ headKg, addedKg }: Peg, tie: { windLimitMS: number, holdSpeedMS: number }, { rig, units }: TieContext): RigReason[] {
  return [
    { tone: 'now', text: `The bait stays a ${formatWeight(headKg, units)}; ${formatWeight(addedKg, units)} ${formatSmall(PEG_AHEAD_M, units)} ahead of it is felt in the wind and brings it down.` },
    ...(tie.holdSpeedMS > rig.chaseSpeedMS ? [{ tone: 'careful' as const, text: `It runs level at ${formatSpeed(tie.holdSpeedMS, units)}; they follow ${formatSpeed(rig.chaseSpeedMS, units)}: lift and let it fall rather than wind.` }] : []),
  ]
}

function freeReasons(tie: { massKg: number, fallS: number }, guessed: boolean, { rig, units }: TieContext): RigReason[] {
  return [{ tone: guessed ? 'careful' : 'now', text: `${formatWeight(tie.massKg, units)} is the lightest ${guessed ? 'that would be' : 'at hand that is'} felt in this wind and down to ${formatDepth(rig.baitDepthM, units)} in ${formatSeconds(tie.fallS)}.` }]
}
