import { formatDepth, formatLength, formatSeconds, formatSpeed, formatWeight, type Units } from '../units/format'
import type { BaitAtHand, BaitType } from './box'
import { fallTime } from './fallTime'
import type { Family } from './families'
import { holdDepthSpeed } from './holdDepthSpeed'
import { chaseSpeed } from './mood'
import type { RigReason } from './rigReasons'
import { sinkSpeed } from './sinkSpeed'
import { suspendBalance } from './suspendBalance'
import type { RigPart, TieContext, TiedCore } from './tieOn'

const TYPES: Record<string, readonly BaitType[]> = { lipless: ['lipless'], microCrank: ['crank'], suspendingMinnow: ['minnow'], jiggingSpoon: ['spoon'], topwater: ['topwater', 'spinner'] }
/** Height of a bait over its length, seen from the side. */
const HEIGHT: Record<BaitType, number> = { lipless: 0.33, crank: 0.36, minnow: 0.2, spoon: 0.22, topwater: 0.24, spinner: 0.3 }
/** What a bait of the type would be like where the box has none. */
const EXAMPLE: Record<BaitType, Omit<BaitAtHand, 'id' | 'type'>> = {
  lipless: { name: 'lipless bait, ¼ oz', lengthM: 0.05, massKg: 0.0071, volumeM3: 4.9e-6, diveM: null },
  crank: { name: 'sinking micro crank', lengthM: 0.035, massKg: 0.0032, volumeM3: 2.9e-6, diveM: 1.2 },
  minnow: { name: 'suspending minnow', lengthM: 0.06, massKg: 0.0045, volumeM3: 4.5e-6, diveM: 1.2 },
  spoon: { name: 'jigging spoon, ¼ oz', lengthM: 0.04, massKg: 0.0071, volumeM3: 0.8e-6, diveM: null },
  topwater: { name: 'small topwater', lengthM: 0.05, massKg: 0.005, volumeM3: 6.5e-6, diveM: null },
  spinner: { name: 'inline spinner', lengthM: 0.035, massKg: 0.003, volumeM3: 0.6e-6, diveM: null },
}
/** Water under this is cold for a stopped bait, °C: longer pauses. */
const COLD_C = 10
/** Lighter than this a spoon hangs on the limbs it falls on, kg. */
const FALLS_OFF_KG = 0.0068

const short = (ms: number, units: Units) => formatSpeed(ms, units).replace(' a second', '/s')
const areaOf = (b: BaitAtHand) => b.lengthM * b.lengthM * HEIGHT[b.type]

/** A hard bait of the box for a family: the count or its own depth, how fast, and whether a stopped one truly hangs. */
export function tieBait(family: Family, context: TieContext): TiedCore {
  const { rig, box, waterC, units } = context
  const types = TYPES[family.id]!
  const own = (box.baits ?? []).filter(b => types.includes(b.type)).sort((a, b) => misses(a, context) - misses(b, context))[0]
  const bait: BaitAtHand = own ?? { id: '', type: types[0]!, ...EXAMPLE[types[0]!] }
  const line = box.lines.find(l => l.id === rig.lineId)!
  const lure = { massKg: bait.massKg, densityKgM3: bait.massKg / bait.volumeM3, dragAreaM2: areaOf(bait), lineDiameterM: line.diameterM, waterTempC: waterC }
  const { floats, submergedN } = sinkSpeed(lure)
  const parts: RigPart[] = [{ part: 'bait', what: [bait.name, ...(/\d/.test(bait.name) ? [] : [formatLength(bait.lengthM, units)]), formatWeight(bait.massKg, units)].join(', '), have: own !== undefined }]
  const follow = chaseSpeed(rig.mood)
  const speed = Math.max(family.slowestMS, 0.05)

  if (family.id === 'topwater') return { parts, figures: [{ label: 'over the top', value: formatLength(bait.lengthM, units) }, { label: 'run it at', value: short(speed, units) }], work: 'Cast along the outer edge of the boil, never into it, and keep the boat out of it.', reasons: [{ tone: 'plain', text: 'Fish that drive bait up look up: keep it at the top, and moving.' }], scene: { mode: 'swim', depthM: 0.05, speedMS: speed } }
  if (family.id === 'suspendingMinnow' || (floats && bait.diveM !== null)) return { ...stopped(bait, context), parts }

  const fallS = fallTime({ ...lure, depthM: rig.baitDepthM }).seconds
  const level = holdDepthSpeed({ submergedN, dragAreaM2: lure.dragAreaM2, distanceM: rig.distanceM, depthM: rig.baitDepthM, rodTipM: rig.rodTipM, waterTempC: waterC }).speedMS
  const runs = Math.max(speed, level)
  const reasons: RigReason[] = [
    { tone: 'now', text: `Count ${formatSeconds(fallS)}: it is down to ${formatDepth(rig.baitDepthM, units)}.` },
    ...(family.id === 'jiggingSpoon'
      ? [{ tone: bait.massKg >= FALLS_OFF_KG ? 'plain' as const : 'careful' as const, text: bait.massKg >= FALLS_OFF_KG ? 'Heavy enough to fall off the limbs it lands on.' : 'Too light to fall off limbs: take a quarter ounce.' }]
      : [{ tone: runs > follow ? 'careful' as const : 'plain' as const, text: `It must run at ${formatSpeed(runs, units)} to work and stay there; they follow ${formatSpeed(follow, units)}.` }]),
    ...(family.id === 'lipless' ? [noiseReason(context)] : []),
  ]
  const work = family.id === 'jiggingSpoon' ? 'Straight below: lift a foot, let it flutter back on a line that is just slack; hold between.' : family.id === 'lipless' ? 'Long casts, steady; when it touches weed, rip it free.' : 'Let it sink like a jig, then slow and straight along the edge.'
  return { parts, reasons, work, figures: [{ label: `count to ${formatDepth(rig.baitDepthM, units)}`, value: formatSeconds(fallS) }, family.id === 'jiggingSpoon' ? { label: 'weight', value: formatWeight(bait.massKg, units) } : { label: 'run it at', value: short(runs, units) }], scene: { mode: 'cast', lure, depthM: rig.baitDepthM, fallS, holdSpeedMS: runs } }
}

/** A bait to be stopped: hangs, rises or sinks in water of this temperature, and what trims it. */
function stopped(bait: BaitAtHand, { rig, waterC, units }: TieContext): Omit<TiedCore, 'parts'> {
  const runsAt = bait.diveM ?? 0.8
  const hang = suspendBalance({ bodyMassKg: bait.massKg, volumeM3: bait.volumeM3, dragAreaM2: areaOf(bait), waterTempC: waterC })
  const grams = `${(Math.abs(hang.trimKg) * 1000).toFixed(2)} g`
  const pause = waterC < COLD_C ? '5 to 10 s' : '1 to 3 s'
  const over = rig.baitDepthM - runsAt
  const reasons: RigReason[] = [
    hang.verdict === 'hangs'
      ? { tone: 'now', text: 'It hangs where it is stopped in water this warm: what a slow fish needs.' }
      : { tone: 'careful', text: `In this water it ${hang.verdict} at ${formatSpeed(hang.speedMS, units)} when it is stopped: ${hang.trimKg > 0 ? `add ${grams} of wire or larger hooks` : `take ${grams} off, smaller hooks`}.` },
    Math.abs(over) <= 0.6 ? { tone: 'plain', text: `It runs at ${formatDepth(runsAt, units)}, where the bait should be.` } : { tone: 'careful', text: over > 0 ? `It runs at ${formatDepth(runsAt, units)}, ${formatDepth(over, units)} over them: thinner line and a low rod run it deeper.` : `It runs at ${formatDepth(runsAt, units)}, under them: hold the rod high.` },
  ]
  return { reasons, figures: [{ label: 'runs at', value: formatDepth(runsAt, units) }, { label: 'pause', value: pause }], work: `Two light twitches, then stop for ${pause}; the take is on the stop.`, scene: { mode: 'swim', depthM: runsAt, speedMS: 0.35 } }
}

function noiseReason({ searching, schools }: TieContext): RigReason {
  if (schools.noise === 'silent') return { tone: 'plain', text: 'A silent one, as you hold with.' }
  return { tone: 'plain', text: searching ? 'A rattling one while you search: it calls them from afar.' : 'A silent one so near to a school; the rattling one is for searching.' }
}

/** How badly a bait suits: by its own depth, by how it leaves a depth when stopped, by length. */
function misses(b: BaitAtHand, { rig, waterC }: TieContext): number {
  const depth = b.diveM === null ? 0 : Math.abs(rig.baitDepthM - b.diveM) / 2
  const hang = b.type === 'minnow' ? suspendBalance({ bodyMassKg: b.massKg, volumeM3: b.volumeM3, dragAreaM2: areaOf(b), waterTempC: waterC }).speedMS * 8 : 0
  return depth + hang + Math.abs(Math.log(b.lengthM / 0.045)) * 0.5
}
