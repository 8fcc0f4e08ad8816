/** How willing the fish are to move, slowest first. */
export const MOODS = ['torpid', 'slow', 'steady', 'keen', 'fast'] as const
export type Mood = (typeof MOODS)[number]

/** Speed a fish of that mood will chase, m/s: a starting prior (MATH §6). */
const CHASE_SPEED_MS: Record<Mood, number> = { torpid: 0.05, slow: 0.15, steady: 0.35, keen: 0.7, fast: 1.2 }

export function chaseSpeed(mood: Mood): number {
  return CHASE_SPEED_MS[mood]
}
