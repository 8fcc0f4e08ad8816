import { buildDepthGrid, type BuildOptions } from './buildDepthGrid'
import { depthAt } from './depthGrid'

/** A track ends where the boat jumps farther than this between two soundings, m … */
const JUMP_M = 60
/** … or after so long a way. */
const LONGEST_TRACK_M = 400
/** Each this many tracks one is left out. */
const EVERY = 5
const COARSE = 2

export interface HeldOut {
  /** root mean square of the differences at the soundings left out, m */
  rmsM: number
  /** soundings that were left out */
  count: number
}

/**
 * How well the chart foretells tracks that it has not seen: every fifth track is left out, the rest is gridded (on cells twice as wide), and
 * the difference measured. Single soundings would flatter it: they lie beside their neighbours on the same track. Null with fewer than 5 tracks.
 */
export function heldOutError(options: BuildOptions): HeldOut | null {
  const { soundings } = options
  const track = tracksOf(soundings)
  if ((track.at(-1) ?? 0) < EVERY - 1) return null
  const out = (i: number) => track[i]! % EVERY === EVERY - 1
  const count = track.reduce((n, _, i) => n + (out(i) ? 1 : 0), 0)
  const kept = new Float64Array((track.length - count) * 3)
  const left: number[] = []
  let k = 0
  for (let i = 0; i < track.length; i++) {
    if (out(i)) left.push(i)
    else for (let j = 0; j < 3; j++) kept[k++] = soundings[3 * i + j]!
  }
  const grid = buildDepthGrid({ ...options, soundings: kept, cellM: Math.min(50, options.cellM * COARSE) })
  let sum = 0
  let n = 0
  for (const i of left) {
    const depth = depthAt({ grid, x: soundings[3 * i]!, y: soundings[3 * i + 1]! })
    if (Number.isNaN(depth)) continue
    sum += (depth - soundings[3 * i + 2]!) ** 2
    n++
  }
  return n === 0 ? null : { rmsM: Math.sqrt(sum / n), count: n }
}

/** Track number of each sounding, from 0. */
function tracksOf(soundings: Float64Array): Int32Array {
  const track = new Int32Array(soundings.length / 3)
  let way = 0
  for (let i = 1; i < track.length; i++) {
    const step = Math.hypot(soundings[3 * i]! - soundings[3 * i - 3]!, soundings[3 * i + 1]! - soundings[3 * i - 2]!)
    way += step
    const ends = step > JUMP_M || way > LONGEST_TRACK_M
    track[i] = track[i - 1]! + (ends ? 1 : 0)
    if (ends) way = 0
  }
  return track
}
