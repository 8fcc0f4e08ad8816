import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { effectiveEntries, lastUndoable } from './effectiveEntries'
import type { Entry, EntryBodies, EntryKind } from './entries'
import { catchRate } from './catchRate'
import { reduceTrip } from './reduceTrip'
import { whatProduced } from './whatProduced'

let serial = 0
/** An entry `minute` minutes into the day; ids grow in the order of writing. */
function entry<K extends EntryKind>(minute: number, kind: K, body: EntryBodies[K]): Entry {
  const id = `00000000-0000-7000-8000-${String(++serial).padStart(12, '0')}`
  return { id, tripId: 'trip', at: new Date(Date.UTC(2026, 3, 24, 12, minute)).toISOString(), kind, body } as Entry
}
const undo = (minute: number, target: Entry) => entry(minute, 'undo', { entryId: target.id })
const noFish: EntryBodies['fish'] = { schoolId: null, species: null, lengthM: null, fate: null, depthM: null }
const school = (minute: number, placeId: string | null = 'brush') => entry(minute, 'school', { placeId, topM: 2, bottomM: 3, waterDepthM: 4, tightness: 'loose' })
const rig = (minute: number, headKg: number) => entry(minute, 'rig', { family: 'castJig', headKg, bodyLengthM: 0.04, bodyName: 'Slim', lineDiameterM: 1.8e-4, stopM: null })

function day() {
  const start = entry(0, 'start', { waterId: 'water' })
  const reading = entry(1, 'conditions', { waterC: 12, secchiM: 0.8, windMS: 3, windFromDeg: 200, sky: 'clear' })
  const arrive = entry(5, 'arrive', { placeId: 'brush' })
  const seen = school(8)
  const tied = rig(9, 0.0009)
  const fish = entry(12, 'fish', { ...noFish, schoolId: seen.id, species: 'blackCrappie', lengthM: 0.28, fate: 'kept', depthM: 2.1 })
  const look = entry(13, 'sign', { schoolId: seen.id, sign: 'look' })
  const stretch = entry(30, 'stretch', { schoolId: seen.id, minutes: 22, presentations: 26, looks: 1, follows: 2, taps: 3 })
  const move = entry(31, 'move', {})
  const end = entry(40, 'end', {})
  return { start, reading, arrive, seen, tied, fish, look, stretch, move, end }
}

describe('effectiveEntries', () => {
  it('leaves out what was undone and restores what had its undo undone', () => {
    const { start, fish } = day()
    const first = undo(20, fish)
    const second = undo(21, first)
    expect(effectiveEntries([start, fish, first]).map(e => e.kind)).toEqual(['start'])
    expect(effectiveEntries([start, fish, first, second]).map(e => e.kind)).toEqual(['start', 'fish'])
    expect(effectiveEntries([start, fish, first, second, undo(22, second)]).map(e => e.kind)).toEqual(['start'])
  })

  it('takes the newest living amend of the right kind', () => {
    const { start, fish } = day()
    const amend = (minute: number, lengthM: number) => entry(minute, 'amend', { entryId: fish.id, body: { kind: 'fish', body: { ...noFish, lengthM } } })
    const [early, late] = [amend(15, 0.2), amend(16, 0.3)]
    const wrong = entry(17, 'amend', { entryId: fish.id, body: { kind: 'note', body: { text: 'x' } } })
    const lengthOf = (entries: Entry[]) => effectiveEntries(entries).flatMap(e => (e.kind === 'fish' ? [e.body.lengthM] : []))
    expect(lengthOf([start, fish, late, early, wrong])).toEqual([0.3])
    expect(lengthOf([start, fish, early, late, undo(18, late)])).toEqual([0.2])
  })

  it('survives undos that name each other', () => {
    const { start, fish } = day()
    const a = entry(20, 'undo', { entryId: 'b' })
    const circle = [{ ...a, id: 'a' }, { ...a, id: 'b', body: { entryId: 'a' } }] as Entry[]
    expect(effectiveEntries([start, fish, ...circle])).toHaveLength(2)
  })

  it('offers the newest living entry to undo, never the start', () => {
    const { start, arrive, fish } = day()
    expect(lastUndoable(effectiveEntries([start]))).toBeNull()
    expect(lastUndoable(effectiveEntries([start, arrive, fish]))!.id).toBe(fish.id)
    expect(lastUndoable(effectiveEntries([start, arrive, fish, undo(20, fish)]))!.id).toBe(arrive.id)
  })
})

describe('reduceTrip', () => {
  it('turns a day into schools, fish, effort, visits and conditions', () => {
    const trip = reduceTrip(Object.values(day()))!
    expect(trip).toMatchObject({ waterId: 'water', endedAt: '2026-04-24T12:40:00.000Z' })
    expect(trip.effort).toEqual({ minutes: 22, presentations: 26, looks: 2, follows: 2, taps: 3 })
    expect(trip.schools[0]).toMatchObject({ placeId: 'brush', waterC: 12, secchiM: 0.8, minutes: 22, looks: 2 })
    expect(trip.schools[0]!.fish).toHaveLength(1)
    expect(trip.fish[0]).toMatchObject({ placeId: 'brush', species: 'blackCrappie', fate: 'kept' })
    expect(trip.fish[0]!.rigId).toBe(trip.rigs[0]!.id)
    expect(trip.visits).toEqual([expect.objectContaining({ placeId: 'brush', leftAt: '2026-04-24T12:31:00.000Z', fish: 1, minutes: 22 })])
  })

  it('does not depend on the order of arrival or on copies', () => {
    const entries = Object.values(day())
    const amended = [...entries, entry(50, 'amend', { entryId: entries[5]!.id, body: { kind: 'fish', body: { ...noFish, lengthM: 0.31 } } }), undo(51, entries[6]!)]
    const wanted = reduceTrip(amended)
    fc.assert(fc.property(fc.shuffledSubarray([...amended, ...amended], { minLength: amended.length * 2, maxLength: amended.length * 2 }), (shuffled) => {
      expect(reduceTrip(shuffled)).toEqual(wanted)
    }), { numRuns: 60 })
  })

  it('keeps a fish whose school was undone, as of no school', () => {
    const all = day()
    const trip = reduceTrip([...Object.values(all), undo(45, all.seen)])!
    expect(trip.schools).toHaveLength(0)
    expect(trip.fish).toHaveLength(1)
    expect(trip.fish[0]!.placeId).toBe('brush')
  })

  it('closes a visit when the next begins, and leaves the last one open', () => {
    const { start, arrive } = day()
    const trip = reduceTrip([start, arrive, entry(25, 'arrive', { placeId: 'dock' })])!
    expect(trip.visits.map(v => v.leftAt)).toEqual(['2026-04-24T12:25:00.000Z', null])
  })

  it('is null when nothing is left', () => {
    expect(reduceTrip([])).toBeNull()
    const { start } = day()
    expect(reduceTrip([start, undo(1, start)])).toBeNull()
  })
})

describe('what produced and how fast', () => {
  it('groups fish by the rig as it was tied, most first', () => {
    const s = school(2)
    const fish = (minute: number, lengthM: number | null) => entry(minute, 'fish', { ...noFish, schoolId: s.id, lengthM, fate: 'kept' })
    const trip = reduceTrip([entry(0, 'start', { waterId: 'w' }), s, fish(3, 0.2), rig(4, 0.0009), fish(5, null), rig(6, 0.0018), fish(7, 0.25), rig(8, 0.0009), fish(9, 0.3)])!
    const produced = whatProduced(trip)
    expect(produced.map(p => [p.rig?.headKg ?? null, p.fish])).toEqual([[0.0009, 2], [null, 1], [0.0018, 1]])
    expect(produced[0]).toMatchObject({ kept: 2, longestM: 0.3, shortestM: 0.3 })
  })

  it('gives no rate from little water fished or few fish', () => {
    expect(catchRate({ fish: 9, minutes: 100 })).toEqual({ perHour: null, missing: 'hours' })
    expect(catchRate({ fish: 4, minutes: 300 })).toEqual({ perHour: null, missing: 'fish' })
    expect(catchRate({ fish: 10, minutes: 240 })).toEqual({ perHour: 2.5 })
    expect(() => catchRate({ fish: -1, minutes: 240 })).toThrow(/fish is -1/)
  })
})
