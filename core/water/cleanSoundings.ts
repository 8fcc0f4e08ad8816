import { requireNumber } from '../guard'

/** Why a sounding is left out; ok: it is not. */
export const SOUNDING_FLAGS = ['ok', 'zero', 'spike', 'frozen', 'still', 'crossing', 'outside'] as const
export type SoundingFlag = (typeof SOUNDING_FLAGS)[number]

const ZERO_M = 0.05
const SPIKE_NEIGHBOURS = 4
const LEAST_SPIKE_M = 0.6
const SPIKE_SHARE = 0.2
/** So many exactly equal depths over so long a way: the sounder had stopped reading. */
const FROZEN_COUNT = 14
const FROZEN_WAY_M = 25
const STILL_COUNT = 20
const STILL_M = 2.5
const CROSS_CELL_M = 6
const LEAST_CROSS_M = 0.75
const CROSS_SHARE = 0.25

/**
 * Soundings that should not shape the chart: zeros, spikes along the track, a sounder that froze while the boat went on, clusters from
 * lying still (one of them stays), and depths that two or more other tracks contradict. Nothing is removed: each gets a flag.
 * @param options.soundings flat x, y, depth triples in the order taken, m
 * @param options.inside whether a point is on the water; left out, every point is
 * @returns per sounding an index into `SOUNDING_FLAGS`
 */
export function cleanSoundings({ soundings, inside }: { soundings: Float64Array, inside?: (x: number, y: number) => boolean }): Uint8Array {
  if (soundings.length % 3 !== 0) throw new RangeError(`soundings has ${soundings.length} numbers; it must have three (x, y, depth) for each sounding`)
  const n = soundings.length / 3
  const flags = new Uint8Array(n)
  const flag = (i: number, f: SoundingFlag) => {
    if (flags[i] === 0) flags[i] = SOUNDING_FLAGS.indexOf(f)
  }
  const x = (i: number) => soundings[3 * i]!
  const y = (i: number) => soundings[3 * i + 1]!
  const depth = (i: number) => soundings[3 * i + 2]!
  const apart = (i: number, j: number) => Math.hypot(x(i) - x(j), y(i) - y(j))
  for (let i = 0; i < n; i++) {
    requireNumber(`soundings[${i}].depth`, depth(i))
    if (inside && !inside(x(i), y(i))) flag(i, 'outside')
    if (depth(i) <= ZERO_M) flag(i, 'zero')
  }
  flagRuns()
  flagSpikes()
  flagCrossings()
  return flags

  function flagRuns(): void {
    for (let from = 0; from < n;) {
      let to = from + 1
      while (to < n && depth(to) === depth(from)) to++
      if (to - from >= FROZEN_COUNT && apart(from, to - 1) >= FROZEN_WAY_M) for (let i = from; i < to; i++) flag(i, 'frozen')
      from = to
    }
    for (let from = 0; from < n;) {
      let to = from + 1
      while (to < n && apart(from, to) <= STILL_M) to++
      // The middle one stays for all of them.
      if (to - from >= STILL_COUNT) for (let i = from; i < to; i++) if (i !== (from + to) >> 1) flag(i, 'still')
      from = to
    }
  }

  function flagSpikes(): void {
    for (let i = 0; i < n; i++) {
      if (flags[i] !== 0) continue
      const around: number[] = []
      for (let k = 1; around.length < 2 * SPIKE_NEIGHBOURS && k <= 3 * SPIKE_NEIGHBOURS; k++) {
        for (const j of [i - k, i + k]) if (j >= 0 && j < n && flags[j] !== 1 && apart(i, j) < 40) around.push(depth(j))
      }
      if (around.length < SPIKE_NEIGHBOURS) continue
      const middle = median(around)
      const spread = median(around.map(d => Math.abs(d - middle)))
      if (Math.abs(depth(i) - middle) > Math.max(LEAST_SPIKE_M, SPIKE_SHARE * middle, 6 * spread)) flag(i, 'spike')
    }
  }

  /** Small squares that three passes or more went through: the pass that stands alone is out. */
  function flagCrossings(): void {
    const squares = new Map<string, { pass: number, last: number, members: number[][] }>()
    for (let i = 0; i < n; i++) {
      if (flags[i] !== 0) continue
      const key = `${Math.floor(x(i) / CROSS_CELL_M)},${Math.floor(y(i) / CROSS_CELL_M)}`
      const square = squares.get(key)
      if (!square) squares.set(key, { pass: 0, last: i, members: [[i]] })
      else {
        if (i - square.last > 40) square.members.push([])
        square.members.at(-1)!.push(i)
        square.last = i
      }
    }
    for (const { members } of squares.values()) {
      if (members.length < 3) continue
      const passes = members.map(m => median(m.map(depth)))
      passes.forEach((own, k) => {
        const others = passes.filter((_, j) => j !== k)
        const middle = median(others)
        const agree = others.every(o => Math.abs(o - middle) < LEAST_CROSS_M / 2)
        if (agree && Math.abs(own - middle) > Math.max(LEAST_CROSS_M, CROSS_SHARE * middle)) members[k]!.forEach(i => flag(i, 'crossing'))
      })
    }
  }
}

function median(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}
