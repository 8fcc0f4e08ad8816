import type { LoggedFish, LoggedRig } from './reduceTrip'
import type { EntryBodies } from './entries'

export interface Produced {
  /** null: nothing was noted as tied on */
  rig: EntryBodies['rig'] | null
  fish: number
  kept: number
  /** longest measured, m; null when none was */
  longestM: number | null
  shortestM: number | null
}

/**
 * What caught the fish: one line for each rig as it was tied (the same rig tied twice is one line), most fish first.
 */
export function whatProduced({ fish, rigs }: { fish: LoggedFish[], rigs: LoggedRig[] }): Produced[] {
  const bodies = new Map(rigs.map(r => [r.id, r.body]))
  const groups = new Map<string, { rig: EntryBodies['rig'] | null, fish: LoggedFish[] }>()
  for (const one of fish) {
    const rig = (one.rigId === null ? undefined : bodies.get(one.rigId)) ?? null
    const key = rig === null ? '' : [rig.family, rig.headKg, rig.bodyName, rig.lineDiameterM].join('|')
    const group = groups.get(key)
    if (group) group.fish.push(one)
    else groups.set(key, { rig, fish: [one] })
  }
  return [...groups.values()].map(({ rig, fish: caught }) => {
    const lengths = caught.flatMap(f => (f.lengthM === null ? [] : [f.lengthM]))
    return {
      rig, fish: caught.length, kept: caught.filter(f => f.fate === 'kept').length,
      longestM: lengths.length ? Math.max(...lengths) : null,
      shortestM: lengths.length ? Math.min(...lengths) : null,
    }
  }).sort((a, b) => b.fish - a.fish)
}
