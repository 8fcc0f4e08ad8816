import type { PlaceKind } from '../place/kinds'
import type { Mood } from './mood'
import { DEFAULT_SCHOOLS, type Schools } from './schools'

/** One change of the ladder: one thing at a time. */
export interface Rung {
  id: string
  change: 'size' | 'retrieve' | 'colour' | 'weight'
  /** what it is now and what it becomes, in words */
  from: string
  to: string
  /** casts or drops to give it before the next */
  presentations: number
  /** length of the body or weight of the head it becomes, in SI; none for a retrieve or a colour */
  value?: number
}

type Change = Pick<Rung, 'change' | 'from' | 'to' | 'value'>

export interface LadderOptions {
  mood: Mood
  /** a dock is worked as the angler's school has it */
  kind?: PlaceKind
  schools?: Schools
  /** see `colourFor` */
  colourMatters: 'first' | 'some' | 'last'
  /** body in use, and the others in the box, shortest first, by their names */
  body: { name: string, lengthM: number }
  bodies: readonly { name: string, lengthM: number }[]
  colour: string
  colours: readonly string[]
  /** head in use, and the others carried, kg, with their names */
  head: { name: string, massKg: number }
  heads: readonly { name: string, massKg: number }[]
}

/** Presentations of one thing before the next: slow fish are given longer. */
const GIVEN: Record<Mood, number> = { torpid: 20, slow: 15, steady: 12, keen: 10, fast: 8 }
const RETRIEVES: Record<Mood, [now: string, others: string[]]> = {
  torpid: ['held still', ['lifted a hand and held again', 'dragged on the bottom, stopped']],
  slow: ['fall, short pops, fall', ['slow pull and pop', 'held still under a float']],
  steady: ['fall, short pops, fall', ['steady and level', 'slow pull and pop']],
  keen: ['steady and level', ['faster, with stops', 'fall, short pops, fall']],
  fast: ['fast, with stops', ['steady and level', 'ripped and dropped']],
}

/**
 * The agreed order of changes for a fussy school out of what is in the box: one variable at a time, smaller before larger, colour first only where
 * fish look long (DOMAIN §6).
 */
export function buildLadder({ mood, colourMatters, body, bodies, colour, colours, head, heads, kind, schools = DEFAULT_SCHOOLS }: LadderOptions): Rung[] {
  const presentations = GIVEN[mood]
  const smaller = bodies.filter(b => b.lengthM < body.lengthM).sort((a, b) => b.lengthM - a.lengthM)[0]
  const larger = bodies.filter(b => b.lengthM > body.lengthM).sort((a, b) => a.lengthM - b.lengthM)[0]
  const [now, others] = retrieves(mood, kind, schools)
  // Who gambles on one big fish goes up first.
  const sizes = schools.coldSize === 'big' && (mood === 'torpid' || mood === 'slow') ? [larger, smaller] : [smaller, larger]
  const size = sizes.flatMap((b): Change[] => (b ? [{ change: 'size', from: body.name, to: b.name, value: b.lengthM }] : []))
  const retrieve = others.map((to): Change => ({ change: 'retrieve', from: now, to }))
  const tint = colours.filter(c => c !== colour).slice(0, 2).map((to): Change => ({ change: 'colour', from: colour, to }))
  const lighter = heads.filter(h => h.massKg < head.massKg).sort((a, b) => b.massKg - a.massKg)[0]
  const weight: Change[] = lighter ? [{ change: 'weight', from: head.name, to: lighter.name, value: lighter.massKg }] : []
  const order = colourMatters === 'first' ? [tint, size, retrieve] : [size, retrieve, tint]
  // Round by round: the first of each, then the second, so that no one thing is tried to the end while the others wait.
  const rounds = Math.max(...order.map(list => list.length))
  const mixed = Array.from({ length: rounds }, (_, i) => order.flatMap(list => list.slice(i, i + 1))).flat()
  return [...mixed, ...weight].map((rung, i) => ({ ...rung, id: `${rung.change}-${i + 1}`, presentations }))
}

/** A dock is begun as the angler's school has it, and the other school's way is the first change. */
function retrieves(mood: Mood, kind: PlaceKind | undefined, schools: Schools): [now: string, others: string[]] {
  const [now, others] = RETRIEVES[mood]
  if (kind !== 'dock') return [now, others]
  const ways = ['fall, short pops, fall', 'slow pull and pop']
  const [first, second] = schools.dockRetrieve === 'popFall' ? ways : ways.reverse()
  return [first!, [second!, ...[now, ...others].filter(way => !ways.includes(way)).slice(0, 1)]]
}
