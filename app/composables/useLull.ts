import { dayLights, localDay } from '../../core/season/dayLights'
import { feedingAt } from '../../core/season/feeding'
import { feedingLull } from '../../core/season/feedingLull'

const AHEAD_H = 4
const STEP_MS = 15 * 60_000

/** Whether the fish should be resting now and feed again soon, by sun, phase and the log's own hours. */
export function useLull() {
  const waters = useWater()
  const conditions = useConditions()
  const advice = useAdvice()
  const log = useHourRecords(() => advice.fish)
  return computed(() => {
    const { water } = waters
    if (!water) return null
    const [hours, fish] = log.value.reduce(([h, f], r) => [h + r.hours, f + r.fish], [0, 0])
    const lights = dayLights({ day: localDay({ atMs: conditions.atMs, zone: conditions.zone }), latDeg: water.latDeg, lonDeg: water.lonDeg })
    const hour = conditions.local.hour + conditions.local.minute / 60
    return feedingLull(Array.from({ length: (AHEAD_H * 3_600_000) / STEP_MS + 1 }, (_, i) => {
      const atMs = conditions.atMs + i * STEP_MS
      const { level } = feedingAt({ atMs, hour: (hour + i * STEP_MS / 3_600_000) % 24, lights, fish: advice.fish, phases: advice.phases, log: log.value, meanRatePerHour: hours > 0 ? fish / hours : 0 })
      return { atMs, level }
    }))
  })
}
