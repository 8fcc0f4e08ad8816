import { judgeStay, STAY_WORLDS, UNCOUNTED_WORLDS, type StayScore } from '../sim/stayDays'
import { judgeVariant, VARIANT_WORLDS } from '../sim/variantDays'

/** Thirty days would leave ±0.05 of luck on a world. */
const DAYS = 120
const SCHOOLS = 300

/** Stay, change or go, and what to try next, in simulated days. */
export function adviceBench() {
  const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length
  const sets = Object.entries({ 'signs counted': STAY_WORLDS, 'no signs counted': UNCOUNTED_WORLDS }).map(([name, worlds]): [string, StayScore[]] => [name, worlds.map(world => judgeStay(world, DAYS))])
  const variants = VARIANT_WORLDS.map(world => ({ world, ...judgeVariant(world, SCHOOLS) }))
  return {
    what: `adviseStay over ${DAYS} days in each of ${STAY_WORLDS.length} worlds; nextVariant over ${SCHOOLS} schools in each of ${VARIANT_WORLDS.length}`,
    lines: [
      ...sets.flatMap(([name, stay]) => [
        ...stay.map(s => `${s.world.name}: ${(s.advised / s.knowing).toFixed(2)} of the all-knowing leaver, ${(s.advised / s.clock).toFixed(2)} × the best fixed clock (the all-knowing: ${(s.knowing / s.clock).toFixed(2)} ×)`),
        `${name}: ${mean(stay.map(s => s.advised / s.knowing)).toFixed(3)} of the all-knowing on average, ${Math.min(...stay.map(s => s.advised / s.clock)).toFixed(2)} × the best clock in the worst world`,
      ]),
      `nextVariant: ${mean(variants.map(v => v.advised / v.ten)).toFixed(3)} × ten of each on average, ${Math.min(...variants.map(v => v.advised / v.ten)).toFixed(2)} × in the worst world (${variants.reduce((a, b) => (a.advised / a.ten < b.advised / b.ten ? a : b)).world.name})`,
    ],
  }
}
