import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { gammaShares, logGamma } from '../numeric/gamma'

/** A spell at the place, oldest first. */
export interface Stretch { minutes: number, presentations: number, catches: number, taps: number, follows: number }

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

/** How long a bite lasts, minutes to 1/e: it is not known, so all of these are held possible. */
const FADES_MIN = [8, 16, 32, 64, 128, 100_000]
const FADE_SHARES = [0.04, 0.12, 0.24, 0.3, 0.2, 0.1]
const RATES = 24
const FRESH_RATES = 12
/** Minutes of looking before a place is left, unless nothing at all shows. */
const MIN_PROBE = 8
/** A new place takes this long to be known. */
const LEARN_MIN = 6
/** How far ahead staying is judged before the next look at the clock. */
const AHEAD_MIN = 12
const STEP_MIN = 4
const LONGEST_MIN = 720
/** Going must promise more than this share of what the next minutes elsewhere would give: no flapping about a toss-up. */
const MARGIN = 0.02
/** Signs in the last spells that ask for a change before a move. */
const SIGNS = 3
const CHANGE_WORTH = 0.2
/** For so long fish that show themselves and take nothing are given changes, whatever waits elsewhere; in simulated days it costs nothing. */
const TEASED_MIN = 30

/**
 * Stay, change or go (MATH §13). What is believed of the place is a Gamma prior times unknown fading, updated with catches over effort, so that a
 * dying bite shows. It is weighed against the rest of the day spent elsewhere: places as unsure as they are, each left in its own time, the runs
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
  const belief = believe(prior, stretches)
  const here = stretches.reduce((sum, s) => sum + s.minutes, 0)
  const caught = stretches.reduce((sum, s) => sum + s.catches, 0)
  const rest = restOfDay(elsewhere, belief.fades, left)
  const goNow = rest(left - elsewhere.travelMin)
  const staying = stayValue(belief, here, left, elsewhere.travelMin, rest)

  const ahead = Math.max(1, Math.min(left, 30))
  const ratePerHour = (60 * expected(belief, here, ahead)) / ahead
  const elsewherePerHour = left > 0 ? (60 * goNow) / left : 0
  const recent = lastMinutes(stretches, 15)
  const signs = stretches.reduce((sum, s) => sum + s.taps + s.follows, 0)
  const recentSigns = recent.taps + recent.follows
  const betterBy = goNow - staying
  const stake = (elsewherePerHour * AHEAD_MIN) / 60
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

interface Belief {
  /** fish a minute on arrival, by how the bite fades, with what is believed of each pair; flat: fade-major */
  rates: number[]
  weights: number[]
  /** shares of the fades alone */
  fades: number[]
}

/** Follows and taps for each fish that bites: not known either; none at all, where nobody counts them. */
const SIGNS_PER_FISH = [0, 0.4, 1, 2.5]
const SIGN_SHARES = [0.4, 0.2, 0.2, 0.2]
/** Signs that come from fish that will not bite. */
const STRAY_PER_MIN = 0.01

/** Every pair of rate and fade, weighed by the catches, Poisson in the time that had passed, and by the follows and taps as far as they tell. */
function believe({ alpha, beta }: { alpha: number, beta: number }, stretches: readonly Stretch[]): Belief {
  const rates = gammaShares({ shape: alpha, rate: beta * 60, count: RATES })
  const weights: number[] = []
  const signLogs = SIGNS_PER_FISH.map(() => 0)
  for (const [f, fadeMin] of FADES_MIN.entries()) {
    for (const rate of rates) {
      let log = Math.log(FADE_SHARES[f]! / RATES)
      let from = 0
      signLogs.fill(0)
      for (const { minutes, catches, taps, follows } of stretches) {
        if (minutes > 0) {
          const mean = Math.max(1e-9, rate * caughtShare(fadeMin, from, from + minutes))
          log += logPoisson(catches, mean)
          for (const [k, perFish] of SIGNS_PER_FISH.entries()) signLogs[k]! += logPoisson(taps + follows, perFish * mean + STRAY_PER_MIN * minutes)
        }
        from += minutes
      }
      const most = Math.max(...signLogs)
      weights.push(log + most + Math.log(signLogs.reduce((sum, l, k) => sum + SIGN_SHARES[k]! * Math.exp(l - most), 0)))
    }
  }
  const most = Math.max(...weights)
  const raised = weights.map(w => Math.exp(w - most))
  const sum = raised.reduce((a, b) => a + b, 0)
  const normal = raised.map(w => w / sum)
  return { rates, weights: normal, fades: FADES_MIN.map((_, f) => normal.slice(f * RATES, (f + 1) * RATES).reduce((a, b) => a + b, 0)) }
}

const logPoisson = (n: number, mean: number) => n * Math.log(mean) - mean - logGamma(n + 1)
/** ∫ exp(−t/fade) over minutes from…to. */
const caughtShare = (fadeMin: number, from: number, to: number) => fadeMin * (Math.exp(-from / fadeMin) - Math.exp(-to / fadeMin))

/** Fish expected in the coming minutes. */
function expected({ rates, weights }: Belief, from: number, minutes: number): number {
  let sum = 0
  for (const [f, fadeMin] of FADES_MIN.entries()) {
    const share = caughtShare(fadeMin, from, from + minutes)
    for (let r = 0; r < RATES; r++) sum += weights[f * RATES + r]! * rates[r]! * share
  }
  return sum
}

/** Best of staying some time and then going on, for a belief that learns no more. */
function commit(belief: Belief, from: number, left: number, travelMin: number, rest: (minutes: number) => number): number {
  let best = 0
  for (let stay = STEP_MIN; stay < 1.3 * left + STEP_MIN; stay = Math.max(stay + STEP_MIN, stay * 1.3)) {
    const minutes = Math.min(left, stay)
    best = Math.max(best, expected(belief, from, minutes) + rest(left - minutes - travelMin))
  }
  return best
}

/** What staying is worth: the fish of the next minutes, and after them the better of staying on and going, knowing what they will have shown. */
function stayValue(belief: Belief, from: number, left: number, travelMin: number, rest: (minutes: number) => number): number {
  const minutes = Math.min(AHEAD_MIN, left)
  if (minutes <= 0) return 0
  const leave = rest(left - minutes - travelMin)
  const mean = expected(belief, from, minutes)
  const most = Math.ceil(mean + 4 * Math.sqrt(mean) + 3)
  let value = 0
  let covered = 0
  for (let n = 0; n <= most; n++) {
    const joint: number[] = []
    for (const [f, fadeMin] of FADES_MIN.entries()) {
      const share = caughtShare(fadeMin, from, from + minutes)
      for (let r = 0; r < RATES; r++) joint.push(belief.weights[f * RATES + r]! * Math.exp(logPoisson(n, Math.max(1e-9, belief.rates[r]! * share))))
    }
    const chance = joint.reduce((a, b) => a + b, 0)
    if (chance < 1e-4) continue
    covered += chance
    const after: Belief = { rates: belief.rates, weights: joint.map(w => w / chance), fades: belief.fades }
    value += chance * (n + Math.max(leave, commit(after, from + minutes, left - minutes, travelMin, rest)))
  }
  return covered > 0 ? value / covered : 0
}

/**
 * Fish that the rest of a day is worth on arrival at a place not yet known, worked backward from the end: each place is left when going on is worth
 * more. Its fading is half what was seen here and half what is held possible anywhere.
 */
function restOfDay({ ratePerHour, sdPerHour, travelMin }: AdviseStayOptions['elsewhere'], fadesHere: readonly number[], left: number): (minutes: number) => number {
  if (ratePerHour < 1e-6) return () => 0
  const sd = Math.max(sdPerHour, 0.05 * ratePerHour)
  const shape = (ratePerHour / sd) ** 2
  const rates = gammaShares({ shape, rate: (shape / ratePerHour) * 60, count: FRESH_RATES })
  const fades = FADE_SHARES.map((share, f) => 0.5 * share + 0.5 * fadesHere[f]!)
  const steps = Math.ceil(left / STEP_MIN) + 1
  const shareBy = Float64Array.from({ length: steps + 1 }, (_, k) => fades.reduce((sum, w, f) => sum + w * caughtShare(FADES_MIN[f]!, 0, k * STEP_MIN), 0))
  const worth = new Float64Array(steps + 1)
  const runSteps = travelMin / STEP_MIN
  const at = (k: number) => {
    if (k <= 0) return 0
    const whole = Math.floor(k)
    return worth[whole]! + (k - whole) * ((worth[whole + 1] ?? worth[whole]!) - worth[whole]!)
  }
  const probe = Math.ceil(LEARN_MIN / STEP_MIN)
  for (let k = 1; k <= steps; k++) {
    let sum = 0
    for (const rate of rates) {
      let best = 0
      for (let stay = Math.min(k, probe); stay <= k; stay = Math.max(stay + 1, Math.round(stay * 1.2))) {
        const value = rate * shareBy[stay]! + at(k - stay - runSteps)
        if (value > best) best = value
      }
      best = Math.max(best, rate * shareBy[k]!)
      sum += best
    }
    worth[k] = sum / FRESH_RATES
  }
  return minutes => at(minutes / STEP_MIN)
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
