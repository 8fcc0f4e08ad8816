import { defineStore } from 'pinia'
import type { Place } from '../../core/place/kinds'
import type { DepthGrid } from '../../core/water/depthGrid'
import { deepest } from '../../core/water/depthGrid'
import { decodeDepthGrid } from '../../core/water/depthGridBlob'
import { localFrame } from '../../core/water/localFrame'
import type { Water, WaterRecord, WaterSummary } from '../../shared/waters'
import { api, apiBytes } from '../utils/api'

/** The water that is open: shape, depths, places, and what the log knows of it. */
export const useWater = defineStore('water', () => {
  const list = ref<WaterSummary[] | null>(null)
  const water = shallowRef<Water | null>(null)
  const grid = shallowRef<DepthGrid | null>(null)
  const places = shallowRef<Place[]>([])
  const record = shallowRef<WaterRecord>({ readings: [], places: {}, schools: [] })
  const problem = ref<string | null>(null)

  const frame = computed(() => (water.value ? localFrame(water.value) : null))
  const deepestM = computed(() => (grid.value ? deepest(grid.value) : 0))

  async function loadList() {
    list.value ??= await api<WaterSummary[]>('waters')
    return list.value
  }

  async function load(id: string) {
    if (water.value?.id === id) return
    problem.value = null
    try {
      const [found, bytes, placeList, log] = await Promise.all([
        api<Water>(`waters/${id}`), apiBytes(`waters/${id}/grid`), api<Place[]>(`waters/${id}/places`), api<WaterRecord>(`waters/${id}/record`),
      ])
      grid.value = decodeDepthGrid(bytes)
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

  const placeById = (id: string | null) => places.value.find(p => p.id === id) ?? null

  return { list, water, grid, places, record, problem, frame, deepestM, loadList, load, refreshRecord, placeById }
})
