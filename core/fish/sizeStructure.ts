import { POSITIVE, requireNumber, requireOneOf } from '../guard'
import { STANDARD_SPECIES, type StandardSpecies } from './weight'
import type { Species } from './species'

type SizeClass = 'quality' | 'preferred' | 'memorable' | 'trophy'

/** Lower ends of stock, quality, preferred, memorable and trophy, mm total length (MATH §14). */
const LOWER_MM: Record<StandardSpecies, [number, number, number, number, number]> = {
  blackCrappie: [130, 200, 250, 300, 380],
  whiteCrappie: [130, 200, 250, 300, 380],
  yellowPerch: [130, 200, 250, 300, 380],
  whiteBass: [150, 230, 300, 380, 460],
  bluegill: [80, 150, 200, 250, 300],
  yellowBass: [100, 180, 230, 280, 330],
}

export interface StockShare {
  /** percent of stock fish that reach the class */
  psd: number
  /** ends of the 95 % Wilson interval, percent */
  lo: number
  hi: number
}

export type SizeStructure = { stock: number } & Record<SizeClass, StockShare | { psd: null, lo: null, hi: null }>

/**
 * Proportional size distribution of a catch: PSD-X = 100·(n ≥ X)/(n ≥ stock), with 95 % Wilson intervals.
 * Without a stock-size fish every share is null.
 * @throws RangeError for a species without size classes or a length that is not above 0
 */
export function sizeStructure({ species, lengthsM }: { species: Species, lengthsM: number[] }): SizeStructure {
  const [stockMm, ...lowerMm] = LOWER_MM[requireOneOf('species', species, STANDARD_SPECIES)]
  lengthsM.forEach((m, i) => requireNumber(`lengthsM[${i}]`, m, POSITIVE))
  // Half a micron of slack: 0.13 m · 1000 must count as 130 mm whatever the last bit says.
  const atLeast = (mm: number) => lengthsM.filter(m => m * 1000 >= mm - 5e-4).length
  const stock = atLeast(stockMm)
  const share = (i: number) => (stock === 0 ? { psd: null, lo: null, hi: null } : wilson(atLeast(lowerMm[i]!), stock))
  return { stock, quality: share(0), preferred: share(1), memorable: share(2), trophy: share(3) }
}

/** 95 % score interval of k in n, percent (Wilson 1927). */
function wilson(k: number, n: number): StockShare {
  const Z = 1.959963984540054
  const p = k / n
  const z2n = (Z * Z) / n
  const centre = (p + z2n / 2) / (1 + z2n)
  const half = (Z / (1 + z2n)) * Math.sqrt((p * (1 - p)) / n + z2n / (4 * n))
  return { psd: 100 * p, lo: k === 0 ? 0 : 100 * (centre - half), hi: k === n ? 100 : 100 * (centre + half) }
}
