import { bestUnseen } from '../sim/stayBound'
import { FURTHER_WORLDS, judgeStay, meanDay, STAY_WORLDS, uncounted, type StayScore } from '../sim/stayDays'
import { judgeVariant, VARIANT_WORLDS } from '../sim/variantDays'

/** Thirty days would leave ±0.05 of luck on a world. */
const DAYS = 120
const SCHOOLS = 300

/** Stay, change or go, and what to try next, in simulated days. */
export function adviceBench() {
  const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length
  const sets = Object.entries({ 'signs counted': STAY_WORLDS, 'no signs counted': uncounted(STAY_WORLDS), 'further worlds, signs counted': FURTHER_WORLDS, 'further worlds, no signs counted': uncounted(FURTHER_WORLDS) })
    .map(([name, worlds]): [string, (StayScore & { unseen: number })[]] => [name, worlds.map(world => ({ ...judgeStay(world, DAYS), unseen: meanDay(world, bestUnseen(world).leave, DAYS) }))])
  const variants = VARIANT_WORLDS.map(world => ({ world, ...judgeVariant(world, SCHOOLS) }))
  return {
    what: `adviseStay over ${DAYS} days in each of ${STAY_WORLDS.length + FURTHER_WORLDS.length} worlds, with signs counted and without; beside it the best that a rule can do which is told all of the world and sees no fish. nextVariant over ${SCHOOLS} schools in each of ${VARIANT_WORLDS.length}`,
    lines: [
      ...sets.flatMap(([name, stay]) => [
        ...stay.map(s => `${s.world.name}: ${(s.advised / s.knowing).toFixed(2)} of the all-knowing leaver (no rule without sight over ${(s.unseen / s.knowing).toFixed(2)}), ${(s.advised / s.clock).toFixed(2)} × the best fixed clock (${(s.unseen / s.clock).toFixed(2)}; the all-knowing: ${(s.knowing / s.clock).toFixed(2)})`),
        `${name}: ${mean(stay.map(s => s.advised / s.knowing)).toFixed(3)} of the all-knowing on average (of ${mean(stay.map(s => s.unseen / s.knowing)).toFixed(3)} to be had), ${Math.min(...stay.map(s => s.advised / s.clock)).toFixed(2)} × the best clock in the worst world (of ${Math.min(...stay.map(s => s.unseen / s.clock)).toFixed(2)})`,
      ]),
      `nextVariant: ${mean(variants.map(v => v.advised / v.ten)).toFixed(3)} × ten of each on average, ${Math.min(...variants.map(v => v.advised / v.ten)).toFixed(2)} × in the worst world (${variants.reduce((a, b) => (a.advised / a.ten < b.advised / b.ten ? a : b)).world.name})`,
    ],
  }
}
