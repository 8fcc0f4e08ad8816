import { shareBetween, type DepthBelief } from '../school/depthBelief'
import type { PhaseShare } from '../season/phaseProbabilities'
import type { SeasonFish } from '../season/seasons'
import { coverTop, hasCover, type Place } from './kinds'
import { structureFit } from './structureFit'

/** What happened here before, from the log. */
export interface PlaceRecord {
  catches: number
  effortHours: number
  visits: number
  /** the same two counted plainly, for the words; left out where they are the same */
  plain?: { catches: number, effortHours: number }
  /** days since the last visit; null if never */
  restDays: number | null
}

export interface ScoreOptions {
  place: Place
  phases: PhaseShare[]
  /** where the fish should be in this depth of water */
  belief: DepthBelief
  windMS: number
  /** open water upwind of the place, m */
  fetchM: number
  /** significant wave height at the place, m */
  waveM: number
  /** surface water at the place, °C, and how much warmer than the main basin it is */
  waterC?: number
  warmerC?: number
  /** the angler's limit for the boat, m */
  waveLimitM: number
  /** 0–1, see `shadowStrength` */
  shadow: number
  /** see `lightActivity` */
  activity: number
  record: PlaceRecord
  /** fish an hour of this angler against the handbook's (see `ownScale`); 1 when left out */
  rateScale?: number
  /** whom the score is for; crappie when left out */
  fish?: SeasonFish
  /** how deep a pale disc is seen, m; left out when not known */
  secchiM?: number
  /** current at the place at this hour, m/s; null where none is known of */
  currentMS?: number | null
}

export type Factor
  = | { key: 'depth', value: number, share: number, topM: number, bottomM: number, fishTopM: number, fishBottomM: number }
    | { key: 'structure', value: number, kind: Place['kind'], phase: PhaseShare['phase'], season: string }
    | { key: 'shade', value: number, shadow: number, deckAreaM2: number | null, roofed: boolean }
    | { key: 'wind', value: number, windMS: number, fetchM: number, blownInto: boolean }
    | { key: 'current', value: number, currentMS: number | null, runs: Place['attributes']['runs'] | null }
    | { key: 'clarity', value: number, secchiM: number | null, verdict: 'murky' | 'fair' | 'clear' }
    | { key: 'warmth', value: number, waterC: number | null, warmerC: number, wanted: 'warm' | 'cool' | null }
    | { key: 'waves', value: number, waveM: number, limitM: number, over: boolean }
    | { key: 'record', value: number, catches: number, effortHours: number, ratePerHour: number | null }
    | { key: 'rest', value: number, restDays: number | null }

const LEAST = 0.02
/** Keeps a factor off zero: one bad sign never rules a place out. */
export const clampFactor = (x: number) => Math.max(LEAST, Math.min(1, x))

/** Everything that speaks for or against a place just now, besides what was caught there. */
export function placeFactors(options: ScoreOptions): Factor[] {
  const { place, phases, fish = 'crappie' } = options
  return [
    depthFactor(options),
    { key: 'structure', value: structureFit({ kind: place.kind, phases, fish }), kind: place.kind, phase: phases[0]!.phase, season: phases[0]!.prior.name },
    shadeFactor(options),
    windFactor(options),
    currentFactor(options),
    clarityFactor(options),
    warmthFactor(options),
    waveFactor(options),
    restFactor(options.record),
  ]
}

/** A place refills in about this many days. */
const REFILL_DAYS = 3
const OPEN_WATER_M = 500

/** Room above the cover that its fish still use, m. */
const ABOVE_COVER_M = 0.6

function depthFactor({ place, belief }: ScoreOptions): Factor {
  const topM = Math.max(0, coverTop(place) - ABOVE_COVER_M)
  const bottomM = place.attributes.bottomDepthM
  const share = shareBetween(belief, topM, bottomM)
  return {
    key: 'depth', value: clampFactor(share), share, topM: coverTop(place), bottomM,
    fishTopM: belief.quantiles.p20, fishBottomM: belief.quantiles.p80,
  }
}

/** A boat moored to a dock throws about as much shade as this many square metres of deck to each metre of its length. */
const BOAT_SHADE_M2 = 2.2

function shadeFactor({ place, shadow }: ScoreOptions): Factor {
  if (place.kind === 'dock' || place.kind === 'moorings') {
    const roofed = place.kind === 'dock' && place.attributes.roofed
    const deckAreaM2 = place.kind === 'dock' ? place.attributes.deckAreaM2 + BOAT_SHADE_M2 * (place.attributes.boatLengthM ?? 0) : place.attributes.boats * MOORED_BOAT_M2
    const holds = 0.45 + 0.35 * Math.min(1, deckAreaM2 / 60) + (roofed ? 0.2 : 0)
    // Without shadows the fish leave the dock's shade and scatter.
    return { key: 'shade', value: clampFactor(0.55 * (1 - shadow) + holds * shadow), shadow, deckAreaM2, roofed }
  }
  const gains = place.kind === 'timber' || place.kind === 'brush'
  return { key: 'shade', value: gains ? 0.75 + 0.15 * shadow : 0.8, shadow, deckAreaM2: null, roofed: false }
}
/** Shaded water under one moored boat, m². */
const MOORED_BOAT_M2 = 10

/** How much each fish gains from running water, and from its standing still where it runs at other times. Priors from practice. */
const CURRENT_PULL: Record<SeasonFish, number> = { crappie: 0.08, bluegill: 0, yellowPerch: 0.05, europeanPerch: 0.15, whiteBass: 0.2 }
/** Slower than this is still water to a fish, m/s. */
export const STILL_MS = 0.03
/** Faster than this only the edges hold fish, m/s. */
const STRONG_MS = 0.7

function currentFactor({ place, fish = 'crappie', currentMS = null }: ScoreOptions): Factor {
  const runs = currentMS === null ? null : place.attributes.runs ?? 'always'
  if (currentMS === null) return { key: 'current', value: 0.8, currentMS, runs }
  const pull = CURRENT_PULL[fish]
  if (currentMS < STILL_MS) return { key: 'current', value: clampFactor(0.8 - pull / 2), currentMS, runs }
  const holds = hasCover(place.kind) || place.kind === 'point' || place.kind === 'riprap' || place.kind === 'weir' ? 1 : 0.6
  return { key: 'current', value: clampFactor(0.8 + pull * holds - (currentMS > STRONG_MS ? 0.25 : 0)), currentMS, runs }
}

/** Below this a quiet bait is hardly found, m (DOMAIN §3: ten to twelve inches). */
const MURKY_M = 0.28
const CLEAR_M = 2.5

function clarityFactor({ place, secchiM, shadow }: ScoreOptions): Factor {
  if (secchiM === undefined) return { key: 'clarity', value: 0.85, secchiM: null, verdict: 'fair' }
  if (secchiM < MURKY_M) return { key: 'clarity', value: 0.5, secchiM, verdict: 'murky' }
  // Bright sun in clear shallow water makes them shy of boat and line.
  const shallow = Math.max(0, 1 - place.attributes.bottomDepthM / (2 * secchiM))
  const clear = secchiM >= CLEAR_M && shallow > 0.2
  return { key: 'clarity', value: clampFactor(0.85 - 0.25 * shallow * shadow * Math.min(1, secchiM / CLEAR_M)), secchiM, verdict: clear ? 'clear' : 'fair' }
}

function windFactor({ windMS, fetchM }: ScoreOptions): Factor {
  const strength = Math.min(1, windMS / 4)
  const open = Math.min(1, fetchM / OPEN_WATER_M)
  // Wind packs bait and fish where it blows in; in a calm they spread along the whole edge.
  return { key: 'wind', value: 0.75 + 0.25 * strength * open, windMS, fetchM, blownInto: windMS >= 1.5 && fetchM >= OPEN_WATER_M / 2 }
}

/** Phases that wait for warmth, and that flee heat. */
const WARMING: PhaseShare['phase'][] = ['winter', 'staging', 'preSpawn', 'spawn']
const HOT: PhaseShare['phase'][] = ['summer', 'lateSummer']
/** A place this much warmer (cooler, in the heat) than the main basin is as good as warmth makes it, °C. */
const WARM_ENOUGH_C = 2.5

const wanted = new WeakMap<PhaseShare[], { warm: number, hot: number }>()
/** Shares of the phases that wait for warmth and that flee it, once for a mixture. */
function warmthWanted(phases: PhaseShare[]): { warm: number, hot: number } {
  const known = wanted.get(phases)
  if (known) return known
  const share = (of: PhaseShare['phase'][]) => phases.reduce((sum, p) => sum + (of.includes(p.phase) ? p.probability : 0), 0)
  const made = { warm: share(WARMING), hot: share(HOT) }
  wanted.set(phases, made)
  return made
}

function warmthFactor({ phases, waterC, warmerC = 0 }: ScoreOptions): Factor {
  const { warm, hot } = warmthWanted(phases)
  const pull = (warm - hot) * Math.max(-1, Math.min(1, warmerC / WARM_ENOUGH_C))
  return { key: 'warmth', value: clampFactor(0.8 + 0.2 * pull), waterC: waterC ?? null, warmerC, wanted: warm > 0.5 ? 'warm' : hot > 0.5 ? 'cool' : null }
}

function waveFactor({ waveM, waveLimitM }: ScoreOptions): Factor {
  const ratio = waveM / waveLimitM
  const value = ratio <= 0.5 ? 1 : ratio <= 1 ? 1 - 0.6 * (ratio - 0.5) : 0.3
  return { key: 'waves', value, waveM, limitM: waveLimitM, over: ratio > 1 }
}

function restFactor({ restDays }: PlaceRecord): Factor {
  return { key: 'rest', value: restDays === null ? 0.97 : clampFactor(1 - 0.5 * Math.exp(-restDays / REFILL_DAYS)), restDays }
}
