import { colourFor } from '../../core/rig/colourFor'
import { FAMILIES, rankFamilies } from '../../core/rig/families'
import { MOODS, type Mood } from '../../core/rig/mood'
import { tieOn } from '../../core/rig/tieOn'

/** What a hand has hold of in the drawing, before it is let go: m, m/s. */
export interface BenchDrag { tipM?: number, outM?: number, baitM?: number, windMS?: number }

const SHALLOWEST_M = 0.3

/** The bench's choices, which live in the address, and what core makes of them. */
export function useBench() {
  const route = useRoute()
  const session = useSession()
  const conditions = useConditions()
  const advice = useAdvice()
  const ranks = useRanking()
  const tackle = useTackle()
  const { set } = useQuery()

  const drag = shallowRef<BenchDrag>({})
  const text = (key: string) => (typeof route.query[key] === 'string' ? route.query[key] : undefined)
  const figure = (key: string) => {
    const value = Number(text(key) ?? Number.NaN)
    return Number.isFinite(value) && value >= 0 ? value : undefined
  }
  const ranking = computed(() => ranks.rankedById(text('place') ?? null) ?? (ranks.rows[0] ? ranks.full(ranks.rows[0]) : null))
  const bottomM = computed(() => ranking.value?.place.attributes.bottomDepthM ?? 1)
  const familyId = computed(() => {
    const asked = text('how') === 'float' ? 'slipFloat' : text('how')
    return FAMILIES.some(f => f.id === asked) ? asked! : 'castJig'
  })
  const held = computed(() => text('held') === '1')
  const searching = computed(() => text('find') === '1')
  const wishedMood = computed<Mood | undefined>(() => MOODS.find(m => m === text('mood')))
  const windMS = computed(() => drag.value.windMS ?? conditions.now.windMS)
  /** the angler's own depth for the bait, m; null: over the fish, as worked out */
  const ownBaitM = computed(() => {
    const asked = drag.value.baitM ?? figure('at')
    return asked === undefined ? null : Math.max(SHALLOWEST_M, Math.min(bottomM.value, asked))
  })
  const rig = computed(() => ranking.value && advice.rigAt(ranking.value, {
    bodyId: text('body'), lineId: text('line'), held: held.value, mood: wishedMood.value, baitM: ownBaitM.value ?? undefined,
    distanceM: drag.value.outM ?? figure('out'), rodTipM: drag.value.tipM ?? figure('tip'),
  }, windMS.value))
  const colours = computed(() => ranking.value && colourFor({
    fish: advice.fish, secchiM: conditions.now.secchiM, depthM: Math.max(0.2, ranking.value.belief.quantiles.p50), sky: conditions.now.sky, sunDeg: conditions.sun.altitudeDeg,
    shaded: ranking.value.place.kind === 'dock' || ranking.value.place.kind === 'moorings', dockColour: session.schools.dockColour,
  }))
  const demand = computed(() => {
    if (!ranking.value) return null
    const { place, belief, part } = ranking.value
    return {
      fish: advice.fish, mood: wishedMood.value ?? (advice.partPhases[part] ?? advice.phases)[0]!.prior.mood, fishDepthM: Math.max(0.2, Math.min(belief.quantiles.p50, place.attributes.bottomDepthM)),
      bottomDepthM: place.attributes.bottomDepthM, kind: place.kind, secchiM: conditions.now.secchiM, windMS: conditions.now.windMS, searching: searching.value, noise: session.schools.noise,
    }
  })
  const families = computed(() => (demand.value ? rankFamilies(demand.value) : []))
  const tied = computed(() => {
    if (!rig.value || !ranking.value || !colours.value) return null
    return tieOn(familyId.value, {
      rig: rig.value, place: ranking.value.place, fish: advice.fish, box: tackle.box, windMS: windMS.value, waterC: conditions.now.waterC, searching: searching.value,
      schools: session.schools, colours: colours.value.picks.map(p => p.colour.name), units: session.units,
    })
  })

  /** What was let go of stays: in the address, the wind in the conditions line. */
  function settle() {
    const { tipM, outM, baitM, windMS: wind } = drag.value
    if (wind !== undefined) conditions.suppose('windMS', wind)
    const kept = (m: number | undefined) => (m === undefined ? undefined : m.toFixed(2))
    const change = Object.fromEntries(Object.entries({ tip: kept(tipM), out: kept(outM), at: kept(baitM) }).filter(([, value]) => value !== undefined))
    if (Object.keys(change).length > 0) set(change)
    // The address answers a tick later: what is held stands until it does.
    void nextTick(() => nextTick(() => {
      drag.value = {}
    }))
  }
  const moved = computed(() => ['tip', 'out', 'at'].some(key => route.query[key] !== undefined))
  const restore = () => set({ tip: undefined, out: undefined, at: undefined })

  return { ranking, familyId, held, searching, wishedMood, windMS, rig, colours, demand, families, tied, drag, settle, moved, restore, set }
}
