import { defineStore } from 'pinia'
import type { Place } from '../../core/place/kinds'
import type { DepthGrid } from '../../core/water/depthGrid'
import { deepest } from '../../core/water/depthGrid'
import { decodeDepthGrid } from '../../core/water/depthGridBlob'
import { localFrame } from '../../core/water/localFrame'
import { atPoolLevel, levelAt } from '../../core/water/poolLevel'
import type { PoolLevels } from '../../shared/imports'
import type { Water, WaterRecord, WaterSummary } from '../../shared/waters'
import { api, apiBytes } from '../utils/api'
import { useSession } from './session'

/** The water that is open: shape, depths, places, and what the log knows of it. */
export const useWater = defineStore('water', () => {
  const list = ref<WaterSummary[] | null>(null)
  const water = shallowRef<Water | null>(null)
  const session = useSession()
  /** the chart at its reference level */
  const chart = shallowRef<DepthGrid | null>(null)
  const levels = shallowRef<PoolLevels>({ referenceLevelM: 0, levels: [] })
  /** a supposed height of the pool over the reference, m; null: as read */
  const supposedPoolM = ref<number | null>(null)
  const places = shallowRef<Place[]>([])
  const record = shallowRef<WaterRecord>({ readings: [], goneNames: {}, schools: [], visits: [], catches: [], baits: [], boils: [] })
  const problem = ref<string | null>(null)

  /** Height of the pool over the chart's reference level today, m; null when no level was ever read. */
  const readPoolM = computed(() => {
    const level = levelAt(levels.value.levels.map(l => ({ atMs: Date.parse(l.at), levelM: l.levelM })), session.nowMs)
    return level === null ? null : level - levels.value.referenceLevelM
  })
  const poolM = computed(() => supposedPoolM.value ?? readPoolM.value ?? 0)
  /** The depths as they are with today's pool, or the supposed one: what everything else reads. */
  const grid = computed(() => (chart.value ? atPoolLevel(chart.value, poolM.value) : null))

  /** Names the chart with its pool: what was read off it holds while this stays. */
  const chartKey = computed(() => `${water.value?.gridTag ?? ''} ${poolM.value.toFixed(2)}`)
  const frame = computed(() => (water.value ? localFrame(water.value) : null))
  const deepestM = computed(() => (grid.value ? deepest(grid.value) : 0))

  async function loadList() {
    list.value ??= await api<WaterSummary[]>('waters')
    return list.value
  }

  async function load(id: string, { again = false } = {}) {
    if (water.value?.id === id && !again) return
    problem.value = null
    try {
      const [found, bytes, placeList, log, pool] = await Promise.all([
        api<Water>(`waters/${id}`), apiBytes(`waters/${id}/grid`), api<Place[]>(`waters/${id}/places`), api<WaterRecord>(`waters/${id}/record`), api<PoolLevels>(`waters/${id}/levels`),
      ])
      chart.value = decodeDepthGrid(bytes)
      levels.value = pool
      supposedPoolM.value = null
      places.value = placeList
      record.value = log
      water.value = found
    }
    catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
  }

  /** The log grew: read again what it says about this water. */
  async function refreshRecord() {
    if (water.value) record.value = await api<WaterRecord>(`waters/${water.value.id}/record`)
  }

  /** A reading that was just logged counts at once, before the server has it. */
  function addReadings(list: WaterRecord['readings']) {
    record.value = { ...record.value, readings: [...record.value.readings, ...list].sort((a, b) => a.at.localeCompare(b.at)) }
  }

  const placeById = (id: string | null) => places.value.find(p => p.id === id) ?? null

  /** Name of a place in the log, also of one that is off the chart. */
  const placeName = (id: string | null) => (id === null ? null : placeById(id)?.name ?? record.value.goneNames[id] ?? null)

  /** Keeps a place, new or changed; one that was taken off comes back. */
  async function keepPlace(place: Place) {
    const kept = await api<Place>(`waters/${water.value!.id}/places/${place.id}`, { method: 'PUT', body: place })
    places.value = [...places.value.filter(p => p.id !== kept.id), kept].sort((a, b) => a.name.localeCompare(b.name))
  }
  /** Keeps many places at once: all or none. */
  async function keepPlaces(list: readonly Place[]) {
    const kept = await api<Place[]>(`waters/${water.value!.id}/places/batch`, { method: 'POST', body: { places: list } })
    const ids = new Set(kept.map(p => p.id))
    places.value = [...places.value.filter(p => !ids.has(p.id)), ...kept].sort((a, b) => a.name.localeCompare(b.name))
  }
  /** Takes a place off the chart; what was logged there stays. */
  async function removePlace(id: string) {
    await api<{ id: string }>(`waters/${water.value!.id}/places/${id}`, { method: 'DELETE' })
    const gone = placeById(id)
    places.value = places.value.filter(p => p.id !== id)
    if (gone) record.value = { ...record.value, goneNames: { ...record.value.goneNames, [id]: gone.name } }
  }

  async function setLevels(given: PoolLevels) {
    levels.value = await api<PoolLevels>(`waters/${water.value!.id}/levels`, { method: 'PUT', body: given })
    supposedPoolM.value = null
  }

  return { list, water, chartKey, grid, places, record, problem, frame, deepestM, levels, poolM, readPoolM, supposedPoolM, loadList, load, refreshRecord, addReadings, setLevels, placeById, placeName, keepPlace, keepPlaces, removePlace }
})
