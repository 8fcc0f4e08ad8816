import { seededRandom } from '../core/numeric/random'
import { coverTop, type Place } from '../core/place/kinds'
import { sunAt } from '../core/season/sun'
import { hourAt, hourIndex, HOUR_MS, type Weather } from '../core/season/weather'
import type { SeasonFish } from '../core/season/seasons'
import { effectiveFetch, type DepthGrid } from '../core/water/depthGrid'
import { lakeParts } from '../core/water/lakeParts'
import type { LocalFrame } from '../core/water/localFrame'
import { fishState, likingOf, type FishState } from './fishLaw'
import { lakeTruth, truthColumns } from './lakeTruth'
import { simWeather } from './weather'

export interface WorldOptions {
  grid: DepthGrid
  frame: LocalFrame
  places: readonly Place[]
  latDeg: number
  lonDeg: number
  secchiM: number
  /** world's own seed for its weather, and one for its fish */
  weatherSeed: number
  seed: number
  fromMs: number
  hours: number
}

/** One visit's truth: the fish an hour there, and where they hang. */
export interface Truth { perHour: number, state: FishState }

const DAY_MS = 24 * HOUR_MS
/** How unlike places of a kind are for good, and how unlike one place is from day to day (standard deviations of the logarithm). */
const LASTING_SD = 0.5
const WANDER_SD = 0.4
const WANDER_DAYS = 3
/** What this angler takes for a fair one's fish. */
const SKILL = 2.3
/** Fish of a place that one fish taken makes shy, and how fast they forget. */
const STOCK = 14
const FORGET_DAYS = 4

/** The stand-in world of one water: its weather, its temperature by `lakeTruth`, and fish by `fishLaw` with moods no advice knows of. Seeded. */
export function fishWorld({ grid, frame, places, latDeg, lonDeg, secchiM, weatherSeed, seed, fromMs, hours }: WorldOptions) {
  const weather: Weather = simWeather({ latDeg: Math.round(latDeg * 10) / 10, lonDeg: Math.round(lonDeg * 10) / 10, seed: weatherSeed }, fromMs, hours)
  const surfaceC = lakeTruth({ columns: [basinOf(grid, secchiM)], weather, latDeg, lonDeg, startC: 4 }).surfaceC[0]!
  const cellOf = new Map(places.map(p => [p.id, frame.toLocal(p.lonDeg, p.latDeg)]))
  const numberOf = new Map(places.map((p, i) => [p.id, i]))

  const waterC = (atMs: number) => surfaceC[Math.max(0, Math.min(hours - 1, Math.floor((atMs - fromMs) / HOUR_MS)))]!
  function dayMeanC(atMs: number): number {
    let sum = 0
    for (let h = 0; h < 24; h++) sum += waterC(atMs - h * HOUR_MS)
    return sum / 24
  }
  /** °C a week */
  const trend = (atMs: number) => dayMeanC(atMs) - dayMeanC(atMs - 7 * DAY_MS)
  /** Warming from midwinter to the height of summer, by the water itself where the calendar is in doubt. */
  const rising = (atMs: number) => {
    const day = new Date(atMs).getUTCMonth() + new Date(atMs).getUTCDate() / 31
    return day < 6.6 && day > 0.4
  }
  const hour = (atMs: number) => hourAt(weather, hourIndex(weather, atMs))

  function truth(place: Place, fish: SeasonFish, atMs: number): Truth {
    const state = fishState(fish, dayMeanC(atMs), rising(atMs))
    const { windMS, windFromDeg, cloud } = hour(atMs)
    const { altitudeDeg } = sunAt({ atMs, latDeg, lonDeg })
    const n = numberOf.get(place.id)!
    const lasting = Math.exp(LASTING_SD * normal(seed * 131 + n * 17 + fish.length * 7919))
    const wander = Math.exp(WANDER_SD * drift(seed * 977 + n * 31 + fish.length * 104729, atMs / DAY_MS / WANDER_DAYS))
    const open = Math.min(1, effectiveFetch({ grid, ...cellOf.get(place.id)!, windFromDeg }) / 600)
    const packed = 1 + 0.4 * Math.min(1, windMS / 6) * open
    const sunny = Math.max(0, Math.sin((altitudeDeg * Math.PI) / 180)) * (1 - cloud)
    const shade = place.kind === 'dock' || place.kind === 'moorings' ? 0.8 + 0.6 * sunny : place.kind === 'brush' || place.kind === 'timber' ? 0.95 + 0.15 * sunny : 1
    const low = 1 + 0.35 * Math.exp(-(((altitudeDeg - 5) / 10) ** 2))
    return { state, perHour: SKILL * state.appetite * likingOf(state, place.kind) * depthFit(place, state) * lasting * wander * packed * shade * low }
  }
  return { weather, waterC, dayMeanC, trend, rising, hour, truth }
}
export type FishWorld = ReturnType<typeof fishWorld>

/** What anglers have taken out of places: fish there are shy for some days. One for each angler that is followed. */
export function pressure() {
  const left = new Map<string, { stock: number, atMs: number }>()
  const stockAt = (id: string, atMs: number) => {
    const last = left.get(id)
    return last ? 1 - (1 - last.stock) * Math.exp(-Math.max(0, atMs - last.atMs) / DAY_MS / FORGET_DAYS) : 1
  }
  return {
    /** Fish to expect of a stay that begins now, as the bite thins out with what is taken; and the stay is then remembered. */
    fish(id: string, perHour: number, hoursThere: number, atMs: number): number {
      const stock = stockAt(id, atMs)
      // d(taken)/dt = rate · stock · exp(−taken/STOCK)
      const taken = STOCK * Math.log1p((perHour * stock * hoursThere) / STOCK)
      left.set(id, { stock: stock * Math.exp(-taken / STOCK), atMs: atMs + hoursThere * HOUR_MS })
      return taken
    },
    stockAt,
  }
}

/** Share of the fishes' depths that a place offers, and how well its cover stands in them. */
function depthFit(place: Place, { topM, bottomM }: FishState): number {
  const [from, to] = [Math.max(0, coverTop(place) - 0.9), place.attributes.bottomDepthM]
  const overlap = Math.min(to, bottomM) - Math.max(from, topM)
  return Math.max(0.05, Math.min(1, overlap / Math.min(1.6, bottomM - topM)))
}

/** The main basin alone, closed to its bays. */
function basinOf(grid: DepthGrid, secchiM: number) {
  const lake = lakeParts({ grid })
  return { ...truthColumns(lake.parts, lake.labels, grid.depthM, grid.cellM, lake.parts.map(() => secchiM))[0]!, joins: null }
}

function normal(seed: number): number {
  const random = seededRandom(seed >>> 0)
  random()
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/** Smooth noise along a line, about unit deviation. */
function drift(seed: number, x: number): number {
  const i = Math.floor(x)
  const t = x - i
  const ease = t * t * (3 - 2 * t)
  return (normal(seed + i * 7919) * (1 - ease) + normal(seed + (i + 1) * 7919) * ease) * 1.18
}
