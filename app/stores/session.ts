import { defineStore } from 'pinia'
import { DEFAULT_SCHOOLS } from '../../core/rig/schools'
import type { Angler, AnglerChange, AnglerSettings } from '../../shared/angler'
import { api, apiRead } from '../utils/api'

const TICK_MS = 10_000
const NIGHT_KEY = 'remous-ground'
const SIDE_KEY = 'remous-staff-side'
const KEYS_KEY = 'remous-keys'

/** Who is fishing, in which units, and what time it is (the server's clock, or the demo's). */
export const useSession = defineStore('session', () => {
  const angler = ref<Angler | null>(null)
  const offsetMs = ref(0)
  const nowMs = ref(0)
  const ground = ref<'day' | 'night'>(localStorage.getItem(NIGHT_KEY) === 'night' ? 'night' : 'day')
  const staffSide = ref<'left' | 'right'>(localStorage.getItem(SIDE_KEY) === 'right' ? 'right' : 'left')
  /** letters and digits as shortcuts; some speak or shake their input */
  const keys = ref(localStorage.getItem(KEYS_KEY) !== 'off')
  const schools = computed(() => angler.value?.schools ?? DEFAULT_SCHOOLS)
  const units = computed(() => angler.value?.units ?? 'us')

  /** The one place where the app reads the machine's clock. */
  function instant(): number {
    return Date.now() + offsetMs.value
  }

  function tick() {
    nowMs.value = instant()
  }

  let loading: Promise<void> | null = null
  /** Once, however many ask; a failed try may be asked for again. */
  function load(): Promise<void> {
    loading ??= read().catch((error: unknown) => {
      loading = null
      throw error
    })
    return loading
  }

  async function read() {
    const { value: me, savedMs } = await apiRead<Angler>('me')
    // The server's clock, as it ran beside this device's when it last answered.
    offsetMs.value = Date.parse(me.now) - savedMs
    angler.value = me
    tick()
    setInterval(tick, TICK_MS)
  }

  /** Shown at once, and taken back if the server does not keep it. */
  async function set(change: AnglerChange) {
    const before = angler.value
    if (!before) return
    angler.value = { ...before, ...change, schools: { ...before.schools, ...change.schools } }
    try {
      await api<AnglerSettings>('me', { method: 'PATCH', body: change })
    }
    catch (error) {
      angler.value = before
      throw error
    }
  }

  watch(ground, value => localStorage.setItem(NIGHT_KEY, value))
  watch(staffSide, value => localStorage.setItem(SIDE_KEY, value))
  watch(keys, value => localStorage.setItem(KEYS_KEY, value ? 'on' : 'off'))

  return { angler, units, schools, nowMs, ground, staffSide, keys, load, set, instant, tick }
})
