/** How readily fish feed at an instant, as a share of their day's mean (`feedingAt`). */
export interface FeedingStep { atMs: number, level: number }

export interface FeedingLull {
  /** when they should have picked up again, ms */
  untilMs: number
  /** now and then, shares of the day's mean */
  level: number
  levelThen: number
}

/** Feeding now is a lull when it is under this share of what is to come within the look ahead, and under the day's mean. */
const LOW = 0.75
const MEAN = 1
/** The lull is over once feeding has climbed this share of the way. */
const CLIMBED = 0.6

/**
 * Whether fish should be resting now and feed again within the time that was looked at; null when not. Steps in order of time, the first is now.
 */
export function feedingLull(steps: readonly FeedingStep[]): FeedingLull | null {
  const [now] = steps
  if (!now) return null
  const best = steps.reduce((a, b) => (b.level > a.level ? b : a))
  if (now.level >= MEAN || now.level > LOW * best.level) return null
  const wanted = now.level + CLIMBED * (best.level - now.level)
  const up = steps.find(s => s.level >= wanted)!
  return { untilMs: up.atMs, level: now.level, levelThen: best.level }
}
