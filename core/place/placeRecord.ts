import type { Species } from '../fish/species'
import { seasonOf, type SeasonFish } from '../season/seasons'
import type { StandingPlace } from './rankPlaces'

const DAY_MS = 86_400_000
const YEAR_DAYS = 365.25
/** A visit at another time of the year says little about this one: half of a bell's width, days, and what is left of the furthest. */
const SEASON_DAYS = 20
const OTHER_SEASON = 0.08
/** Places change: a visit counts half after so long. */
const HALF_LIFE_DAYS = 730

/** How much a visit so long ago says about now, 0–1: like with like by the time of the year, newer before older. */
export function visitWeight(ageDays: number): number {
  const apart = ageDays % YEAR_DAYS
  const off = Math.min(apart, YEAR_DAYS - apart)
  return (OTHER_SEASON + (1 - OTHER_SEASON) * Math.exp(-0.5 * (off / SEASON_DAYS) ** 2)) * 0.5 ** (ageDays / HALF_LIFE_DAYS)
}

/**
 * Each place's own record of one kind of fish as it stands at an instant: fish and hours, counted by how much their day says about now, and
 * plainly. Fish that were not named count for whichever kind is asked about. What lies after the instant is left out.
 */
export function placeRecords({ visits, catches, fish, atMs }: {
  visits: readonly { at: string, leftAt: string | null, placeId: string | null, minutes: number }[]
  catches: readonly { at: string, placeId: string | null, species: Species | null }[]
  fish: SeasonFish
  atMs: number
}): Map<string, StandingPlace['record']> {
  const records = new Map<string, StandingPlace['record']>()
  for (const { at, leftAt, placeId, minutes } of visits) {
    const ageDays = (atMs - Date.parse(at)) / DAY_MS
    if (placeId === null || ageDays < 0) continue
    const record = records.get(placeId) ?? { catches: 0, effortHours: 0, visits: 0, lastVisitMs: null, plain: { catches: 0, effortHours: 0 } }
    records.set(placeId, record)
    record.effortHours += (minutes / 60) * visitWeight(ageDays)
    record.plain!.effortHours += minutes / 60
    record.visits++
    record.lastVisitMs = Math.max(record.lastVisitMs ?? -Infinity, Math.min(atMs, Date.parse(leftAt ?? at)))
  }
  for (const { at, placeId, species } of catches) {
    const ageDays = (atMs - Date.parse(at)) / DAY_MS
    const record = placeId === null || ageDays < 0 ? undefined : records.get(placeId)
    if (!record || (species !== null && seasonOf(species) !== fish)) continue
    record.catches += visitWeight(ageDays)
    record.plain!.catches++
  }
  return records
}
