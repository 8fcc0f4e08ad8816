import { formatDepth, formatMinutes, formatTemperature, type Units } from '../units/format'
import type { TurnBack } from './turnBack'

export interface Caution {
  key: 'turnBack' | 'waves' | 'wavesLater' | 'coldWater' | 'deepFish' | 'heat'
  /** now: do something about it; careful: know it */
  tone: 'now' | 'careful'
  text: string
}

export interface CautionsOptions {
  nowMs: number
  waterC: number
  airC: number | null
  /** at this place, and the highest of the coming hours with its time */
  waveM: number | null
  laterWave: { waveM: number, atMs: number } | null
  waveLimitM: number
  /** null where the sun does not set, or the day's end is not known */
  back: TurnBack | null
  /** whether the way home was measured from where the day began; else the farthest shore was taken */
  homeKnown: boolean
  /** deepest fish or school logged at this stop, m */
  deepestM: number | null
  units: Units
  /** an instant as the water's clock says it */
  clock: (ms: number) => string
}

const COLD_C = 15.6
const HOT_C = 32
const DEEP_M = 9
/** Turning back is spoken of this long before. */
const SOON_MS = 60 * 60_000
/** Waves near the limit. */
const NEAR = 0.8

/**
 * What could hurt somebody, or the fish, just now: the most pressing first. Limits are the angler's own.
 */
export function cautionsNow({ nowMs, waterC, airC, waveM, laterWave, waveLimitM, back, homeKnown, deepestM, units, clock }: CautionsOptions): Caution[] {
  const list: Caution[] = []
  const say = (key: Caution['key'], tone: Caution['tone'], text: string) => list.push({ key, tone, text })
  if (back && nowMs > back.atMs - SOON_MS) {
    const run = `a ${formatMinutes(Math.max(1, back.runMin))} run home${homeKnown ? '' : ' at most'}`
    if (nowMs >= back.atMs) say('turnBack', 'now', `Turn back now: ${run}, and the sun is going.`)
    else say('turnBack', 'careful', `Turn back by ${clock(back.atMs)} to be in before dark: ${run}.`)
  }
  if (waveM !== null && waveM > waveLimitM) say('waves', 'now', `Waves of ${formatDepth(waveM, units)} here, over your limit of ${formatDepth(waveLimitM, units)}: into the lee, or home.`)
  else if (waveM !== null && waveM > NEAR * waveLimitM) say('waves', 'careful', `Waves of ${formatDepth(waveM, units)} here, near your limit.`)
  if (laterWave && laterWave.waveM > waveLimitM && !(waveM !== null && waveM > waveLimitM)) {
    say('wavesLater', 'careful', `From ${clock(laterWave.atMs)} waves here pass your limit, ${formatDepth(laterWave.waveM, units)} by the forecast.`)
  }
  if (deepestM !== null && deepestM > DEEP_M) say('deepFish', 'careful', `Fish from ${formatDepth(deepestM, units)}: many that are let go die of swelling. Keep what is legal and stop, or fish shallower.`)
  if (waterC < COLD_C) say('coldWater', 'careful', `Water is ${formatTemperature(waterC, units)}: life jacket worn, not stowed.`)
  if (airC !== null && airC >= HOT_C) say('heat', 'careful', `${formatTemperature(airC, units)} in the air: drink, find shade, and know the signs of heat illness.`)
  return list.sort((a, b) => Number(b.tone === 'now') - Number(a.tone === 'now'))
}
