import { formatTemperature, type Units } from '../units/format'
import type { PhaseShare } from './phaseProbabilities'
import { phaseOf } from './seasons'

export type RunStage = 'wintering' | 'running' | 'spawning' | 'droppingBack' | 'openWater'

/** Where the white bass run stands, from the phases at the river's own temperature. */
export function runStage(phases: readonly PhaseShare[]): { stage: RunStage, probability: number } {
  const of = (phase: string) => phases.find(p => p.phase === phase)?.probability ?? 0
  const stages: [RunStage, number][] = [['wintering', of('winter')], ['running', of('staging')], ['spawning', of('spawn')], ['droppingBack', of('postSpawn')], ['openWater', of('summer') + of('fall')]]
  const [stage, probability] = stages.sort((a, b) => b[1] - a[1])[0]!
  return { stage, probability }
}

/** What the stage means for the day. */
export function runText(stage: RunStage, units: Units): string {
  switch (stage) {
    case 'wintering': return `They are still in the main basin. The run begins as the river reaches ${formatTemperature(phaseOf('whiteBass', 'staging')!.waterC[0], units)}.`
    case 'running': return 'They are moving up and feeding hard. Easy to overfish: mind the limit.'
    case 'spawning': return 'They are on the shoals of the river. Easy to overfish: mind the limit.'
    case 'droppingBack': return 'They are dropping back to the mouth and the points beside it.'
    case 'openWater': return 'The run is over: look for schools in open water.'
  }
}

export interface RunCatch { atMs: number, placeId: string | null }
export interface RunReach {
  placeId: string
  fish: number
  year: number
  firstMs: number
  lastMs: number
}

const RUN_MONTHS_MS = 75 * 86_400_000

/**
 * The reaches that gave white bass around this time in earlier years, most fish first: they return to the same ones.
 * `nowMs` is the day asked about; catches within ten weeks of it in any earlier year count.
 */
export function runReaches({ catches, nowMs }: { catches: readonly RunCatch[], nowMs: number }): RunReach[] {
  const byReach = new Map<string, RunReach>()
  const now = new Date(nowMs)
  for (const { atMs, placeId } of catches) {
    const at = new Date(atMs)
    if (placeId === null || at.getUTCFullYear() >= now.getUTCFullYear()) continue
    const thisYear = Date.UTC(now.getUTCFullYear(), at.getUTCMonth(), at.getUTCDate())
    if (Math.abs(thisYear - nowMs) > RUN_MONTHS_MS) continue
    const key = `${placeId} ${at.getUTCFullYear()}`
    const reach = byReach.get(key) ?? { placeId, fish: 0, year: at.getUTCFullYear(), firstMs: atMs, lastMs: atMs }
    reach.fish++
    reach.firstMs = Math.min(reach.firstMs, atMs)
    reach.lastMs = Math.max(reach.lastMs, atMs)
    byReach.set(key, reach)
  }
  return [...byReach.values()].sort((a, b) => b.year - a.year || b.fish - a.fish)
}
