import type { DayLights } from './dayLights'
import type { PhaseShare } from './phaseProbabilities'
import type { Phase } from './phases'
import type { SeasonFish } from './seasons'

const HOUR_MS = 3_600_000

/** Effort and what it brought at an hour of the water's day, from the log. */
export interface HourRecord { hour: number, hours: number, fish: number }

interface Spell {
  /** what the spell is named for, in a window's reason */
  name: 'dawn' | 'dusk' | 'afternoon' | 'midday'
  /** middle of it, h after the anchor */
  offsetH: number
  anchor: 'rise' | 'set' | 'noon'
  widthH: number
  gain: number
}

const DAWN: Spell = { name: 'dawn', offsetH: 0.6, anchor: 'rise', widthH: 1.5, gain: 0.55 }
const DUSK: Spell = { name: 'dusk', offsetH: -0.6, anchor: 'set', widthH: 1.5, gain: 0.6 }
const AFTERNOON: Spell = { name: 'afternoon', offsetH: 2.8, anchor: 'noon', widthH: 2, gain: 0.55 }
const MIDDAY: Spell = { name: 'midday', offsetH: 0.5, anchor: 'noon', widthH: 2, gain: 0.5 }
/** About two and a half hours before dusk, half an hour to an hour long. */
const PERCH_SPELL: Spell = { name: 'afternoon', offsetH: -2.4, anchor: 'set', widthH: 0.75, gain: 1.3 }
const soft = (spell: Spell, share: number): Spell => ({ ...spell, gain: spell.gain * share })

/** When in the day each fish feeds by phase: the field handbook's hours as priors. */
function spells(fish: SeasonFish, phase: Phase): Spell[] {
  if ((fish === 'yellowPerch' || fish === 'europeanPerch') && phase === 'winter') return [PERCH_SPELL, soft(DUSK, 0.4)]
  if (fish === 'whiteBass' && (phase === 'summer' || phase === 'fall')) return [{ ...DAWN, gain: 1 }, { ...DUSK, gain: 1 }]
  if (fish === 'bluegill') return [soft(DAWN, 0.6), MIDDAY, soft(DUSK, 0.7)]
  switch (phase) {
    case 'winter': return [MIDDAY, soft(DUSK, 0.4)]
    case 'staging': case 'preSpawn': return [soft(DAWN, 0.5), AFTERNOON, soft(DUSK, 0.8)]
    case 'spawn': return [soft(DAWN, 0.6), soft(AFTERNOON, 0.5), soft(DUSK, 0.6)]
    default: return [DAWN, DUSK]
  }
}

export interface Feeding {
  /** about 1 on average by day; less in the night */
  level: number
  /** the spell that makes it high, if one does */
  spell: Spell['name'] | null
}

export interface FeedingOptions {
  atMs: number
  /** of the water's day, 0–24 */
  hour: number
  lights: DayLights
  fish: SeasonFish
  phases: readonly PhaseShare[]
  log: readonly HourRecord[]
  /** of the whole log, for the comparison; 0 with none */
  meanRatePerHour: number
}

const BY_NIGHT = 0.45
/** Hours of fishing that weigh as much as the prior of an hour of the day. */
const PRIOR_HOURS = 6
const LIKE_HOURS = 1.5

/**
 * How readily fish feed at an instant, by the sun and the phases, as a share of their day's mean: a prior that the log's own hours move
 * (catches over effort near this hour against its mean, with a Gamma prior worth six hours).
 */
export function feedingAt({ atMs, hour, lights, fish, phases, log, meanRatePerHour }: FeedingOptions): Feeding {
  const anchors = { rise: lights.riseMs, set: lights.setMs, noon: lights.noonMs }
  const day = lights.alwaysUp || (lights.dawnMs !== null && lights.duskMs !== null && atMs >= lights.dawnMs && atMs <= lights.duskMs)
  let level = 0
  let best = 0
  let spell: Feeding['spell'] = null
  for (const { phase, probability } of phases) {
    if (probability < 0.02) continue
    let here = day ? 0.8 : BY_NIGHT
    for (const s of spells(fish, phase)) {
      const anchor = anchors[s.anchor]
      if (anchor === null) continue
      const z = (atMs - anchor - s.offsetH * HOUR_MS) / (s.widthH * HOUR_MS)
      const gain = s.gain * Math.exp(-z * z)
      here += gain
      if (probability * gain > best) {
        best = probability * gain
        spell = s.name
      }
    }
    level += probability * here
  }
  return { level: level * logFactor(hour, log, meanRatePerHour), spell: best > 0.15 ? spell : null }
}

function logFactor(hour: number, log: readonly HourRecord[], meanRatePerHour: number): number {
  if (meanRatePerHour <= 0) return 1
  let effort = 0
  let fish = 0
  for (const record of log) {
    const apart = Math.abs(record.hour - hour)
    const weight = Math.exp(-0.5 * (Math.min(apart, 24 - apart) / LIKE_HOURS) ** 2)
    effort += weight * record.hours
    fish += weight * record.fish
  }
  return (fish + PRIOR_HOURS * meanRatePerHour) / (effort + PRIOR_HOURS) / meanRatePerHour
}
