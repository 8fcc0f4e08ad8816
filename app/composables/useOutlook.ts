import { dayOutlooks } from '../../core/season/dayOutlook'
import type { SeasonFish } from '../../core/season/seasons'

const DAYS = 10

/** The coming ten days compared for a fish. */
export function useOutlook(fish: Ref<SeasonFish>) {
  const session = useSession()
  const waters = useWater()
  const season = useSeason()
  const phases = usePhases()
  const conditions = useConditions()

  const log = useHourRecords(() => fish.value)

  function warmestAt(atMs: number): { waterC: number, where: string } {
    let best = { waterC: Number.NEGATIVE_INFINITY, where: '' }
    for (const { index } of season.parts) {
      const waterC = season.partCAt(index, atMs)
      if (waterC !== null && waterC > best.waterC) best = { waterC, where: season.model!.names[index]! }
    }
    return best
  }

  const outlooks = computed(() => {
    const model = season.model
    const [basin] = season.parts
    if (!model || !basin) return []
    // A supposed day far off is compared with the nine after it.
    const first = Math.max(0, season.dayIndexAt(conditions.atMs))
    const days = model.days.slice(first, first + DAYS)
    const year = phases.yearOf(fish.value)
    const reached = days.filter((_, i) => year[first + i])
    return dayOutlooks({
      days: reached, zone: conditions.zone, latDeg: waters.water!.latDeg, lonDeg: waters.water!.lonDeg, weather: model.weather, fronts: model.fronts, fish: fish.value,
      phases: reached.map((_, i) => year[first + i]!), waterAt: atMs => ({ waterC: season.partCAt(0, atMs) ?? Number.NaN, sdC: season.partSdAt(0, atMs) ?? 0 }),
      warmestAt,
      roughFetchM: basin.roughFetchM, depthM: basin.volumeM3 / basin.areaM2, waveLimitM: session.angler?.waveLimitM ?? 0.3, log: log.value, nowMs: session.nowMs,
    })
  })
  return { outlooks }
}
