import { defineStore } from 'pinia'
import { decodeWeather, encodeWeather } from '../../core/formats/weatherBlob'
import { HOUR_MS, type Weather } from '../../core/season/weather'
import type { SeasonNotes, WeatherState } from '../../shared/weather'
import { api, apiBytes, apiSend } from '../utils/api'
import { useSession } from './session'
import { useWater } from './water'

/** A forecast older than this is asked for again when a water is opened. */
const FRESH_MS = HOUR_MS

/** The open water's weather with its sources, and what the angler noted of its season. */
export const useWeather = defineStore('weather', () => {
  const session = useSession()
  const waters = useWater()
  const series = shallowRef<Weather | null>(null)
  const state = shallowRef<WeatherState | null>(null)
  const notes = shallowRef<SeasonNotes>({ parts: [], priors: [], releases: [] })
  const asking = ref(false)
  const problem = ref<string | null>(null)
  const issuedMs = computed(() => (state.value?.service?.issuedAt ? Date.parse(state.value.service.issuedAt) : null))

  /** Reads what is kept for a water, and asks for a newer forecast when it has grown old. */
  async function load(waterId: string) {
    problem.value = null
    try {
      await session.load()
      const [kept, bytes, noted] = await Promise.all([api<WeatherState>(`waters/${waterId}/weather`), apiBytes(`waters/${waterId}/weather/series`), api<SeasonNotes>(`waters/${waterId}/season`)])
      // Another water may have been opened meanwhile.
      if (waters.water?.id !== waterId) return
      state.value = kept
      series.value = decodeWeather(bytes)
      notes.value = noted
      const issued = kept.service?.issuedAt
      if (kept.service && (!issued || session.instant() - Date.parse(issued) > FRESH_MS)) await refresh()
    }
    catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
  }

  /** Asks the weather service now. What it cannot say is in the state; the hours that are here stay. */
  async function refresh() {
    const waterId = waters.water?.id
    if (!waterId || asking.value) return
    asking.value = true
    try {
      await take(await api<WeatherState>(`waters/${waterId}/weather/refresh`, { method: 'POST' }), waterId)
    }
    catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
    finally {
      asking.value = false
    }
  }

  async function take(next: WeatherState, waterId: string) {
    if (waters.water?.id !== waterId) return
    const changed = next.tag !== state.value?.tag
    state.value = next
    if (!changed) return
    const bytes = await apiBytes(`waters/${waterId}/weather/series`)
    if (waters.water?.id === waterId) series.value = decodeWeather(bytes)
  }

  async function bringFile(hours: Weather) {
    const waterId = waters.water!.id
    await take(await apiSend<WeatherState>(`waters/${waterId}/weather/file`, encodeWeather(hours)), waterId)
  }
  async function dropFile() {
    const waterId = waters.water!.id
    await take(await api<WeatherState>(`waters/${waterId}/weather/file`, { method: 'DELETE' }), waterId)
  }
  async function setNotes(next: SeasonNotes) {
    notes.value = await api<SeasonNotes>(`waters/${waters.water!.id}/season`, { method: 'PUT', body: next })
  }

  // Whatever page opens a water, its weather comes with it.
  watch(() => waters.water?.id, (id) => {
    series.value = null
    state.value = null
    if (id) void load(id)
  }, { flush: 'sync', immediate: true })

  return { series, state, notes, asking, problem, issuedMs, load, refresh, bringFile, dropFile, setNotes }
})
