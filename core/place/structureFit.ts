import type { Phase } from '../season/phases'
import type { PhaseShare } from '../season/phaseProbabilities'
import type { PlaceKind } from './kinds'

/** How well a kind of place suits crappie in each phase, 0–1: the field handbook's "where" column as priors. */
const FIT: Record<PlaceKind, Record<Phase, number>> = {
  brush: { winter: 0.9, staging: 0.8, preSpawn: 0.85, spawn: 0.5, postSpawn: 0.6, earlySummer: 0.6, summer: 0.95, lateSummer: 0.95, fallTransition: 0.7, fall: 0.95 },
  timber: { winter: 0.6, staging: 0.7, preSpawn: 0.6, spawn: 0.4, postSpawn: 0.55, earlySummer: 0.6, summer: 0.95, lateSummer: 0.85, fallTransition: 0.5, fall: 0.75 },
  dock: { winter: 0.3, staging: 0.4, preSpawn: 0.6, spawn: 0.6, postSpawn: 0.95, earlySummer: 0.8, summer: 0.8, lateSummer: 0.7, fallTransition: 0.4, fall: 0.5 },
  weedEdge: { winter: 0.3, staging: 0.5, preSpawn: 0.7, spawn: 0.6, postSpawn: 0.75, earlySummer: 0.95, summer: 0.6, lateSummer: 0.4, fallTransition: 0.5, fall: 0.5 },
  reedStubble: { winter: 0.05, staging: 0.35, preSpawn: 0.8, spawn: 0.98, postSpawn: 0.4, earlySummer: 0.2, summer: 0.1, lateSummer: 0.1, fallTransition: 0.1, fall: 0.1 },
  breakEdge: { winter: 0.6, staging: 0.95, preSpawn: 0.9, spawn: 0.4, postSpawn: 0.5, earlySummer: 0.5, summer: 0.4, lateSummer: 0.4, fallTransition: 0.9, fall: 0.7 },
  hump: { winter: 0.5, staging: 0.5, preSpawn: 0.4, spawn: 0.2, postSpawn: 0.5, earlySummer: 0.85, summer: 0.75, lateSummer: 0.5, fallTransition: 0.6, fall: 0.6 },
  point: { winter: 0.5, staging: 0.7, preSpawn: 0.6, spawn: 0.3, postSpawn: 0.4, earlySummer: 0.5, summer: 0.5, lateSummer: 0.4, fallTransition: 0.6, fall: 0.7 },
}

/** Fit of a kind of place to the mixture of phases, 0–1. */
export function structureFit({ kind, phases }: { kind: PlaceKind, phases: PhaseShare[] }): number {
  return phases.reduce((sum, { phase, probability }) => sum + probability * FIT[kind][phase], 0)
}
