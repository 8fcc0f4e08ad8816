import * as Comlink from 'comlink'
import { defineStore } from 'pinia'
import { candidatePlaces, isCandidate } from '../../core/place/candidatePlaces'
import type { Place } from '../../core/place/kinds'
import { placeReasons, type Reason } from '../../core/place/placeReason'
import { ownScale } from '../../core/place/ownScale'
import { placeRecords } from '../../core/place/placeRecord'
import { filterPlaces, standing, type PlaceFilter, type RankDay, type RankTable, type StandingPlace } from '../../core/place/rankPlaces'
import { releasedAt } from '../../core/place/releases'
import type { PlaceScore } from '../../core/place/scorePlace'
import type { DepthBelief } from '../../core/school/depthBelief'
import { lightActivity, shadowStrength } from '../../core/season/sun'
import type { RankWorker } from '../workers/rank.worker'
import { useAdvice } from './advice'
import { useConditions } from './conditions'
import { useReading } from './reading'
import { useSeason } from './season'
import { useSession } from './session'
import { useWater } from './water'
import { useWeather } from './weather'

const NEVER: StandingPlace['record'] = { catches: 0, effortHours: 0, visits: 0, lastVisitMs: null }

/** A place by its rank, as the list needs it. */
export interface RankRow {
  place: Place
  rank: number
  ratePerHour: number
  low: number
  high: number
  /** ground off the chart that nobody has kept */
  candidate: boolean
}

/** A place with everything that was worked out for it. */
export interface RankedPlace extends RankRow {
  part: number
  score: PlaceScore
  reasons: Reason[]
  belief: DepthBelief
  fetchM: number
  waveM: number
  standing: StandingPlace
}

interface Ranked { places: StandingPlace[], table: RankTable, day: RankDay }

/** The open water's places for the fish, day and hour asked about, ranked in a worker; what one of them rests on is worked out when it is looked at. */
export const useRanking = defineStore('ranking', () => {
  const [session, waters, season, weather, reading, conditions, advice] = [useSession(), useWater(), useSeason(), useWeather(), useReading(), useConditions(), useAdvice()]
  const problem = ref<string | null>(null)
  /** whether unfished ground off the chart stands in the list */
  const withGround = ref(false)
  const ground = computed(() => (withGround.value && reading.of === waters.chartKey && reading.reading && waters.frame
    ? candidatePlaces({ features: reading.reading.features, kept: waters.places, frame: waters.frame, units: session.units })
    : []))
  const sited = shallowRef<Omit<StandingPlace, 'record'>[]>([])
  const ranked = shallowRef<Ranked | null>(null)
  /** how long the worker took over the last ranking, ms */
  const tookMs = ref(0)
  let remote: Comlink.Remote<RankWorker> | null = null
  let opened: unknown = null
  let siting = 0

  const worker = () => remote ??= Comlink.wrap<RankWorker>(new Worker(new URL('../workers/rank.worker.ts', import.meta.url), { type: 'module' }))
  async function tell(act: () => Promise<void>) {
    try {
      await act()
      problem.value = null
    }
    catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
  }

  watch([() => waters.places, ground, () => waters.grid, () => season.lake], () => void tell(async () => {
    const { grid, frame } = waters
    if (!grid || !frame) return
    const mine = ++siting
    if (opened !== grid) {
      opened = grid
      await worker().open(toRaw(grid))
    }
    const list = [...waters.places, ...ground.value].map((place) => {
      const at = frame.toLocal(place.lonDeg, place.latDeg)
      return { place: toRaw(place), part: Math.max(0, season.partAt(at)), ...at }
    })
    const read = await worker().stand(list)
    if (mine === siting) sited.value = list.map(({ place, part }, i) => ({ place, part, ...read[i]! }))
  }), { immediate: true })

  const records = computed(() => placeRecords({ visits: waters.record.visits, catches: waters.record.catches, fish: advice.fish, atMs: conditions.atMs }))
  const released = computed(() => releasedAt(weather.notes.releases, { weekday: conditions.local.weekday, minute: conditions.local.hour * 60 + conditions.local.minute }))
  /** Places are ranked once the water's year is known: a list that reorders itself under the finger is worse than a short wait. */
  const day = computed<RankDay | null>(() => {
    const { altitudeDeg } = conditions.sun
    const { windMS, windFromDeg, secchiM, sky, waterC } = conditions.now
    if (!season.settled || advice.partBeliefs.length === 0) return null
    return {
      fish: advice.fish, atMs: conditions.atMs, windMS, windFromDeg, secchiM, waveLimitM: session.angler?.waveLimitM ?? 0.3, released: released.value,
      rateScale: ownScale({ records: records.value.values(), phases: advice.partPhases[0]! }),
      shadow: shadowStrength({ altitudeDeg, sky }), activity: lightActivity({ altitudeDeg, sky }),
      parts: advice.partPhases.map((phases, part) => ({ phases, belief: advice.partBeliefs[part]!, warmerC: advice.warmerIn(part), waterC: waterC + advice.warmerIn(part) })),
    }
  })

  /** One ranking at a time; what was asked meanwhile is ranked next, and only the newest of it. */
  let running = false
  let again = false
  async function rank() {
    if (running) {
      again = true
      return
    }
    running = true
    try {
      do {
        again = false
        await rankOnce()
      } while (again)
    }
    finally {
      running = false
    }
  }
  async function rankOnce() {
    const asked = day.value
    const places = sited.value
    const known = records.value
    if (!asked) return
    const { table, tookMs: took } = await worker().rank(asked, known)
    // Places that were put or taken meanwhile have another number.
    if (places !== sited.value || table.order.length !== places.length) return
    ranked.value = { table, day: asked, places: places.map(p => ({ ...p, record: known.get(p.place.id) ?? NEVER })) }
    tookMs.value = took
  }
  watch([sited, day, records], () => void tell(rank))
  watch(() => waters.water?.id, () => {
    ranked.value = null
    withGround.value = false
  }, { flush: 'sync' })

  const rows = computed<RankRow[]>(() => {
    if (!ranked.value) return []
    const { places, table } = ranked.value
    return Array.from(table.order, (i, n) => ({ place: places[i]!.place, rank: n + 1, ratePerHour: table.ratePerHour[i]!, low: table.low[i]!, high: table.high[i]!, candidate: isCandidate(places[i]!.place.id) }))
  })
  const byId = computed(() => new Map(rows.value.map(r => [r.place.id, r])))
  function filtered(filter: PlaceFilter): RankRow[] {
    const { value } = ranked
    return value ? filterPlaces({ ...value, filter }).flatMap(i => byId.value.get(value.places[i]!.place.id) ?? []) : []
  }

  const looked = new Map<string, RankedPlace>()
  watch([ranked, () => session.units], () => looked.clear(), { flush: 'sync' })
  /** Everything behind a place's rank. */
  function full(row: RankRow): RankedPlace {
    const { places, day: of } = ranked.value!
    const known = looked.get(row.place.id)
    if (known) return known
    const place = places.find(p => p.place.id === row.place.id)!
    const { score, fetchM, waveM } = standing(place, of)
    let belief: DepthBelief | null = null
    const made: RankedPlace = {
      ...row, part: place.part, score, fetchM, waveM, standing: place, reasons: placeReasons(score, session.units),
      // Most places of a list are never asked for theirs.
      get belief() {
        return belief ??= advice.beliefIn(place.place.attributes.bottomDepthM, place.part)
      },
    }
    looked.set(row.place.id, made)
    return made
  }
  function rankedById(id: string | null): RankedPlace | null {
    const row = id === null ? undefined : byId.value.get(id)
    return row ? full(row) : null
  }

  return { rows, filtered, full, rankedById, withGround, problem, tookMs, released, day }
})
