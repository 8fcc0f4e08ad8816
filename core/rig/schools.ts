/** A question on which practitioners disagree: both answers are offered, the first is the default (DOMAIN §11). */
interface SchoolQuestion { question: string, answers: readonly [SchoolAnswer, SchoolAnswer] }
interface SchoolAnswer { id: string, says: string }

const q = <A extends string, B extends string>(question: string, a: A, saysA: string, b: B, saysB: string) => ({ question, answers: [{ id: a, says: saysA }, { id: b, says: saysB }] as const })

export const SCHOOLS = {
  coldSize: q('Size for slow fish', 'small', 'small: more bites', 'big', 'one big bait for one big fish'),
  dockRetrieve: q('Working a dock', 'popFall', 'pop, then fall to the bottom', 'pullPop', 'slow pull and pop back'),
  dockColour: q('Colour under a dock', 'reflex', 'bites are reflex: size and retrieve first', 'matters', 'colour matters there too'),
  line: q('Line', 'braid', 'braid and leader to cast, mono round posts', 'mono', 'straight mono everywhere'),
  noise: q('Noise', 'search', 'rattle to search, silent when near', 'silent', 'silent always'),
  overDeep: q('Over deep fish', 'close', 'close beyond 12 ft in stained water', 'far', 'far off always'),
} as const satisfies Record<string, SchoolQuestion>

export type SchoolKey = keyof typeof SCHOOLS
export const SCHOOL_KEYS = Object.keys(SCHOOLS) as SchoolKey[]
/** The answers an angler goes by, one for each question. */
export type Schools = { [K in SchoolKey]: (typeof SCHOOLS)[K]['answers'][number]['id'] }

export const DEFAULT_SCHOOLS: Schools = { coldSize: 'small', dockRetrieve: 'popFall', dockColour: 'reflex', line: 'braid', noise: 'search', overDeep: 'close' }

/** What the chosen answer says, and the other. */
export function schoolViews(key: SchoolKey, schools: Schools): { question: string, here: SchoolAnswer, other: SchoolAnswer } {
  const { question, answers } = SCHOOLS[key]
  const [a, b] = answers
  return schools[key] === a.id ? { question, here: a, other: b } : { question, here: b, other: a }
}
