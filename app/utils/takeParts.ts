/** What goes along with a water, by the word that the angler reads. */
export const PART_NAMES = ['chart', 'places', 'forecast', 'ladders', 'tackle', 'log'] as const
export type PartName = (typeof PART_NAMES)[number]

export interface TakePart {
  name: PartName
  /** under /api/ */
  path: string
  form: 'json' | 'bytes'
}

/** Days of the log that go along, newest first. */
export const DAYS_ALONG = 12

const OF_WATER: [string, PartName, TakePart['form']][] = [
  ['', 'chart', 'json'], ['/grid', 'chart', 'bytes'], ['/levels', 'chart', 'json'], ['/places', 'places', 'json'],
  ['/weather', 'forecast', 'json'], ['/weather/series', 'forecast', 'bytes'], ['/season', 'forecast', 'json'], ['/ladders', 'ladders', 'json'], ['/record', 'log', 'json'],
]
const OF_ANY: TakePart[] = [
  { name: 'chart', path: 'waters', form: 'json' }, { name: 'tackle', path: 'tackle', form: 'json' }, { name: 'tackle', path: 'me', form: 'json' }, { name: 'log', path: 'trips', form: 'json' },
]
const TRIP = /^trips\/[^/]+$/

/** Every answer that a water needs without a network, its days left out. */
export function partsOfWater(waterId: string): TakePart[] {
  return [...OF_WATER.map(([rest, name, form]) => ({ name, path: `waters/${waterId}${rest}`, form })), ...OF_ANY]
}

/** Whose part an answer is: of a water, of any (null), or of nothing that is taken along. */
export function partAt(path: string): { name: PartName, waterId: string | null } | null {
  const general = OF_ANY.find(p => p.path === path)
  if (general) return { name: general.name, waterId: null }
  if (TRIP.test(path)) return { name: 'log', waterId: null }
  const [, waterId, rest] = /^waters\/([^/]+)(.*)$/.exec(path) ?? []
  const part = waterId ? OF_WATER.find(([end]) => end === rest) : undefined
  return part && waterId ? { name: part[1], waterId } : null
}

/** How old each part of a water is: as old as its oldest answer; null when one is missing. */
export function partAges(waterId: string, savedMs: ReadonlyMap<string, number>): Record<PartName, number | null> {
  const ages = Object.fromEntries(PART_NAMES.map(name => [name, Number.POSITIVE_INFINITY])) as Record<PartName, number | null>
  for (const { name, path } of partsOfWater(waterId)) {
    const saved = savedMs.get(path)
    const before = ages[name]
    ages[name] = saved === undefined || before === null ? null : Math.min(before, saved)
  }
  return ages
}
