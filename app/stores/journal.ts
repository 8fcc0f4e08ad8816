import { defineStore } from 'pinia'
import { v7 as uuidv7 } from 'uuid'
import { lastUndoable } from '../../core/school/effectiveEntries'
import type { AmendableKind, Entry, EntryBodies, EntryKind } from '../../core/school/entries'
import { reduceTrip } from '../../core/school/reduceTrip'
import { entrySchema } from '../../shared/journal'
import { check } from '../../shared/validate'
import { api, ApiError } from '../utils/api'
import { deviceJournal } from '../utils/deviceJournal'
import { useSession } from './session'

const BATCH = 200
const RETRY_MS = 8000

/**
 * The log. An entry is written to the device first and shown from there; an outbox sends it and
 * keeps it until the server has acknowledged it. Everything on screen is a reduction of the entries.
 */
export const useJournal = defineStore('journal', () => {
  const session = useSession()
  const entries = ref(new Map<string, Entry>())
  const unsent = ref(0)
  const tripId = ref<string | null>(null)
  /** set when the device could not keep an entry, or the server refused one */
  const problem = ref<string | null>(null)
  let sending = false
  let retry: ReturnType<typeof setTimeout> | undefined

  const tripEntries = computed(() => [...entries.value.values()].filter(e => e.tripId === tripId.value))
  const trip = computed(() => (tripId.value ? reduceTrip(tripEntries.value) : null))
  const undoable = computed(() => lastUndoable(tripEntries.value))

  function remember(list: Entry[]) {
    const next = new Map(entries.value)
    for (const entry of list) next.set(entry.id, entry)
    entries.value = next
  }

  /** Reads a trip from the device and, if there is a network, from the server. */
  async function open(id: string) {
    tripId.value = id
    const kept = await deviceJournal().kept.where('tripId').equals(id).toArray()
    remember(kept.map(k => k.entry))
    await countUnsent()
    void flush()
    try {
      const { entries: stored } = await api<{ entries: Entry[] }>(`trips/${id}`)
      remember(stored)
    }
    catch (error) {
      // A trip that was begun without a network is not on the server yet; its entries are here.
      if (kept.length === 0) throw error
    }
  }

  /** Begins a day on a water. */
  async function begin(waterId: string, atMs = session.instant()): Promise<string> {
    tripId.value = uuidv7({ msecs: atMs })
    await log('start', { waterId }, atMs)
    return tripId.value
  }

  async function log<K extends EntryKind>(kind: K, body: EntryBodies[K], atMs = session.instant()): Promise<string> {
    if (!tripId.value) throw new Error('no day has been begun')
    // Kind and body belong together by the signature; the union cannot see it.
    const entry = { id: uuidv7(), tripId: tripId.value, at: new Date(atMs).toISOString(), kind, body } as Entry
    const checked = check(entrySchema, entry)
    if (!checked.ok) throw new RangeError(checked.error.message)
    try {
      await deviceJournal().kept.add({ id: entry.id, tripId: entry.tripId, sent: 0, entry: plain(entry) })
    }
    catch (cause) {
      problem.value = `This device could not keep the last entry (${cause instanceof Error ? cause.message : String(cause)}). It was not logged.`
      throw cause
    }
    remember([entry])
    unsent.value++
    void flush()
    return entry.id
  }

  async function undo(entryId: string) {
    return log('undo', { entryId })
  }

  async function amend<K extends AmendableKind>(entryId: string, kind: K, body: EntryBodies[K]) {
    return log('amend', { entryId, body: { kind, body } })
  }

  async function countUnsent() {
    unsent.value = await deviceJournal().kept.where('sent').equals(0).count()
  }

  /** Sends what has not been acknowledged, oldest first; tries again later when there is no network. */
  async function flush() {
    if (sending) return
    sending = true
    clearTimeout(retry)
    try {
      for (;;) {
        const batch = await deviceJournal().kept.where('sent').equals(0).limit(BATCH).sortBy('id')
        if (batch.length === 0) break
        const { stored, known } = await api<{ stored: string[], known: string[] }>('journal', { method: 'POST', body: { entries: batch.map(k => k.entry) } })
        await deviceJournal().kept.where('id').anyOf([...stored, ...known]).modify({ sent: 1 })
        problem.value = null
        await countUnsent()
      }
    }
    catch (error) {
      // A refusal is shown; either way the entries stay here unsent and are tried again.
      if (error instanceof ApiError) problem.value = `Not sent yet: ${error.message}`
      retry = setTimeout(() => void flush(), RETRY_MS)
    }
    finally {
      sending = false
    }
    await countUnsent()
  }

  function close() {
    tripId.value = null
  }

  return { tripId, trip, tripEntries, undoable, unsent, problem, open, begin, log, undo, amend, flush, close }
})

/** IndexedDB cannot store Vue's proxies. */
function plain(entry: Entry): Entry {
  return JSON.parse(JSON.stringify(entry)) as Entry
}
