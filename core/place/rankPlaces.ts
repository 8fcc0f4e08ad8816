import type { DepthBelief } from '../school/depthBelief'
import type { PhaseShare } from '../season/phaseProbabilities'
import type { SeasonFish } from '../season/seasons'
import { roseFetch } from '../water/fetchRose'
import { waveHeight } from '../water/waveHeight'
import type { Place } from './kinds'
import type { PlaceRecord, ScoreOptions } from './placeFactors'
import { currentAt } from './releases'
import { scorePlace, unsortedScore, type PlaceScore } from './scorePlace'

/** A place with what does not change through the day. */
export interface StandingPlace {
  place: Place
  /** part of the lake it lies in */
  part: number
  /** depth by the chart, m; NaN where the chart has none */
  depthM: number
  /** see `fetchRose` */
  roseM: Float32Array
  record: Omit<PlaceRecord, 'restDays'> & { lastVisitMs: number | null }
}

/** What a part of the lake is like at the instant. */
export interface PartDay {
  phases: PhaseShare[]
  /** where the fish should be, were it as deep as the lake */
  belief: DepthBelief
  waterC: number
  warmerC: number
}

/** The instant that places are ranked for. */
export interface RankDay {
  fish: SeasonFish
  atMs: number
  parts: PartDay[]
  windMS: number
  windFromDeg: number
  secchiM: number
  waveLimitM: number
  shadow: number
  activity: number
  /** whether water is let through at this hour */
  released: boolean
  /** see `ownScale`; 1 when left out */
  rateScale?: number
}

/** One place's score with the wind's figures that went into it. */
export interface Standing {
  score: PlaceScore
  fetchM: number
  waveM: number
}

const DAY_MS = 86_400_000
const SHALLOWEST_M = 0.3

/** Scores one place for the instant. @throws RangeError as `scorePlace` and `waveHeight` */
export function standing(place: StandingPlace, day: RankDay): Standing {
  return stood(place, day, scorePlace)
}

function stood({ place, part, depthM, roseM, record }: StandingPlace, day: RankDay, scored: (options: ScoreOptions) => PlaceScore): Standing {
  const fetchM = roseFetch(roseM, day.windFromDeg)
  const waveM = waveHeight({ windMS: day.windMS, fetchM, depthM: Number.isNaN(depthM) ? place.attributes.bottomDepthM : Math.max(SHALLOWEST_M, depthM) }).heightM
  const { phases, belief, waterC, warmerC } = day.parts[part] ?? day.parts[0]!
  const options: ScoreOptions = {
    place, phases, belief, waterC, warmerC, fetchM, waveM, fish: day.fish, windMS: day.windMS, secchiM: day.secchiM, currentMS: currentAt(place, day.released),
    waveLimitM: day.waveLimitM, shadow: day.shadow, activity: day.activity, rateScale: day.rateScale,
    record: { ...record, restDays: record.lastVisitMs === null ? null : Math.max(0, (day.atMs - record.lastVisitMs) / DAY_MS) },
  }
  return { score: scored(options), fetchM, waveM }
}

/** Columns over places in the order they were given, and the places' numbers, best first. Flat, so that thousands cross to another thread at once. */
export interface RankTable {
  order: Uint32Array
  ratePerHour: Float32Array
  low: Float32Array
  high: Float32Array
  /** share of the fish within the place's depths, 0–1 */
  depthShare: Float32Array
  fetchM: Float32Array
  waveM: Float32Array
  /** factor of shade, 0–1 */
  shade: Float32Array
  /** 1 where waves are over the boat's limit */
  over: Uint8Array
}

/** Ranks any number of places for an instant, by the fish an hour to expect. */
export function rankPlaces({ places, day }: { places: readonly StandingPlace[], day: RankDay }): RankTable {
  const n = places.length
  const column = () => new Float32Array(n)
  const table: RankTable = { order: new Uint32Array(n), ratePerHour: column(), low: column(), high: column(), depthShare: column(), fetchM: column(), waveM: column(), shade: column(), over: new Uint8Array(n) }
  for (let i = 0; i < n; i++) {
    const { score, fetchM, waveM } = stood(places[i]!, day, unsortedScore)
    table.order[i] = i
    table.ratePerHour[i] = score.ratePerHour
    table.low[i] = score.ratePerHourLow
    table.high[i] = score.ratePerHourHigh
    table.fetchM[i] = fetchM
    table.waveM[i] = waveM
    for (const f of score.factors) {
      if (f.key === 'depth') table.depthShare[i] = f.share
      else if (f.key === 'shade') table.shade[i] = f.value
      else if (f.key === 'waves') table.over[i] = f.over ? 1 : 0
    }
  }
  const rate = table.ratePerHour
  table.order.sort((a, b) => rate[b]! - rate[a]! || a - b)
  return table
}

/** What a list of places is narrowed to; anything left out is not asked. */
export interface PlaceFilter {
  kind?: Place['kind']
  /** at least half of the fish within its depths */
  fits?: boolean
  /** out of the wind */
  lee?: boolean
  /** good shade just now */
  shade?: boolean
  /** waves within the boat's limit */
  calm?: boolean
}

export const FITS_SHARE = 0.5
export const LEE_M = 150
export const SHADED = 0.7

/** Numbers of the places that pass, best first. */
export function filterPlaces({ places, table, filter }: { places: readonly Pick<StandingPlace, 'place'>[], table: RankTable, filter: PlaceFilter }): number[] {
  const { kind, fits, lee, shade, calm } = filter
  return Array.from(table.order).filter(i => (kind === undefined || places[i]!.place.kind === kind)
    && (!fits || table.depthShare[i]! >= FITS_SHARE)
    && (!lee || table.fetchM[i]! <= LEE_M)
    && (!shade || table.shade[i]! >= SHADED)
    && (!calm || table.over[i] === 0))
}
