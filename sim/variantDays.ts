import { pickVariant, type VariantArm } from '../core/school/nextVariant'
import { seededRandom } from '../core/numeric/random'

/** How many things there are to try, how many casts a school is given, how its wants are spread, and what a change costs. */
export interface VariantWorld { name: string, arms: number, casts: number, wants: (random: () => number) => number, changeCasts: number }

export type Picker = (arms: readonly VariantArm[]) => number

const EVEN = (random: () => number) => 0.01 + 0.14 * random()
const FEW_GOOD = (random: () => number) => 0.01 + 0.14 * random() ** 3
const LONG_TAIL = (random: () => number) => Math.min(0.5, -0.06 * Math.log(1 - random()))
export const VARIANT_WORLDS: readonly VariantWorld[] = ([['even wants', EVEN], ['one or two good', FEW_GOOD], ['a long tail', LONG_TAIL]] as const)
  .flatMap(([name, wants]) => [[4, 100], [4, 200], [4, 300], [6, 100], [6, 200], [6, 300], [10, 100], [10, 200], [10, 300]].map(([arms, casts]) => ({ name: `${name}, ${arms} things, ${casts} casts`, arms: arms!, casts: casts!, wants, changeCasts: 1 })))

/** Takes of one school with a rule for what to show it. */
function fishSchool(world: VariantWorld, pick: Picker, seed: number): number {
  const random = seededRandom(seed)
  const wants = Array.from({ length: world.arms }, () => world.wants(random))
  const arms: VariantArm[] = wants.map((_, i) => ({ id: String(i), presentations: 0, takes: 0 }))
  let [takes, on] = [0, -1]
  for (let cast = 0; cast < world.casts; cast++) {
    const next = pick(arms)
    if (on >= 0 && next !== on) cast += world.changeCasts
    if (cast >= world.casts) break
    on = next
    arms[next]!.presentations++
    if (random() < wants[next]!) {
      arms[next]!.takes++
      takes++
    }
  }
  return takes
}

/** Ten casts of each, then the best of them for good. */
function tenOfEach(): Picker {
  let best: number | null = null
  return (arms) => {
    const open = arms.findIndex(a => a.presentations < 10)
    if (open >= 0) return open
    return best ??= arms.reduce((top, a, i) => (a.takes > arms[top]!.takes ? i : top), 0)
  }
}

export const byVariant: Picker = arms => pickVariant({ arms, priorMean: 0.055, priorStrength: 12.7 })

/** Mean takes by the advice and by ten of each, over so many schools. */
export function judgeVariant(world: VariantWorld, schools: number, seed = 1): { advised: number, ten: number } {
  const mean = (pick: () => Picker) => Array.from({ length: schools }, (_, i) => fishSchool(world, pick(), seed * 10_000 + i)).reduce((a, b) => a + b, 0) / schools
  return { advised: mean(() => byVariant), ten: mean(tenOfEach) }
}
