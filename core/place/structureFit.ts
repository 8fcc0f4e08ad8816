import type { Phase } from '../season/phases'
import type { PhaseShare } from '../season/phaseProbabilities'
import type { SeasonFish } from '../season/seasons'
import { PLACE_KINDS, type PlaceKind } from './kinds'

type Fits = Partial<Record<PlaceKind, number>>
/** Fit of what a table does not name: open to doubt, not ruled out. */
const UNNAMED = 0.35

const kinds = (value: number, ...list: PlaceKind[]): Fits => Object.fromEntries(list.map(k => [k, value]))
const merge = (...fits: Fits[]): Fits => Object.assign({}, ...fits)

/** Crappie, phase by phase in the order of the columns: the field handbook's "where" column as priors. */
const CRAPPIE_PHASES: Phase[] = ['winter', 'staging', 'preSpawn', 'spawn', 'postSpawn', 'earlySummer', 'summer', 'lateSummer', 'fallTransition', 'fall']
const CRAPPIE: Record<PlaceKind, number[]> = {
  brush: [0.9, 0.8, 0.85, 0.5, 0.6, 0.6, 0.95, 0.95, 0.7, 0.95],
  timber: [0.6, 0.7, 0.6, 0.4, 0.55, 0.6, 0.95, 0.85, 0.5, 0.75],
  dock: [0.3, 0.4, 0.6, 0.6, 0.95, 0.8, 0.8, 0.7, 0.4, 0.5],
  moorings: [0.3, 0.4, 0.5, 0.5, 0.8, 0.7, 0.75, 0.65, 0.4, 0.5],
  weedEdge: [0.3, 0.5, 0.7, 0.6, 0.75, 0.95, 0.6, 0.4, 0.5, 0.5],
  reedStubble: [0.05, 0.35, 0.8, 0.98, 0.4, 0.2, 0.1, 0.1, 0.1, 0.1],
  flat: [0.1, 0.35, 0.6, 0.75, 0.4, 0.25, 0.15, 0.15, 0.35, 0.2],
  breakEdge: [0.6, 0.95, 0.9, 0.4, 0.5, 0.5, 0.4, 0.4, 0.9, 0.7],
  hump: [0.5, 0.5, 0.4, 0.2, 0.5, 0.85, 0.75, 0.5, 0.6, 0.6],
  point: [0.5, 0.7, 0.6, 0.3, 0.4, 0.5, 0.5, 0.4, 0.6, 0.7],
  insideTurn: [0.5, 0.75, 0.65, 0.35, 0.5, 0.7, 0.45, 0.4, 0.6, 0.6],
  channelBend: [0.9, 0.7, 0.5, 0.15, 0.3, 0.4, 0.6, 0.55, 0.6, 0.85],
  basinEdge: [0.9, 0.85, 0.4, 0.1, 0.2, 0.3, 0.5, 0.45, 0.85, 0.7],
  riprap: [0.2, 0.45, 0.6, 0.5, 0.5, 0.4, 0.3, 0.3, 0.4, 0.45],
  creekMouth: [0.25, 0.6, 0.75, 0.6, 0.45, 0.35, 0.3, 0.3, 0.5, 0.5],
  weir: [0.3, 0.4, 0.5, 0.4, 0.4, 0.4, 0.35, 0.35, 0.4, 0.4],
  lockCut: [0.4, 0.45, 0.5, 0.4, 0.4, 0.4, 0.4, 0.4, 0.45, 0.5],
  canal: [0.35, 0.4, 0.5, 0.45, 0.45, 0.4, 0.4, 0.4, 0.4, 0.4],
}

const crappie = Object.fromEntries(CRAPPIE_PHASES.map((phase, i) => [
  phase, Object.fromEntries(PLACE_KINDS.map(kind => [kind, CRAPPIE[kind][i]!])),
])) as Record<Phase, Fits>

/** Perch want the bottom: cold ones deep and still, spawning ones weed and twigs, warm ones edges, current and prey. */
const perch = (deep: PlaceKind[], warm: PlaceKind[]): Partial<Record<Phase, Fits>> => ({
  winter: merge(kinds(0.9, ...deep), kinds(0.5, 'hump', 'brush', 'insideTurn'), kinds(0.15, 'reedStubble', 'flat', 'dock', 'weedEdge')),
  preSpawn: merge(kinds(0.9, 'weedEdge', 'flat', 'reedStubble'), kinds(0.65, 'creekMouth', 'brush', 'breakEdge', 'moorings'), kinds(0.3, ...deep)),
  spawn: merge(kinds(0.9, 'weedEdge', 'reedStubble', 'brush'), kinds(0.65, 'flat', 'timber', 'creekMouth'), kinds(0.2, 'basinEdge', 'channelBend')),
  postSpawn: merge(kinds(0.85, 'weedEdge'), kinds(0.65, 'point', 'insideTurn', 'breakEdge', 'hump', 'dock', 'moorings')),
  summer: merge(kinds(0.85, ...warm), kinds(0.65, 'breakEdge', 'dock', 'riprap', 'insideTurn'), kinds(0.2, 'flat', 'reedStubble')),
  lateSummer: merge(kinds(0.85, 'basinEdge', 'hump', 'channelBend', 'weir', 'lockCut'), kinds(0.55, 'point', 'weedEdge', 'breakEdge', 'moorings')),
  fall: merge(kinds(0.9, 'basinEdge', 'breakEdge', ...deep), kinds(0.6, 'hump', 'point', 'insideTurn', 'moorings'), kinds(0.2, 'reedStubble', 'flat')),
})

const FITS: Record<SeasonFish, Partial<Record<Phase, Fits>>> = {
  crappie,
  yellowPerch: perch(['basinEdge', 'channelBend'], ['weedEdge', 'hump', 'point']),
  europeanPerch: perch(['basinEdge', 'channelBend', 'lockCut', 'moorings'], ['weir', 'lockCut', 'moorings', 'point', 'hump', 'weedEdge', 'canal']),
  whiteBass: {
    winter: merge(kinds(0.9, 'basinEdge', 'channelBend'), kinds(0.5, 'hump', 'point')),
    staging: merge(kinds(0.95, 'creekMouth', 'weir'), kinds(0.7, 'point', 'channelBend', 'riprap'), kinds(0.1, 'dock', 'brush', 'weedEdge', 'reedStubble')),
    spawn: merge(kinds(0.95, 'weir', 'creekMouth'), kinds(0.75, 'point', 'riprap'), kinds(0.1, 'dock', 'brush', 'weedEdge', 'reedStubble', 'basinEdge')),
    postSpawn: merge(kinds(0.85, 'creekMouth', 'point'), kinds(0.6, 'hump', 'channelBend', 'riprap')),
    summer: merge(kinds(0.85, 'hump', 'point'), kinds(0.6, 'riprap', 'channelBend', 'basinEdge', 'weir'), kinds(0.1, 'dock', 'brush', 'reedStubble')),
    fall: merge(kinds(0.85, 'hump', 'point'), kinds(0.65, 'channelBend', 'basinEdge', 'riprap')),
  },
  bluegill: {
    winter: merge(kinds(0.8, 'basinEdge', 'brush'), kinds(0.5, 'weedEdge', 'timber')),
    preSpawn: merge(kinds(0.85, 'flat', 'reedStubble', 'weedEdge'), kinds(0.6, 'dock', 'riprap', 'moorings')),
    spawn: merge(kinds(0.95, 'flat', 'reedStubble'), kinds(0.6, 'weedEdge', 'dock'), kinds(0.1, 'basinEdge', 'channelBend', 'hump')),
    summer: merge(kinds(0.9, 'weedEdge', 'dock'), kinds(0.7, 'brush', 'timber', 'moorings', 'hump')),
    fall: merge(kinds(0.85, 'weedEdge', 'brush'), kinds(0.55, 'timber', 'breakEdge', 'dock')),
  },
}

/** Fit of a kind of place to the mixture of a fish's phases, 0–1. */
export function structureFit({ kind, phases, fish = 'crappie' }: { kind: PlaceKind, phases: PhaseShare[], fish?: SeasonFish }): number {
  const known = fits.get(phases) ?? new Map<string, number>()
  fits.set(phases, known)
  const key = `${fish} ${kind}`
  const found = known.get(key)
  if (found !== undefined) return found
  const fit = phases.reduce((sum, { phase, probability }) => sum + probability * (FITS[fish][phase]?.[kind] ?? UNNAMED), 0)
  known.set(key, fit)
  return fit
}

/** Fits of one mixture of phases, by fish and kind: thousands of places ask for the same few. */
const fits = new WeakMap<PhaseShare[], Map<string, number>>()
