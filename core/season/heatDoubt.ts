import type { LakePart } from '../water/lakeParts'
import { HEAT_CAPACITY } from './stepTemperature'

/** Error of the hourly heat flux that lasts about a day, W/m², and the share of it that all parts have in common. */
const FLUX_SD = 30
const FLUX_MEMORY_H = 24
const COMMON = 0.5
/** A forecast's flux is off by so much more for each day ahead, W/m², and a season's usual weather by this. */
const FORECAST_SD_A_DAY = 9
const USUAL_SD = 75
/** A season that is warmer or colder than usual is so for days on end. */
const USUAL_MEMORY_H = 120
/** A lasting error of the flux (the water's own stain, bank, haze), W/m²; what a reading says of it relaxes over five days. */
const BIAS_SD = 35
const BIAS_MEMORY_H = 5 * 24

/**
 * How unsure the model is of each part: the covariance of a Kalman filter whose state is the temperature of every part and one
 * lasting error of the heat flux. It grows with the weather's own errors, shrinks with each reading, and says how
 * far a reading in one part speaks for the others.
 */
export class HeatDoubt {
  static readonly BIAS_KEPT = Math.exp(-1 / BIAS_MEMORY_H)
  private readonly size: number
  private readonly parts: LakePart[]
  private readonly p: Float64Array
  private readonly f: Float64Array
  private readonly scratch: Float64Array

  constructor(parts: LakePart[], startSdC: number) {
    this.parts = parts
    this.size = parts.length + 1
    const m = this.size
    this.p = new Float64Array(m * m)
    this.f = new Float64Array(m * m)
    this.scratch = new Float64Array(m * m)
    for (let i = 0; i < m - 1; i++) {
      for (let j = 0; j < m - 1; j++) this.p[i * m + j] = startSdC ** 2 * (i === j ? 1 : COMMON)
    }
    this.p[m * m - 1] = BIAS_SD ** 2
  }

  /**
   * One hour on.
   * @param kWm2K and mixedM of each part
   * @param traded share of a part's water changed with its neighbour in the hour
   */
  step(kWm2K: Float64Array, mixedM: Float64Array, traded: Float64Array, leadDays: number, usual: boolean): void {
    const { size: m, p, f, scratch, parts } = this
    f.fill(0)
    const fluxSd = usual ? USUAL_SD : FLUX_SD + FORECAST_SD_A_DAY * Math.min(10, leadDays)
    for (let i = 0; i < m - 1; i++) {
      const kept = Math.exp((-kWm2K[i]! * 3600) / (HEAT_CAPACITY * mixedM[i]!))
      f[i * m + i] = kept * (1 - traded[i]!)
      if (parts[i]!.joins !== null) f[i * m + parts[i]!.joins!]! += kept * traded[i]!
      f[i * m + m - 1] = (1 - kept) / kWm2K[i]!
    }
    f[m * m - 1] = HeatDoubt.BIAS_KEPT
    // F is sparse: its zeros are skipped.
    scratch.fill(0)
    for (let i = 0; i < m; i++) {
      for (let l = 0; l < m; l++) {
        const a = f[i * m + l]!
        if (a === 0) continue
        for (let j = 0; j < m; j++) scratch[i * m + j]! += a * p[l * m + j]!
      }
    }
    p.fill(0)
    for (let j = 0; j < m; j++) {
      for (let l = 0; l < m; l++) {
        const a = f[j * m + l]!
        if (a === 0) continue
        for (let i = 0; i < m; i++) p[i * m + j]! += scratch[i * m + l]! * a
      }
    }
    for (let i = 0; i < m - 1; i++) {
      const si = (fluxSd * 3600) / (HEAT_CAPACITY * mixedM[i]!)
      for (let j = 0; j < m - 1; j++) {
        const sj = (fluxSd * 3600) / (HEAT_CAPACITY * mixedM[j]!)
        p[i * m + j]! += 2 * (usual ? USUAL_MEMORY_H : FLUX_MEMORY_H) * si * sj * (i === j ? 1 : COMMON)
      }
    }
    p[m * m - 1]! += BIAS_SD ** 2 * (1 - HeatDoubt.BIAS_KEPT ** 2)
  }

  /** Standard deviation of a part's temperature, °C. */
  sd(part: number): number {
    return Math.sqrt(Math.max(0, this.p[part * this.size + part]!))
  }

  /** Takes in a reading of one part: the share of its surprise that each part, and the lasting error (W/m² a degree), is to be moved by. */
  hear(part: number, readingSdC: number): { part: Float64Array, bias: number } {
    const { size: m, p } = this
    const spread = p[part * m + part]! + readingSdC ** 2
    const gain = Float64Array.from({ length: m }, (_, i) => p[i * m + part]! / spread)
    const row = Float64Array.from({ length: m }, (_, j) => p[part * m + j]!)
    for (let i = 0; i < m; i++) for (let j = 0; j < m; j++) p[i * m + j]! -= gain[i]! * row[j]!
    // A reading never speaks louder elsewhere than where it was taken.
    return { part: gain.slice(0, m - 1).map(g => Math.min(g, gain[part]!)), bias: gain[m - 1]! }
  }
}
