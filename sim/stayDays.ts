import { adviseStay } from '../core/school/adviseStay'
import type { Stretch } from '../core/school/placeBelief'
import { gammaDraw } from '../core/numeric/gammaDraw'
import { seededRandom } from '../core/numeric/random'

/** How places of a simulated day differ, how a bite fades in them, and how long the run between them is. */
export interface StayWorld {
  name: string
  /** fish an hour on arrival: mean, and its spread over the mean */
  meanPerHour: number
  patchy: number
  fadeMin: number
  /** each fish taken puts the rest off by so much as well, share */
  takenShare: number
  /** follows and taps that are counted for each fish that bites; 0: nobody counts them */
  signsPerFish: number
  travelMin: number
  dayMin: number
  /** the rule is asked each so many minutes */
  askMin: number
}

/** Of three signs so many are follows, the rest taps. */
const FOLLOW_SHARE = 2 / 3

export type Leaver = (at: { stretches: Stretch[], minutes: number, ratePerMin: number, left: number, world: StayWorld }) => boolean

/**
 * Fish of a day with a rule for leaving. Places are drawn anew at each stop from the world's spread; the first, second, third place of a day and its luck
 * at each minute are the same for every rule, so that rules differ by what they do and little by chance.
 */
export function fishDay(world: StayWorld, leave: Leaver, seed: number): number {
  let total = 0
  let left = world.dayMin
  for (let stop = 0; left > 0; stop++) {
    let rate = gammaDraw(1 / world.patchy ** 2, drawsOf(world, seed, stop, 0)) * world.patchy ** 2 * world.meanPerHour / 60
    const stretches: Stretch[] = []
    let minutes = 0
    for (;;) {
      const random = drawsOf(world, seed, stop, minutes + 1)
      const spell = Math.min(world.askMin, left)
      const mean = rate * world.fadeMin * -Math.expm1(-spell / world.fadeMin)
      const catches = poisson(mean, random)
      total += catches
      stretches.push({ minutes: spell, presentations: Math.round(spell * 1.2), catches, follows: poisson(world.signsPerFish * FOLLOW_SHARE * mean, random), taps: poisson(world.signsPerFish * (1 - FOLLOW_SHARE) * mean, random) })
      rate *= Math.exp(-spell / world.fadeMin) * (1 - world.takenShare) ** catches
      minutes += spell
      left -= spell
      if (left <= 0) break
      if (leave({ stretches, minutes, ratePerMin: rate, left, world })) break
    }
    left -= world.travelMin
  }
  return total
}

/** By the advice, which knows the world's spread and nothing of the place but what was caught. */
export const byAdvice: Leaver = ({ stretches, left, world }) => adviseStay({
  prior: { alpha: 1 / world.patchy ** 2, beta: 1 / (world.patchy ** 2 * world.meanPerHour) }, stretches,
  elsewhere: { ratePerHour: world.meanPerHour, sdPerHour: world.meanPerHour * world.patchy, travelMin: world.travelMin }, minutesLeft: left,
}).action === 'go'

export const byClock = (stayMin: number): Leaver => ({ minutes }) => minutes >= stayMin

/** Knows what bites here now, and leaves below a rate that was chosen with hindsight for the world. */
export const byThreshold = (perHour: number): Leaver => ({ ratePerMin, left, world }) => left > world.travelMin && ratePerMin * 60 < perHour

/** A stream of its own for each place and minute of a day; worlds share no luck, so that what they have in common averages out. */
function drawsOf(world: StayWorld, ...key: number[]): () => number {
  let mix = 0x9e3779b9
  for (const part of [world.patchy * 100, world.fadeMin, world.travelMin, world.meanPerHour * 100, ...key]) {
    mix = Math.imul(mix ^ Math.round(part), 0x85ebca6b)
    mix ^= mix >>> 15
  }
  return seededRandom(mix)
}

function poisson(mean: number, random: () => number): number {
  let [n, p] = [0, random()]
  for (const floor = Math.exp(-mean); p > floor; n++) p *= random()
  return n
}

const world = ([patchy, fadeMin, travelMin, meanPerHour = 8]: [number, number, number, number?]): StayWorld => ({
  name: `spread ${patchy}, fades in ${fadeMin} min, run ${travelMin} min${meanPerHour === 8 ? '' : `, ${meanPerHour} fish an hour`}`, meanPerHour, patchy, fadeMin, travelMin, takenShare: 0.01, signsPerFish: 1.8, dayMin: 480, askMin: 4,
})

/** Worlds that are judged: how patchy, how fast the bite fades, how far the run; signs are counted. */
export const STAY_WORLDS: readonly StayWorld[] = ([[1.1, 20, 4], [1.1, 40, 9], [1.1, 90, 12], [1.4, 20, 9], [1.4, 45, 5], [1.4, 90, 15], [1.8, 30, 12], [1.8, 60, 6]] as [number, number, number][]).map(world)

/** Worlds chosen to be hard, and others in which more or fewer fish bite. */
export const FURTHER_WORLDS: readonly StayWorld[] = ([[0.9, 30, 6], [1.1, 40, 9, 4], [1.4, 45, 9, 14], [1.6, 25, 4], [1.6, 75, 10], [2, 40, 8], [1.2, 15, 15], [1.1, 60, 20, 10]] as [number, number, number, number?][]).map(world)

/** The same where nobody counts looks, follows and taps. */
export const uncounted = (worlds: readonly StayWorld[]): StayWorld[] => worlds.map(w => ({ ...w, name: `${w.name}, no signs counted`, signsPerFish: 0 }))

export interface StayScore { world: StayWorld, advised: number, clock: number, knowing: number }

/** Fish of a mean day with a rule. */
export const meanDay = (world: StayWorld, leave: Leaver, days: number, seed = 1) =>
  Array.from({ length: days }, (_, i) => fishDay(world, leave, seed * 1000 + i)).reduce((a, b) => a + b, 0) / days

/** A rule's mean day in a world, the best fixed clock's, and the all-knowing leaver's. */
export function judgeStay(world: StayWorld, days: number, seed = 1): StayScore {
  const mean = (leave: Leaver) => meanDay(world, leave, days, seed)
  const clocks = [4, 8, 12, 16, 20, 28, 36, 48, 60, 80, 120]
  const thresholds = [0.1, 0.2, 0.3, 0.45, 0.6, 0.8, 1, 1.25, 1.5, 1.8, 2.2, 2.7, 3.3].map(share => share * world.meanPerHour)
  return { world, advised: mean(byAdvice), clock: Math.max(...clocks.map(c => mean(byClock(c)))), knowing: Math.max(...thresholds.map(t => mean(byThreshold(t)))) }
}
