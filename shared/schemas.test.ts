import { v7 as uuidv7 } from 'uuid'
import { describe, expect, it } from 'vitest'
import { pellowickGrid } from '../demo/pellowick'
import { pellowickPlaces } from '../demo/places'
import { starterTackle } from '../demo/tackle'
import { anglerChangeSchema } from './angler'
import { entrySchema, journalBatchSchema, MOST_ENTRIES } from './journal'
import { placeSchema } from './places'
import { tackleSchema } from './tackle'
import { check } from './validate'

const entry = (kind: string, body: unknown, change: object = {}) => ({ id: uuidv7(), tripId: uuidv7(), at: '2026-04-24T12:00:00.000Z', kind, body, ...change })
const error = (result: ReturnType<typeof check>) => (result.ok ? null : result.error)

describe('journal entries', () => {
  const fish = { schoolId: null, species: 'whiteBass', lengthM: 0.3, fate: 'kept', depthM: 2 }
  it.each([
    ['start', { waterId: uuidv7() }], ['arrive', { placeId: null }], ['move', {}], ['end', {}], ['note', { text: 'x' }], ['undo', { entryId: uuidv7() }],
    ['school', { placeId: null, topM: 2, bottomM: 2, waterDepthM: 2, tightness: 'loose' }], ['sign', { schoolId: uuidv7(), sign: 'tap' }],
    ['fish', fish], ['fish', { schoolId: null, species: null, lengthM: null, fate: null, depthM: null }],
    ['conditions', { waterC: null, secchiM: 1, windMS: 2, windFromDeg: 359, sky: null }],
    ['rig', { family: 'slipFloat', headKg: 0.0009, bodyLengthM: 0.04, bodyName: 'Slim', lineDiameterM: 1e-4, stopM: 2 }],
    ['stretch', { schoolId: null, minutes: 10, presentations: 0, looks: 0, follows: 0, taps: 0 }],
    ['amend', { entryId: uuidv7(), body: { kind: 'fish', body: fish } }],
  ])('takes a good %s', (kind, body) => {
    expect(error(check(entrySchema, entry(kind, body)))).toBeNull()
  })

  it.each([
    ['fish', { ...fish, lengthM: 11 }, 'body.lengthM'], ['fish', { ...fish, species: 'pike' }, 'body.species'], ['fish', { ...fish, weight: 1 }, 'body.weight'],
    ['school', { placeId: null, topM: 3, bottomM: 2, waterDepthM: 5, tightness: 'loose' }, 'body.bottomM'],
    ['school', { placeId: null, topM: 1, bottomM: 2, waterDepthM: 1.5, tightness: 'loose' }, 'body.waterDepthM'],
    ['conditions', { waterC: 12, secchiM: 0, windMS: 2, windFromDeg: 360, sky: 'clear' }, 'body.secchiM'],
    ['amend', { entryId: uuidv7(), body: { kind: 'start', body: {} } }, 'body.body.kind'], ['amend', { entryId: uuidv7(), body: { kind: 'note', body: fish } }, 'body.body.body.text'],
    ['sign', { schoolId: null }, 'body.sign'], ['move', { far: true }, 'body.far'],
  ])('refuses a bad %s and names the field', (kind, body, field) => {
    expect(error(check(entrySchema, entry(kind, body)))).toMatchObject({ field, message: expect.stringContaining(field.split('.').at(-1)!) as string })
  })

  it('wants ids made on a device and instants in UTC', () => {
    expect(error(check(entrySchema, entry('end', {}, { id: '0b0f9f4e-0000-4000-8000-000000000000' })))).toMatchObject({ field: 'id' })
    expect(error(check(entrySchema, entry('end', {}, { id: uuidv7().toUpperCase() })))).toMatchObject({ field: 'id' })
    for (const at of ['2026-04-24', '2026-04-24T12:00:00+02:00', 'yesterday', 7]) expect(error(check(entrySchema, entry('end', {}, { at }))), String(at)).toMatchObject({ field: 'at' })
  })

  it('bounds a batch', () => {
    const many = Array.from({ length: MOST_ENTRIES + 1 }, () => entry('end', {}))
    expect(error(check(journalBatchSchema, { entries: many }))).toMatchObject({ field: 'entries' })
    expect(check(journalBatchSchema, { entries: many.slice(1) }).ok).toBe(true)
  })
})

describe('places and tackle', () => {
  const places = pellowickPlaces(pellowickGrid(10), uuidv7)

  it('takes every demo place and thing in the box', () => {
    for (const place of places) expect(error(check(placeSchema, place)), place.name).toBeNull()
    for (const item of starterTackle(uuidv7)) expect(error(check(tackleSchema, item)), item.name).toBeNull()
  })

  it('refuses cover above its bottom, a kind with another kind\'s attributes, a place off the globe', () => {
    const brush = places.find(p => p.kind === 'brush')!
    expect(error(check(placeSchema, { ...brush, attributes: { ...brush.attributes, coverTopM: 99 } }))).toMatchObject({ field: 'attributes.coverTopM' })
    expect(error(check(placeSchema, { ...brush, kind: 'dock' }))?.field).toMatch(/^attributes/)
    expect(error(check(placeSchema, { ...brush, latDeg: 97 }))).toMatchObject({ field: 'latDeg' })
    expect(error(check(placeSchema, { ...brush, name: '   ' }))).toMatchObject({ field: 'name' })
  })

  it('refuses a head of no weight', () => {
    const head = starterTackle(uuidv7)[0]!
    expect(error(check(tackleSchema, { ...head, attributes: { ...head.attributes, massKg: 0 } }))).toMatchObject({ field: 'attributes.massKg' })
  })
})

describe('settings', () => {
  it('wants at least one known change', () => {
    expect(error(check(anglerChangeSchema, {}))).toEqual({ message: 'settings must have at least 1 key' })
    expect(error(check(anglerChangeSchema, { waveLimitM: '0.3' }))).toMatchObject({ field: 'waveLimitM' })
    expect(check(anglerChangeSchema, { waveLimitM: 0.3 }).ok).toBe(true)
  })
})
