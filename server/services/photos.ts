import { and, asc, eq } from 'drizzle-orm'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'
import type { Photo } from '../../shared/places'
import type { Db } from '../db/open'
import { photos, places } from '../db/schema'
import { Fault, unknownThing } from './fault'

const FORMATS = ['jpeg', 'png', 'webp']
/** Longer edge of a kept picture, px. */
const EDGE_PX = 1600
const QUALITY = 80
/** A picture that unfolds to more than this is refused, px. */
const MOST_PIXELS = 100_000_000
const MOST_OF_A_PLACE = 40

/**
 * A picture upright and no larger than needed, as WebP with nothing beside the picture itself: no position, camera or date.
 * @throws Fault 415 for what is no JPEG, PNG or WebP; 422 for one that is damaged or too large to unfold
 */
export async function plainPicture(bytes: Uint8Array): Promise<{ bytes: Buffer, widthPx: number, heightPx: number }> {
  const options = { limitInputPixels: MOST_PIXELS, failOn: 'error' } as const
  const format = await sharp(bytes, options).metadata().then(m => m.format, () => undefined)
  if (!format || !FORMATS.includes(format)) throw new Fault(415, { message: `a picture must be a JPEG, PNG or WebP${format ? `, not ${format}` : ''}` })
  try {
    const { data, info } = await sharp(bytes, options).rotate().resize({ width: EDGE_PX, height: EDGE_PX, fit: 'inside', withoutEnlargement: true }).webp({ quality: QUALITY }).toBuffer({ resolveWithObject: true })
    return { bytes: data, widthPx: info.width, heightPx: info.height }
  }
  catch (cause) {
    throw new Fault(422, { message: `the picture cannot be read: ${cause instanceof Error ? cause.message : String(cause)}` })
  }
}

const FACTS = { id: photos.id, at: photos.at, widthPx: photos.widthPx, heightPx: photos.heightPx }

export function listPhotos(db: Db, ownerId: string, placeId: string): Photo[] {
  return db.select(FACTS).from(photos).where(and(eq(photos.ownerId, ownerId), eq(photos.placeId, placeId))).orderBy(asc(photos.id)).all()
}

/** Keeps a picture of a place. @throws Fault 404 for a place that is not the angler's, 409 when it has as many as it can */
export async function keepPhoto(db: Db, ownerId: string, waterId: string, placeId: string, body: Uint8Array, nowMs: number): Promise<Photo> {
  const mine = db.select({ id: places.id }).from(places).where(and(eq(places.id, placeId), eq(places.ownerId, ownerId), eq(places.waterId, waterId))).get()
  if (!mine) throw unknownThing('place', placeId)
  if (listPhotos(db, ownerId, placeId).length >= MOST_OF_A_PLACE) throw new Fault(409, { message: `a place keeps at most ${MOST_OF_A_PLACE} pictures` })
  const picture = await plainPicture(body)
  return db.insert(photos).values({ id: uuidv7(), ownerId, waterId, placeId, at: new Date(nowMs).toISOString(), ...picture }).returning(FACTS).get()
}

/** @throws Fault 404 for a picture that is not the angler's */
export function photoBytes(db: Db, ownerId: string, photoId: string): Buffer {
  const row = db.select({ bytes: photos.bytes }).from(photos).where(and(eq(photos.id, photoId), eq(photos.ownerId, ownerId))).get()
  if (!row) throw unknownThing('picture', photoId)
  return row.bytes
}

/** Throws a picture away. @throws Fault 404 as `photoBytes` */
export function removePhoto(db: Db, ownerId: string, photoId: string): { id: string } {
  const row = db.delete(photos).where(and(eq(photos.id, photoId), eq(photos.ownerId, ownerId))).returning({ id: photos.id }).get()
  if (!row) throw unknownThing('picture', photoId)
  return row
}
