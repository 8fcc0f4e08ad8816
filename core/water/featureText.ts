import { compassPoint, formatArea, formatDepth, formatDepthBand, formatDistance, formatPercent, formatRoundDepth, type Units } from '../units/format'
import { ROAD_BANDS_M } from './roads'
import type { Feature, FeatureKind, WaterReading } from './readWater'

const NAMES: Record<FeatureKind, string> = {
  flat: 'Flat', break: 'Break', point: 'Point', insideTurn: 'Inside turn', hump: 'Hump', saddle: 'Saddle', basin: 'Basin', channelBend: 'Channel bend',
}

export function featureKindName(kind: FeatureKind): string {
  return NAMES[kind]
}

/** A short name that tells one from another: "Flat, 17 acres at 5 ft". */
export function featureTitle(f: Feature, units: Units): string {
  switch (f.kind) {
    case 'flat': return `Flat, ${formatArea(f.areaM2!, units)} at ${formatRoundDepth(f.depthM[0], units)}`
    case 'break': return `Break, ${formatDepthBand(f.depthM[0], f.depthM[1], units)} in ${formatDistance(runOf(f), units)}`
    case 'point': return `Point facing ${compassPoint(f.facingDeg!)}`
    case 'insideTurn': return `Inside turn open to the ${compassPoint(f.facingDeg!)}`
    case 'hump': return `Hump, top at ${formatRoundDepth(f.depthM[0], units)}`
    case 'saddle': return `Saddle at ${formatRoundDepth(f.depthM[0], units)}`
    case 'basin': return `Basin, ${formatRoundDepth(f.depthM[1], units)} deep`
    case 'channelBend': return `Channel bend at ${formatRoundDepth(f.depthM[0], units)}`
  }
}

const runOf = (f: Feature) => (f.depthM[1] - f.depthM[0]) / f.steepness!

/** What it is good for, in a sentence or two. */
export function featureText(f: Feature, units: Units): string {
  const far = f.toBasinM < 30 ? 'right at wintering water' : `${formatDistance(f.toBasinM, units)} from wintering water`
  switch (f.kind) {
    case 'flat': {
      const { shelter, sun } = f.spawning!
      const lee = shelter >= 0.5 ? 'sheltered from the cold wind' : 'open to the cold wind'
      const light = sun >= 0.6 ? 'with the low sun on it: warms early' : 'with the bank on the sunny side: warms late'
      return `Spawning ground, ${lee}, ${light}. ${sentence(far)}.`
    }
    case 'break': return `Falls ${formatDepthBand(f.depthM[0], f.depthM[1], units)} in ${formatDistance(runOf(f), units)} along ${formatDistance(f.lengthM!, units)} beside ${formatArea(f.areaM2!, units)} of flat: they gather here before and after the beds. ${sentence(far)}.`
    case 'point': return `Sticks out from ${formatDepthBand(f.depthM[0], f.depthM[1], units)}: current and roaming schools pass close. ${sentence(far)}.`
    case 'insideTurn': return `The bank turns in at ${formatDepthBand(f.depthM[0], f.depthM[1], units)}: fish moving along it pile up here. ${sentence(far)}.`
    case 'hump': return `Rises to ${formatDepth(f.depthM[0], units)} out of ${formatDepth(f.depthM[1], units)}: fills after the spawn. ${sentence(far)}.`
    case 'saddle': return `The low way between a hump and its neighbour, ${formatDepth(f.depthM[0], units)}: a crossing for fish on the move.`
    case 'basin': return f.toBasinM < 30 ? `Wintering water, ${formatDepth(f.depthM[1], units)}.` : `A hollow ${formatDepth(f.depthM[1], units)} deep, cut off from the wintering water by ${formatDepth(f.depthM[0], units)}.`
    case 'channelBend': return `The old bed turns here at ${formatDepth(f.depthM[0], units)}: fish hold on the outside of the bend. ${sentence(far)}.`
  }
}

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** "1,600 ft, 45 % of it in 20–30 ft". */
export function roadText({ lengthM, bandM }: WaterReading['roads'][number], units: Units): string {
  const widest = bandM.indexOf(Math.max(...bandM))
  const from = widest === 0 ? 0 : ROAD_BANDS_M[widest - 1]!
  const to = ROAD_BANDS_M[widest]!
  const band = Number.isFinite(to) ? formatDepthBand(from, to, units) : `over ${formatRoundDepth(from, units)}`
  return `${formatDistance(lengthM, units)} along the bottom, ${formatPercent(bandM[widest]! / lengthM)} of it in ${band}`
}
