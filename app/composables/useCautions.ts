import { cautionsNow } from '../../core/day/cautions'
import { turnBack } from '../../core/day/turnBack'
import { windThroughDay } from '../../core/place/windThroughDay'
import { HOUR_MS } from '../../core/season/weather'
import { sunTimes } from '../../core/season/sun'
import { clockText } from '../utils/time'
import type { Stop } from './useStop'

const LOOK_AHEAD_H = 3

/** What could hurt somebody just now, from the day's own numbers. */
export function useCautions(stop: Stop) {
  const session = useSession()
  const waters = useWater()
  const conditions = useConditions()
  const season = useSeason()
  const boat = useBoat()
  const journal = useJournal()

  const home = computed(() => {
    const begun = journal.live.find(e => e.kind === 'start')?.fix
    return begun && waters.frame ? waters.frame.toLocal(begun.lonDeg, begun.latDeg) : null
  })
  const here = computed(() => {
    const at = boat.position ?? stop.ranking.value?.place ?? null
    return at && waters.frame ? waters.frame.toLocal(at.lonDeg, at.latDeg) : null
  })
  /** Straight to where the day began; without it, to the farthest shore. */
  const homeM = computed(() => {
    if (!here.value) return null
    if (home.value) return Math.hypot(home.value.x - here.value.x, home.value.y - here.value.y)
    const shore = waters.water?.shoreline.coordinates[0] ?? []
    return Math.max(...shore.map(([lonDeg, latDeg]) => {
      const at = waters.frame!.toLocal(lonDeg, latDeg)
      return Math.hypot(at.x - here.value!.x, at.y - here.value!.y)
    }))
  })
  const back = computed(() => {
    if (homeM.value === null || !Number.isFinite(homeM.value)) return null
    const { setMs } = sunTimes({ noonMs: conditions.local.set({ hour: 12, minute: 0 }).toMillis(), ...conditions.position })
    return setMs === null ? null : turnBack({ sunsetMs: setMs, homeM: homeM.value, runMS: session.angler?.runMS ?? 6 })
  })
  /** The coming hours' waves at this place by the forecast: the first that passes the limit. */
  const laterWave = computed(() => {
    const standing = stop.ranking.value?.standing
    if (!standing) return null
    const hours = Array.from({ length: LOOK_AHEAD_H }, (_, i) => {
      const atMs = (Math.floor(conditions.atMs / HOUR_MS) + i + 1) * HOUR_MS
      const hour = season.weatherAt(atMs)
      return hour && Number.isFinite(hour.windMS) && Number.isFinite(hour.windFromDeg) ? [{ atMs, windMS: hour.windMS, windFromDeg: hour.windFromDeg }] : []
    }).flat()
    const depthM = Number.isNaN(standing.depthM) ? standing.place.attributes.bottomDepthM : Math.max(0.3, standing.depthM)
    return windThroughDay({ hours, roseM: standing.roseM, depthM, limitM: session.angler?.waveLimitM ?? 0.3 }).find(h => h.over) ?? null
  })
  const deepestM = computed(() => {
    const depths = [...stop.schoolsHere.value.map(s => s.topM), ...stop.fishHere.value.flatMap(f => f.depthM ?? [])]
    return depths.length > 0 ? Math.max(...depths) : null
  })
  return computed(() => cautionsNow({
    nowMs: session.nowMs, waterC: boat.now?.waterC ?? conditions.now.waterC, airC: conditions.forecast?.airC ?? null, waveM: stop.ranking.value?.waveM ?? null, laterWave: laterWave.value,
    waveLimitM: session.angler?.waveLimitM ?? 0.3, back: back.value, homeKnown: home.value !== null, deepestM: deepestM.value, units: session.units, clock: ms => clockText(ms, conditions.zone),
  }))
}
