import type { Mood } from './mood'

/** One change of the ladder: one thing at a time. */
export interface Rung {
  id: string
  change: 'size' | 'retrieve' | 'colour' | 'weight'
  /** what it is now and what it becomes, in words */
  from: string
  to: string
  /** casts or drops to give it before the next */
  presentations: number
}

type Change = Pick<Rung, 'change' | 'from' | 'to'>

export interface LadderOptions {
  mood: Mood
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
export function buildLadder({ mood, colourMatters, body, bodies, colour, colours, head, heads }: LadderOptions): Rung[] {
  const presentations = GIVEN[mood]
  const smaller = bodies.filter(b => b.lengthM < body.lengthM).sort((a, b) => b.lengthM - a.lengthM)[0]
  const larger = bodies.filter(b => b.lengthM > body.lengthM).sort((a, b) => a.lengthM - b.lengthM)[0]
  const [now, others] = RETRIEVES[mood]
  const size = [smaller, larger].flatMap((b): Change[] => (b ? [{ change: 'size', from: body.name, to: b.name }] : []))
  const retrieve = others.map((to): Change => ({ change: 'retrieve', from: now, to }))
  const tint = colours.filter(c => c !== colour).slice(0, 2).map((to): Change => ({ change: 'colour', from: colour, to }))
  const lighter = heads.filter(h => h.massKg < head.massKg).sort((a, b) => b.massKg - a.massKg)[0]
  const weight: Change[] = lighter ? [{ change: 'weight', from: head.name, to: lighter.name }] : []
  const order = colourMatters === 'first' ? [tint, size, retrieve] : [size, retrieve, tint]
  // Round by round: the first of each, then the second, so that no one thing is tried to the end while the others wait.
  const rounds = Math.max(...order.map(list => list.length))
  const mixed = Array.from({ length: rounds }, (_, i) => order.flatMap(list => list.slice(i, i + 1))).flat()
  return [...mixed, ...weight].map((rung, i) => ({ ...rung, id: `${rung.change}-${i + 1}`, presentations }))
}
