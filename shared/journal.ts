import Joi from 'joi'
import { AMENDABLE, COMPANY, FATES, MARK_SIZES, RIG_FAMILIES, SIGNS, STRIKES, TIGHTNESS, type BoatFix, type Entry, type EntryKind } from '../core/school/entries'
import { SPECIES } from '../core/fish/species'
import { SKIES } from '../core/season/sky'

/** UUIDv7 in lower case, as the devices make them. */
export const id = () => Joi.string().pattern(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/).messages({
  'string.pattern.base': '{{#label}} must be a lower-case UUID of version 7',
})
const idOrNull = () => id().allow(null)

/** A UTC instant with milliseconds, as `toISOString` writes it. */
export const instant = Joi.string().custom((text: string, helpers) => {
  const date = new Date(text)
  if (Number.isNaN(date.getTime()) || date.toISOString() !== text) return helpers.error('instant')
  return text
}).messages({ instant: '{{#label}} must be a UTC instant such as 2026-04-24T11:40:00.000Z' })

const DEEPEST_M = 150
const depth = () => Joi.number().min(0).max(DEEPEST_M)
const lonDeg = () => Joi.number().min(-180).max(180)
const latDeg = () => Joi.number().min(-90).max(90)
const waterC = () => Joi.number().min(-2).max(45)
const count = () => Joi.number().integer().min(0).max(2000)

/** One schema per kind of entry; metres, m/s, °C, kg. */
const BODIES: Record<EntryKind, Joi.ObjectSchema> = {
  start: Joi.object({ waterId: id() }),
  arrive: Joi.object({ placeId: idOrNull() }),
  school: Joi.object({
    placeId: idOrNull(),
    topM: depth(),
    bottomM: depth().min(Joi.ref('topM')),
    waterDepthM: depth().min(Joi.ref('bottomM')),
    tightness: Joi.valid(...TIGHTNESS),
    marks: Joi.valid(...MARK_SIZES, null).optional(),
    company: Joi.array().items(Joi.valid(...COMPANY)).unique().optional(),
    distanceM: Joi.number().min(0).max(500).allow(null).optional(),
  }),
  rig: Joi.object({
    family: Joi.valid(...RIG_FAMILIES),
    headKg: Joi.number().greater(0).max(0.5),
    bodyLengthM: Joi.number().greater(0).max(0.3),
    bodyName: Joi.string().trim().min(1).max(80),
    lineDiameterM: Joi.number().greater(0).max(0.002),
    stopM: depth().allow(null),
    colour: Joi.string().trim().min(1).max(60).allow(null).optional(),
    rung: Joi.string().min(1).max(40).optional(),
  }),
  stretch: Joi.object({
    schoolId: idOrNull(), minutes: Joi.number().min(0).max(1440), presentations: count(), looks: count(), follows: count(), taps: count(),
  }),
  sign: Joi.object({ schoolId: idOrNull(), sign: Joi.valid(...SIGNS) }),
  fish: Joi.object({
    schoolId: idOrNull(),
    species: Joi.valid(...SPECIES, null),
    lengthM: Joi.number().min(0.02).max(1.5).allow(null),
    fate: Joi.valid(...FATES, null),
    depthM: depth().allow(null),
    strike: Joi.valid(...STRIKES, null).optional(),
  }),
  boil: Joi.object({ placeId: idOrNull(), lonDeg: lonDeg().allow(null), latDeg: latDeg().allow(null), towardDeg: Joi.number().min(0).less(360).allow(null) }),
  conditions: Joi.object({
    waterC: waterC().allow(null),
    secchiM: Joi.number().min(0.02).max(30).allow(null),
    windMS: Joi.number().min(0).max(60).allow(null),
    windFromDeg: Joi.number().min(0).less(360).allow(null),
    sky: Joi.valid(...SKIES, null),
    // Older entries have no place of their own.
    placeId: idOrNull().optional(),
    lonDeg: lonDeg().allow(null).optional(),
    latDeg: latDeg().allow(null).optional(),
    sensorDepthM: depth().allow(null).optional(),
  }),
  note: Joi.object({ text: Joi.string().trim().min(1).max(2000) }),
  move: Joi.object({}),
  end: Joi.object({}),
  join: Joi.object({ tripId: id() }),
  undo: Joi.object({ entryId: id() }),
  amend: Joi.object({ entryId: id(), body: Joi.object() }),
}

const amended = Joi.object({
  kind: Joi.valid(...AMENDABLE),
  body: Joi.when('kind', { switch: AMENDABLE.map(kind => ({ is: kind, then: BODIES[kind] })) }),
})
BODIES.amend = Joi.object({ entryId: id(), body: amended })

const fixSchema = Joi.object<BoatFix>({ lonDeg: lonDeg(), latDeg: latDeg(), depthM: depth().allow(null), waterC: waterC().allow(null) })

/** The commonest first: the switch below tries them in turn, and that is most of an entry's price. */
const COMMON: EntryKind[] = ['sign', 'fish', 'amend', 'stretch', 'undo']
const KINDS = [...COMMON, ...(Object.keys(BODIES) as EntryKind[]).filter(kind => !COMMON.includes(kind))]

export const entrySchema = Joi.object<Entry>({
  id: id(),
  tripId: id(),
  at: instant,
  kind: Joi.valid(...KINDS),
  body: Joi.when('kind', { switch: KINDS.map(kind => ({ is: kind, then: BODIES[kind] })) }),
  by: Joi.string().pattern(/^[0-9a-z]{4,32}$/).optional().messages({ 'string.pattern.base': '{{#label}} must be 4 to 32 lower-case letters and digits' }),
  fix: fixSchema.optional(),
}).label('entry')

export const MOST_ENTRIES = 1000

/** What a device sends: a batch of entries, taken whole or not at all. */
export const journalBatchSchema = Joi.object<{ entries: Entry[] }>({
  entries: Joi.array().items(entrySchema).min(1).max(MOST_ENTRIES),
})
