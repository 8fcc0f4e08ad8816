import { requireNumber } from '../guard'
import { FETCH_DIRECTIONS, type LakePart } from '../water/lakeParts'
import { columnAt, type Columns } from './columns'
import { exchangeCoefficient } from './heatExchange'
import { HeatDoubt } from './heatDoubt'
import { clearSkyWm2, reflected, throughCloud, warmedAbove } from './shortwave'
import { HEAT_CAPACITY } from './stepTemperature'
import { sunAt } from './sun'
import { SurfaceLayer } from './surfaceLayer'
import { HOUR_MS, type Weather } from './weather'

/** A water temperature that was read. */
export interface HeatReading {
  atMs: number
  part: number
  /** depth of the water there, m */
  waterDepthM: number
  /** how far down it was taken, m */
  sensorDepthM: number
  waterC: number
}

export interface HeatOptions {
  parts: LakePart[]
  columns: Columns
  /** without gaps from its first hour to its last */
  weather: Weather
  latDeg: number
  lonDeg: number
  /** clarity of each part, m */
  secchiM: number[]
  /** stream that runs into each part, m³/s; 0 for none */
  inflowM3S: number[]
  readings: readonly HeatReading[]
  /** temperature to begin with, °C; the equilibrium of the first days when left out */
  startC?: number
  /** weather after this instant is a forecast and less certain */
  forecastFromMs: number
  /** weather after this instant is only the usual of the season */
  usualFromMs?: number
  onProgress?: (done: number) => void
  signal?: { readonly aborted: boolean, readonly reason?: unknown }
}

/** What the model made of a reading. */
export interface Innovation extends HeatReading {
  /** what it expected before it was told, °C */
  expectedC: number
}

/** Temperatures hour by hour: entry k is for the end of hour k, startMs + (k + 1) hours. */
export interface WaterHeat {
  startMs: number
  hours: number
  /** columns.count figures an hour, °C */
  columnC: Float32Array
  /** parts.length figures an hour: mean of the part's surface water, °C */
  partC: Float32Array
  /** and its standard deviation, °C */
  partSdC: Float32Array
  /** parts.length figures an hour: temperature of the stream that runs in (of use where there is one), °C */
  streamC: Float32Array
  /** thickness of the basin's surface layer, m, and what is below it, °C */
  layerM: Float32Array
  belowC: Float32Array
  innovations: Innovation[]
}

/** Wind over water that is this far from the bank upwind has got most of its strength back, m. */
const WIND_REACH_M = 250
const LEE_SHARE = 0.55
/** Height of bank and trees that stand before a low sun, m. */
const BANK_M = 9
/** A part's shallow and deep water run together in about this time, h, in still air. */
const TOGETHER_H = 12
/** Water slips in and out of a bay at about this speed over its mouth, m/s, and more with wind. */
const SLIP_MS = 0.0012
const SLIP_PER_WIND = 0.0003
const STREAM_DEPTH_M = 0.6
/** A stream's ground water pulls it toward the year's mean, a share an hour. */
const STREAM_GROUND = 0.012
const COLDEST_C = 0.05
const READING_SD_C = 0.35
const PROGRESS_EVERY_H = 240

/**
 * Temperature of every part of a lake, hour by hour (MATH §8): equilibrium temperature for each column, mixed over its own depth or
 * the surface layer's; columns of a part run together, bays trade water with what they open to, streams come in. Readings pull
 * the model by as much as their own and the model's uncertainty say (a Kalman filter over the parts and a common error of the heat flux).
 * @throws RangeError for weather with gaps, a clarity that is not above 0 or lists that are not one figure a part; the signal's reason when aborted
 */
export function waterHeat(options: HeatOptions): WaterHeat {
  const { parts, columns, weather, latDeg, lonDeg, secchiM, inflowM3S, readings, forecastFromMs, usualFromMs = Infinity, onProgress, signal } = options
  for (const [name, list] of [['secchiM', secchiM], ['inflowM3S', inflowM3S]] as const) {
    if (list.length !== parts.length) throw new RangeError(`${name} has ${list.length} figures; it must have one for each of the ${parts.length} parts`)
  }
  secchiM.forEach((s, i) => requireNumber(`secchiM[${i}]`, s, { min: 0, above: true }))
  inflowM3S.forEach((q, i) => requireNumber(`inflowM3S[${i}]`, q, { min: 0 }))
  const { hours, startMs } = weather
  const { count, part, depthM, firstOf, volumeM3 } = columns
  const n = parts.length
  const out: WaterHeat = {
    startMs, hours, columnC: new Float32Array(hours * count), partC: new Float32Array(hours * n), partSdC: new Float32Array(hours * n), streamC: new Float32Array(hours * n),
    layerM: new Float32Array(hours), belowC: new Float32Array(hours), innovations: [],
  }
  const meanDewC = mean(weather.dewPointC)
  const startC = options.startC ?? startingC(weather, latDeg, lonDeg)
  const waterC = new Float64Array(count).fill(startC)
  const partC = new Float64Array(n).fill(startC)
  const streamC = new Float64Array(n).fill(Math.max(COLDEST_C, startC))
  const layer = new SurfaceLayer(columns, startC)
  const doubt = new HeatDoubt(parts, options.startC === undefined ? 3 : 0.5)
  const gainK = new Float64Array(n)
  const mixedM = new Float64Array(n)
  const traded = new Float64Array(n)
  const toBottomShare = Float64Array.from(depthM, (d, j) => warmedAbove({ depthM: d, secchiM: secchiM[part[j]!]!, toBottom: true }))
  const queue = readings.filter(r => r.atMs >= startMs && r.atMs < startMs + hours * HOUR_MS).sort((a, b) => a.atMs - b.atMs)
  let biasWm2 = 0
  let next = 0

  for (let k = 0; k < hours; k++) {
    if (k % PROGRESS_EVERY_H === 0) {
      if (signal?.aborted) throw signal.reason ?? new Error('stopped')
      onProgress?.(k / hours)
    }
    const windMS = weather.windMS[k]!
    const dewC = weather.dewPointC[k]!
    const cloud = weather.cloud[k]!
    if (Number.isNaN(windMS) || Number.isNaN(dewC) || Number.isNaN(cloud)) throw new RangeError(`weather has no wind, dew point or cloud at hour ${k}; it must be without gaps`)
    const midMs = startMs + (k + 0.5) * HOUR_MS
    const { altitudeDeg, azimuthDeg } = sunAt({ atMs: midMs, latDeg, lonDeg })
    const inWm2 = clearSkyWm2(altitudeDeg) * throughCloud(cloud) * (1 - reflected(altitudeDeg))
    let basinGain = 0
    let through = 0
    const basinLayerM = layer.depthM

    for (let p = 0; p < n; p++) {
      const { fetchM } = parts[p]!
      const wind = windMS * sheltered(fetchM, weather.windFromDeg[k]!)
      const light = inWm2 * (1 - banked(fetchM, altitudeDeg, azimuthDeg, cloud))
      const deepShare = warmedAbove({ depthM: basinLayerM, secchiM: secchiM[p]!, toBottom: false })
      const gather = 1 - Math.exp(-(1 + 0.25 * wind) / TOGETHER_H)
      let heat = 0
      let volume = 0
      let kSum = 0
      let hSum = 0
      for (let j = firstOf[p]!; j < firstOf[p + 1]!; j++) {
        const deep = depthM[j]! > basinLayerM
        const h = deep ? basinLayerM : depthM[j]!
        const share = deep ? deepShare : toBottomShare[j]!
        const K = exchangeCoefficient(waterC[j]!, dewC, wind)
        const te = dewC + (light * share + biasWm2) / K
        if (p === 0 && j === firstOf[1]! - 1) {
          basinGain = K * (te - waterC[j]!)
          through = light * (1 - share)
        }
        waterC[j] = te + (waterC[j]! - te) * Math.exp((-K * 3600) / (HEAT_CAPACITY * h))
        const v = volumeM3[j]! * (h / depthM[j]!)
        heat += v * waterC[j]!
        kSum += v * K
        hSum += v * h
        volume += v
      }
      const meanC = volume > 0 ? heat / volume : waterC[firstOf[p]!]!
      for (let j = firstOf[p]!; j < firstOf[p + 1]!; j++) waterC[j]! += gather * (meanC - waterC[j]!)
      partC[p] = meanC
      gainK[p] = volume > 0 ? kSum / volume : 20
      mixedM[p] = volume > 0 ? hSum / volume : depthM[firstOf[p]!]!
      // A stream is shallow and shaded; what it brings is set by its own weather.
      const streamK = exchangeCoefficient(streamC[p]!, dewC, 0.5 * windMS)
      const streamTe = dewC + (0.6 * inWm2) / streamK
      streamC[p] = streamTe + (streamC[p]! - streamTe) * Math.exp((-streamK * 3600) / (HEAT_CAPACITY * STREAM_DEPTH_M))
      streamC[p] = Math.max(COLDEST_C, streamC[p]! + STREAM_GROUND * (meanDewC + 4 - streamC[p]!))
      traded[p] = trade(parts[p]!, windMS, mixedM[p]!)
    }

    for (let p = 1; p < n; p++) {
      const to = parts[p]!.joins!
      const change = traded[p]! * (partC[to]! - partC[p]!)
      shift(p, change)
      shift(to, (-change * surfaceVolume(p)) / Math.max(1, surfaceVolume(to)))
    }
    for (let p = 0; p < n; p++) {
      if (inflowM3S[p]! > 0) shift(p, Math.min(0.5, (inflowM3S[p]! * 3600) / surfaceVolume(p)) * (streamC[p]! - partC[p]!))
    }
    const lifted = layer.step(waterC[firstOf[1]! - 1]!, windMS * sheltered(parts[0]!.fetchM, weather.windFromDeg[k]!), basinGain, through)
    if (lifted !== 0) for (let j = firstOf[0]!; j < firstOf[1]!; j++) if (depthM[j]! > basinLayerM) waterC[j]! += lifted
    for (let j = 0; j < count; j++) if (waterC[j]! < COLDEST_C) waterC[j] = COLDEST_C

    const lead = midMs < forecastFromMs ? 0 : (midMs - forecastFromMs) / (24 * HOUR_MS)
    doubt.step(gainK, mixedM, traded, lead, midMs >= usualFromMs)
    biasWm2 *= HeatDoubt.BIAS_KEPT
    for (; next < queue.length && queue[next]!.atMs < startMs + (k + 1) * HOUR_MS; next++) hear(queue[next]!)

    out.columnC.set(waterC, k * count)
    for (let p = 0; p < n; p++) {
      out.partC[k * n + p] = partC[p]!
      out.partSdC[k * n + p] = doubt.sd(p)
      out.streamC[k * n + p] = streamC[p]!
    }
    out.layerM[k] = layer.depthM
    out.belowC[k] = layer.belowC
  }
  onProgress?.(1)
  return out

  function surfaceVolume(p: number): number {
    return parts[p]!.areaM2 * mixedM[p]!
  }

  function shift(p: number, byC: number): void {
    for (let j = firstOf[p]!; j < firstOf[p + 1]!; j++) waterC[j]! += byC
    partC[p]! += byC
  }

  function hear(reading: HeatReading): void {
    const below = !layer.mixed && reading.sensorDepthM > layer.depthM
    const { column, share } = columnAt(columns, reading.part, reading.waterDepthM)
    const here = share === 0 ? waterC[column]! : waterC[column]! * (1 - share) + waterC[column + 1]! * share
    const expectedC = below ? layer.belowC : here
    out.innovations.push({ ...reading, expectedC })
    const off = reading.waterC - expectedC
    if (below) {
      layer.belowC += 0.5 * off
      return
    }
    const gains = doubt.hear(reading.part, READING_SD_C)
    for (let p = 0; p < n; p++) shift(p, gains.part[p]! * off)
    biasWm2 += gains.bias * off
  }
}

/** Share of the open wind that reaches a part's water, by its fetch upwind. */
function sheltered(fetchM: readonly number[], windFromDeg: number): number {
  return LEE_SHARE + (1 - LEE_SHARE) * (1 - Math.exp(-fetchToward(fetchM, windFromDeg) / WIND_REACH_M))
}

/** Share of the light lost behind bank and trees: the direct sun, when it stands lower than they do. */
function banked(fetchM: readonly number[], altitudeDeg: number, azimuthDeg: number, cloud: number): number {
  if (altitudeDeg <= 0) return 0
  const hidden = Math.min(1, BANK_M / Math.tan((altitudeDeg * Math.PI) / 180) / (2 * Math.max(10, fetchToward(fetchM, azimuthDeg))))
  return 0.8 * (1 - cloud) * hidden
}

function fetchToward(fetchM: readonly number[], bearingDeg: number): number {
  if (Number.isNaN(bearingDeg)) return mean(fetchM)
  const at = ((((bearingDeg % 360) + 360) % 360) / 360) * FETCH_DIRECTIONS
  const k = Math.floor(at)
  return fetchM[k % FETCH_DIRECTIONS]! * (1 - at + k) + fetchM[(k + 1) % FETCH_DIRECTIONS]! * (at - k)
}

/** Share of a bay's water that is changed through its mouth in an hour. */
function trade({ joins, mouthM2, areaM2 }: LakePart, windMS: number, depthM: number): number {
  if (joins === null) return 0
  return 1 - Math.exp((-3600 * (SLIP_MS + SLIP_PER_WIND * windMS) * 0.5 * mouthM2) / (areaM2 * depthM))
}

/** Equilibrium of the first ten days, where a lake without a reading is begun. */
function startingC(weather: Weather, latDeg: number, lonDeg: number): number {
  const hours = Math.min(weather.hours, 240)
  let sum = 0
  for (let k = 0; k < hours; k++) {
    const { altitudeDeg } = sunAt({ atMs: weather.startMs + (k + 0.5) * HOUR_MS, latDeg, lonDeg })
    const light = clearSkyWm2(altitudeDeg) * throughCloud(weather.cloud[k]!) * (1 - reflected(altitudeDeg))
    const K = exchangeCoefficient(10, weather.dewPointC[k]!, weather.windMS[k]!)
    sum += weather.dewPointC[k]! + light / K
  }
  return Math.min(32, Math.max(COLDEST_C, hours > 0 ? sum / hours : 10))
}

function mean(list: ArrayLike<number>): number {
  let sum = 0
  let known = 0
  for (let i = 0; i < list.length; i++) {
    if (Number.isNaN(list[i]!)) continue
    sum += list[i]!
    known++
  }
  return known > 0 ? sum / known : 0
}
