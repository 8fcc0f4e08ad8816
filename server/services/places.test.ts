import { v7 as uuidv7 } from 'uuid'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Place } from '../../core/place/kinds'
import { check } from '../../shared/validate'
import { placeSchema } from '../../shared/places'
import { anglers } from '../db/schema'
import { demoDb, entryOf } from '../support/testDb'
import { Fault } from './fault'
import { appendEntries } from './journal'
import { keepPlace, removePlace } from './places'
import { listPlaces, requireWater, waterRecord } from './waters'

let demo: ReturnType<typeof demoDb>
beforeEach(() => {
  demo = demoDb()
})
const NOW = Date.parse('2026-04-24T12:00:00.000Z')
const dock = (change: Partial<Place> = {}): Place => ({
  id: uuidv7(), name: 'Heron dock', kind: 'dock', lonDeg: -88.6, latDeg: 40.2, attributes: { bottomDepthM: 3, deckAreaM2: 30, deckHeightM: 0.8, roofed: false, facingDeg: 90, brushAtCorners: false }, ...change,
} as Place)
const list = () => listPlaces(demo.db, demo.ownerId, demo.waterId)
const record = () => waterRecord(demo.db, demo.ownerId, requireWater(demo.db, demo.ownerId, demo.waterId))

describe('keeping places', () => {
  it('adds one, changes it, and is not confused by hearing it twice', () => {
    const before = list().length
    const place = dock()
    keepPlace(demo.db, demo.ownerId, demo.waterId, place)
    keepPlace(demo.db, demo.ownerId, demo.waterId, place)
    expect(list()).toHaveLength(before + 1)
    keepPlace(demo.db, demo.ownerId, demo.waterId, { ...place, name: 'Heron dock, roofed' })
    expect(list().find(p => p.id === place.id)).toMatchObject({ name: 'Heron dock, roofed', attributes: { deckAreaM2: 30 } })
  })
  it('takes one off the chart with its log kept, and puts it back', () => {
    const place = dock()
    keepPlace(demo.db, demo.ownerId, demo.waterId, place)
    const tripId = uuidv7()
    appendEntries(demo.db, demo.ownerId, [
      entryOf(tripId, 'start', { waterId: demo.waterId }), entryOf(tripId, 'arrive', { placeId: place.id }, '2026-04-24T12:05:00.000Z'),
      entryOf(tripId, 'fish', { schoolId: null, species: 'blackCrappie', lengthM: 0.25, fate: 'released', depthM: null }, '2026-04-24T12:10:00.000Z'),
    ])
    removePlace(demo.db, demo.ownerId, demo.waterId, place.id, NOW)
    removePlace(demo.db, demo.ownerId, demo.waterId, place.id, NOW)
    expect(list().some(p => p.id === place.id)).toBe(false)
    expect(record().goneNames).toEqual({ [place.id]: 'Heron dock' })
    expect(record().catches.filter(c => c.placeId === place.id)).toHaveLength(1)
    expect(record().visits.filter(v => v.placeId === place.id)).toHaveLength(1)
    // An entry that was written before the device heard of it still goes in.
    appendEntries(demo.db, demo.ownerId, [entryOf(tripId, 'arrive', { placeId: place.id }, '2026-04-24T12:30:00.000Z')])
    keepPlace(demo.db, demo.ownerId, demo.waterId, place)
    expect(list().some(p => p.id === place.id)).toBe(true)
    expect(record().goneNames).toEqual({})
  })
  it('leaves the places of others alone', () => {
    const place = dock()
    keepPlace(demo.db, demo.ownerId, demo.waterId, place)
    const other = uuidv7()
    demo.db.insert(anglers).values({ id: other, name: 'another', units: 'us', waveLimitM: 0.3 }).run()
    expect(() => keepPlace(demo.db, other, demo.waterId, { ...place, name: 'mine now' })).toThrow(Fault)
    expect(() => removePlace(demo.db, other, demo.waterId, place.id, NOW)).toThrow(/no place/)
    expect(() => removePlace(demo.db, demo.ownerId, demo.waterId, uuidv7(), NOW)).toThrow(/no place/)
    expect(list().find(p => p.id === place.id)!.name).toBe('Heron dock')
  })
  it.each([
    [{ name: ' ' }, 'name'], [{ lonDeg: 190 }, 'lonDeg'], [{ kind: 'cave' }, 'kind'], [{ attributes: { ...dock().attributes, deckAreaM2: 0 } }, 'attributes.deckAreaM2'], [{ attributes: { ...dock().attributes, colour: 'red' } }, 'attributes.colour'],
    [{ kind: 'brush', attributes: { bottomDepthM: 2, coverTopM: 3, material: 'cedar' } }, 'attributes.coverTopM'], [{ kind: 'brush', attributes: dock().attributes }, 'attributes.coverTopM'],
  ])('refuses %j by its field', (change, field) => {
    expect(check(placeSchema, { ...dock(), ...change })).toMatchObject({ ok: false, error: { field } })
  })
})
