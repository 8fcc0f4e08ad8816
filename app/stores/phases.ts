import { defineStore } from 'pinia'
import { phaseProbabilities, type PhaseShare } from '../../core/season/phaseProbabilities'
import type { PhasePrior } from '../../core/season/phases'
import { phaseShift, shiftedSeason } from '../../core/season/phaseShift'
import { SEASONS, seasonOf, type SeasonFish } from '../../core/season/seasons'
import { phasesByDay, spawnedByDay } from '../../core/season/seasonYear'
import { useSeason } from './season'
import { useWater } from './water'
import { useWeather } from './weather'

/** The phases of each fish's year on the open water, day by day and part by part. */
export const usePhases = defineStore('phases', () => {
  const waters = useWater()
  const weather = useWeather()
  const year = useSeason()

  /** Where the angler's own schools say that crappie's phases run cooler or warmer here. */
  const shift = computed(() => phaseShift({
    season: SEASONS.crappie, latDeg: waters.water?.latDeg ?? 40,
    evidence: waters.record.schools.filter(s => s.species === null || seasonOf(s.species) === 'crappie').flatMap((s) => {
      const atMs = Date.parse(s.at)
      const d = year.dayIndexAt(atMs)
      const trendCPerWeek = year.trendAt(0, atMs)
      return s.waterC === null || d < 0 || trendCPerWeek === null ? [] : [{ topM: s.topM, bottomM: s.bottomM, waterC: s.waterC, trendCPerWeek, dayOfYear: year.model!.days[d]!.dayOfYear }]
    }),
  }))
  /** A fish's phases as they hold on this water: the handbook's, moved by the log, or set by the angler. */
  const seasons = computed(() => Object.fromEntries(Object.entries(SEASONS).map(([fish, season]) => {
    const moved = fish === 'crappie' ? shiftedSeason(season, shift.value.shiftC) : season
    return [fish, moved.map((prior): PhasePrior => {
      const own = weather.notes.priors.find(p => p.fish === fish && p.phase === prior.phase)
      return own ? { ...prior, waterC: [own.fromC, own.toC] } : prior
    })]
  })) as Record<SeasonFish, PhasePrior[]>)

  const yearCache = new Map<string, (PhaseShare[] | null)[]>()
  const spawnCache = new Map<string, (number | undefined)[]>()
  watch([() => year.model, seasons], () => {
    yearCache.clear()
    spawnCache.clear()
  }, { flush: 'sync' })
  const yearOptions = (fish: SeasonFish, part: number) => ({ dailyC: year.model!.meanC[part]!, dayOfYear: year.model!.days.map(d => d.dayOfYear), latDeg: waters.water!.latDeg, season: seasons.value[fish] })
  /** A fish's phases on every day of the year in a part; null for days without a temperature. */
  function yearOf(fish: SeasonFish, part = 0): (PhaseShare[] | null)[] {
    if (!year.model) return []
    const key = `${fish} ${part}`
    const found = yearCache.get(key) ?? phasesByDay(yearOptions(fish, part))
    yearCache.set(key, found)
    return found
  }
  /** Phases for water of a given temperature on an instant's day; how far the spawn is over is the part's own. */
  function phasesFor({ fish, part, waterC, trendCPerWeek, dayOfYear, atMs }: { fish: SeasonFish, part: number, waterC: number, trendCPerWeek: number, dayOfYear: number, atMs: number }): PhaseShare[] {
    const d = year.dayIndexAt(atMs)
    return phaseProbabilities({
      waterC, trendCPerWeek, dayOfYear, latDeg: waters.water?.latDeg ?? 45, season: seasons.value[fish],
      spawned: d < 0 ? undefined : spawnedOn(fish, part, d),
    })
  }
  function spawnedOn(fish: SeasonFish, part: number, d: number): number | undefined {
    if (!year.model?.meanC[part]) return undefined
    const key = `${fish} ${part}`
    const found = spawnCache.get(key) ?? spawnedByDay(yearOptions(fish, part))
    spawnCache.set(key, found)
    return found[d]
  }

  return { shift, seasons, yearOf, phasesFor }
})
