import type { LocalDay } from './dayLights'
import { hourIndex } from './weather'
import type { WaterHeat } from './waterHeat'

export interface Reached {
  levelC: number
  /** whether the water rises to the level or falls to it */
  way: 'rises' | 'falls'
  /** day its mean is at the level, and the band four times in five; null: not within the days known */
  likely: string | null
  earliest: string | null
  latest: string | null
  /** it is past the level already, since `likely` where that is known */
  passed: boolean
}

/** Four times in five. */
const BAND_Z = 1.2816

/** Mean of each day for a part, with its standard deviation, °C; NaN for days the model does not cover. */
export function dailyMeans(heat: WaterHeat, days: readonly LocalDay[], part: number, parts: number): { meanC: Float32Array, sdC: Float32Array } {
  const meanC = new Float32Array(days.length).fill(Number.NaN)
  const sdC = new Float32Array(days.length).fill(Number.NaN)
  days.forEach(({ startMs, endMs }, d) => {
    const from = hourIndex(heat, startMs)
    const to = Math.min(heat.hours, hourIndex(heat, endMs))
    if (from < 0 || to <= from) return
    let sum = 0
    let sd = 0
    for (let k = from; k < to; k++) {
      sum += heat.partC[k * parts + part]!
      sd += heat.partSdC[k * parts + part]!
    }
    meanC[d] = sum / (to - from)
    sdC[d] = sd / (to - from)
  })
  return { meanC, sdC }
}

/**
 * The day a part's water reaches each level, from the daily means: the first day from `today` on that it is at the level, and a band from
 * the same course a little warmer and a little cooler. A level that it is past already says since when.
 */
export function dayReached({ meanC, sdC, days, today, levelsC, way }: { meanC: ArrayLike<number>, sdC: ArrayLike<number>, days: readonly { iso: string }[], today: number, levelsC: readonly number[], way: 'rises' | 'falls' }): Reached[] {
  const beyond = (value: number, level: number) => (way === 'rises' ? value >= level : value <= level)
  const shifted = (d: number, z: number) => meanC[d]! + z * sdC[d]!
  return levelsC.map((levelC) => {
    if (beyond(meanC[today]!, levelC)) {
      let since = today
      while (since > 0 && beyond(meanC[since - 1]!, levelC)) since--
      return { levelC, way, passed: true, likely: since > 0 && !Number.isNaN(meanC[since - 1]!) ? days[since]!.iso : null, earliest: null, latest: null }
    }
    const first = (z: number) => {
      for (let d = today; d < days.length; d++) if (beyond(shifted(d, z), levelC)) return days[d]!.iso
      return null
    }
    const early = way === 'rises' ? BAND_Z : -BAND_Z
    return { levelC, way, passed: false, likely: first(0), earliest: first(early), latest: first(-early) }
  })
}
