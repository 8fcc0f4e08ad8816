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
  const undosOf = groupByTarget(byId.values(), 'undo')
  const amendsOf = groupByTarget(byId.values(), 'amend')

  const isLive = (id: string, asking: ReadonlySet<string> = new Set()): boolean => {
    // Two undos that name each other prove nothing: the circle is not followed.
    if (asking.has(id)) return true
    const next = new Set(asking).add(id)
    return !(undosOf.get(id) ?? []).some(undo => isLive(undo.id, next))
  }

  const live: EffectiveEntry[] = []
  for (const entry of byId.values()) {
    if (entry.kind === 'undo' || entry.kind === 'amend' || !isLive(entry.id)) continue
    const amend = (amendsOf.get(entry.id) ?? []).filter(a => a.body.body.kind === entry.kind && isLive(a.id)).sort(byTime).at(-1)
    live.push(amend ? withBody(entry, amend.body.body.body) : entry)
  }
  return live.sort(byTime)
}

function groupByTarget<K extends 'undo' | 'amend'>(entries: Iterable<Entry>, kind: K): Map<string, Extract<Entry, { kind: K }>[]> {
  const groups = new Map<string, Extract<Entry, { kind: K }>[]>()
  for (const entry of entries) {
    if (!isKind(entry, kind)) continue
    const group = groups.get(entry.body.entryId)
    if (group) group.push(entry)
    else groups.set(entry.body.entryId, [entry])
  }
  return groups
}

function isKind<K extends EntryKind>(entry: Entry, kind: K): entry is Extract<Entry, { kind: K }> {
  return entry.kind === kind
}

/** The kinds were compared by the caller, so the body belongs to the entry. */
function withBody(entry: EffectiveEntry, body: EntryBodies[EntryKind]): EffectiveEntry {
  return { ...entry, body } as EffectiveEntry
}

/** The last entry an undo button should take back: the newest live one that logged something. */
export function lastUndoable(entries: Iterable<Entry>): EffectiveEntry | null {
  return effectiveEntries(entries).filter(e => e.kind !== 'start').at(-1) ?? null
}
