import type { EntryKind } from '../../core/school/entries'
import { formatDepth, formatMinutes } from '../../core/units/format'
import { placeStaffDepth } from '../../core/water/tints'

const UNDO_NAMES: Partial<Record<EntryKind, string>> = { fish: 'take', arrive: 'arriving', conditions: 'reading', move: 'leaving', end: 'ending' }

/** The stop as it stands: everything that the stop screen shows, read off the day's journal and the ranking. */
export function useStop() {
  const session = useSession()
  const waters = useWater()
  const advice = useAdvice()
  const journal = useJournal()
  const ranks = useRanking()

  const trip = computed(() => journal.trip)
  const visit = computed(() => trip.value?.visits.find(v => v.leftAt === null) ?? null)
  const ranking = computed(() => ranks.rankedById(visit.value?.placeId ?? null))
  const placeName = computed(() => (visit.value ? waters.placeName(visit.value.placeId) ?? 'Somewhere else' : null))
  const schoolsHere = computed(() => trip.value?.schools.filter(s => visit.value && s.at >= visit.value.arrivedAt) ?? [])
  const school = computed(() => schoolsHere.value.at(-1) ?? null)
  const fishHere = computed(() => trip.value?.fish.filter(f => visit.value && f.at >= visit.value.arrivedAt) ?? [])
  /** Only the depth: a new tally of the same school is no new rig. */
  const topM = computed(() => school.value?.topM)
  const rig = computed(() => ranking.value && advice.rigAt(ranking.value, topM.value === undefined ? {} : { topM: topM.value }))
  /** what this device has tied on, not the partner's */
  const rigOn = computed(() => trip.value?.rigs.findLast(r => r.by === null || r.by === journal.device) ?? null)
  const minutesHere = computed(() => (visit.value ? (session.nowMs - Date.parse(visit.value.arrivedAt)) / 60_000 : 0))
  const expected = computed(() => ranking.value?.belief.quantiles ?? advice.belief?.quantiles ?? { p20: 2, p80: 3 })
  const staffM = computed(() => placeStaffDepth({ reachM: Math.max(expected.value.p80, school.value?.bottomM ?? 0), deepestM: waters.deepestM || 10, units: session.units }))

  /** What the staff draws; the same object while no depth has changed, so that it is not drawn anew at every tap. */
  const marks = computed<{ schools: { topM: number, bottomM: number }[], fish: { depthM: number }[], key: string }>((before) => {
    const schools = schoolsHere.value.map(({ topM: top, bottomM }) => ({ topM: top, bottomM }))
    const fish = fishHere.value.flatMap(f => (f.depthM === null ? [] : [{ depthM: f.depthM }]))
    const key = JSON.stringify([schools, fish])
    return before?.key === key ? before : { schools, fish, key }
  })
  /** Minutes since the last stretch was logged, or since arriving; and the casts that were tapped in them. */
  const open = computed(() => {
    if (!visit.value) return { minutes: 0, casts: 0 }
    const from = journal.live.filter(e => e.kind === 'stretch' && e.at >= visit.value!.arrivedAt).map(e => e.at).sort().at(-1) ?? visit.value.arrivedAt
    const casts = journal.live.filter(e => e.kind === 'sign' && e.body.sign === 'cast' && e.at > from).length
    return { minutes: Math.max(0, (session.nowMs - Date.parse(from)) / 60_000), casts }
  })
  const undoName = computed(() => {
    const entry = journal.undoable
    return entry && (entry.kind === 'sign' ? entry.body.sign : UNDO_NAMES[entry.kind] ?? entry.kind)
  })
  /** The thing to know just now, in a sentence. */
  const headline = computed(() => {
    if (fishHere.value.length > 0) return `${fishHere.value.length} fish in ${formatMinutes(minutesHere.value)}`
    return school.value ? 'A school, and nothing taken yet' : 'Find the school first'
  })
  const advised = computed(() => {
    if (school.value && rig.value) return `Top at ${formatDepth(school.value.topM, session.units)}: keep the bait at ${formatDepth(rig.value.baitDepthM, session.units)}, over their heads.`
    if (!ranking.value && visit.value?.placeId) return 'Working it out …'
    return ranking.value ? `${ranking.value.reasons.slice(0, 2).map(r => r.text).join('. ')}.` : 'Not one of your marked places.'
  })
  return { trip, visit, ranking, placeName, schoolsHere, school, fishHere, rig, rigOn, minutesHere, expected, staffM, marks, open, undoName, headline, advised }
}
export type Stop = ReturnType<typeof useStop>
