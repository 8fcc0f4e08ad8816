import type { DepthGrid } from '../water/depthGrid'
import { lakeParts, type LakeParts } from '../water/lakeParts'
import { columnsOf, type Columns } from './columns'
import { dailyMeans } from './dayReached'
import { localDays, localDayOf, type LocalDay } from './dayLights'
import { fronts, type Front } from './fronts'
import { partNames } from './partNames'
import { fieldLookup, type FieldLookup } from './temperatureField'
import { usualWeather, withoutGaps } from './usualYear'
import { waterHeat, type HeatReading, type Innovation, type WaterHeat } from './waterHeat'
import { endMs, HOUR_MS, mergeWeather, weatherBetween, type Weather } from './weather'

/** A lake prepared for the model: its parts, their columns, and where each cell stands among them. */
export interface SeasonLake {
  lake: LakeParts
  columns: Columns
  lookup: FieldLookup
}

/** Takes a chart apart for the model; half a second for a lake of 100,000 cells. */
export function seasonLake(grid: DepthGrid): SeasonLake {
  const lake = lakeParts({ grid })
  const columns = columnsOf(lake, grid)
  return { lake, columns, lookup: fieldLookup({ columns, lake, grid }) }
}

/** A reading at a point of the local frame, m; without one it speaks for the main basin. */
export interface PointReading {
  atMs: number
  at: { x: number, y: number } | null
  /** depth of the sensor, m */
  sensorDepthM: number
  waterC: number | null
  secchiM: number | null
}

/** What the angler knows of the part around a point. */
export interface PointNote { x: number, y: number, name: string, secchiM: number | null, inflowM3S: number, river: boolean }

export interface SeasonInput {
  latDeg: number
  lonDeg: number
  zone: string
  nowMs: number
  /** what is known and forecast */
  weather: Weather
  /** when the forecast was made: hours after it are forecast */
  issuedMs: number
  readings: readonly PointReading[]
  notes: readonly PointNote[]
  onProgress?: (done: number) => void
}

export interface SeasonModel {
  names: string[]
  /** parts that are a river's */
  rivers: number[]
  secchiM: number[]
  /** days of the year shown, and on to the end of the forecast */
  days: LocalDay[]
  today: number
  heat: WaterHeat
  /** part by part: mean and standard deviation of each day, °C; NaN where nothing is known */
  meanC: Float32Array[]
  sdC: Float32Array[]
  /** weather with its gaps filled, and the usual season after it */
  weather: Weather
  /** hours from here are forecast, and from there only usual for the season */
  forecastFromMs: number
  usualFromMs: number
  fronts: Front[]
  innovations: Innovation[]
}

const DAY_MS = 24 * HOUR_MS
/** The model starts so long before the year shown, to forget how it was begun. */
const SPIN_UP_DAYS = 75
const FORECAST_DAYS = 11
const DEFAULT_SECCHI_M = 1
/** A reading of clarity holds for about this long. */
const CLARITY_DAYS = 60

/**
 * A water's whole year: what it was, is, will be by the forecast, and usually is after that. Null when there is not a day of weather.
 * @throws RangeError for a zone or position that is not of this world
 */
export function seasonModel({ lake, columns }: SeasonLake, grid: DepthGrid, input: SeasonInput): SeasonModel | null {
  const { weather: given, latDeg, lonDeg, zone, nowMs, issuedMs, readings, notes, onProgress } = input
  if (given.hours < 24) return null
  const year = localDays({ fromMs: nowMs, count: 1, zone })[0]!.iso.slice(0, 4)
  const first = localDayOf({ iso: `${year}-01-01`, zone })
  const yearEnd = localDayOf({ iso: `${year}-12-31`, zone }).endMs
  const lastMs = Math.max(yearEnd, nowMs + FORECAST_DAYS * DAY_MS)
  const days = localDays({ fromMs: first.startMs, count: Math.round((lastMs - first.startMs) / DAY_MS), zone })
  const today = days.findIndex(d => nowMs >= d.startMs && nowMs < d.endMs)
  const usual = usualWeather({ known: given, toMs: lastMs })
  const usualFromMs = endMs(given)
  const filled = withoutGaps(given, null)
  const whole = usual ? mergeWeather(filled, usual) : filled
  const weather = weatherBetween(whole, Math.max(whole.startMs, first.startMs - SPIN_UP_DAYS * DAY_MS), endMs(whole))
  const partAt = (at: { x: number, y: number } | null) => (at ? partOf(lake, grid, at) : 0)
  const heatReadings = readings.flatMap((r): HeatReading[] => {
    if (r.waterC === null || r.atMs > nowMs) return []
    const part = partAt(r.at)
    if (part < 0) return []
    const own = lake.parts[part]!
    return [{ atMs: r.atMs, part, waterC: r.waterC, sensorDepthM: r.sensorDepthM, waterDepthM: (r.at && depthOf(grid, r.at)) ?? own.volumeM3 / own.areaM2 }]
  })
  const noteOf = new Map(notes.flatMap((note): [number, PointNote][] => {
    const part = partOf(lake, grid, note)
    return part < 0 ? [] : [[part, note]]
  }))
  const clarity = readings.filter(r => r.secchiM !== null && r.atMs <= nowMs && nowMs - r.atMs < CLARITY_DAYS * DAY_MS).sort((a, b) => b.atMs - a.atMs)
  const open = clarity.find(r => partAt(r.at) === 0)?.secchiM ?? clarity[0]?.secchiM ?? DEFAULT_SECCHI_M
  const secchiM = lake.parts.map((_, p) => (p > 0 ? clarity.find(r => r.at && partAt(r.at) === p)?.secchiM : null) ?? noteOf.get(p)?.secchiM ?? open)
  const forecastFromMs = Math.min(nowMs, issuedMs)
  const heat = waterHeat({
    parts: lake.parts, columns, weather, latDeg, lonDeg, secchiM, inflowM3S: lake.parts.map((_, p) => noteOf.get(p)?.inflowM3S ?? 0),
    readings: heatReadings, forecastFromMs, usualFromMs, onProgress,
  })
  const daily = lake.parts.map((_, p) => dailyMeans(heat, days, p, lake.parts.length))
  return {
    names: partNames(lake.parts).map((name, p) => noteOf.get(p)?.name ?? name), rivers: [...noteOf].filter(([, note]) => note.river).map(([p]) => p).sort((a, b) => a - b), secchiM,
    days, today, heat, meanC: daily.map(d => d.meanC), sdC: daily.map(d => d.sdC), weather, forecastFromMs, usualFromMs,
    fronts: fronts(weatherBetween(filled, nowMs - 3 * DAY_MS, usualFromMs)), innovations: heat.innovations,
  }
}

function cellOf({ x0, y0, cellM, cols, rows }: DepthGrid, { x, y }: { x: number, y: number }): number {
  const c = Math.floor((x - x0) / cellM)
  const r = Math.floor((y - y0) / cellM)
  return c < 0 || r < 0 || c >= cols || r >= rows ? -1 : r * cols + c
}

/** Part of the lake at a point; of the nearest water within a few cells for one on the bank; −1 on land. */
export function partOf({ labels }: LakeParts, grid: DepthGrid, at: { x: number, y: number }): number {
  const cell = cellOf(grid, at)
  if (cell >= 0 && labels[cell]! >= 0) return labels[cell]!
  const REACH = 8
  let best = -1
  let least = Infinity
  for (let dr = -REACH; dr <= REACH; dr++) {
    for (let dc = -REACH; dc <= REACH; dc++) {
      const i = cellOf(grid, { x: at.x + dc * grid.cellM, y: at.y + dr * grid.cellM })
      if (i >= 0 && labels[i]! >= 0 && dc * dc + dr * dr < least) {
        least = dc * dc + dr * dr
        best = labels[i]!
      }
    }
  }
  return best
}

function depthOf(grid: DepthGrid, at: { x: number, y: number }): number | null {
  const cell = cellOf(grid, at)
  const depth = cell < 0 ? Number.NaN : grid.depthM[cell]!
  return Number.isNaN(depth) ? null : depth
}
