import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'

/** Shores and shoals lie in the way: the run home is so much longer than the straight line. */
const DETOUR = 1.25
/** Anchor up, rods down, and what goes wrong, min. */
const SPARE_MIN = 15
const MINUTE_MS = 60_000

export interface TurnBack {
  /** leave by then to be home before the sun has set, ms */
  atMs: number
  runMin: number
}

/**
 * When to turn back: in time to be at the ramp before sunset at the boat's speed, a detour and a quarter of an hour to spare counted in.
 * @param homeM straight to the ramp
 * @throws RangeError for a speed that is not above 0 or a negative distance
 */
export function turnBack({ sunsetMs, homeM, runMS }: { sunsetMs: number, homeM: number, runMS: number }): TurnBack {
  requireNumber('sunsetMs', sunsetMs)
  requireNumber('homeM', homeM, NOT_NEGATIVE)
  requireNumber('runMS', runMS, POSITIVE)
  const runMin = (homeM * DETOUR) / runMS / 60
  return { atMs: sunsetMs - (runMin + SPARE_MIN) * MINUTE_MS, runMin }
}
