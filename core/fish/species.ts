import { requireOneOf } from '../guard'

export const SPECIES = ['blackCrappie', 'whiteCrappie', 'bluegill', 'yellowPerch', 'europeanPerch', 'whiteBass', 'yellowBass'] as const
export type Species = (typeof SPECIES)[number]

export function requireSpecies(species: unknown): Species {
  return requireOneOf('species', species, SPECIES)
}

const NAMES: Record<Species, string> = {
  blackCrappie: 'black crappie',
  whiteCrappie: 'white crappie',
  bluegill: 'bluegill',
  yellowPerch: 'yellow perch',
  europeanPerch: 'European perch',
  whiteBass: 'white bass',
  yellowBass: 'yellow bass',
}

export function speciesName(species: Species): string {
  return NAMES[species]
}
