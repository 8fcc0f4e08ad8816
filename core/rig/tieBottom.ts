import { formatDepth, formatSmall, formatSpeed, formatWeight } from '../units/format'
import type { NamedWeight } from './box'
import { driftSpeed } from './driftSpeed'
import { dropShot } from './dropShot'
import type { Family } from './families'
import type { RigReason } from './rigReasons'
import { MOST_LEAN_DEG, SINKER_DRAG_M2, sinkerForAngle } from './sinkerForAngle'
import type { RigPart, TieContext, TiedCore } from './tieOn'

const FT = 0.3048
/** A boat that is held over fish still creeps, m/s. */
const HELD_MS = 0.1
const OZ = 0.028349523125
/** Bottom weights that are sold, for saying what would do. */
const SOLD_KG = [1 / 4, 3 / 8, 1 / 2, 3 / 4, 1, 1.25, 1.5, 1.75, 2, 2.5, 3, 4, 6, 8].map(oz => oz * OZ)
const HOOKS_UP_M = [0.35, 0.8]
/** Fish higher over the bottom than this are out of its reach, m. */
const REACH_M = 1.2
/** Deeper than this, fish that come up seldom go back alive, m (DOMAIN §9). */
const DEEP_M = 30 * FT

const bottoms = (weights: readonly NamedWeight[] = []) => weights.filter(w => w.style === 'bottom').sort((a, b) => a.massKg - b.massKg)

/** A weight to the ground with hooks over it: held still, or drifted with socks until a weight of the box holds the line. */
export function tieBottom(family: Family, context: TieContext): TiedCore {
  return family.id === 'dropShot' ? tieDropShot(context) : tieDrifted(context)
}

function tieDropShot({ rig, place, box, waterC, units }: TieContext): TiedCore {
  const { bottomDepthM } = place.attributes
  const line = box.lines.find(l => l.id === rig.lineId)!
  const made = dropShot({ depthM: bottomDepthM, fishAboveBottomM: Math.max(0.1, bottomDepthM - Math.min(bottomDepthM - 0.1, rig.fishM)), relSpeedMS: HELD_MS, lineDiameterM: line.diameterM, waterTempC: waterC })
  const own = bottoms(box.weights).find(w => w.massKg >= made.massKg * 0.97)
  const massKg = own?.massKg ?? SOLD_KG.find(kg => kg >= made.massKg * 0.97) ?? made.massKg
  const hook = box.hooks?.find(h => h.name.includes('4'))
  const reasons: RigReason[] = [
    { tone: 'now', text: `${formatWeight(made.massKg, units)} and more keeps the line near straight while the boat creeps at ${formatSpeed(HELD_MS, units)}.` },
    { tone: 'plain', text: `The link is no longer than ${formatSmall(made.linkM[1], units)}: a slow fish can then inhale it without moving the weight.` },
    ...(made.tooHigh ? [{ tone: 'careful' as const, text: `They hang ${formatDepth(bottomDepthM - rig.fishM, units)} over the bottom, out of a drop-shot's reach: swim a jig over them.` }] : []),
  ]
  return {
    parts: [{ part: 'hook', what: '#4 on a loop', have: hook !== undefined }, { part: 'weight', what: `${formatWeight(massKg, units)} ball`, have: own !== undefined }, { part: 'link', what: `${formatSmall(made.linkM[0], units)} to ${formatSmall(made.linkM[1], units)}`, have: true }],
    figures: [{ label: 'drop', value: formatSmall(made.dropM, units) }, { label: 'weight', value: formatWeight(massKg, units) }], reasons,
    work: rig.mood === 'torpid' || rig.mood === 'slow' ? 'Weight on the ground, line just tight, still for ten seconds and longer; then move it a hand.' : 'Shake it without moving the weight, rest, shake; then drag a yard.',
    scene: { mode: 'bottom', massKg, dragAreaM2: SINKER_DRAG_M2, hooksUpM: [made.dropM], driftMS: HELD_MS, depthM: bottomDepthM },
  }
}

function tieDrifted({ rig, place, box, windMS, waterC, units }: TieContext): TiedCore {
  const { bottomDepthM } = place.attributes
  const line = box.lines.find(l => l.id === rig.lineId)!
  const [socks, own] = [box.socks ?? [], bottoms(box.weights)]
  const with_ = (count: number) => {
    const { speedMS } = driftSpeed({ windMS, socks: socks.slice(0, count), waterTempC: waterC })
    return { count, speedMS, needKg: sinkerForAngle({ depthM: bottomDepthM, relSpeedMS: speedMS, lineDiameterM: line.diameterM, waterTempC: waterC }).massKg }
  }
  const tries = Array.from({ length: socks.length + 1 }, (_, i) => with_(i))
  const heaviest = own.at(-1)?.massKg ?? 0.06
  const drift = tries.find(t => t.needKg <= heaviest) ?? tries.at(-1)!
  const carried = own.find(w => w.massKg >= drift.needKg * 0.97)
  const massKg = carried?.massKg ?? SOLD_KG.find(kg => kg >= drift.needKg * 0.97) ?? drift.needKg
  const bare = tries[0]!
  const parts: RigPart[] = [
    { part: 'weight', what: formatWeight(massKg, units), have: carried !== undefined },
    { part: 'hooks', what: `two, ${HOOKS_UP_M.map(m => formatSmall(m, units)).join(' and ')} up, a minnow on each`, have: (box.hooks ?? []).length > 0 },
    { part: 'socks', what: drift.count === 0 ? (socks.length > 0 ? 'none needed' : 'none in the box') : `${drift.count}`, have: true },
  ]
  const reasons: RigReason[] = [
    { tone: 'now', text: `The boat drifts at ${formatSpeed(drift.speedMS, units)}${drift.count > 0 ? ` with ${drift.count === 1 ? 'a sock' : `${drift.count} socks`} out` : ''}: ${formatWeight(drift.needKg, units)} keeps the line within ${MOST_LEAN_DEG}° of straight down in ${formatDepth(bottomDepthM, units)}.` },
    ...(bottomDepthM - rig.fishM > REACH_M ? [{ tone: 'careful' as const, text: `They hang ${formatDepth(bottomDepthM - rig.fishM, units)} over the bottom: this fishes under them.` }] : []),
    ...(drift.count > 0 ? [{ tone: 'plain' as const, text: `Without, it drifts at ${formatSpeed(bare.speedMS, units)} and asks for ${formatWeight(bare.needKg, units)}.` }] : []),
    ...(carried ? [] : [{ tone: 'careful' as const, text: `No weight you carry holds it: take ${formatWeight(massKg, units)}${socks.length === drift.count ? ', or one more sock' : ''}.` }]),
    ...(bottomDepthM > DEEP_M ? [{ tone: 'careful' as const, text: 'Fish from so deep seldom live when they are put back: keep what is legal, and stop.' }] : []),
  ]
  return {
    parts, reasons, figures: [{ label: 'weight', value: formatWeight(massKg, units) }, { label: 'drift', value: formatSpeed(drift.speedMS, units).replace(' a second', '/s') }],
    work: 'Lower to the ground, lift a foot slowly, lower again; let the drift cover the water.',
    scene: { mode: 'bottom', massKg, dragAreaM2: SINKER_DRAG_M2, hooksUpM: HOOKS_UP_M, driftMS: drift.speedMS, depthM: bottomDepthM },
  }
}
