import { SPECIES, type Species } from './species'

/** A fish that says something about the next: how long ago it was caught, and whether it was here. */
export interface SpeciesSign { species: Species | null, hoursAgo: number, here: boolean }

/** A fish of another place counts this much of one from here. */
const ELSEWHERE = 0.25
/** Its weight falls to a half in so many hours of the same day, and again with the seasons. */
const DAY_HALF_H = 4
const SEASON_HALF_H = 24 * 30
/** What today's are worth against the older ones. */
const TODAY = 5

/** Every species, the likeliest next fish first: what was caught lately and here counts most; without any, the usual order. */
export function likelySpecies(signs: readonly SpeciesSign[]): Species[] {
  const weight = new Map<Species, number>(SPECIES.map(s => [s, 0]))
  for (const { species, hoursAgo, here } of signs) {
    if (species === null) continue
    const recent = TODAY * 0.5 ** (hoursAgo / DAY_HALF_H) + 0.5 ** (hoursAgo / SEASON_HALF_H)
    weight.set(species, weight.get(species)! + (here ? 1 : ELSEWHERE) * recent)
  }
  return [...SPECIES].sort((a, b) => weight.get(b)! - weight.get(a)! || SPECIES.indexOf(a) - SPECIES.indexOf(b))
}
