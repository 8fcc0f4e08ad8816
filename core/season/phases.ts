import type { Mood } from '../rig/mood'

export const PHASES = [
  'winter', 'staging', 'preSpawn', 'spawn', 'postSpawn', 'earlySummer', 'summer', 'lateSummer', 'fallTransition', 'fall',
] as const
export type Phase = (typeof PHASES)[number]

/** Which way the water is going when the phase runs. */
export type Direction = 'rising' | 'falling' | 'either'

export interface PhasePrior {
  /** water temperature it runs in, °C */
  waterC: [number, number]
  direction: Direction
  /** half of the thermal year it belongs to; null for both */
  half: 'warming' | 'cooling' | null
  /** usual depth of the fish, m */
  depthM: [number, number]
  mood: Mood
  /** expected fish an hour at an ordinary suitable place: a starting prior, moved by the log */
  fishPerHour: number
}

const ft = (a: number, b: number): [number, number] => [a * 0.3048, b * 0.3048]

/** Crappie, from the field handbook's table of phases (temperatures rounded as there). */
export const CRAPPIE_PHASES: Record<Phase, PhasePrior> = {
  winter: { waterC: [-2, 7], direction: 'either', half: null, depthM: ft(18, 32), mood: 'torpid', fishPerHour: 1.2 },
  staging: { waterC: [7, 10], direction: 'rising', half: 'warming', depthM: ft(6, 12), mood: 'slow', fishPerHour: 2.0 },
  preSpawn: { waterC: [10, 14.2], direction: 'rising', half: 'warming', depthM: ft(6, 10), mood: 'steady', fishPerHour: 3.0 },
  spawn: { waterC: [14.2, 20], direction: 'rising', half: 'warming', depthM: ft(1, 5), mood: 'steady', fishPerHour: 2.2 },
  postSpawn: { waterC: [19, 23], direction: 'rising', half: 'warming', depthM: ft(3, 9), mood: 'slow', fishPerHour: 1.5 },
  earlySummer: { waterC: [20, 24], direction: 'rising', half: 'warming', depthM: ft(9, 15), mood: 'keen', fishPerHour: 2.0 },
  summer: { waterC: [24, 30], direction: 'either', half: null, depthM: ft(8, 14), mood: 'steady', fishPerHour: 1.6 },
  lateSummer: { waterC: [25, 31], direction: 'falling', half: 'cooling', depthM: ft(6, 10), mood: 'slow', fishPerHour: 0.8 },
  fallTransition: { waterC: [15, 25], direction: 'falling', half: 'cooling', depthM: ft(14, 22), mood: 'steady', fishPerHour: 1.6 },
  fall: { waterC: [8.5, 15.5], direction: 'falling', half: 'cooling', depthM: ft(9, 17), mood: 'steady', fishPerHour: 2.0 },
}

const NAMES: Record<Phase, string> = {
  winter: 'winter',
  staging: 'staging',
  preSpawn: 'pre-spawn',
  spawn: 'on the beds',
  postSpawn: 'post-spawn',
  earlySummer: 'early summer',
  summer: 'summer',
  lateSummer: 'late summer',
  fallTransition: 'fall transition',
  fall: 'fall',
}

export function phaseName(phase: Phase): string {
  return NAMES[phase]
}

const MEANINGS: Record<Phase, string> = {
  winter: 'In the basins and the deepest brush, hardly moving. Small, slow, still.',
  staging: 'Hanging off the first steep break outside the spawning ground, in roaming schools. Bigger fish ride higher.',
  preSpawn: 'Gathered beside the spawning ground, the most willing they will be all year. A bait that hangs still does best.',
  spawn: 'On the beds in the shallows. Males guard: fish lightly, or leave them alone.',
  postSpawn: 'Sliding back to docks and shade near the bays. Bites come on the fall; the females are thin.',
  earlySummer: 'Along the deep weed edge and on weedy humps. Search lures find them; wind groups them.',
  summer: 'High in the crowns of brush and timber over deep water. They follow without taking.',
  lateSummer: 'Same brush, nervous. Keep far off, go small, change fast and move often.',
  fallTransition: 'Scattered near the bottom between the deep brush. A bait that drops fast gets the bite.',
  fall: 'Steady in the brush and along the channel edges.',
}

/** What the phase means for the day, in a sentence. */
export function phaseMeaning(phase: Phase): string {
  return MEANINGS[phase]
}
