import { POSITIVE, requireNumber } from '../guard'
import { rateInterval } from '../numeric/rateInterval'

/** A spell of fishing with one bait, as it was logged. */
export interface BaitSpell { colour: string | null, minutes: number, fish: number, secchiM: number | null }

export interface ColourRow { colour: string, hours: number, fish: number, perHour: number, lo: number, hi: number }
export interface ColourRecord {
  water: 'clear' | 'stained' | 'murky'
  /** with enough behind them, the best rate first */
  rows: ColourRow[]
  /** too little fished to say anything */
  notYet: { colour: string, hours: number, fish: number }[]
}

const CLEAR_M = 2
const MURKY_M = 0.45
/** With less than this a rate is not shown (MATH §17). */
const LEAST_HOURS = 3
const LEAST_FISH = 5

const waterOf = (secchiM: number): ColourRecord['water'] => (secchiM >= CLEAR_M ? 'clear' : secchiM < MURKY_M ? 'murky' : 'stained')

/**
 * What the angler's own log has of each colour in water as clear as today's: rates with their intervals; like is compared with like, and
 * nothing is said of why.
 * @throws RangeError for a clarity that is not above 0
 */
export function colourRecord({ spells, secchiM }: { spells: readonly BaitSpell[], secchiM: number }): ColourRecord {
  const water = waterOf(requireNumber('secchiM', secchiM, POSITIVE))
  const sums = new Map<string, { hours: number, fish: number }>()
  for (const s of spells) {
    if (s.colour === null || s.secchiM === null || waterOf(s.secchiM) !== water || s.minutes <= 0) continue
    const sum = sums.get(s.colour) ?? { hours: 0, fish: 0 }
    sums.set(s.colour, { hours: sum.hours + s.minutes / 60, fish: sum.fish + s.fish })
  }
  const all = [...sums].map(([colour, sum]) => ({ colour, ...sum }))
  const enough = (r: { hours: number, fish: number }) => r.hours >= LEAST_HOURS && r.fish >= LEAST_FISH
  return {
    water,
    rows: all.filter(enough).map(r => ({ ...r, ...rateInterval({ count: r.fish, hours: r.hours }) })).sort((a, b) => b.perHour - a.perHour),
    notYet: all.filter(r => !enough(r)).sort((a, b) => b.hours - a.hours),
  }
}
