import { PELLOWICK_ORIGIN, pellowickGrid } from '../demo/pellowick'
import { fieldLookup, temperatureFieldInto } from '../core/season/temperatureField'
import { columnsOf } from '../core/season/columns'
import { waterHeat } from '../core/season/waterHeat'
import { lakeParts } from '../core/water/lakeParts'
import { hindcast, type HindcastErrors } from '../sim/hindcast'
import { simWeather } from '../sim/weather'
import { race } from './time'

const CELLS = 36_000
const HOURS = 240

/** Ten days of temperature for 36,000 cells, model and all, against one plain pass over the same arrays. */
export function temperatureField() {
  const grid = pellowickGrid(8)
  const lake = lakeParts({ grid })
  const columns = columnsOf(lake, grid)
  const whole = fieldLookup({ columns, lake, grid })
  const lookup = { cell: whole.cell.subarray(0, CELLS), column: whole.column.subarray(0, CELLS), share: whole.share.subarray(0, CELLS) }
  const n = lookup.cell.length
  const weather = simWeather({ ...PELLOWICK_ORIGIN, seed: 1 }, Date.UTC(2026, 3, 24), HOURS)
  const out = new Float32Array(n * HOURS)
  const rival = new Float32Array(n * HOURS)
  const secchiM = lake.parts.map(() => 1)
  const times = race({
    model: () => {
      const heat = waterHeat({ parts: lake.parts, columns, weather, ...PELLOWICK_ORIGIN, secchiM, inflowM3S: secchiM.map(() => 0), readings: [], startC: 12, forecastFromMs: weather.startMs })
      for (let k = 0; k < HOURS; k++) temperatureFieldInto(out, k * n, { columnC: heat.columnC, columns: columns.count }, lookup, k)
    },
    onePass: () => {
      for (let k = 0; k < HOURS; k++) for (let i = 0; i < n; i++) rival[k * n + i] = rival[k * n + i]! * 0.5 + lookup.share[i]!
    },
    oneHour: () => temperatureFieldInto(out, 0, { columnC: out, columns: 0 }, lookup, 0),
  })
  return { cells: n, ratio: times.model! / times.onePass!, modelMs: times.model!, hourMs: times.oneHour! }
}

const line = (name: string, { model, persistence, airAverage, covered, cases }: HindcastErrors) =>
  `${name}: model ${model.toFixed(2)} °C RMS, last reading carried on ${persistence.toFixed(2)}, mean air of a week ${airAverage.toFixed(2)}; its band of four in five held ${Math.round(covered * 100)} % of ${cases} hours`

export function seasonBench() {
  const { cells, ratio, modelMs, hourMs } = temperatureField()
  const lines = [`ten days × ${cells} cells: ${ratio.toFixed(1)} × one pass over the same arrays (${modelMs.toFixed(0)} ms); one hour of it ${hourMs.toFixed(2)} ms`]
  for (const [where, latDeg, lonDeg, seed] of [['the demo reservoir', PELLOWICK_ORIGIN.latDeg, PELLOWICK_ORIGIN.lonDeg, 1], ['the demo reservoir, another year', PELLOWICK_ORIGIN.latDeg, PELLOWICK_ORIGIN.lonDeg, 2], ['the same bottom at 52° N', 52, 0, 3], ['at 33° N', 33, -90, 4], ['at 38° S', -38, 145, 5]] as const) {
    const { tenDays, thirdDay } = hindcast({ grid: pellowickGrid(10), latDeg, lonDeg, seed })
    lines.push(`${where}`, line('  ten days after a reading, basin', tenDays.basin), line('  ten days after a reading, bays', tenDays.bays), line('  a reading every third day, basin', thirdDay.basin), line('  a reading every third day, bays', thirdDay.bays))
  }
  return { what: 'water temperature against a lake that obeys other laws, and its speed', lines }
}
