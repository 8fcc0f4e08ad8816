import { windThroughDay } from '../../core/place/windThroughDay'
import { HOUR_MS } from '../../core/season/weather'
import type { RankedPlace } from '../stores/ranking'

const FIRST_H = 5
const LAST_H = 21

/** Wind and waves at a place through the daylight of the day asked about: by the forecast, the hour asked about as the conditions line has it. */
export function useWindDay(ranking: () => RankedPlace) {
  const session = useSession()
  const season = useSeason()
  const conditions = useConditions()

  const hours = computed(() => {
    const start = conditions.local.startOf('day')
    const { windMS, windFromDeg } = conditions.now
    return Array.from({ length: LAST_H - FIRST_H + 1 }, (_, i) => {
      const atMs = start.set({ hour: FIRST_H + i }).toMillis()
      const now = Math.abs(atMs + HOUR_MS / 2 - conditions.atMs) <= HOUR_MS / 2
      const hour = season.weatherAt(atMs)
      const known = hour && Number.isFinite(hour.windMS) && Number.isFinite(hour.windFromDeg)
      return { hour: FIRST_H + i, atMs, now, wind: now || !known ? { windMS, windFromDeg } : { windMS: hour.windMS, windFromDeg: hour.windFromDeg }, known: now || Boolean(known) }
    })
  })
  return computed(() => {
    const { standing, place } = ranking()
    const depthM = Number.isNaN(standing.depthM) ? place.attributes.bottomDepthM : Math.max(0.3, standing.depthM)
    const rows = windThroughDay({ hours: hours.value.map(h => ({ atMs: h.atMs, ...h.wind })), roseM: standing.roseM, depthM, limitM: session.angler?.waveLimitM ?? 0.3 })
    return rows.map((row, i) => ({ ...row, hour: hours.value[i]!.hour, now: hours.value[i]!.now, known: hours.value[i]!.known }))
  })
}
