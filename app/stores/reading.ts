import { defineStore } from 'pinia'
import type { WaterReading } from '../../core/water/readWater'

/** What was read off the open chart, kept while it is the same chart. */
export const useReading = defineStore('reading', () => {
  const reading = shallowRef<WaterReading | null>(null)
  /** 0–1 while the chart is being read */
  const done = ref(0)
  const problem = ref<string | null>(null)
  /** the chart that was read, see the water's `chartKey` */
  const key = ref('')

  /** Reads the chart with the given worker unless that very chart has been read. */
  async function read(of: string, ask: (onProgress: (share: number) => void) => Promise<WaterReading | null>) {
    if (of === key.value && reading.value) return
    key.value = of
    done.value = 0
    problem.value = null
    try {
      const found = await ask((share) => {
        done.value = share
      })
      if (found && key.value === of) reading.value = found
    }
    catch (error) {
      if (key.value === of) key.value = ''
      problem.value = error instanceof Error ? error.message : String(error)
    }
  }

  const byId = (id: string | null) => reading.value?.features.find(f => f.id === id) ?? null
  return { of: key, reading, done, problem, read, byId }
})
