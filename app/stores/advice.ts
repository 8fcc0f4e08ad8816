import { defineStore } from 'pinia'
import type { Place } from '../../core/place/kinds'
import { missingFromBox } from '../../core/rig/box'
import { rigFor, type RigAdvice, type RigOptions } from '../../core/rig/rigFor'
import { seasonOf, type SeasonFish } from '../../core/season/seasons'
import { depthBelief, type DepthBelief, type LoggedDepth } from '../../core/school/depthBelief'
import { comfortBand } from '../../core/season/comfort'
import type { PhaseShare } from '../../core/season/phaseProbabilities'
import { lightAtDepth, depthOfLight, maxPlantDepth } from '../../core/water/light'
import { useConditions } from './conditions'
import { usePhases } from './phases'
import { useSeason } from './season'
import { useSession } from './session'
import { useTackle } from './tackle'
import { useWater } from './water'

const DAY_MS = 86_400_000
/** Water this much warmer above than below is layered, °C. */
const LAYERED_C = 2
/** Below this share of the surface light a bait is a dim shape. */
const DIM_SHARE = 0.05

/** What core says about the conditions on show: phases, depths, ranked places, light. Only wiring; no figure is made here. */
export const useAdvice = defineStore('advice', () => {
  const session = useSession()
  const conditions = useConditions()
  const waters = useWater()
  const tackle = useTackle()
  const season = useSeason()
  const phaseStore = usePhases()

  /** Whom the advice is for: the fish that was chosen for this water, else the one most caught in it. */
  const chosenFish = ref<Record<string, SeasonFish>>({})
  const mostCaught = computed<SeasonFish>(() => {
    const counts = new Map<SeasonFish, number>()
    for (const { species } of waters.record.catches) {
      const kind = species && seasonOf(species)
      if (kind) counts.set(kind, (counts.get(kind) ?? 0) + 1)
    }
    return [...counts].reduce<[SeasonFish, number]>((best, c) => (c[1] > best[1] ? c : best), ['crappie', 0])[0]
  })
  const fish = computed<SeasonFish>(() => chosenFish.value[waters.water?.id ?? ''] ?? mostCaught.value)
  function chooseFish(kind: SeasonFish) {
    chosenFish.value = { ...chosenFish.value, [waters.water?.id ?? '']: kind }
  }
  /** How a part of the lake differs from the main basin, as the model has it, °C. */
  function warmerIn(part: number): number {
    const [here, basin] = [season.partCAt(part, conditions.atMs), season.partCAt(0, conditions.atMs)]
    return here !== null && basin !== null ? here - basin : 0
  }
  /**
   * Phases of a fish in a part on the day asked about. They go by the mean of the day, not by its hours; a supposed temperature, or a
   * reading that differs from the model, moves it by as much.
   */
  function phasesOf(fish: SeasonFish, part: number): PhaseShare[] {
    const { now, atMs, local } = conditions
    const daily = season.dayMeanC(part, atMs)
    const waterC = daily !== null ? daily + offModelC.value : now.waterC
    const [trend, basinTrend] = [season.trendAt(part, atMs), season.trendAt(0, atMs)]
    return phaseStore.phasesFor({
      fish, part, atMs, dayOfYear: local.ordinal, waterC: Math.min(45, Math.max(-2, waterC)),
      trendCPerWeek: now.trendCPerWeek + (trend !== null && basinTrend !== null ? trend - basinTrend : 0),
    })
  }
  /** What was read or supposed of the basin against what the model has, °C: the same is taken to hold in every part. */
  const offModelC = computed(() => {
    const model = season.partCAt(0, conditions.atMs)
    return model === null ? 0 : conditions.now.waterC - model
  })
  /** Phases of the main basin first, then of each bay. */
  const partPhases = computed(() => Array.from({ length: Math.max(1, season.parts.length) }, (_, part) => phasesOf(fish.value, part)))
  const phases = computed(() => partPhases.value[0]!)
  const phase = computed(() => phases.value[0]!.phase)

  const logged = computed<LoggedDepth[]>(() => waters.record.schools.filter(s => s.species === null || seasonOf(s.species) === fish.value).map(s => ({
    ...s, ageDays: Math.max(0, (conditions.atMs - Date.parse(s.at)) / DAY_MS),
  })))

  function beliefIn(waterDepthM: number, part = 0): DepthBelief {
    const { waterC, secchiM, hour, windMS, trendCPerWeek } = conditions.now
    return depthBelief({ phases: partPhases.value[part] ?? phases.value, waterDepthM, waterC, secchiM, hour, windMS, trendCPerWeek, logged: logged.value })
  }
  const belief = computed(() => (waters.deepestM > 0 ? beliefIn(waters.deepestM) : null))
  /** Where fish of a part should hang, were it as deep as the lake. */
  const partBeliefs = computed(() => (waters.deepestM > 0 ? partPhases.value.map((_, part) => beliefIn(waters.deepestM, part)) : []))
  /** The surface layer of a layered lake, and where in it the fish are at ease; null while it is mixed. */
  const layer = computed(() => {
    const layers = season.layersAt(conditions.atMs)
    if (!layers || layers.layerM >= waters.deepestM || Math.abs(layers.surfaceC - layers.belowC) < LAYERED_C) return null
    return { ...layers, comfort: comfortBand({ fish: fish.value, ...layers, deepestM: waters.deepestM }) }
  })

  const weedM = computed(() => maxPlantDepth({ secchiM: conditions.now.secchiM }).depthM)
  const dimM = computed(() => depthOfLight({ secchiM: conditions.now.secchiM, share: DIM_SHARE }).depthM)
  const lightAt = (depthM: number) => lightAtDepth({ secchiM: conditions.now.secchiM, depthM }).share

  const boxLacks = computed(() => missingFromBox(tackle.box))

  /** A rig for a place, in a wind other than the day's if one is given; null while the box cannot make one. */
  function rigAt(ranking: { place: Place, part: number, belief: DepthBelief }, wish?: RigOptions['wish'], windMS = conditions.now.windMS): RigAdvice | null {
    if (boxLacks.value) return null
    return rigFor({
      place: ranking.place, belief: ranking.belief, phase: (partPhases.value[ranking.part] ?? phases.value)[0]!.prior, box: tackle.box, wish, schools: session.schools,
      waterC: conditions.now.waterC, secchiM: conditions.now.secchiM, windMS,
    })
  }

  return { fish, chooseFish, phases, phase, partPhases, partBeliefs, beliefIn, warmerIn, phasesOf, offModelC, belief, layer, weedM, dimM, lightAt, boxLacks, rigAt }
})
