import { beforeEach, describe, expect, it } from 'vitest'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'
import { firstGuess } from '../../core/place/firstGuess'
import type { Place } from '../../core/place/kinds'
import { placeBatchSchema, placeSchema } from '../../shared/places'
import { check } from '../../shared/validate'
import { anglers, photos, places as placeTable } from '../db/schema'
import { demoDb } from '../support/testDb'
import { Fault } from './fault'
import { keepPhoto, listPhotos, photoBytes, plainPicture, removePhoto } from './photos'
import { keepPlace, keepPlaces, removePlace } from './places'
import { listPlaces } from './waters'

const NOW = Date.parse('2026-04-24T12:00:00Z')
let demo: ReturnType<typeof demoDb>
beforeEach(() => {
  demo = demoDb()
})
const picture = (width: number, height: number, format: 'jpeg' | 'png' | 'webp' | 'gif' = 'jpeg') =>
  sharp({ create: { width, height, channels: 3, background: '#775533' } }).withExif({ IFD0: { Make: 'camera', Copyright: 'me' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '40/1 12/1 0/1' } }).toFormat(format).toBuffer()
const place = (): Place => ({ id: uuidv7(), name: 'Heron brush', kind: 'brush', lonDeg: -88.6, latDeg: 40.2, attributes: firstGuess('brush', 4) as never })

describe('pictures of a place', () => {
  it('are made smaller, and nothing of the camera or the position is left', async () => {
    const raw = await picture(3200, 1200)
    expect((await sharp(raw).metadata()).exif).toBeDefined()
    const kept = await plainPicture(raw)
    const facts = await sharp(kept.bytes).metadata()
    expect(facts).toMatchObject({ format: 'webp', width: 1600, height: 600 })
    expect(facts.exif).toBeUndefined()
    expect(facts.xmp).toBeUndefined()
    expect(kept.bytes.includes('GPS')).toBe(false)
    expect(await plainPicture(await picture(300, 200, 'png'))).toMatchObject({ widthPx: 300, heightPx: 200 })
  })
  it('stand upright whichever way the camera was held', async () => {
    const raw = await sharp(await picture(400, 200)).withMetadata({ orientation: 6 }).toBuffer()
    expect(await plainPicture(raw)).toMatchObject({ widthPx: 200, heightPx: 400 })
  })
  it('that are none, of another kind, or cut off are refused', async () => {
    await expect(plainPicture(Buffer.from('not a picture'))).rejects.toThrow('a picture must be a JPEG, PNG or WebP')
    await expect(plainPicture(await picture(50, 50, 'gif'))).rejects.toThrow('not gif')
    await expect(plainPicture((await picture(900, 900)).subarray(0, 900))).rejects.toThrow(/cannot be read/)
  })
  it('are kept, listed, given back and thrown away, by their owner alone', async () => {
    const { db, ownerId, waterId, places } = demo
    const photo = await keepPhoto(db, ownerId, waterId, places[0]!.id, await picture(200, 100), NOW)
    expect(listPhotos(db, ownerId, places[0]!.id)).toEqual([photo])
    expect((await sharp(photoBytes(db, ownerId, photo.id)).metadata()).width).toBe(200)
    const other = uuidv7()
    db.insert(anglers).values({ id: other, name: 'another', units: 'us', waveLimitM: 0.3 }).run()
    expect(() => photoBytes(db, other, photo.id)).toThrow(Fault)
    expect(() => removePhoto(db, other, photo.id)).toThrow(Fault)
    await expect(keepPhoto(db, other, waterId, places[0]!.id, await picture(9, 9), NOW)).rejects.toThrow(/no place/)
    removePhoto(db, ownerId, photo.id)
    expect(db.select().from(photos).all()).toEqual([])
  })
  it('stay with a place that is taken off the chart and put back', async () => {
    const { db, ownerId, waterId } = demo
    const mine = keepPlace(db, ownerId, waterId, place())
    await keepPhoto(db, ownerId, waterId, mine.id, await picture(20, 20), NOW)
    removePlace(db, ownerId, waterId, mine.id, NOW)
    keepPlace(db, ownerId, waterId, mine)
    expect(listPhotos(db, ownerId, mine.id)).toHaveLength(1)
  })
})

describe('many places at once', () => {
  it('are kept all or none', () => {
    const { db, ownerId, waterId } = demo
    const count = () => db.select().from(placeTable).all().length
    const before = count()
    const list = Array.from({ length: 50 }, place)
    expect(keepPlaces(db, ownerId, waterId, list)).toHaveLength(50)
    const other = uuidv7()
    db.insert(anglers).values({ id: other, name: 'another', units: 'us', waveLimitM: 0.3 }).run()
    expect(() => keepPlaces(db, other, waterId, [place(), list[0]!])).toThrow(/already in use/)
    expect(count()).toBe(before + 50)
    expect(keepPlaces(db, ownerId, waterId, list)).toHaveLength(50)
    expect(count()).toBe(before + 50)
  })
  it('give back their lines and words, and lose them when they are taken out', () => {
    const { db, ownerId, waterId } = demo
    const lined: Place = { ...place(), notes: 'two trees', shape: { type: 'LineString', coordinates: [[-88.6, 40.2], [-88.599, 40.2]] } }
    keepPlace(db, ownerId, waterId, lined)
    const found = () => listPlaces(db, ownerId, waterId).find(p => p.id === lined.id)!
    expect(found()).toEqual(lined)
    const { notes: _notes, shape: _shape, ...bare } = lined
    keepPlace(db, ownerId, waterId, bare as Place)
    expect(found()).toEqual(bare)
  })
  it.each([
    [{ places: [] }, 'places'], [{ places: [{ ...place(), notes: '' }] }, 'places[0].notes'], [{ places: [{ ...place(), shape: { type: 'LineString', coordinates: [[0, 0]] } }] }, 'places[0].shape.coordinates'],
    [{ places: [{ ...place(), shape: { type: 'Polygon', coordinates: [[[0, 0], [1, 1], [0, 95], [0, 0]]] } }] }, 'places[0].shape.coordinates[0][2][1]'],
  ])('%# are refused by the field', (batch, field) => {
    expect(check(placeBatchSchema, batch)).toMatchObject({ ok: false, error: { field } })
  })
  it.each([
    [{ currentMS: 0.2 }, 'attributes'], [{ runs: 'released' }, 'attributes'], [{ bottom: 'lava' }, 'attributes.bottom'], [{ facingDeg: 360 }, 'attributes.facingDeg'], [{ currentMS: 9, currentTowardDeg: 0 }, 'attributes.currentMS'],
  ])('refuse %j of any kind', (change, field) => {
    const mine = place()
    expect(check(placeSchema, { ...mine, attributes: { ...mine.attributes, ...change } })).toMatchObject({ ok: false, error: { field } })
    expect(check(placeSchema, { ...mine, attributes: { ...mine.attributes, currentMS: 0.2, currentTowardDeg: 10, runs: 'released', bottom: 'mud' } }).ok).toBe(true)
  })
})
