import { defineStore } from 'pinia'
import type { BoatFix } from '../../core/school/entries'
import type { BoatReport } from '../../shared/boat'
import { useSession } from './session'

/** A report that is older than this says nothing more: the network or the server is gone, ms. */
const HOLDS_MS = 5000

/** The boat's instruments as the server hears them. Nothing old is ever shown as now. */
export const useBoat = defineStore('boat', () => {
  const session = useSession()
  const report = shallowRef<BoatReport | null>(null)
  /** by this device's clock */
  const heardMs = ref(0)
  const nowMs = ref(0)
  let source: EventSource | null = null
  let listeners = 0
  let timer: ReturnType<typeof setInterval> | undefined

  const fresh = computed(() => (report.value && nowMs.value - heardMs.value <= HOLDS_MS ? report.value : null))
  const now = computed(() => fresh.value?.now ?? null)
  const position = computed(() => now.value?.position ?? null)
  const link = computed(() => (fresh.value ? fresh.value.link : report.value ? 'trying' : 'off'))

  function listen() {
    source = new EventSource('/api/boat/stream')
    source.onmessage = ({ data }: MessageEvent<string>) => {
      report.value = JSON.parse(data) as BoatReport
      heardMs.value = nowMs.value = Date.now()
    }
    // The browser tries again by itself; meanwhile the report grows old and is no longer shown.
    timer = setInterval(() => {
      nowMs.value = Date.now()
    }, 1000)
  }
  function hush() {
    source?.close()
    clearInterval(timer)
    source = null
    report.value = null
  }
  /** Listens while a component that asks for it is on the page. */
  function follow() {
    let mine = false
    watch(() => session.angler !== null, (known) => {
      if (!known || mine) return
      mine = true
      if (listeners++ === 0) listen()
    }, { immediate: true })
    onScopeDispose(() => {
      if (mine && --listeners === 0) hush()
    })
  }

  /** What an entry is stamped with; undefined when the instruments are silent. */
  function stamp(): BoatFix | undefined {
    if (!fresh.value || Date.now() - heardMs.value > HOLDS_MS) return undefined
    const { position: at, depthM, waterC } = fresh.value.now
    return at ? { lonDeg: at.lonDeg, latDeg: at.latDeg, depthM, waterC } : undefined
  }

  return { report: fresh, now, position, link, follow, stamp }
})
