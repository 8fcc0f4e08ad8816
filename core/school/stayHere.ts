import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import type { Stretch } from './placeBelief'
import type { EffectiveEntry } from './effectiveEntries'
import type { LoggedRig } from './reduceTrip'
import type { VariantArm } from './nextVariant'

const MINUTE_MS = 60_000
/** Time at a place is cut into spells of this length. */
const SPELL_MIN = 5
/** Casts a minute where nobody counts them. */
export const CASTS_PER_MIN = 1.2
/** Getting under way, and setting up again, min. */
const SETTLE_MIN = 3
/** A small boat on its way, m/s. */
const CRUISE_MS = 6
/** How much a day at one place differs from its mean, as a share of it: a starting prior. */
const DAY_SPREAD = 0.7

/** The visit in spells of five minutes, oldest first: takes and signs by their time, counts of a logged stretch spread over its minutes. */
export function stretchesHere({ entries, arrivedMs, nowMs }: { entries: readonly EffectiveEntry[], arrivedMs: number, nowMs: number }): Stretch[] {
  const total = Math.max(0, (nowMs - arrivedMs) / MINUTE_MS)
  const count = Math.ceil(total / SPELL_MIN - 1e-9)
  const spells = Array.from({ length: count }, (_, i): Stretch => ({ minutes: Math.min(SPELL_MIN, total - i * SPELL_MIN), presentations: 0, catches: 0, taps: 0, follows: 0 }))
  const at = (ms: number) => spells[Math.max(0, Math.min(count - 1, Math.floor((ms - arrivedMs) / MINUTE_MS / SPELL_MIN)))]
  let casts = 0
  for (const entry of entries) {
    const ms = Date.parse(entry.at)
    if (ms < arrivedMs) continue
    const spell = at(ms)
    if (!spell) continue
    if (entry.kind === 'fish') spell.catches++
    else if (entry.kind === 'sign') {
      if (entry.body.sign === 'tap') spell.taps++
      else if (entry.body.sign !== 'cast') spell.follows++
      else {
        spell.presentations++
        casts++
      }
    }
    else if (entry.kind === 'stretch') {
      const over = spells.filter((_, i) => arrivedMs + (i + 1) * SPELL_MIN * MINUTE_MS > ms - entry.body.minutes * MINUTE_MS && arrivedMs + i * SPELL_MIN * MINUTE_MS < ms)
      for (const s of over) {
        s.presentations += entry.body.presentations / over.length
        s.taps += entry.body.taps / over.length
        s.follows += (entry.body.follows + entry.body.looks) / over.length
      }
      casts += entry.body.presentations
    }
  }
  if (casts === 0) for (const s of spells) s.presentations = s.minutes * CASTS_PER_MIN
  return spells
}

export interface Candidate { id: string, name: string, ratePerHour: number, distanceM: number }
export interface NextStop extends Candidate { travelMin: number, sdPerHour: number }

/** The stop that gives most in the time that is left after the run to it at the boat's speed, m/s; null where there is none. */
export function nextStop(candidates: readonly Candidate[], minutesLeft: number, runMS = CRUISE_MS): NextStop | null {
  requireNumber('runMS', runMS, POSITIVE)
  requireNumber('minutesLeft', minutesLeft, NOT_NEGATIVE)
  const all = candidates.map(c => ({ ...c, travelMin: SETTLE_MIN + c.distanceM / runMS / 60, sdPerHour: DAY_SPREAD * c.ratePerHour }))
  const gives = (c: NextStop) => c.ratePerHour * Math.max(0, minutesLeft - c.travelMin)
  return all.reduce<NextStop | null>((best, c) => (best === null || gives(c) > gives(best) ? c : best), null)
}

/** A day's belief about a place from its mean rate. @throws RangeError for a rate that is not above 0 */
export function dayPrior(ratePerHour: number): { alpha: number, beta: number } {
  requireNumber('ratePerHour', ratePerHour, POSITIVE)
  const alpha = 1 / DAY_SPREAD ** 2
  return { alpha, beta: alpha / ratePerHour }
}

export interface ArmOption { id: string, label: string }

/** What has been shown to the fish here: each thing's casts, by the clock where nobody counted, and takes. */
export function armsHere({ rigs, options, arrivedMs, nowMs }: { rigs: readonly LoggedRig[], options: readonly ArmOption[], arrivedMs: number, nowMs: number }): VariantArm[] {
  const arms = new Map(options.map(({ id }): [string, VariantArm] => [id, { id, presentations: 0, takes: 0, signs: 0 }]))
  rigs.forEach((rig, i) => {
    const from = Math.max(arrivedMs, Date.parse(rig.at))
    // Another device's rig goes on beside this one.
    const after = rigs.slice(i + 1).find(r => r.by === rig.by)
    const to = after ? Date.parse(after.at) : nowMs
    const arm = arms.get(rig.body.rung ?? '') ?? arms.get(options[0]?.id ?? '')
    if (!arm || to <= from) return
    arm.takes += rig.fish
    arm.signs = (arm.signs ?? 0) + rig.looks + rig.follows + rig.taps
    arm.presentations += Math.max(rig.fish, rig.presentations > 0 ? rig.presentations : Math.round(((to - from) / MINUTE_MS) * CASTS_PER_MIN))
  })
  return [...arms.values()]
}
