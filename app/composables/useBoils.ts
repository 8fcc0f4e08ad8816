import { DateTime } from 'luxon'
import { boilShowings, type SeenBoil } from '../../core/school/boilShowings'
import type { EntryBodies } from '../../core/school/entries'

/** Ahead of now that showings are ranked for, min. */
const AHEAD_MIN = 60

/** Boils of the log and of today, and where the next should show. */
export function useBoils() {
  const session = useSession()
  const waters = useWater()
  const conditions = useConditions()
  const journal = useJournal()
  const boat = useBoat()

  function pointOf({ lonDeg, latDeg, placeId }: EntryBodies['boil']) {
    const at = lonDeg !== null && latDeg !== null ? { lonDeg, latDeg } : placeId === null ? null : waters.placeById(placeId)
    return at && waters.frame ? waters.frame.toLocal(at.lonDeg, at.latDeg) : null
  }
  const seen = computed<SeenBoil[]>(() => {
    // A day that is under way is in the record too, as far as it was sent.
    const today = journal.trip?.boils ?? []
    const mine = new Set(today.map(b => b.at))
    return [...waters.record.boils.filter(b => !mine.has(b.at)), ...today].flatMap(({ at, body }) => {
      const point = pointOf(body)
      const local = DateTime.fromISO(at, { zone: conditions.zone })
      return point ? [{ atMs: local.toMillis(), ...point, hour: local.hour + local.minute / 60, dayOfYear: local.ordinal }] : []
    })
  })
  /** Days on which somebody was there to see. */
  const days = computed(() => {
    const today = conditions.local.toISODate()
    const dates = new Set(waters.record.visits.map(v => DateTime.fromISO(v.at, { zone: conditions.zone }).toISODate()!).filter(d => d !== today))
    return [...dates].map(d => DateTime.fromISO(d).ordinal)
  })
  const here = computed(() => (boat.position && waters.frame ? waters.frame.toLocal(boat.position.lonDeg, boat.position.latDeg) : null))

  /** Likeliest first, each named for the marked place that is nearest to it. */
  const showings = computed(() => {
    const now = DateTime.fromMillis(session.nowMs, { zone: conditions.zone })
    return boilShowings({ boils: seen.value, days: days.value, nowMs: session.nowMs, hour: now.hour + now.minute / 60, dayOfYear: now.ordinal, aheadMin: AHEAD_MIN }).map((s) => {
      const near = waters.places.map((place) => {
        const at = waters.frame!.toLocal(place.lonDeg, place.latDeg)
        return { place, apartM: Math.hypot(at.x - s.x, at.y - s.y), bearingDeg: bearing(at, s) }
      }).reduce<{ place: typeof waters.places[number], apartM: number, bearingDeg: number } | null>((best, p) => (best === null || p.apartM < best.apartM ? p : best), null)
      return { ...s, near, fromHere: here.value && { apartM: Math.hypot(s.x - here.value.x, s.y - here.value.y), bearingDeg: bearing(here.value, s) } }
    })
  })
  return { showings, aheadMin: AHEAD_MIN }
}

const bearing = (from: { x: number, y: number }, to: { x: number, y: number }) => (Math.atan2(to.x - from.x, to.y - from.y) * 180 / Math.PI + 360) % 360
