import type { Mood } from '../rig/mood'

export const PHASES = [
  'winter', 'staging', 'preSpawn', 'spawn', 'postSpawn', 'earlySummer', 'summer', 'lateSummer', 'fallTransition', 'fall',
] as const
export type Phase = (typeof PHASES)[number]

/** Which way the water is going when the phase runs. */
export type Direction = 'rising' | 'falling' | 'either'

/** What is believed of a phase of one kind of fish before the log has said anything. */
export interface PhasePrior {
  phase: Phase
  name: string
  /** where the fish are and how they take it, in a sentence or two */
  meaning: string
  /** water temperature it runs in, °C */
  waterC: [number, number]
  direction: Direction
  /** half of the thermal year it belongs to; null for both */
  half: 'warming' | 'cooling' | null
  /** usual depth of the fish, m */
  depthM: [number, number]
  mood: Mood
  /** expected fish an hour at an ordinary suitable place */
  fishPerHour: number
}
