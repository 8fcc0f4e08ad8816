import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import type { PlaceKind } from '../place/kinds'
import { seasonFishName, type SeasonFish } from '../season/seasons'
import { formatDepth, formatDepthBand, formatSpeed, formatWind, type Units } from '../units/format'
import { chaseSpeed, type Mood } from './mood'
import type { Schools } from './schools'

/** A way of presenting a bait, with the envelope in which it works: the field handbook's table in figures. */
export interface Family {
  id: string
  name: string
  /** whom it is for; empty: all */
  fish: readonly SeasonFish[]
  /** depth of the bait, m */
  depthM: readonly [number, number]
  /** slowest speed at which it still works, m/s: 0 hangs still */
  slowestMS: number
  /** strongest wind it is fished in, m/s */
  windMS: number
  /** a pale lure must be seen so far for it to be found, m */
  secchiM: number
  /** 0–1: comes through limbs and weed */
  clears: number
  /** 0–1: covers water quickly */
  searches: number
  /** 0–1: how little it spooks fish that are near */
  quiet: number
  /** must be worked within this of the bottom, m; null: anywhere */
  bottomM: number | null
  use: string
  weak: string
}

const f = (id: string, name: string, fish: Family['fish'], depthM: Family['depthM'], figures: [slowestMS: number, windMS: number, secchiM: number, clears: number, searches: number, quiet: number, bottomM?: number], use: string, weak: string): Family => {
  const [slowestMS, windMS, secchiM, clears, searches, quiet, bottomM = null] = figures
  return { id, name, fish, depthM, slowestMS, windMS, secchiM, clears, searches, quiet, bottomM, use, weak }
}
const PERCH: SeasonFish[] = ['yellowPerch', 'europeanPerch']
const PAN: SeasonFish[] = ['crappie', 'bluegill', 'yellowPerch']

/** Every family, from the field handbook (DOMAIN §6). */
export const FAMILIES: readonly Family[] = [
  f('castJig', 'light jig and soft body', [], [0.3, 6], [0.1, 8, 0.25, 0.5, 0.6, 0.8], 'everything: cast, pitched or swum', 'wind, very deep water'),
  f('weightedJig', 'light jig behind a pegged weight or shot', PAN, [1, 9], [0.08, 11, 0.25, 0.45, 0.5, 0.6], 'a tiny bait at range or depth', 'spooky fish straight below'),
  f('denseJig', 'dense hair or fly jig', ['crappie', 'yellowPerch', 'bluegill'], [2.5, 8], [0.05, 9, 0.3, 0.45, 0.3, 0.75], 'suspended fish, dropped again at once; needs no bait', 'very shallow water'),
  f('minnowJig', 'jig tipped with a minnow', ['crappie', 'yellowPerch', 'europeanPerch', 'whiteBass'], [0.5, 9], [0, 8, 0.1, 0.4, 0.2, 0.7], 'size, scent, stained water', 'bait thieves; live-bait rules'),
  f('slipFloat', 'slip float with jig or minnow', PAN, [0.5, 7], [0, 6, 0.2, 0.6, 0.15, 0.95], 'held still at an exact depth, at any distance', 'strong wind, glassy water with high fish'),
  f('fixedFloat', 'fixed pencil float', PAN, [0.3, 2], [0, 4, 0.25, 0.7, 0.2, 0.9], 'shallow and calm, up in the weeds', 'deep water'),
  f('safetyPin', 'safety-pin spinner', ['crappie', 'europeanPerch', 'whiteBass', 'yellowPerch'], [0.5, 4], [0.35, 10, 0.15, 0.75, 0.85, 0.4], 'searching weed edges and shallow brush', 'cold water'),
  f('lipless', 'lipless vibrating bait', ['crappie', 'whiteBass', 'yellowPerch', 'europeanPerch'], [1, 7], [0.6, 12, 0.1, 0.35, 1, 0.25], 'far search, deeper edges, ripped free of weed', 'spooked fish close by'),
  f('microCrank', 'sinking micro crank', ['crappie', 'yellowPerch', 'europeanPerch', 'whiteBass'], [0.6, 4], [0.35, 9, 0.3, 0.3, 0.8, 0.5], 'sinks like a jig, follows a weed edge', 'snags'),
  f('suspendingMinnow', 'suspending minnow', ['crappie', 'yellowPerch', 'europeanPerch', 'whiteBass'], [0.6, 3], [0, 9, 0.6, 0.25, 0.5, 0.65], 'pre-spawn in wind, cold perch: twitch and pause', 'one that sinks or floats too fast'),
  f('bladedJig', 'bladed jig or spin-prop minnow', ['europeanPerch', 'yellowPerch', 'whiteBass'], [0.6, 5], [0.45, 10, 0.2, 0.6, 0.75, 0.35], 'larger fish in weed, slow and straight', 'heavy snags'),
  f('nymph', 'insect or nymph body', ['bluegill', 'crappie'], [0, 1], [0, 3, 0.4, 0.4, 0.2, 0.95], 'a hatch on a calm summer evening', 'wind'),
  f('dropShot', 'drop-shot', ['yellowPerch', 'europeanPerch', 'crappie', 'bluegill'], [3, 14], [0, 10, 0.25, 0.4, 0.4, 0.85, 0.6], 'fish within two feet of the bottom, scattered or held still', 'water seen through for less than ten inches'),
  f('standUp', 'stand-up head and creature', PERCH, [1.5, 14], [0, 9, 0.2, 0.45, 0.2, 0.8, 0.3], 'cold perch on the bottom: hop, then still', 'mud and leaves'),
  f('heavyShad', 'overweighted paddle-tail shad', PERCH, [1, 9], [0.7, 13, 0.3, 0.3, 0.9, 0.3], 'warm perch, by reaction', 'cold water'),
  f('weedless', 'offset-hook weedless soft bait', PERCH, [0.6, 3], [0.12, 7, 0.3, 1, 0.5, 0.75], 'last year\'s weed in shallow bays', 'deep open water'),
  f('jiggingSpoon', 'jigging minnow, small spoon or blade', ['crappie', 'yellowPerch', 'europeanPerch', 'whiteBass'], [5.5, 16], [0.3, 11, 0.2, 0.2, 0.5, 0.4], 'straight below in deep water, heavy enough to fall off limbs', 'spooky shallow fish'),
  f('bottomRig', 'two-hook bottom rig, drifted', PERCH, [10, 22], [0.05, 10, 0.1, 0.2, 0.9, 0.6, 0.6], 'deep perch over wide ground', 'small fish that cannot go back from there'),
  f('topwater', 'small topwater, inline spinner or marabou', ['whiteBass'], [0, 2], [0.6, 9, 0.3, 0.3, 1, 0.4], 'boils and runs', 'fish that hold deep'),
]

export interface FamilyDemand {
  fish: SeasonFish
  mood: Mood
  /** middle of the fish, and the bottom, m */
  fishDepthM: number
  bottomDepthM: number
  kind: PlaceKind
  secchiM: number
  windMS: number
  /** looking for fish rather than fishing for a school that was found */
  searching: boolean
  /** what the angler holds of noise: the silent never send a loud bait near fish */
  noise?: Schools['noise']
}

export type FamilyKey = 'depth' | 'pace' | 'bottom' | 'cover' | 'clarity' | 'wind' | 'search'
export interface FamilyFactor { key: FamilyKey, value: number }
export interface RankedFamily { family: Family, score: number, factors: FamilyFactor[] }

/** Kinds of place where a hook meets limbs, posts or weed. */
const SNAGGY: Partial<Record<PlaceKind, number>> = { brush: 1, timber: 1, dock: 0.6, moorings: 0.6, weedEdge: 0.7, reedStubble: 0.8, riprap: 0.5, lockCut: 0.3 }
const LEAST = 0.03
const bound = (x: number) => Math.max(LEAST, Math.min(1, x))
/** Shy fish want quiet near them; the keen do not mind. */
const SHY: Record<Mood, number> = { torpid: 1, slow: 0.8, steady: 0.45, keen: 0.15, fast: 0 }

/**
 * Families that suit fish, place and day, best first, each factor in 0–1 by how well its envelope holds (geometric mean).
 * @throws RangeError for a depth or clarity that is not above 0, or a negative wind
 */
export function rankFamilies(demand: FamilyDemand): RankedFamily[] {
  requireNumber('fishDepthM', demand.fishDepthM, POSITIVE)
  requireNumber('bottomDepthM', demand.bottomDepthM, POSITIVE)
  requireNumber('secchiM', demand.secchiM, POSITIVE)
  requireNumber('windMS', demand.windMS, NOT_NEGATIVE)
  return FAMILIES.filter(family => family.fish.length === 0 || family.fish.includes(demand.fish)).map((family) => {
    const factors = factorsOf(family, demand)
    return { family, factors, score: Math.exp(factors.reduce((sum, { value }) => sum + Math.log(value), 0) / factors.length) }
  }).sort((a, b) => b.score - a.score)
}

function factorsOf(family: Family, { mood, fishDepthM, bottomDepthM, kind, secchiM, windMS, searching, noise = 'search' }: FamilyDemand): FamilyFactor[] {
  const [top, bottom] = family.depthM
  const outside = Math.max(0, top - fishDepthM, fishDepthM - bottom)
  const follow = chaseSpeed(mood)
  const pace = family.slowestMS <= follow ? 1 : (follow / family.slowestMS) ** 1.5
  const shy = noise === 'silent' ? Math.max(0.7, SHY[mood]) : SHY[mood]
  const over = Math.max(0, bottomDepthM - fishDepthM)
  return [
    { key: 'depth', value: bound(Math.exp(-((outside / (0.35 * Math.max(1, fishDepthM))) ** 2))) },
    { key: 'pace', value: bound(pace * (1 - 0.6 * shy * (1 - family.quiet))) },
    { key: 'bottom', value: bound(family.bottomM === null ? 1 : over <= family.bottomM ? 1 : Math.exp(-(over - family.bottomM))) },
    { key: 'cover', value: bound(1 - (SNAGGY[kind] ?? 0) * (1 - family.clears) * 0.8) },
    { key: 'clarity', value: bound(secchiM >= family.secchiM ? 1 : (secchiM / family.secchiM) ** 2) },
    { key: 'wind', value: bound(windMS <= family.windMS ? 1 : (family.windMS / windMS) ** 3) },
    { key: 'search', value: bound(searching ? 0.35 + 0.65 * family.searches : 1 - 0.35 * family.searches) },
  ]
}

/** Below this a factor is a reason against. */
const AGAINST = 0.6

/** Why a family stands where it does, the strongest reasons first: at most three for, and all against. */
export function familyReasons({ family, factors }: RankedFamily, demand: FamilyDemand, units: Units): { text: string, tone: 'for' | 'against' }[] {
  const follow = formatSpeed(chaseSpeed(demand.mood), units)
  const say: Record<FamilyKey, [good: string, bad: string]> = {
    depth: [`works at ${formatDepthBand(family.depthM[0], family.depthM[1], units)}, and they hang at ${formatDepth(demand.fishDepthM, units)}`, `they hang at ${formatDepth(demand.fishDepthM, units)}; it works at ${formatDepthBand(family.depthM[0], family.depthM[1], units)}`],
    pace: [family.slowestMS === 0 ? 'hangs still for fish that will not chase' : `slow enough: they follow ${follow}`, family.slowestMS > chaseSpeed(demand.mood) ? `must be moved at ${formatSpeed(family.slowestMS, units)}; they follow ${follow}` : 'too loud so near to shy fish'],
    bottom: ['stays by the bottom with them', 'a bait for the bottom, and they hang over it'],
    cover: ['comes through the cover', 'hangs up in this cover'],
    clarity: ['seen far enough', `needs to be seen ${formatDepth(family.secchiM, units)}; the water gives ${formatDepth(demand.secchiM, units)}`],
    wind: [`can be fished in ${formatWind(demand.windMS, units)} of wind`, `hard to control above ${formatWind(family.windMS, units)}; it blows ${formatWind(demand.windMS, units)}`],
    search: [demand.searching ? 'covers water to find them' : 'stays with fish that were found', demand.searching ? 'slow to find fish with' : 'runs past fish that were found'],
  }
  const order: FamilyKey[] = ['depth', 'pace', 'search', 'cover', 'bottom', 'wind', 'clarity']
  const of = (key: FamilyKey) => factors.find(x => x.key === key)!.value
  const against = order.filter(key => of(key) < AGAINST).sort((a, b) => of(a) - of(b)).map(key => ({ text: say[key][1], tone: 'against' as const }))
  const good = order.filter(key => of(key) >= 0.85 && !(key === 'bottom' && family.bottomM === null)).slice(0, 3).map(key => ({ text: say[key][0], tone: 'for' as const }))
  return [...good, ...against]
}

/** Whom a family is for, in words. */
export const familyFish = ({ fish }: Family) => (fish.length === 0 ? 'all' : fish.map(seasonFishName).join(', '))
