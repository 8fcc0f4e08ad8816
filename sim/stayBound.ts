import type { Leaver, StayWorld } from './stayDays'

/**
 * The best that a rule can do which is told everything of a world and sees no fish: how places differ, how a bite fades, what signs mean, the run, but
 * not what bites at this place. Worked out backward from the end of the day over minutes left, minutes here and what was seen here; under known fading
 * the number seen is all there is to know (the rate stays a Gamma). What fish taken put off is left out.
 * @returns the rule, and the fish it expects of a day
 */
export function bestUnseen(world: StayWorld): { leave: Leaver, fish: number } {
  const { dayMin, askMin, travelMin, fadeMin } = world
  const [shape, minutes] = [1 / world.patchy ** 2, 60 / (world.patchy ** 2 * world.meanPerHour)]
  const seenPerFish = 1 + world.signsPerFish
  const share = (from: number, to: number) => fadeMin * (Math.exp(-from / fadeMin) - Math.exp(-to / fadeMin))
  const spells = Math.floor(dayMin / askMin) + 1
  const most = Math.ceil(MOST_FISH * seenPerFish)
  const arriving = new Float64Array(dayMin + 1)
  // Staying is worth what the spell brings and the table of as many minutes ago: no table older than a spell is asked for again.
  const tables: Float64Array[] = []
  const goes: Uint8Array[] = []
  for (let left = 1; left <= dayMin; left++) {
    const spell = Math.min(askMin, left)
    const table = new Float64Array(spells * most)
    const go = new Uint8Array(spells * most)
    const next = left > spell ? tables[(left - spell) % (askMin + 1)]! : null
    const elsewhere = left > travelMin ? arriving[left - travelMin]! : 0
    for (let k = 0; k * askMin <= dayMin - left; k++) {
      const gained = share(k * askMin, k * askMin + spell)
      const known = minutes + seenPerFish * share(0, k * askMin)
      for (let seen = 0; seen < (k === 0 ? 1 : most); seen++) {
        const stay = ((shape + seen) / known) * gained + (next ? onward(next, (k + 1) * most, { seen, most, shape: shape + seen, known, effort: seenPerFish * gained }) : 0)
        if (k === 0) arriving[left] = stay
        else if (elsewhere > stay) go[k * most + seen] = 1
        table[k * most + seen] = k === 0 ? stay : Math.max(stay, elsewhere)
      }
    }
    tables[left % (askMin + 1)] = table
    goes[left] = go
  }
  const leave: Leaver = ({ stretches, minutes, left }) => {
    const seen = stretches.reduce((sum, s) => sum + s.catches + (world.signsPerFish > 0 ? s.follows + s.taps : 0), 0)
    return goes[Math.round(left)]![Math.round(minutes / askMin) * most + Math.min(seen, most - 1)] === 1
  }
  return { leave, fish: arriving[dayMin]! }
}

/** More fish than any place gives before it is left; a day with more counts as one with so many. */
const MOST_FISH = 100

/** Mean of a row of the table over how many are seen in the coming spell: negative binomial. */
function onward(table: Float64Array, row: number, { seen, most, shape, known, effort }: { seen: number, most: number, shape: number, known: number, effort: number }): number {
  let chance = (known / (known + effort)) ** shape
  let covered = 0
  let value = 0
  let n = 0
  for (; covered < 1 - 1e-7 && seen + n < most - 1; n++) {
    value += chance * table[row + seen + n]!
    covered += chance
    chance *= (((shape + n) / (n + 1)) * effort) / (known + effort)
  }
  return value + (1 - covered) * table[row + seen + n]!
}
