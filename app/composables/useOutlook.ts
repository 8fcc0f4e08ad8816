import { DateTime } from 'luxon'
import { dayOutlooks } from '../../core/season/dayOutlook'
import type { HourRecord } from '../../core/season/feeding'
import { seasonOf, type SeasonFish } from '../../core/season/seasons'

const DAYS = 10

/** The coming ten days compared for a fish. */
export function useOutlook(fish: Ref<SeasonFish>) {
  const session = useSession()
  const waters = useWater()
  const season = useSeason()
  const phases = usePhases()
  const conditions = useConditions()

  /** Effort and fish by hour of the water's day, one hour at a time. */
  const log = computed<HourRecord[]>(() => {
    const hours: HourRecord[] = []
    const local = (ms: number) => {
      const at = DateTime.fromMillis(ms, { zone: conditions.zone })
      return at.hour + at.minute / 60
    }
    for (const { at, minutes } of waters.record.visits) {
      for (let done = 0; done < minutes; done += 30) hours.push({ hour: local(Date.parse(at) + (done + 15) * 60_000), hours: Math.min(30, minutes - done) / 60, fish: 0 })
    }
    for (const { at, species } of waters.record.catches) {
      if (species === null ? fish.value === 'crappie' : seasonOf(species) === fish.value) hours.push({ hour: local(Date.parse(at)), hours: 0, fish: 1 })
    }
    return hours
  })

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
