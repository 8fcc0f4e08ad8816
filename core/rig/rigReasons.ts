import { GRAVITY, waterDensity } from '../water/waterDensity'
import type { Units } from '../units/format'
import {
  formatDepth, formatDistance, formatLength, formatPercent, formatSeconds, formatSetting, formatSmall, formatSpeed, formatWeight, formatWind,
} from '../units/format'
import type { StandOff } from '../place/standOff'
import type { RejectedWeight, WayOut, WeightDemand } from './chooseJigWeight'
import { LEAD_KG_M3 } from './jig'
import type { RigAdvice } from './rigFor'

export interface RigReason {
  text: string
  tone: 'plain' | 'now' | 'careful'
}

/** Fish that follow no faster than this are slow: a fall is a long look for them. */
const SLOW_MS = 0.15

/** Why this weight: what the wind, the fall and the fishes' legs ask for, in sentences. */
export function weightReasons({ weight, tie, chaseSpeedMS, baitDepthM }: Pick<RigAdvice, 'weight' | 'tie' | 'chaseSpeedMS' | 'baitDepthM'>, windMS: number, units: Units): RigReason[] {
  const follow = formatSpeed(chaseSpeedMS, units)
  if (weight.choice) {
    const lighter = weight.rejected.filter(r => r.massKg < tie.massKg).at(-1)
    const heavier = weight.rejected.find(r => r.massKg > tie.massKg && r.because.includes('chase'))
    const reasons: RigReason[] = [{
      tone: 'now',
      text: `${formatWeight(tie.massKg, units)} is the lightest that does it all: felt in ${formatWind(tie.windLimitMS, units)} of wind, down to ${formatDepth(baitDepthM, units)} in ${formatSeconds(tie.fallS)}, level at ${formatSpeed(tie.holdSpeedMS, units)}.`,
    }]
    if (lighter) reasons.push({ tone: 'plain', text: `${formatWeight(lighter.massKg, units)} is ${tooMuch(lighter, windMS, units)}.` })
    const heaviest = weight.alsoGood.at(-1)
    if (heaviest && !heavier && chaseSpeedMS <= SLOW_MS && heaviest.massKg > 1.5 * tie.massKg) reasons.push({ tone: 'plain', text: `${formatWeight(heaviest.massKg, units)} does it too, but drops past them at ${formatSpeed(heaviest.sinkSpeedMS, units)}; slow fish are given longer by this one's ${formatSpeed(tie.sinkSpeedMS, units)}.` })
    if (heavier) reasons.push({ tone: 'plain', text: `${formatWeight(heavier.massKg, units)} must be wound at ${formatSpeed(heavier.holdSpeedMS, units)} to stay level; they follow ${follow}.` })
    return reasons
  }
  const { demands, waysOut } = weight.clash!
  return [
    { tone: 'careful', text: clashText(demands, weight.rejected, windMS, follow, units) },
    ...(waysOut.some(w => w.way === 'addWeight') ? [] : addedText(weight.rejected[0]!, windMS, units)),
    ...waysOut.map((way): RigReason => ({ tone: 'plain', text: wayOutText(way, units) })),
  ]
}

/** Weights to put on a line, kg: common ones. */
const PIECES_KG = [1 / 64, 1 / 32, 1 / 16, 1 / 8, 3 / 16, 1 / 4, 3 / 8, 1 / 2].map(oz => oz * 0.028349523125)

/** What makes a head that is lost in the wind felt again, though it cannot then be wound level for these fish. */
function addedText(head: RejectedWeight, windMS: number, units: Units): RigReason[] {
  if (!head.because.includes('wind')) return []
  const lacksKg = (head.submergedN * ((windMS / head.windLimitMS) ** 2 - 1)) / (GRAVITY * (1 - waterDensity({}) / LEAD_KG_M3))
  const piece = PIECES_KG.find(kg => kg >= lacksKg)
  if (piece === undefined) return []
  return [{ tone: 'plain', text: `To feel a ${formatWeight(head.massKg, units)} in ${formatWind(windMS, units)}, add ${formatWeight(piece, units)} on the line ahead of it, and lift and drop it: wound level it outruns them.` }]
}

function tooMuch(candidate: RejectedWeight, windMS: number, units: Units): string {
  switch (candidate.because[0]!) {
    case 'wind': return `lost to the wind above ${formatWind(candidate.windLimitMS, units)}, and it blows ${formatWind(windMS, units)}`
    case 'fall': return `too slow to get down: ${formatSeconds(candidate.fallS)}`
    case 'chase': return `too fast to run level: ${formatSpeed(candidate.holdSpeedMS, units)}`
  }
}

/** Why a weight was left in the box, in a few words for a table. */
export function rejectionText(because: WeightDemand[]): string {
  const words: Record<WeightDemand, string> = { wind: 'lost in the wind', fall: 'too slow down', chase: 'too fast for them' }
  return because.map(d => words[d]).join(', ')
}

function clashText([a, b]: [WeightDemand, WeightDemand | 'box'], rejected: RejectedWeight[], windMS: number, follow: string, units: Units): string {
  const without = (demand: WeightDemand) => rejected.filter(r => !r.because.includes(demand))
  if (b === 'box') {
    if (a === 'chase') return `Even the lightest head must be wound faster than the ${follow} they follow.`
    return a === 'wind'
      ? `No head at hand is felt in ${formatWind(windMS, units)}.`
      : 'No head at hand gets down in time.'
  }
  const least = without(a)[0]
  const most = without('chase').at(-1)
  const wind = formatWind(windMS, units)
  const needs = least
    ? `${a === 'wind' ? `${wind} of wind asks for` : 'Getting down asks for'} ${formatWeight(least.massKg, units)} or more`
    : a === 'wind' ? `No head you carry is felt in ${wind} of wind` : 'No head you carry gets down in time'
  const takes = most ? `fish that follow ${follow} take ${formatWeight(most.massKg, units)} at most` : `none runs as slow as the ${follow} they follow`
  return `${needs}; ${takes}. No bare jig does both.`
}

function wayOutText(way: WayOut, units: Units): string {
  switch (way.way) {
    case 'thinnerLine': return `Thinner line works: ${formatWeight(way.massKg, units)} on ${(way.lineDiameterM * 1000).toFixed(2)} mm.`
    case 'closer': return way.distanceM === 0
      ? `Straight below works: ${formatWeight(way.massKg, units)} from over the top.`
      : `Closer works: ${formatWeight(way.massKg, units)} from ${formatDistance(way.distanceM, units)}.`
    case 'otherBody': return `Another body works: ${formatWeight(way.massKg, units)} with the ${formatLength(way.body.lengthM, units)} one.`
    case 'addWeight': return `Or add ${formatWeight(way.addedKg, units)} on the line ahead of a ${formatWeight(way.massKg, units)} head.`
    case 'float': return 'Or hang it under a float: it holds the depth without being wound.'
  }
}

/** Why the stop is set where it is. */
export function floatReasons({ float, topM, baitDepthM }: RigAdvice, windMS: number, units: Units): RigReason[] {
  const { setting, bare, shotKg } = float
  const head = formatWeight(float.headKg, units)
  const reasons: RigReason[] = []
  if (setting.planes) {
    return [{ tone: 'careful', text: `In ${formatWind(windMS, units)} the line lies flat before the bait is down. Hold the float on a tight line, or add weight.` }]
  }
  reasons.push({
    tone: 'now',
    text: `Set the stop at ${formatSetting(setting.stopLengthM, units)}: the top of the school is ${formatDepth(topM, units)}, and the bait should hang at ${formatDepth(baitDepthM, units)}.`,
  })
  const lift = bare.riseM < 0.012 ? 'hardly lifts' : `lifts`
  reasons.push({
    tone: bare.riseM > 0.1 ? 'careful' : 'plain',
    text: bare.riseM < 0.012
      ? `The wind ${lift} a bare ${head}.`
      : `${formatWind(windMS, units)} ${lift} a bare ${head} by ${formatSmall(bare.riseM, units)}${shotKg > 0 ? `; with ${formatWeight(shotKg, units)} of shot above it, ${formatSmall(setting.riseM, units)}` : ''}.`,
  })
  if (setting.riseM > 0.1) reasons.push({ tone: 'careful', text: 'The heaviest shot at hand still lets it ride high: hold the float, or move out of the wind.' })
  if (float.float === null) reasons.push({ tone: 'careful', text: 'Every float at hand sinks under this load.' })
  else if (!float.float.sitsRight) reasons.push({ tone: 'plain', text: `The nearest float keeps ${formatPercent(float.float.reserveShare)} of its lift; 10 to 25 % sits right.` })
  return reasons
}

/** Where to hold and why, in a sentence. */
export function standOffText({ fromM, toM, because }: StandOff, units: Units): string {
  const far = `${formatDistance(fromM, units)} to ${formatDistance(toM, units)}`
  switch (because) {
    case 'dock': return `Hold ${far} off, two to two and a half rod lengths, rod tip low.`
    case 'lateSummer': return `Hold ${far} off: they are nervous.`
    case 'shallow': return `Hold ${far} off and cast past: they are too shallow to sit over.`
    case 'weedEdge': return `Hold ${far} off the deep side of the edge.`
    case 'clear': return `Hold ${far} off: in water this clear they see the boat.`
    case 'deepClear': return `Hold ${far} off: deep enough, but clear.`
    case 'farAlways': return `Hold ${far} off, deep and stained as it is: that is how you want it.`
    case 'deepStained': return 'Close is fine, straight below too: they are deep and the water is stained.'
  }
}
