import { DateTime } from 'luxon'
import { waveHeight } from '../water/waveHeight'
import { dayLights, type DayLights, type LocalDay } from './dayLights'
import { feedingAt, type HourRecord } from './feeding'
import type { Front } from './fronts'
import type { PhaseShare } from './phaseProbabilities'
import type { SeasonFish } from './seasons'
import { clearSkyWm2 } from './shortwave'
import type { Sky } from './sky'
import { sunAt } from './sun'
import { HOUR_MS, hourIndex, type Weather } from './weather'

export interface OutlookHour {
  atMs: number
  /** expected fish an hour at an ordinary place */
  ratePerHour: number
  waveM: number
  windMS: number
  windFromDeg: number
  cloud: number
}

/** What speaks for a window, or against it. */
export type WindowWhy
  = | { key: 'spell', spell: 'dawn' | 'dusk' | 'afternoon' | 'midday' }
    | { key: 'warmest', waterC: number, where: string }
    | { key: 'aheadOfFront' | 'behindFront', atMs: number }
    | { key: 'waves', waveM: number, over: boolean }
    | { key: 'calm', windMS: number }
    | { key: 'cloud' }
    | { key: 'rain', mm: number }

export interface DayWindow {
  fromMs: number
  toMs: number
  ratePerHour: number
  why: WindowWhy[]
}

export type DayCaution = 'coldWater' | 'waves' | 'heat' | 'storm' | 'freezing'

export interface DayOutlook {
  day: LocalDay
  lights: DayLights
  /** phases at noon, most likely first */
  phases: PhaseShare[]
  /** daily mean of the basin, and the swing of its surface, °C */
  waterC: { mean: number, low: number, high: number, sd: number }
  airC: { low: number, high: number }
  /** mean by day, and the strongest hour of it */
  windMS: { mean: number, most: number, fromDeg: number }
  /** roughest hour by day on open water, m, and hours over the boat's limit */
  waveM: number
  hoursOverLimit: number
  sky: Sky
  rainMm: number
  fronts: Front[]
  windows: DayWindow[]
  /** mean of its two best windows, fish an hour at an ordinary place */
  ratePerHour: number
  cautions: DayCaution[]
  hours: OutlookHour[]
}

export interface OutlookOptions {
  days: readonly LocalDay[]
  zone: string
  latDeg: number
  lonDeg: number
  weather: Weather
  fronts: readonly Front[]
  fish: SeasonFish
  /** phases at noon of each day */
  phases: readonly PhaseShare[][]
  /** water of the main basin at an instant, °C, and its standard deviation */
  waterAt: (atMs: number) => { waterC: number, sdC: number }
  /** the warmest part of the lake at an instant */
  warmestAt: (atMs: number) => { waterC: number, where: string }
  /** rough fetch of the main basin for winds from k·30°, and its mean depth, m */
  roughFetchM: readonly number[]
  depthM: number
  waveLimitM: number
  log: readonly HourRecord[]
  /** hours before this are gone */
  nowMs: number
}

const WINDOW_H = 2
const AHEAD_H = 12
const BEHIND_H = 36
const COLD_WATER_C = 15
const HOT_AIR_C = 32
const STORM_MM = 4
const WARMTH_PULL = 0.06
/** A day whose water moves less than this has no warmest hour worth a word, °C. */
const LEAST_SWING_C = 0.6

/**
 * The coming days side by side: for each its phases, water, wind and waves against the boat's limit, sky, fronts, light, and its two best
 * windows of two hours with what speaks for them. Rates are for an ordinary suitable place; priors from practice, moved by the log's own hours.
 */
export function dayOutlooks(options: OutlookOptions): DayOutlook[] {
  const total = options.log.reduce((sum, r) => sum + r.hours, 0)
  const meanRate = total > 0 ? options.log.reduce((sum, r) => sum + r.fish, 0) / total : 0
  return options.days.map((day, d) => outlook(day, options.phases[d]!, meanRate, options))
}

function outlook(day: LocalDay, phases: PhaseShare[], meanRatePerHour: number, options: OutlookOptions): DayOutlook {
  const { weather, latDeg, lonDeg, zone, waterAt, fish, fronts, waveLimitM, nowMs } = options
  const lights = dayLights({ day, latDeg, lonDeg })
  const base = phases.reduce((sum, p) => sum + p.probability * p.prior.fishPerHour, 0)
  const hours: OutlookHour[] = []
  const water: number[] = []
  let sd = 0
  const air: number[] = []
  let rainMm = 0
  const warmths: { atMs: number, waterC: number, where: string }[] = []
  const whyOf = new Map<number, WindowWhy[]>()
  const first = hourIndex(weather, day.startMs)
  const last = hourIndex(weather, day.endMs - 1)
  for (let k = Math.max(0, first); k <= last && k < weather.hours; k++) {
    const atMs = weather.startMs + (k + 0.5) * HOUR_MS
    const windMS = weather.windMS[k]!
    if (Number.isNaN(windMS)) continue
    const { waterC, sdC } = waterAt(atMs)
    water.push(waterC)
    sd = Math.max(sd, sdC)
    air.push(weather.airC[k]!)
    rainMm += weather.rainMm[k]!
    const { altitudeDeg } = sunAt({ atMs, latDeg, lonDeg })
    const fetchM = fetchToward(options.roughFetchM, weather.windFromDeg[k]!)
    const waveM = waveHeight({ windMS, fetchM, depthM: options.depthM }).heightM
    const local = DateTime.fromMillis(atMs, { zone })
    const feeding = feedingAt({ atMs, hour: local.hour + local.minute / 60, lights, fish, phases, log: options.log, meanRatePerHour })
    const cloud = weather.cloud[k]!
    const why: WindowWhy[] = []
    const warm = options.warmestAt(atMs)
    warmths.push({ atMs, ...warm })
    let factor = feeding.level
    if (feeding.spell) why.push({ key: 'spell', spell: feeding.spell })
    const ahead = fronts.find(f => f.kind === 'cold' && f.atMs > atMs && f.atMs - atMs <= AHEAD_H * HOUR_MS)
    const behind = fronts.find(f => f.kind === 'cold' && f.atMs <= atMs && atMs - f.atMs <= BEHIND_H * HOUR_MS)
    if (ahead) {
      factor *= 1.15
      why.push({ key: 'aheadOfFront', atMs: ahead.atMs })
    }
    if (behind) {
      factor *= 0.75
      why.push({ key: 'behindFront', atMs: behind.atMs })
    }
    const bright = clearSkyWm2(altitudeDeg) / 1000
    factor *= 1 + 0.12 * bright * (cloud - 0.5)
    if (bright > 0.4 && cloud > 0.75) why.push({ key: 'cloud' })
    if (waveM > waveLimitM) {
      factor *= 0.3
      why.push({ key: 'waves', waveM, over: true })
    }
    else if (waveM > 0.6 * waveLimitM) {
      factor *= 0.85
      why.push({ key: 'waves', waveM, over: false })
    }
    else if (windMS < 2) why.push({ key: 'calm', windMS })
    if (weather.rainMm[k]! >= 1) {
      factor *= 0.9
      why.push({ key: 'rain', mm: weather.rainMm[k]! })
    }
    hours.push({ atMs, ratePerHour: base * factor, waveM, windMS, windFromDeg: weather.windFromDeg[k]!, cloud })
    whyOf.set(atMs, why)
  }
  const waiting = phases.reduce((sum, p) => sum + (p.phase === 'preSpawn' || p.phase === 'staging' ? p.probability : 0), 0)
  const dayMean = meanOf(warmths.map(w => w.waterC))
  // Fish that wait for warmth slide up to the warmest water of the day.
  hours.forEach((hour, i) => {
    hour.ratePerHour *= 1 + waiting * Math.max(-0.1, Math.min(0.2, WARMTH_PULL * (warmths[i]!.waterC - dayMean)))
  })
  const by = hours.filter(h => isDay(h.atMs, lights))
  const light = by.length > 0 ? by : hours
  const windows = bestWindows(hours.filter(h => h.atMs >= nowMs && inFishingHours(h.atMs, lights)), whyOf, waiting > 0.4 ? warmest(warmths) : null)
  const waves = light.map(h => h.waveM)
  const cloud = meanOf(light.map(h => h.cloud))
  const waterC = { mean: meanOf(water), low: Math.min(...water), high: Math.max(...water), sd }
  const heavy = hours.length > 0 && Math.max(...weather.rainMm.subarray(Math.max(0, first), last + 1)) >= STORM_MM
  const airC = { low: Math.min(...air), high: Math.max(...air) }
  const hoursOverLimit = waves.filter(w => w > waveLimitM).length
  const cautions: DayCaution[] = []
  if (waterC.mean < 1) cautions.push('freezing')
  if (waterC.mean < COLD_WATER_C) cautions.push('coldWater')
  if (hoursOverLimit > 0) cautions.push('waves')
  if (airC.high > HOT_AIR_C) cautions.push('heat')
  if (heavy) cautions.push('storm')
  return {
    day, lights, phases, waterC, airC, cautions, hours, windows, rainMm, hoursOverLimit,
    windMS: { mean: meanOf(light.map(h => h.windMS)), most: Math.max(0, ...light.map(h => h.windMS)), fromDeg: meanDirection(light) },
    waveM: Math.max(0, ...waves), sky: rainMm > 2 ? 'rain' : cloud < 0.3 ? 'clear' : cloud < 0.75 ? 'broken' : 'overcast',
    fronts: fronts.filter(f => f.atMs >= day.startMs && f.atMs < day.endMs),
    ratePerHour: windows.length > 0 ? meanOf(windows.map(w => w.ratePerHour)) : 0,
  }
}

/** The two best stretches that do not touch. */
function bestWindows(hours: OutlookHour[], whyOf: Map<number, WindowWhy[]>, warm: { atMs: number, waterC: number, where: string } | null): DayWindow[] {
  const all: DayWindow[] = []
  for (let i = 0; i + WINDOW_H <= hours.length; i++) {
    const part = hours.slice(i, i + WINDOW_H)
    if (part.at(-1)!.atMs - part[0]!.atMs > (WINDOW_H - 0.5) * HOUR_MS) continue
    const fromMs = part[0]!.atMs - 0.5 * HOUR_MS
    const toMs = part.at(-1)!.atMs + 0.5 * HOUR_MS
    const why = new Map<string, WindowWhy>()
    for (const h of part) for (const w of whyOf.get(h.atMs)!) if (!why.has(w.key)) why.set(w.key, w)
    if (warm && warm.atMs >= fromMs && warm.atMs < toMs) why.set('warmest', { key: 'warmest', waterC: warm.waterC, where: warm.where })
    all.push({ fromMs, toMs, ratePerHour: meanOf(part.map(h => h.ratePerHour)), why: [...why.values()] })
  }
  all.sort((a, b) => b.ratePerHour - a.ratePerHour || a.fromMs - b.fromMs)
  const best = all[0]
  const second = best && all.find(w => w.fromMs >= best.toMs + HOUR_MS || w.toMs <= best.fromMs - HOUR_MS)
  return [best, second].filter(w => w !== undefined).sort((a, b) => a.fromMs - b.fromMs)
}

/** The warmest hour of a day, where the day has a swing. */
function warmest(warmths: { atMs: number, waterC: number, where: string }[]): { atMs: number, waterC: number, where: string } | null {
  const sorted = [...warmths].sort((a, b) => b.waterC - a.waterC)
  const [top, least] = [sorted[0], sorted.at(-1)]
  return top && least && top.waterC - least.waterC >= LEAST_SWING_C ? top : null
}

const meanOf = (list: number[]) => (list.length > 0 ? list.reduce((a, b) => a + b, 0) / list.length : 0)

function isDay(atMs: number, { riseMs, setMs, alwaysUp }: DayLights): boolean {
  return alwaysUp || (riseMs !== null && setMs !== null && atMs >= riseMs && atMs <= setMs)
}

function inFishingHours(atMs: number, lights: DayLights): boolean {
  if (lights.alwaysUp || lights.dawnMs === null || lights.duskMs === null) return true
  return atMs >= lights.dawnMs - 0.5 * HOUR_MS && atMs <= lights.duskMs + 0.5 * HOUR_MS
}

function meanDirection(hours: OutlookHour[]): number {
  const east = hours.reduce((sum, h) => sum + h.windMS * Math.sin((h.windFromDeg * Math.PI) / 180), 0)
  const north = hours.reduce((sum, h) => sum + h.windMS * Math.cos((h.windFromDeg * Math.PI) / 180), 0)
  return ((Math.atan2(east, north) * 180) / Math.PI + 360) % 360
}

function fetchToward(fetchM: readonly number[], bearingDeg: number): number {
  return fetchM[Math.round((((bearingDeg % 360) + 360) % 360) / (360 / fetchM.length)) % fetchM.length] ?? 0
}
