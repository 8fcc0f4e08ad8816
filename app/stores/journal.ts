import { defineStore } from 'pinia'
import { v7 as uuidv7 } from 'uuid'
import { effectiveEntries, lastUndoable } from '../../core/school/effectiveEntries'
import { joinTarget } from '../../core/school/joinedDays'
import type { AmendableKind, Entry, EntryBodies, EntryKind } from '../../core/school/entries'
import { reduceEffective, reduceTrip } from '../../core/school/reduceTrip'
import { entrySchema } from '../../shared/journal'
import { check } from '../../shared/validate'
import { api, ApiError } from '../utils/api'
import { deviceDb, type KeptEntry } from '../utils/deviceDb'
import { useBoat } from './boat'
import { useSession } from './session'

const BATCH = 200
const RETRY_MS = 8000
/** What the server says of an entry itself, not of its own state. */
const REFUSALS = new Set([400, 409, 413, 422])
/** An entry of an earlier time was not made where the boat is now, ms. */
const NOW_MS = 5000
const DEVICE_KEY = 'remous-device'
/** Entries go out when the thumb rests, since the sending holds the store that the next tap waits for, ms; but not later than at so many. */
const GATHER_MS = 1500
const GATHER_MOST = 25
/** A day that was never ended is not gone on with after this, ms. */
const OPEN_FOR_MS = 36 * 3_600_000

/**
 * The log. An entry is written to the device first and shown from there; an outbox sends it and
 * keeps it until the server has acknowledged it. Everything on screen is a reduction of the entries.
 */
export const useJournal = defineStore('journal', () => {
  const session = useSession()
  const boat = useBoat()
  const device = deviceName()
  const entries = shallowRef(new Map<string, Entry>())
  const unsent = ref(0)
  const tripId = ref<string | null>(null)
  /** set when the server refused an entry, or is in trouble itself */
  const problem = ref<string | null>(null)
  /** entries that the server refuses, with its words; they stay here and are asked about again after the next start */
  const refused = shallowRef(new Map<string, string>())
  let sending = false
  let retry: ReturnType<typeof setTimeout> | undefined

  /** Days of other devices that count as part of this one. */
  const joined = computed(() => {
    const all = [...entries.value.values()]
    const ids = tripId.value ? [tripId.value] : []
    for (let i = 0; i < ids.length; i++) {
      const asking = new Set(all.flatMap(e => (e.kind === 'join' && e.body.tripId === ids[i] ? [e.tripId] : [])))
      ids.push(...[...asking].filter(id => joinTarget(effectiveEntries(all.filter(e => e.tripId === id)), id) === ids[i]))
    }
    return ids.slice(1)
  })
  const tripEntries = computed(() => [...entries.value.values()].filter(e => e.tripId === tripId.value || joined.value.includes(e.tripId)))
  /** The day's entries as they count, their undos and amends applied. */
  const live = computed(() => effectiveEntries(tripEntries.value))
  const trip = computed(() => reduceEffective(live.value, tripId.value ?? undefined))
  /** the earlier day that this one is part of */
  const partOf = computed(() => (tripId.value ? joinTarget(live.value, tripId.value) : null))
  const undoable = computed(() => lastUndoable(live.value, device))

  function remember(list: Entry[]) {
    const next = new Map(entries.value)
    for (const entry of list) next.set(entry.id, entry)
    entries.value = next
  }

  /** Reads a trip from the device and, if there is a network, from the server. */
  async function open(id: string) {
    tripId.value = id
    const joins = await deviceDb().kept.filter(k => k.entry.kind === 'join' && k.entry.body.tripId === id).toArray()
    const kept = await deviceDb().kept.where('tripId').anyOf([id, ...joins.map(j => j.tripId)]).toArray()
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

  async function log<K extends EntryKind>(kind: K, body: EntryBodies[K], atMs = session.instant(), into = tripId.value): Promise<string> {
    if (!into) throw new Error('no day has been begun')
    // Kind and body belong together by the signature; the union cannot see it.
    const fix = boat.stamp()
    const entry = { id: uuidv7(), tripId: into, at: new Date(atMs).toISOString(), kind, body, by: device, ...(fix && atMs >= session.instant() - NOW_MS ? { fix } : {}) } as Entry
    const checked = check(entrySchema, entry)
    if (!checked.ok) throw new RangeError(checked.error.message)
    try {
      await deviceDb().kept.add({ id: entry.id, tripId: entry.tripId, sent: 0, entry: plain(entry) })
    }
    catch (cause) {
      throw new Error(`This device could not keep the last entry: it was not logged. (${cause instanceof Error ? cause.message.split('\n')[0] : String(cause)})`, { cause })
    }
    remember([entry])
    unsent.value++
    clearTimeout(retry)
    retry = setTimeout(() => void flush(), unsent.value < GATHER_MOST ? GATHER_MS : 0)
    return entry.id
  }

  async function undo(entryId: string) {
    return log('undo', { entryId })
  }

  async function amend<K extends AmendableKind>(entryId: string, kind: K, body: EntryBodies[K]) {
    return log('amend', { entryId, body: { kind, body } })
  }

  async function countUnsent() {
    unsent.value = await deviceDb().kept.where('sent').equals(0).count()
  }

  /** Sends what has not been acknowledged, oldest first; tries again later when there is no network. */
  async function flush() {
    if (sending) return
    sending = true
    clearTimeout(retry)
    try {
      for (;;) {
        const batch = await deviceDb().kept.where('sent').equals(0).filter(k => !refused.value.has(k.id)).limit(BATCH).sortBy('id')
        if (batch.length === 0) break
        await send(batch)
        problem.value = refused.value.size === 0 ? null : `${refused.value.size} ${refused.value.size === 1 ? 'entry' : 'entries'} refused, kept here: ${[...refused.value.values()].at(-1)}`
        await countUnsent()
      }
    }
    catch (error) {
      // Either way the entries stay here unsent and are tried again; a server that is in trouble is said, a missing network is shown by the count.
      if (error instanceof ApiError) problem.value = `Not sent yet: ${error.message}`
      retry = setTimeout(() => void flush(), RETRY_MS)
    }
    finally {
      sending = false
    }
    await countUnsent()
  }

  /** One batch is taken whole or not at all; a refused one is halved until the entry that is refused stands alone, so that it holds up no other. */
  async function send(batch: KeptEntry[]): Promise<void> {
    try {
      const { stored, known } = await api<{ stored: string[], known: string[] }>('journal', { method: 'POST', body: { entries: batch.map(k => k.entry) } })
      await deviceDb().kept.where('id').anyOf([...stored, ...known]).modify({ sent: 1 })
    }
    catch (error) {
      if (!(error instanceof ApiError) || !REFUSALS.has(error.status)) throw error
      if (batch.length === 1) {
        refused.value = new Map(refused.value).set(batch[0]!.id, error.message)
        return
      }
      const half = batch.length >> 1
      await send(batch.slice(0, half))
      await send(batch.slice(half))
    }
  }
  // The network is back, or the phone comes out of the pocket.
  addEventListener('online', () => void flush())
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible' && unsent.value > 0) void flush()
  })

  /** Days that are under way on this device, whatever the server knows of them. */
  async function openHere(): Promise<{ id: string, waterId: string | null, startedAt: string, schools: number, fish: number }[]> {
    const entries = (await deviceDb().kept.toArray()).map(k => k.entry)
    const ids = new Set(entries.filter(e => e.kind === 'start' && session.instant() - Date.parse(e.at) < OPEN_FOR_MS).map(e => e.tripId))
    return [...ids].flatMap((id) => {
      const day = reduceTrip(entries.filter(e => e.tripId === id))
      return day && day.endedAt === null ? [{ id, waterId: day.waterId, startedAt: day.startedAt, schools: day.schools.length, fish: day.fish.length }] : []
    }).sort((a, b) => b.startedAt.localeCompare(a.startedAt))
  }

  function close() {
    tripId.value = null
  }

  return { device, tripId, trip, partOf, joined, tripEntries, live, undoable, unsent, problem, open, openHere, begin, log, undo, amend, flush, countUnsent, close }
})

/** A name for this device, made once: two in one boat are told apart by it. */
function deviceName(): string {
  const known = localStorage.getItem(DEVICE_KEY)
  if (known) return known
  const name = uuidv7().replaceAll('-', '').slice(-12)
  localStorage.setItem(DEVICE_KEY, name)
  return name
}

/** IndexedDB cannot store Vue's proxies. */
function plain(entry: Entry): Entry {
  return JSON.parse(JSON.stringify(entry)) as Entry
}
