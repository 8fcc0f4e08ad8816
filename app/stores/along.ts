import { defineStore } from 'pinia'
import type { TripSummary } from '../../shared/waters'
import { api, apiBytes } from '../utils/api'
import { deviceDb, type TakenWater } from '../utils/deviceDb'
import { keepAnswer, reach, takenChanged } from '../utils/keptAnswers'
import { judgeStore, readWitness, witnessText } from '../utils/storeWitness'
import { DAYS_ALONG, partAges, partsOfWater, type PartName } from '../utils/takeParts'
import { useJournal } from './journal'

const WITNESS = 'remous-store'
const MARK = 'made'

/** Waters that were taken along on this device: what is here, how old it is, and whether the browser promises to keep it. */
export const useAlong = defineStore('along', () => {
  const journal = useJournal()
  const taken = shallowRef<TakenWater[]>([])
  const ages = shallowRef(new Map<string, Record<PartName, number | null>>())
  const taking = ref<{ waterId: string, done: number, of: number } | null>(null)
  const problem = ref<string | null>(null)
  /** the browser has cleared the store: what went with it */
  const cleared = ref<string | null>(null)
  /** whether the browser keeps the store when space runs short; null: it does not say */
  const lasting = ref<boolean | null>(null)
  const usedBytes = ref<number | null>(null)
  const away = computed(() => reach.down)
  let stop: AbortController | null = null

  /** Notices a store that was cleared, once a page. */
  let witnessed: Promise<void> | null = null
  const witness = () => witnessed ??= bearWitness()
  async function bearWitness() {
    const before = readWitness(localStorage.getItem(WITNESS))
    const mark = await deviceDb().marks.get(MARK)
    cleared.value = judgeStore(before, mark?.atMs ?? null)
    const sinceMs = mark?.atMs ?? Date.now()
    if (!mark) await deviceDb().marks.put({ name: MARK, atMs: sinceMs })
    watch(() => journal.unsent, unsent => localStorage.setItem(WITNESS, witnessText({ sinceMs, unsent })), { immediate: true, flush: 'sync' })
  }

  async function load() {
    await journal.countUnsent()
    await witness()
    taken.value = await deviceDb().taken.orderBy('waterId').toArray()
    const saved = new Map<string, number>()
    await deviceDb().answers.each(({ path, savedMs }) => saved.set(path, savedMs))
    ages.value = new Map(taken.value.map(w => [w.waterId, partAges(w.waterId, saved)]))
    lasting.value = await navigator.storage?.persisted?.() ?? null
    usedBytes.value = (await navigator.storage?.estimate?.())?.usage ?? null
  }

  /** Reads every part of a water onto this device; it counts as taken when all of them are here. */
  async function take(water: { id: string, name: string }) {
    if (taking.value) return
    problem.value = null
    stop = new AbortController()
    const { signal } = stop
    try {
      const trips = (await api<TripSummary[]>('trips')).filter(t => t.waterId === water.id).slice(0, DAYS_ALONG)
      const parts = [...partsOfWater(water.id), ...trips.map(t => ({ path: `trips/${t.id}`, form: 'json' as const }))]
      taking.value = { waterId: water.id, done: 0, of: parts.length }
      for (const { path, form } of parts) {
        signal.throwIfAborted()
        const body = await (form === 'bytes' ? apiBytes(path) : api<unknown>(path))
        await keepAnswer(path, path.startsWith('waters/') ? water.id : null, body, Date.now())
        taking.value = { ...taking.value, done: taking.value.done + 1 }
      }
      await deviceDb().taken.put({ waterId: water.id, name: water.name, takenMs: Date.now() })
      // Asked for after something worth keeping is here: browsers weigh that.
      await navigator.storage?.persist?.()
    }
    catch (error) {
      if (!signal.aborted) problem.value = `${water.name} could not be taken along: ${error instanceof Error ? error.message : String(error)}`
    }
    finally {
      taking.value = null
      takenChanged()
      await load()
    }
  }
  const stopTaking = () => stop?.abort()

  /** Leaves a water at home. What was logged stays until it is sent. */
  async function leave(waterId: string) {
    await deviceDb().transaction('rw', deviceDb().taken, deviceDb().answers, async () => {
      await deviceDb().taken.delete(waterId)
      await deviceDb().answers.where('waterId').equals(waterId).delete()
      if (await deviceDb().taken.count() === 0) await deviceDb().answers.clear()
    })
    takenChanged()
    await load()
  }

  const isTaken = (waterId: string) => taken.value.some(w => w.waterId === waterId)

  return { taken, ages, taking, problem, cleared, lasting, usedBytes, away, load, take, stopTaking, leave, isTaken }
})
