import { HOUR_MS, type Weather } from '../core/season/weather'
import { sunAt } from '../core/season/sun'
import type { LakePart } from '../core/water/lakeParts'

/** One piece of water of the stand-in lake: its area at every half layer's depth. */
export interface TruthColumn {
  /** area at depth k·dz, m² */
  areaM2: number[]
  deepestM: number
  /** share of the wind that reaches it */
  windShare: number
  /** share of the sun it gets */
  sunShare: number
  /** light lost in a metre of water, 1/m */
  extinction: number
  /** column it opens to and its exchange with it, m³/s in still air and more per m/s of wind; null for the main one */
  joins: { to: number, stillM3S: number, perWindM3S: number } | null
}

export interface TruthOptions {
  columns: TruthColumn[]
  weather: Weather
  latDeg: number
  lonDeg: number
  startC: number
}

const DZ = 0.5
const STEPS_AN_HOUR = 4
const RHO = 998
const CP = 4182
const SIGMA = 5.67e-8
const AIR = 1.22
const CP_AIR = 1005
const LATENT = 2.47e6
const STANTON = 1.35e-3

/**
 * The water's true course in the stand-in world, apart from any advice: layers of half a metre, a quarter of an hour at a time, each flux by
 * itself (sun, long waves down and up, evaporation, touch), light that fades layer by layer, mixing by overturning and by the
 * wind's work, and bays that trade water. None of its formulas or coefficients is the advice's own.
 * @returns temperature near the surface (half a metre down) of each column at the end of each hour, °C, and the layers of the last hour
 */
export function lakeTruth({ columns, weather, latDeg, lonDeg, startC }: TruthOptions): { surfaceC: Float32Array[], layersC: Float64Array[][] } {
  const layers = columns.map(({ deepestM }) => new Float64Array(Math.max(1, Math.round(deepestM / DZ))).fill(startC))
  const surfaceC = columns.map(() => new Float32Array(weather.hours))
  const kept: Float64Array[][] = []
  const dt = 3600 / STEPS_AN_HOUR
  for (let k = 0; k < weather.hours; k++) {
    for (let step = 0; step < STEPS_AN_HOUR; step++) {
      const share = (step + 0.5) / STEPS_AN_HOUR
      const blend = (list: Float32Array) => list[k]! * (1 - share) + (list[k + 1] ?? list[k]!) * share
      const { altitudeDeg } = sunAt({ atMs: weather.startMs + (k + share) * HOUR_MS, latDeg, lonDeg })
      const sky = { airC: blend(weather.airC), dewC: blend(weather.dewPointC), windMS: blend(weather.windMS), cloud: blend(weather.cloud), altitudeDeg }
      columns.forEach((column, i) => warm(layers[i]!, column, sky, dt))
      columns.forEach(({ joins }, i) => {
        if (joins) tradeWater(layers[i]!, columns[i]!, layers[joins.to]!, columns[joins.to]!, (joins.stillM3S + joins.perWindM3S * sky.windMS) * dt)
      })
      layers.forEach((t, i) => overturn(t, columns[i]!))
    }
    layers.forEach((t, i) => {
      surfaceC[i]![k] = t.length > 1 ? 0.5 * (t[0]! + t[1]!) : t[0]!
    })
    if (k % 24 === 23) kept.push(layers.map(t => t.slice()))
  }
  return { surfaceC, layersC: kept }
}

interface SkyNow { airC: number, dewC: number, windMS: number, cloud: number, altitudeDeg: number }

/** Vapour pressure over water, hPa (Bolton 1980). */
const vapour = (c: number) => 6.112 * Math.exp((17.67 * c) / (c + 243.5))

function warm(t: Float64Array, { areaM2, windShare, sunShare, extinction }: TruthColumn, { airC, dewC, windMS, cloud, altitudeDeg }: SkyNow, dt: number): void {
  const wind = windMS * windShare
  const up = Math.sin((altitudeDeg * Math.PI) / 180)
  // Clear-sky sun by Kasten's turbid air mass, cloud by Laevastu, 7 % reflected.
  const sun = up <= 0 ? 0 : 0.93 * sunShare * 910 * up ** 1.12 * (1 - 0.62 * cloud ** 2.2)
  const dewVapour = vapour(dewC)
  const airK = airC + 273.15
  const downward = 0.97 * SIGMA * airK ** 4 * (0.61 + 0.05 * Math.sqrt(dewVapour)) * (1 + 0.19 * cloud ** 2)
  const surface = t[0]!
  const upward = 0.97 * SIGMA * (surface + 273.15) ** 4
  // Free convection keeps some exchange going in still air.
  const stir = wind + (surface > airC ? 0.6 * Math.cbrt(surface - airC) : 0.15)
  const evaporation = AIR * LATENT * STANTON * stir * (0.622 / 1013) * (vapour(surface) - dewVapour)
  const touch = AIR * CP_AIR * STANTON * stir * (surface - airC)
  t[0]! += ((downward - upward - evaporation - touch) * dt) / (RHO * CP * DZ)
  let light = sun
  for (let i = 0; i < t.length; i++) {
    const below = 0.53 * sun * Math.exp(-extinction * (i + 1) * DZ)
    const area = areaM2[i]!
    const under = areaM2[i + 1] ?? 0
    // What falls on the bottom's rim of this layer warms this layer, a fifth is thrown back.
    const rim = area > 0 ? (1 - under / area) * 0.8 * below : 0
    t[i]! += ((light - below + rim) * dt) / (RHO * CP * DZ)
    light = below
  }
  // cm²/s and km² in the source.
  stirDown(t, wind, 8.17e-8 * (areaM2[0]! / 1e6) ** 0.56, dt)
  for (let i = 0; i < t.length; i++) if (t[i]! < 0) t[i] = 0
}

const heaviness = (c: number) => -0.0068 * (c - 3.98) ** 2 + 1000

/**
 * Eddies driven by the wind, fading with depth and damped where warm lies over cold (Henderson-Sellers 1985 in form), over a slow
 * background that is weaker the firmer the layering (Hondzo & Stefan 1993).
 */
function stirDown(t: Float64Array, wind: number, background: number, dt: number): void {
  const breeze = Math.max(0.3, wind)
  const friction = 0.0012 * breeze
  const fade = 2.4 * breeze ** -1.84
  for (let i = 0; i + 1 < t.length; i++) {
    const z = (i + 1) * DZ
    const firmness = Math.max(7.5e-5, (9.81 / 1000) * ((heaviness(t[i + 1]!) - heaviness(t[i]!)) / DZ))
    const surface = friction ** 2 * Math.exp(-2 * fade * z)
    const richardson = (-1 + Math.sqrt(1 + (40 * firmness * 0.16 * z * z) / Math.max(1e-14, surface))) / 20
    const eddy = (0.4 * friction * z * Math.exp(-fade * z)) / (1 + 37 * richardson ** 2) + background * firmness ** -0.43
    const flow = Math.min(0.45, (eddy * dt) / (DZ * DZ))
    const change = flow * (t[i + 1]! - t[i]!)
    t[i]! += change
    t[i + 1]! -= change
  }
}

/** Heavy water over light sinks: layers are mixed until none lies so. */
function overturn(t: Float64Array, { areaM2 }: TruthColumn): void {
  for (let i = 0; i + 1 < t.length; i++) {
    if (heaviness(t[i]!) <= heaviness(t[i + 1]!) + 1e-7) continue
    let from = i
    let to = i + 1
    for (;;) {
      let heat = 0
      let volume = 0
      for (let j = from; j <= to; j++) {
        heat += t[j]! * areaM2[j]!
        volume += areaM2[j]!
      }
      for (let j = from; j <= to; j++) t[j] = heat / volume
      if (to + 1 < t.length && heaviness(t[to]!) > heaviness(t[to + 1]!) + 1e-7) to++
      else if (from > 0 && heaviness(t[from - 1]!) > heaviness(t[from]!) + 1e-7) from--
      else break
    }
    i = to - 1
  }
}

/** Water of a bay and of what it opens to changes places, layer by layer as deep as the bay is. */
function tradeWater(bay: Float64Array, a: TruthColumn, basin: Float64Array, b: TruthColumn, volumeM3: number): void {
  const all = a.areaM2.slice(0, bay.length).reduce((sum, area) => sum + area * DZ, 0)
  for (let i = 0; i < bay.length && i < basin.length; i++) {
    const part = volumeM3 * ((a.areaM2[i]! * DZ) / all)
    const change = basin[i]! - bay[i]!
    bay[i]! += change * Math.min(0.5, part / (a.areaM2[i]! * DZ))
    basin[i]! -= change * Math.min(0.5, part / (b.areaM2[i]! * DZ))
  }
}

/** The stand-in's columns for a lake that has been taken apart: areas by depth from its cells, its own guess at lee, sun and trade. */
export function truthColumns(parts: readonly LakePart[], labels: Int16Array, depthM: Float32Array, cellM: number, clarityM: readonly number[]): TruthColumn[] {
  return parts.map(({ index, deepestM, areaM2, fetchM, joins, mouthM2 }) => {
    const layerCount = Math.max(1, Math.round(deepestM / DZ))
    const area = new Array<number>(layerCount + 1).fill(0)
    labels.forEach((label, i) => {
      if (label === index) for (let k = 0; k <= layerCount && k * DZ < Math.max(depthM[i]!, DZ); k++) area[k]! += cellM ** 2
    })
    area[layerCount] = 0
    for (let k = 0; k < layerCount; k++) area[k] = Math.max(area[k]!, cellM ** 2)
    const open = fetchM.reduce((a, b) => a + b, 0) / fetchM.length
    return {
      areaM2: area, deepestM, extinction: 0.15 + 1.45 / clarityM[index]!,
      windShare: Math.min(1, 0.48 + 0.5 * (open / (open + 180))), sunShare: 1 - Math.min(0.2, 9 / Math.sqrt(areaM2)),
      joins: joins === null ? null : { to: joins, stillM3S: 0.0004 * 0.5 * mouthM2, perWindM3S: 0.00008 * mouthM2 },
    }
  })
}
