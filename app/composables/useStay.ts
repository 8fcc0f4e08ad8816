import * as Comlink from 'comlink'
import { DateTime } from 'luxon'
import type { StayAdvice } from '../../core/school/adviseStay'
import type { NextVariantResult } from '../../core/school/nextVariant'
import type { Visit } from '../../core/school/reduceTrip'
import { armsHere, dayPrior, nextStop, stretchesHere } from '../../core/school/stayHere'
import { stayText, type StayWords } from '../../core/school/stayText'
import type { FeedingLull } from '../../core/season/feedingLull'
import { sunTimes } from '../../core/season/sun'
import { clockText } from '../utils/time'
import type { StayQuestion, StayWorker } from '../workers/stay.worker'

/** Off the water this long before the sun sets, min: the run home is still to come. */
const HOME_MIN = 30
const LEAST_RATE = 0.05
/** Takes for a presentation that are usual, and how many presentations that is worth (MATH §13). */
const TAKES = { priorMean: 0.055, priorStrength: 12.7 }

/** Stay, change or go at the place where the boat is, from what was logged there and what the rest of the water promises. */
export function useStay(visit: () => Visit | null, lull: () => FeedingLull | null) {
  const session = useSession()
  const waters = useWater()
  const ranks = useRanking()
  const journal = useJournal()
  const ladders = useLadders()

  const position = computed(() => ({ latDeg: waters.water?.latDeg ?? 0, lonDeg: waters.water?.lonDeg ?? 0 }))
  const minutesLeft = computed(() => {
    const noonMs = DateTime.fromMillis(session.nowMs, { zone: waters.water?.zone ?? 'utc' }).set({ hour: 12, minute: 0 }).toMillis()
    const { setMs } = sunTimes({ noonMs, ...position.value })
    return setMs === null ? 240 : Math.max(0, (setMs - session.nowMs) / 60_000 - HOME_MIN)
  })
  const rungs = computed(() => ladders.at(visit()?.placeId)?.rungs ?? [])
  const options = computed(() => [{ id: 'on', label: 'as tied on' }, ...rungs.value.map(r => ({ id: r.id, label: `${r.change} ${r.to}` }))])

  /** What the worker is asked: plain figures of the stop as it stands. */
  const question = computed(() => {
    const here = visit()
    if (!here || !waters.frame) return null
    const arrivedMs = Date.parse(here.arrivedAt)
    const nowMs = session.nowMs
    const row = ranks.rows.find(r => r.place.id === here.placeId)
    const at = row && waters.frame.toLocal(row.place.lonDeg, row.place.latDeg)
    const others = ranks.rows.filter(r => r.place.id !== here.placeId && !r.candidate).map((r) => {
      const there = waters.frame!.toLocal(r.place.lonDeg, r.place.latDeg)
      return { id: r.place.id, name: r.place.name, ratePerHour: r.ratePerHour, distanceM: at ? Math.hypot(there.x - at.x, there.y - at.y) : 1000 }
    })
    const next = nextStop(others, minutesLeft.value, session.angler?.runMS)
    const ask: StayQuestion = {
      stay: {
        prior: dayPrior(Math.max(LEAST_RATE, row?.ratePerHour ?? next?.ratePerHour ?? 1)), stretches: stretchesHere({ entries: journal.live, arrivedMs, nowMs }), minutesLeft: minutesLeft.value,
        elsewhere: next ? { ratePerHour: next.ratePerHour, sdPerHour: next.sdPerHour, travelMin: next.travelMin } : { ratePerHour: 0, sdPerHour: 0, travelMin: 0 },
      },
      variant: options.value.length > 1 ? { arms: armsHere({ rigs: journal.trip?.rigs ?? [], options: options.value, arrivedMs, nowMs }), ...TAKES, seed: 1 } : null,
    }
    return { ask, nowMs, arrivedAt: here.arrivedAt, fish: here.fish, next, options: options.value, on: journal.trip?.rigs.findLast(r => r.by === null || r.by === journal.device)?.body.rung ?? 'on', hereMin: (nowMs - arrivedMs) / 60_000 }
  })

  const problem = ref<string | null>(null)
  const answered = shallowRef<{ of: NonNullable<typeof question.value>, advice: StayAdvice, goInMin: number | null, tried: NextVariantResult | null } | null>(null)
  const thread = new Worker(new URL('../workers/stay.worker.ts', import.meta.url), { type: 'module' })
  const worker = Comlink.wrap<StayWorker>(thread)
  onScopeDispose(() => thread.terminate())
  /** One question at a time; of those that came meanwhile only the newest is asked. */
  let asking = false
  async function answer() {
    if (asking) return
    asking = true
    try {
      for (let of = question.value; of && of !== answered.value?.of; of = question.value) {
        answered.value = { of, ...await worker.advise(of.ask) }
        problem.value = null
      }
    }
    catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
    finally {
      asking = false
    }
  }
  watch(question, () => void answer(), { immediate: true })

  const made = computed(() => {
    if (!answered.value || answered.value.of.arrivedAt !== visit()?.arrivedAt) return null
    const { of, advice, goInMin, tried } = answered.value
    const { next, options: among, on, hereMin, fish } = of
    const change = tried && tried.id !== on ? { id: tried.id, label: among.find(o => o.id === tried.id)!.label, best: tried.chance.find(c => c.id === tried.id)!.best } : null
    return { advice, goMs: goInMin === null ? null : of.nowMs + goInMin * 60_000, next, change, on, chance: tried?.chance ?? [], hereMin, fish }
  })

  /** Going was said and no fish has come since: it stays said. */
  const goSaid = ref<{ arrivedAt: string, fish: number } | null>(null)
  watch(() => made.value?.advice.action, (action) => {
    const here = visit()
    if (action === 'go' && here && !made.value!.advice.why.some(w => w.key === 'close')) goSaid.value = { arrivedAt: here.arrivedAt, fish: here.fish }
  })
  const steady = computed(() => {
    const here = visit()
    if (!made.value || !here) return null
    const { advice } = made.value
    const held = goSaid.value?.arrivedAt === here.arrivedAt && goSaid.value.fish === here.fish
    if (held && advice.action !== 'go') return { ...advice, action: 'go' as const }
    // What is a toss-up is no reason to weigh the anchor.
    const close = advice.why.some(w => w.key === 'close')
    return advice.action === 'go' && close && !held ? { ...advice, action: 'stay' as const } : advice
  })
  const words = computed<StayWords | null>(() => (made.value && steady.value
    ? stayText({ advice: steady.value, fish: made.value.fish, hereMin: made.value.hereMin, next: made.value.next, change: made.value.change, goMs: steady.value.action === 'stay' ? made.value.goMs : null, lull: lull(), clock: ms => clockText(ms, waters.water?.zone ?? 'utc') })
    : null))
  return { words, problem, action: computed(() => steady.value?.action ?? null), change: computed(() => made.value?.change ?? null), on: computed(() => made.value?.on ?? 'on'), chance: computed(() => made.value?.chance ?? []), rungs }
}
