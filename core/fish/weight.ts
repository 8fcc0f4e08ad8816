import { POSITIVE, requireNumber, requireOneOf } from '../guard'
import { requireSpecies, SPECIES, type Species } from './species'

export type StandardSpecies = Exclude<Species, 'europeanPerch'>
export const STANDARD_SPECIES = SPECIES.filter((s): s is StandardSpecies => s !== 'europeanPerch')

/** log10 Ws(g) = a + b·log10(TL mm), valid from `minMm` total length up (MATH §14). */
const STANDARD: Record<StandardSpecies, { a: number, b: number, minMm: number }> = {
  blackCrappie: { a: -5.618, b: 3.345, minMm: 100 },
  whiteCrappie: { a: -5.642, b: 3.332, minMm: 100 },
  bluegill: { a: -5.374, b: 3.316, minMm: 80 },
  yellowPerch: { a: -5.386, b: 3.230, minMm: 100 },
  whiteBass: { a: -5.066, b: 3.081, minMm: 115 },
  yellowBass: { a: -5.142, b: 3.133, minMm: 70 },
}

/** Longest fish the formulas are asked for, m: a guard against feet or inches given as metres. */
const LONGEST_M = 2

/**
 * Standard weight of a fish of that total length: what a well-fed one weighs.
 * @param options.lengthM total length in metres
 * @throws RangeError for a species without a standard (European perch), or a fish shorter than the formula covers
 */
export function standardWeight({ species, lengthM }: { species: Species, lengthM: number }): { massKg: number } {
  const { a, b, minMm } = STANDARD[requireOneOf('species', species, STANDARD_SPECIES)]
  requireNumber('lengthM', lengthM, { min: minMm / 1000, max: LONGEST_M })
  return { massKg: 10 ** (a + b * Math.log10(lengthM * 1000)) / 1000 }
}

/**
 * Relative weight Wr = 100·W/Ws, percent.
 * @throws RangeError as `standardWeight`, or for a mass that is not above 0
 */
export function relativeWeight({ species, lengthM, massKg }: { species: Species, lengthM: number, massKg: number }): { percent: number } {
  requireNumber('massKg', massKg, POSITIVE)
  return { percent: (100 * massKg) / standardWeight({ species, lengthM }).massKg }
}

/**
 * Weight guessed from length alone. European perch, which has no standard here: W(g) = 0.0107·L(cm)^3.08;
 * every other species: its standard weight.
 * @throws RangeError for a fish that is too short, or a length that is not above 0
 */
export function estimateWeight({ species, lengthM }: { species: Species, lengthM: number }): { massKg: number, estimate: true } {
  if (requireSpecies(species) !== 'europeanPerch') return { ...standardWeight({ species, lengthM }), estimate: true }
  requireNumber('lengthM', lengthM, { min: 0, above: true, max: LONGEST_M })
  return { massKg: (0.0107 * (lengthM * 100) ** 3.08) / 1000, estimate: true }
}
