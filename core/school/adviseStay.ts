import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { believePlace, caughtShare, expectedFish, FADES_MIN, fadeShares, type Stretch, type Supposition } from './placeBelief'
import { restOfDay } from './restOfDay'

export interface AdviseStayOptions {
  /** what places like this give, fish an hour: Gamma(alpha, beta) */
  prior: { alpha: number, beta: number }
  stretches: readonly Stretch[]
  /** what the next place is expected to give on arrival, and the run to it */
  elsewhere: { ratePerHour: number, sdPerHour: number, travelMin: number }
  minutesLeft: number
}

export interface StayReason { key: 'caught' | 'slowing' | 'signs' | 'noSign' | 'elsewhere' | 'probe' | 'shortOfTime' | 'close', value: number }

export interface StayAdvice {
  action: 'stay' | 'change' | 'go'
  /** fish an hour expected here from now on for the next while */
  ratePerHour: number
  /** what the rest of the day would give for going now, an hour, the run counted */
  elsewherePerHour: number
  /** fish expected from what is advised over what is not: how clear it is */
  byFish: number
  why: StayReason[]
}

/** Minutes of looking before a place is left, unless nothing at all shows. */
const MIN_PROBE = 8
/** The next minutes over which staying and going are weighed against each other. */
const STAKE_MIN = 12
/**
 * How far ahead staying is judged before the next look at the clock. Where signs are counted a new place is known sooner than here, where only fish
 * are thought to teach: staying is then given less room to pay.
 */
const AHEAD_MIN = 4
const AHEAD_SIGNED_MIN = 12
const STEP_MIN = 4
const LONGEST_MIN = 720
/** Going must promise more than this share of what the next minutes elsewhere would give: no flapping about a toss-up. */
const MARGIN = 0.02
/** Signs in the last spells that ask for a change before a move. */
const SIGNS = 3
const CHANGE_WORTH = 0.2
/** For so long fish that show themselves and take nothing are given changes, whatever waits elsewhere; where no change is a cure it costs nothing that can be measured (docs/benchmarks.md). */
const TEASED_MIN = 20

/**
 * Stay, change or go (MATH §13). What is believed of the place is a Gamma prior times unknown fading, updated with catches over effort, so that a
 * dying bite shows (`believePlace`). It is weighed against the rest of the day spent elsewhere: places as unsure as they are, each left in its own time, the runs
 * counted, worked backward from the end of the day. Staying counts what the next minutes would teach. Looks, follows and taps without a take ask for
 * a change before a move.
 * @throws RangeError for a prior that is not above 0, or a negative figure
 */
export function adviseStay({ prior, stretches, elsewhere, minutesLeft }: AdviseStayOptions): StayAdvice {
  requireNumber('prior.alpha', prior.alpha, POSITIVE)
  requireNumber('prior.beta', prior.beta, POSITIVE)
  requireNumber('elsewhere.ratePerHour', elsewhere.ratePerHour, NOT_NEGATIVE)
  requireNumber('elsewhere.sdPerHour', elsewhere.sdPerHour, NOT_NEGATIVE)
  requireNumber('elsewhere.travelMin', elsewhere.travelMin, NOT_NEGATIVE)
  requireNumber('minutesLeft', minutesLeft, NOT_NEGATIVE)
  stretches.forEach((s, i) => {
    for (const key of ['minutes', 'presentations', 'catches', 'taps', 'follows'] as const) requireNumber(`stretches[${i}].${key}`, s[key], NOT_NEGATIVE)
  })
  const left = Math.min(LONGEST_MIN, minutesLeft)
  const belief = believePlace(prior, stretches)
  const here = stretches.reduce((sum, s) => sum + s.minutes, 0)
  const caught = stretches.reduce((sum, s) => sum + s.catches, 0)
  const rest = restOfDay(elsewhere, fadeShares(belief), left)
  const goNow = rest(left - elsewhere.travelMin)
  const signs = stretches.reduce((sum, s) => sum + s.taps + s.follows, 0)
  const staying = stayValue(belief, here, { ahead: signs > 0 ? AHEAD_SIGNED_MIN : AHEAD_MIN, left, travelMin: elsewhere.travelMin }, rest)

  const ahead = Math.max(1, Math.min(left, 30))
  const ratePerHour = (60 * expectedFish(belief, here, ahead)) / ahead
  const elsewherePerHour = left > 0 ? (60 * goNow) / left : 0
  const recent = lastMinutes(stretches, 15)
  const recentSigns = recent.taps + recent.follows
  const betterBy = goNow - staying
  const stake = (elsewherePerHour * STAKE_MIN) / 60
  const wantsGo = betterBy > MARGIN * stake
  const probing = here < MIN_PROBE && (caught + signs > 0 || here < MIN_PROBE / 2)
  const noTime = elsewhere.travelMin >= left
  // Fish that look and do not take are worth a change while it costs little.
  const teased = recent.catches === 0 && recentSigns >= SIGNS && here < 40

  const why: StayReason[] = [{ key: 'caught', value: caught }, { key: 'elsewhere', value: elsewherePerHour }]
  if (here >= 12 && caught > 0 && recent.catches / Math.max(1, recent.minutes) < 0.6 * (caught / here)) why.push({ key: 'slowing', value: ratePerHour })
  if (caught === 0 && signs === 0 && here > 0) why.push({ key: 'noSign', value: here })
  if (recentSigns > 0) why.push({ key: 'signs', value: recentSigns })
  if (noTime) why.push({ key: 'shortOfTime', value: elsewhere.travelMin })
  if (probing) why.push({ key: 'probe', value: MIN_PROBE - here })
  if (Math.abs(betterBy) < 0.1 * stake) why.push({ key: 'close', value: betterBy })

  const go = wantsGo && !probing && !noTime
  const action = go ? (teased && (betterBy < CHANGE_WORTH * stake || (caught === 0 && here < TEASED_MIN)) ? 'change' : 'go') : teased ? 'change' : 'stay'
  return { action, ratePerHour, elsewherePerHour, byFish: action === 'go' ? betterBy : -betterBy, why }
}

/**
 * What staying is worth: the fish of the next minutes, and after them the better of going and staying on for some time, knowing how many there were.
 * The number of fish is negative binomial under each supposition, and what it teaches is exact.
 */
function stayValue(belief: readonly Supposition[], from: number, { ahead, left, travelMin }: { ahead: number, left: number, travelMin: number }, rest: (minutes: number) => number): number {
  const minutes = Math.min(ahead, left)
  if (minutes <= 0) return 0
  const leave = rest(left - minutes - travelMin)
  const after = staysOn(left - minutes).map(stay => ({ worth: rest(left - minutes - stay - travelMin), to: from + minutes + stay }))
  const effort = belief.map(s => caughtShare(FADES_MIN[s.fade]!, from, from + minutes))
  const perFish = belief.map((s, i) => after.map(({ to }) => caughtShare(FADES_MIN[s.fade]!, from + minutes, to) / (s.minutes + effort[i]!)))
  const joint = belief.map((s, i) => s.weight * (s.minutes / (s.minutes + effort[i]!)) ** s.shape)
  const mean = expectedFish(belief, from, minutes)
  const most = Math.ceil(mean + 4 * Math.sqrt(mean) + 3)
  let value = 0
  let covered = 0
  for (let n = 0; n <= most; n++) {
    if (n > 0) for (const [i, s] of belief.entries()) joint[i]! *= (((s.shape + n - 1) / n) * effort[i]!) / (s.minutes + effort[i]!)
    const chance = joint.reduce((a, b) => a + b, 0)
    if (chance < 1e-4) continue
    covered += chance
    let best = leave
    for (const [k, { worth }] of after.entries()) {
      let onward = 0
      for (const [i, s] of belief.entries()) onward += joint[i]! * (s.shape + n) * perFish[i]![k]!
      best = Math.max(best, worth + onward / chance)
    }
    value += chance * (n + best)
  }
  return covered > 0 ? value / covered : 0
}

/** Lengths of staying on that are weighed, finer near by. */
function staysOn(left: number): number[] {
  const stays: number[] = []
  for (let stay = STEP_MIN; stay < 1.3 * left + STEP_MIN; stay = Math.max(stay + STEP_MIN, stay * 1.3)) stays.push(Math.min(left, stay))
  return stays
}

/** What the last so many minutes brought, a spell that reaches farther back counted in part. */
function lastMinutes(stretches: readonly Stretch[], minutes: number): { minutes: number, catches: number, taps: number, follows: number } {
  const sum = { minutes: 0, catches: 0, taps: 0, follows: 0 }
  for (const s of [...stretches].reverse()) {
    const room = minutes - sum.minutes
    if (room <= 0) break
    const share = s.minutes > room ? room / s.minutes : 1
    sum.minutes += s.minutes * share
    sum.catches += s.catches * share
    sum.taps += s.taps * share
    sum.follows += s.follows * share
  }
  return sum
}
