import { byTime, type Entry, type EntryBodies, type EntryKind } from './entries'

/** A journal line as it counts today: undone ones left out, amended ones with their newest body. */
export type EffectiveEntry = Exclude<Entry, { kind: 'undo' | 'amend' }>

/**
 * What the journal says after its undos and amends, in time order.
 * Any order of arrival and any number of copies give the same result: the entries are a set keyed by id.
 * An undo or amend of an entry that has not arrived yet waits for it; an amend of another kind is ignored.
 */
export function effectiveEntries(entries: Iterable<Entry>): EffectiveEntry[] {
  const byId = new Map<string, Entry>()
  for (const entry of entries) byId.set(entry.id, entry)
  const all = [...byId.values()]
  const undosOf = groupByTarget(all.filter((e): e is Entry<'undo'> => e.kind === 'undo'))
  const amendsOf = groupByTarget(all.filter((e): e is Entry<'amend'> => e.kind === 'amend'))

  const isLive = (id: string, asking: ReadonlySet<string> = new Set()): boolean => {
    // Two undos that name each other prove nothing: the circle is not followed.
    if (asking.has(id)) return true
    const next = new Set(asking).add(id)
    return !(undosOf.get(id) ?? []).some(undo => isLive(undo.id, next))
  }

  const live: EffectiveEntry[] = []
  for (const entry of all) {
    if (entry.kind === 'undo' || entry.kind === 'amend' || !isLive(entry.id)) continue
    const amend = (amendsOf.get(entry.id) ?? []).filter(a => a.body.body.kind === entry.kind && isLive(a.id)).sort(byTime).at(-1)
    live.push(amend ? withBody(entry, amend.body.body.body) : entry)
  }
  return live.sort(byTime)
}

function groupByTarget<E extends { body: { entryId: string } }>(entries: E[]): Map<string, E[]> {
  const groups = new Map<string, E[]>()
  for (const entry of entries) {
    const group = groups.get(entry.body.entryId)
    if (group) group.push(entry)
    else groups.set(entry.body.entryId, [entry])
  }
  return groups
}

/** The kinds were compared by the caller, so the body belongs to the entry. */
function withBody(entry: EffectiveEntry, body: EntryBodies[EntryKind]): EffectiveEntry {
  return { ...entry, body } as EffectiveEntry
}

/** The last entry an undo button should take back: the newest live one that logged something and that this device made, not the partner's. */
export function lastUndoable(live: readonly EffectiveEntry[], by?: string): EffectiveEntry | null {
  return live.findLast(e => e.kind !== 'start' && (by === undefined || e.by === undefined || e.by === by)) ?? null
}
