import { POSITIVE, requireNumber } from '../guard'

/** Two casts of one bait whose depth the angler found out: on a ledge, a line counter, by touch. */
export interface DiveReading { castM: number, depthM: number }

export interface DiveFit {
  /** depth at a cast, m: it nears `limitM` as the cast grows */
  limitM: number
  /** cast at which it reaches 63 % of the limit, m */
  lengthM: number
}

const LONGEST_M = 400

/**
 * How deep a diving bait runs by the length of the cast, fitted to the angler's own two readings: depth = limit · (1 − exp(−cast/length)). The
 * shape is the simplest that dives steeply at first and levels off; thin line and a low rod make both readings deeper, so it holds for that tackle.
 * @throws RangeError for casts or depths not above 0, equal casts, or a longer cast that ran no deeper, or deeper than in proportion
 */
export function divingFit(readings: readonly [DiveReading, DiveReading]): DiveFit {
  const [a, b] = [...readings].sort((p, q) => p.castM - q.castM) as [DiveReading, DiveReading]
  for (const [i, r] of [a, b].entries()) {
    requireNumber(`readings[${i}].castM`, r.castM, POSITIVE)
    requireNumber(`readings[${i}].depthM`, r.depthM, POSITIVE)
  }
  if (b.castM - a.castM < 1e-6) throw new RangeError(`readings[1].castM is ${b.castM}; it must differ from the other cast`)
  const ratio = b.depthM / a.depthM
  if (ratio <= 1) throw new RangeError(`readings[1].depthM is ${b.depthM}; the longer cast must run deeper`)
  if (ratio >= b.castM / a.castM) throw new RangeError(`readings[1].depthM is ${b.depthM}; a bait levels off, so it must be less than in proportion to the cast`)
  // (1 − e^(−b/L)) / (1 − e^(−a/L)) falls from b/a to 1 as L shrinks.
  const share = (lengthM: number, castM: number) => -Math.expm1(-castM / lengthM)
  let [lo, hi] = [a.castM / 60, LONGEST_M * 100]
  for (let i = 0; i < 200; i++) {
    const mid = Math.sqrt(lo * hi)
    if (share(mid, b.castM) / share(mid, a.castM) < ratio) lo = mid
    else hi = mid
  }
  const lengthM = Math.sqrt(lo * hi)
  return { limitM: a.depthM / share(lengthM, a.castM), lengthM }
}

/** Depth a fitted bait runs at on a cast, m. @throws RangeError for a cast that is not above 0 */
export function divingDepth({ limitM, lengthM }: DiveFit, castM: number): number {
  return limitM * -Math.expm1(-requireNumber('castM', castM, POSITIVE) / lengthM)
}
