import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { countLimits, limitText } from '../fish/limits'
import { SPECIES } from '../fish/species'
import { seededRandom } from '../numeric/random'
import { effectiveEntries } from './effectiveEntries'
import { SIGNS, type Entry, type EntryBodies, type EntryKind } from './entries'
import { reduceTrip } from './reduceTrip'

const COUNT = 2000
const RULES = [{ species: ['blackCrappie', 'whiteCrappie'] as const, bag: 25, leastM: 0.23, mostM: null }, { species: ['whiteBass'] as const, bag: 15, leastM: null, mostM: 0.4 }]

/** Two devices of one boat, the second's clock four minutes ahead: every kind, with undos, undone undos, amends, and undos of what is still to come. */
function twoDevices(seed: number): Entry[] {
  const random = seededRandom(seed)
  const entries: Entry[] = []
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!
  const any = (kind: EntryKind) => {
    const of = entries.filter(e => e.kind === kind)
    return of.length > 0 ? pick(of).id : null
  }
  const add = <K extends EntryKind>(kind: K, body: EntryBodies[K]) => {
    const second = random() < 0.5
    const atMs = Date.UTC(2026, 3, 24, 11) + entries.length * 15_000 + (second ? 240_000 : 0) - Math.floor(random() * 3000)
    // The devices' ids do not rise together.
    const id = `${second ? '1' : '0'}${Math.floor(random() * 1e15).toString(16).padStart(15, '0')}`
    entries.push({ id, tripId: 'trip', at: new Date(atMs).toISOString(), kind, body, by: second ? 'phone' : 'tablet' } as Entry)
  }
  add('start', { waterId: 'water' })
  const fish = (): EntryBodies['fish'] => ({ schoolId: random() < 0.9 ? any('school') : null, species: random() < 0.9 ? pick(SPECIES) : null, lengthM: random() < 0.8 ? 0.15 + 0.3 * random() : null, fate: pick(['kept', 'released', null]), depthM: random() < 0.5 ? 2 : null })
  while (entries.length < COUNT) {
    const r = random()
    if (r < 0.05) add('arrive', { placeId: pick(['brush', 'dock', null]) })
    else if (r < 0.08) add('move', {})
    else if (r < 0.14) add('school', { placeId: pick(['brush', 'dock']), topM: 2, bottomM: 3, waterDepthM: 5, tightness: 'loose' })
    else if (r < 0.2) add('rig', { family: 'castJig', headKg: 0.001 * (1 + random()), bodyLengthM: 0.04, bodyName: 'Slim', lineDiameterM: 2e-4, stopM: null, colour: pick(['white', 'pink']) })
    else if (r < 0.5) add('sign', { schoolId: any('school'), sign: pick(SIGNS) })
    else if (r < 0.6) add('stretch', { schoolId: any('school'), minutes: 5, presentations: 6, looks: 1, follows: 0, taps: 1 })
    else if (r < 0.8) add('fish', fish())
    else if (r < 0.81) add('boil', { placeId: null, lonDeg: -88.6, latDeg: 40.2, towardDeg: pick([null, 90]) })
    else if (r < 0.83) add('conditions', { waterC: 12, secchiM: 0.5 + random(), windMS: 3, windFromDeg: 200, sky: 'clear' })
    else if (r < 0.92) add('undo', { entryId: pick(entries.slice(1)).id })
    else {
      const target = any('fish')
      if (target) add('amend', { entryId: target, body: { kind: 'fish', body: fish() } })
    }
  }
  return entries
}

/** Everything that is shown of a day. */
function shown(entries: readonly Entry[]) {
  const trip = reduceTrip(entries)!
  return { schools: trip.schools, catches: trip.fish, effort: trip.effort, rigs: trip.rigs, visits: trip.visits, boils: trip.boils, limits: countLimits({ rules: RULES, fish: trip.fish }), live: effectiveEntries(entries).map(e => e.id) }
}

describe('a journal of 2,000 entries from two devices', () => {
  it('gives the same schools, catches, effort and limits however it is shuffled, doubled and cut into batches', () => {
    const entries = twoDevices(7)
    const wanted = shown(entries)
    expect(wanted.catches.length).toBeGreaterThan(100)
    expect(wanted.limits[0]!.kept).toBeGreaterThan(10)
    fc.assert(fc.property(fc.integer({ min: 1, max: 1e9 }), fc.integer({ min: 2, max: 40 }), (seed, parts) => {
      const random = seededRandom(seed)
      const shuffled = entries.flatMap(e => (random() < 0.3 ? [e, structuredClone(e)] : [e])).map(e => [random(), e] as const).sort((a, b) => a[0] - b[0]).map(([, e]) => e)
      // Sent in batches, some of them twice; the set that has come together is what counts.
      const cuts = Array.from({ length: parts }, (_, i) => shuffled.slice((shuffled.length * i) / parts, (shuffled.length * (i + 1)) / parts))
      const arrived = new Map<string, Entry>()
      for (const batch of [...cuts, ...cuts.filter(() => random() < 0.3)].reverse()) for (const e of batch) arrived.set(e.id, e)
      expect(arrived.size).toBe(COUNT)
      expect(shown([...arrived.values()])).toEqual(wanted)
    }), { numRuns: 20 })
  })
  it('is whole only when all has come: half of it is a day too, and the rest changes it to the same', () => {
    const entries = twoDevices(11)
    const half = entries.slice(0, COUNT / 2)
    expect(shown(half).catches.length).toBeLessThan(shown(entries).catches.length)
    expect(shown([...entries.slice(COUNT / 2), ...half])).toEqual(shown(entries))
  })
})

describe('limits', () => {
  const fish = (n: number, more: object = {}) => Array.from({ length: n }, (_, i) => ({ id: `f${i}`, at: '', schoolId: null, placeId: null, rigId: null, species: 'blackCrappie' as const, lengthM: 0.26, fate: 'kept' as const, depthM: null, strike: null, fix: null, ...more }))
  const at = (n: number, more: object = {}) => countLimits({ rules: [{ species: ['blackCrappie'], bag: 5, leastM: 0.23, mostM: 0.3 }], fish: fish(n, more) })[0]!
  it('warn one before, stop at the bag, and say when it is over', () => {
    expect([3, 4, 5, 6].map(n => at(n).state)).toEqual(['open', 'oneLeft', 'full', 'over'])
    expect(at(4).left).toBe(1)
    expect([3, 4, 5, 7].map(n => limitText(at(n), 'us'))).toEqual([null, 'One more black crappie and your bag of 5 is full.', 'Your bag of 5 black crappie is full: the next goes back.', '7 black crappie kept, 2 over your bag of 5.'])
  })
  it('count only what was kept and named, and find kept fish of the wrong size', () => {
    expect(at(9, { fate: 'released' }).kept).toBe(0)
    expect(at(9, { species: null }).kept).toBe(0)
    expect(at(2, { lengthM: 0.2 }).wrongSize).toEqual(['f0', 'f1'])
    expect(at(1, { lengthM: 0.31 }).wrongSize).toEqual(['f0'])
    expect(at(1, { lengthM: null }).wrongSize).toEqual([])
    expect(limitText(at(1, { lengthM: 0.2 }), 'metric')).toBe('A kept fish is outside your length rule for black crappie, 23 cm at least, 30 cm at most.')
  })
})
