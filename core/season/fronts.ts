import { HOUR_MS, type Weather } from './weather'

export interface Front {
  atMs: number
  kind: 'cold' | 'warm'
  /** mean of the day after against the day before, °C */
  changeC: number
}

const LEAST_CHANGE_C = 3.5
const LEAST_TURN_DEG = 35
const APART_H = 24

/**
 * Fronts in a stretch of weather: the air of the day after is colder (warmer) than that of the day before by several degrees, and the wind
 * turns or the pressure has its trough there. Of several hours that fit, the one of the largest change.
 */
export function fronts(weather: Weather): Front[] {
  const { airC, pressureHpa, windFromDeg, windMS, hours, startMs } = weather
  const sums = new Float64Array(hours + 1)
  for (let k = 0; k < hours; k++) sums[k + 1] = sums[k]! + (Number.isNaN(airC[k]!) ? 0 : airC[k]!)
  const candidates: (Front & { k: number })[] = []
  for (let k = APART_H; k + APART_H <= hours; k++) {
    const changeC = (sums[k + APART_H]! - sums[k]! - (sums[k]! - sums[k - APART_H]!)) / APART_H
    if (Math.abs(changeC) < LEAST_CHANGE_C) continue
    const turned = turn(mean(windFromDeg, windMS, k - 10, k), mean(windFromDeg, windMS, k, k + 10))
    const trough = pressureHpa[k]! <= pressureHpa[k - 8]! - 1 && pressureHpa[k]! <= pressureHpa[Math.min(hours - 1, k + 8)]! - 1
    if (turned < LEAST_TURN_DEG && !trough) continue
    candidates.push({ k, atMs: startMs + k * HOUR_MS, kind: changeC < 0 ? 'cold' : 'warm', changeC })
  }
  candidates.sort((a, b) => Math.abs(b.changeC) - Math.abs(a.changeC))
  const kept: typeof candidates = []
  for (const c of candidates) if (kept.every(o => Math.abs(o.k - c.k) >= APART_H)) kept.push(c)
  return kept.sort((a, b) => a.atMs - b.atMs).map(({ atMs, kind, changeC }) => ({ atMs, kind, changeC }))
}

/** Direction of the mean wind, degrees. */
function mean(fromDeg: Float32Array, speed: Float32Array, from: number, to: number): number {
  let east = 0
  let north = 0
  for (let k = Math.max(0, from); k < Math.min(to, fromDeg.length); k++) {
    east += speed[k]! * Math.sin((fromDeg[k]! * Math.PI) / 180)
    north += speed[k]! * Math.cos((fromDeg[k]! * Math.PI) / 180)
  }
  return ((Math.atan2(east, north) * 180) / Math.PI + 360) % 360
}

function turn(a: number, b: number): number {
  const d = Math.abs(a - b) % 360
  return d > 180 ? 360 - d : d
}
