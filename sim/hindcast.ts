import { seededRandom } from '../core/numeric/random'
import { columnsOf } from '../core/season/columns'
import { HOUR_MS, weatherBetween } from '../core/season/weather'
import { waterHeat, type HeatReading } from '../core/season/waterHeat'
import type { DepthGrid } from '../core/water/depthGrid'
import { lakeParts } from '../core/water/lakeParts'
import { lakeTruth, truthColumns } from './lakeTruth'
import { simWeather } from './weather'

const DAY_MS = 24 * HOUR_MS
const WARM_UP_DAYS = 45
const LAKE_SPIN_UP_DAYS = 60
const READING_NOISE_C = 0.3
const PLAIN_AIR_DAYS = 7

export interface HindcastErrors {
  model: number
  persistence: number
  airAverage: number
  /** share of the cases that lay in the model's band of four in five */
  covered: number
  cases: number
}
export interface Hindcast {
  /** ten days after the only reading, °C root mean square */
  tenDays: { basin: HindcastErrors, bays: HindcastErrors }
  /** a reading every third day */
  thirdDay: { basin: HindcastErrors, bays: HindcastErrors }
}

/**
 * How far the water model is off in the stand-in world, whose lake obeys other laws: many times through a year it is told one temperature in
 * each part (with the error of a boat's sensor) and the weather as it was, and compared ten days later; and again
 * with a reading every third day of which the basin and one bay in turn are told.
 */
export function hindcast({ grid, latDeg, lonDeg, seed, everyDays = 9, days = 365 }: { grid: DepthGrid, latDeg: number, lonDeg: number, seed: number, everyDays?: number, days?: number }): Hindcast {
  const lake = lakeParts({ grid })
  const columns = columnsOf(lake, grid)
  const clarityM = lake.parts.map(p => (p.kind === 'basin' ? 1.1 : 0.8))
  const startMs = Date.UTC(2025, 0, 1)
  const weather = simWeather({ latDeg, lonDeg, seed }, startMs, (LAKE_SPIN_UP_DAYS + days + 11) * 24)
  const truth = lakeTruth({ columns: truthColumns(lake.parts, lake.labels, grid.depthM, grid.cellM, clarityM), weather, latDeg, lonDeg, startC: latDeg < 0 ? 18 : 5 })
  const random = seededRandom(seed + 99)
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const read = (part: number, atMs: number): HeatReading => ({
    atMs, part, waterDepthM: Math.min(lake.parts[part]!.deepestM, lake.parts[part]!.volumeM3 / lake.parts[part]!.areaM2), sensorDepthM: 0.5,
    waterC: truth.surfaceC[part]![Math.floor((atMs - startMs) / HOUR_MS)]! + READING_NOISE_C * gauss(),
  })
  const sums = () => ({ basin: new Errors(), bays: new Errors() })
  const [tenDays, thirdDay] = [sums(), sums()]
  const run = (fromMs: number, toMs: number, readings: HeatReading[]) => waterHeat({
    parts: lake.parts, columns, weather: weatherBetween(weather, fromMs, toMs), latDeg, lonDeg, secchiM: clarityM, inflowM3S: clarityM.map(() => 0), readings, forecastFromMs: toMs,
  })
  for (let day = LAKE_SPIN_UP_DAYS; day + 10 <= LAKE_SPIN_UP_DAYS + days; day += everyDays) {
    // Hours of the day in turn, so that mornings and afternoons both count.
    const readMs = startMs + day * DAY_MS + (7 + (day % 3) * 5) * HOUR_MS
    const fromMs = readMs - WARM_UP_DAYS * DAY_MS
    const toMs = readMs + 10 * DAY_MS
    const told = lake.parts.map(p => read(p.index, readMs))
    const once = run(fromMs, toMs, told)
    compare(once, lake.parts.map(p => p.index), Array.from({ length: 24 }, (_, h) => toMs - (h + 1) * HOUR_MS), told, tenDays)
    const often: HeatReading[] = []
    for (let d = 0; d < 10; d += 3) often.push(read(0, readMs + d * DAY_MS), read(1 + ((day + d) % (lake.parts.length - 1)), readMs + d * DAY_MS))
    const hours = Array.from({ length: 9 * 24 }, (_, h) => readMs + DAY_MS + h * HOUR_MS)
    compare(run(fromMs, toMs, [...told, ...often]), lake.parts.map(p => p.index), hours, told, thirdDay)
  }
  const done = ({ basin, bays }: ReturnType<typeof sums>) => ({ basin: basin.rms(), bays: bays.rms() })
  return { tenDays: done(tenDays), thirdDay: done(thirdDay) }

  function compare(heat: ReturnType<typeof run>, parts: number[], hours: number[], told: HeatReading[], into: ReturnType<typeof sums>): void {
    for (const part of parts) {
      for (const atMs of hours) {
        const k = Math.floor((atMs - heat.startMs) / HOUR_MS)
        const t = Math.floor((atMs - startMs) / HOUR_MS)
        let air = 0
        for (let h = 0; h < PLAIN_AIR_DAYS * 24; h++) air += weather.airC[t - h]!
        into[part === 0 ? 'basin' : 'bays'].add(truth.surfaceC[part]![t]!, heat.partC[k * parts.length + part]!, heat.partSdC[k * parts.length + part]!, told[part]!.waterC, Math.max(0, air / (PLAIN_AIR_DAYS * 24)))
      }
    }
  }
}

class Errors {
  private cases = 0
  private model = 0
  private persistence = 0
  private airAverage = 0
  private covered = 0

  add(truth: number, model: number, sd: number, persistence: number, airAverage: number): void {
    this.cases++
    this.model += (model - truth) ** 2
    if (Math.abs(model - truth) <= 1.2816 * sd) this.covered++
    this.persistence += (persistence - truth) ** 2
    this.airAverage += (airAverage - truth) ** 2
  }

  rms(): HindcastErrors {
    const of = (sum: number) => Math.sqrt(sum / Math.max(1, this.cases))
    return { model: of(this.model), persistence: of(this.persistence), airAverage: of(this.airAverage), covered: this.covered / Math.max(1, this.cases), cases: this.cases }
  }
}
