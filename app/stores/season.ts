import * as Comlink from 'comlink'
import { defineStore } from 'pinia'
import { partOf, type PointReading, type SeasonLake, type SeasonModel } from '../../core/season/seasonModel'
import { weekTrend } from '../../core/season/seasonYear'
import { temperatureAt, temperatureFieldInto } from '../../core/season/temperatureField'
import { hourAt, hourIndex, HOUR_MS } from '../../core/season/weather'
import type { SeasonWorker } from '../workers/season.worker'
import { useSession } from './session'
import { useWater } from './water'
import { useWeather } from './weather'

/** A sensor's depth when none was noted, m. */
const SENSOR_M = 0.5

/** Temperature of the open water, of every part and hour of its year. Worked out in a worker; here it is only asked. */
export const useSeason = defineStore('season', () => {
  const session = useSession()
  const waters = useWater()
  const weather = useWeather()
  const lake = shallowRef<SeasonLake | null>(null)
  const model = shallowRef<SeasonModel | null>(null)
  const working = ref(false)
  const problem = ref<string | null>(null)
  let remote: Comlink.Remote<SeasonWorker> | null = null
  let openedGrid: unknown = null
  let turn = 0

  const readings = computed<PointReading[]>(() => waters.record.readings.map(({ at, body }) => ({
    atMs: Date.parse(at), at: pointOf(body), waterC: body.waterC, secchiM: body.secchiM, sensorDepthM: body.sensorDepthM ?? SENSOR_M,
  })))
  function pointOf({ placeId, lonDeg, latDeg }: { placeId?: string | null, lonDeg?: number | null, latDeg?: number | null }) {
    const frame = waters.frame
    if (!frame) return null
    if (lonDeg != null && latDeg != null) return frame.toLocal(lonDeg, latDeg)
    const place = placeId ? waters.placeById(placeId) : null
    return place ? frame.toLocal(place.lonDeg, place.latDeg) : null
  }

  function start() {
    return remote ??= Comlink.wrap<SeasonWorker>(new Worker(new URL('../workers/season.worker.ts', import.meta.url), { type: 'module' }))
  }
  const temperaturesOf = (text: string) => start().temperatures(text)

  /** The newest run counts; one that it overtook is dropped. */
  async function run() {
    const { water, grid, frame } = waters
    if (!water || !grid || !frame || !weather.series) return
    const mine = ++turn
    working.value = true
    try {
      const worker = start()
      if (openedGrid !== grid) {
        const opened = await worker.open(toRaw(grid))
        openedGrid = grid
        lake.value = opened
      }
      const made = await worker.run({
        latDeg: water.latDeg, lonDeg: water.lonDeg, zone: water.zone, nowMs: session.instant(), weather: toRaw(weather.series),
        issuedMs: weather.issuedMs ?? session.instant(),
        readings: readings.value, notes: weather.notes.parts.map(({ lonDeg, latDeg, ...note }) => ({ ...note, ...frame.toLocal(lonDeg, latDeg) })),
      })
      if (mine === turn) model.value = made
    }
    catch (error) {
      if (mine === turn) problem.value = error instanceof Error ? error.message : String(error)
    }
    finally {
      if (mine === turn) working.value = false
    }
  }
  watch(() => waters.water?.id, () => {
    model.value = null
    lake.value = null
  }, { flush: 'sync' })
  watch([() => waters.record, () => waters.grid, () => weather.series, () => weather.notes], () => void run())
  // The forecast's first hours become known ones, and a new day begins.
  watch(() => Math.floor(session.nowMs / HOUR_MS), () => void run())

  /** Entry of the model for an instant, and the share of the one after it; null outside what it covers. */
  function entryAt(atMs: number): { k: number, share: number } | null {
    const heat = model.value?.heat
    if (!heat) return null
    const x = (atMs - heat.startMs) / HOUR_MS - 1
    const k = Math.min(heat.hours - 2, Math.max(0, Math.floor(x)))
    return x < -1 || x > heat.hours ? null : { k, share: Math.min(1, Math.max(0, x - k)) }
  }
  function figureAt(list: Float32Array, width: number, at: number, atMs: number): number | null {
    const entry = entryAt(atMs)
    return entry && list[entry.k * width + at]! * (1 - entry.share) + list[(entry.k + 1) * width + at]! * entry.share
  }
  const parts = computed(() => lake.value?.lake.parts ?? [])
  const partCAt = (part: number, atMs: number) => (model.value ? figureAt(model.value.heat.partC, parts.value.length, part, atMs) : null)
  const partSdAt = (part: number, atMs: number) => (model.value ? figureAt(model.value.heat.partSdC, parts.value.length, part, atMs) : null)
  const streamCAt = (part: number, atMs: number) => (model.value ? figureAt(model.value.heat.streamC, parts.value.length, part, atMs) : null)
  /** The basin's layers at an instant. */
  function layersAt(atMs: number) {
    const heat = model.value?.heat
    const surfaceC = partCAt(0, atMs)
    if (!heat || surfaceC === null) return null
    return { surfaceC, layerM: figureAt(heat.layerM, 1, 0, atMs)!, belowC: figureAt(heat.belowC, 1, 0, atMs)! }
  }
  /** Part of the lake at a point of the local frame; −1 on land. */
  const partAt = (at: { x: number, y: number }) => (lake.value && waters.grid ? partOf(lake.value.lake, waters.grid, at) : -1)
  /** Water temperature at a place of some depth, °C; null where the model does not reach. */
  function waterCAt(at: { x: number, y: number }, waterDepthM: number, atMs: number): number | null {
    const entry = entryAt(atMs)
    const part = partAt(at)
    if (!entry || part < 0 || !model.value || !lake.value) return null
    return temperatureAt({ heat: model.value.heat, columns: lake.value.columns, part, waterDepthM, k: entry.share > 0.5 ? entry.k + 1 : entry.k })
  }
  /** Temperature of every wet cell at an instant, in the order of the lake's lookup. */
  function fieldAt(atMs: number): Float32Array | null {
    const entry = entryAt(atMs)
    if (!entry || !model.value || !lake.value) return null
    const out = new Float32Array(lake.value.lookup.cell.length)
    temperatureFieldInto(out, 0, { columnC: model.value.heat.columnC, columns: lake.value.columns.count }, lake.value.lookup, entry.share > 0.5 ? entry.k + 1 : entry.k)
    return out
  }
  /** Weather of the hour an instant lies in, and how well it is known. */
  function weatherAt(atMs: number) {
    const made = model.value
    if (!made) return null
    const k = hourIndex(made.weather, atMs)
    if (k < 0 || k >= made.weather.hours) return null
    return { ...hourAt(made.weather, k), source: sourceAt(atMs)! }
  }
  function sourceAt(atMs: number): 'known' | 'forecast' | 'usual' | null {
    const made = model.value
    return made && (atMs >= made.usualFromMs ? 'usual' : atMs >= made.forecastFromMs ? 'forecast' : 'known')
  }
  function dayIndexAt(atMs: number): number {
    return model.value?.days.findIndex(d => atMs >= d.startMs && atMs < d.endMs) ?? -1
  }
  /** Mean of a part over an instant's day, °C. */
  function dayMeanC(part: number, atMs: number): number | null {
    const mean = model.value?.meanC[part]?.[dayIndexAt(atMs)]
    return mean === undefined || Number.isNaN(mean) ? null : mean
  }
  /** How a part is moving at an instant's day, °C a week. */
  function trendAt(part: number, atMs: number): number | null {
    const d = dayIndexAt(atMs)
    const daily = model.value?.meanC[part]
    return d < 0 || !daily || Number.isNaN(daily[d]!) ? null : weekTrend(daily, d)
  }

  /** Nothing more is coming: the year is worked out, or it cannot be. */
  const settled = computed(() => model.value !== null || problem.value !== null || weather.problem !== null || (weather.series !== null && weather.series.hours < 24))

  return { lake, model, settled, parts, working, problem, readings, run, temperaturesOf, pointOf, partCAt, partSdAt, streamCAt, layersAt, partAt, waterCAt, fieldAt, weatherAt, sourceAt, dayIndexAt, dayMeanC, trendAt }
})
