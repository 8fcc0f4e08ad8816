import Joi from 'joi'
import { id } from './journal'

export interface TackleAttributes {
  head: { massKg: number, densityKgM3: number, metal: 'lead' | 'tungsten' }
  body: { lengthM: number, depthM: number, colour: string, /** learned from a counted fall */ dragAreaM2?: number }
  line: { diameterM: number, testKg: number, material: 'mono' | 'braid' }
  float: { volumeM3: number, massKg: number, shape: string }
  shot: { massKg: number }
}
export type TackleKind = keyof TackleAttributes
export const TACKLE_KINDS = ['head', 'body', 'line', 'float', 'shot'] as const satisfies TackleKind[]

/** A thing in the box. */
export type TackleItem<K extends TackleKind = TackleKind> = {
  [P in K]: { id: string, kind: P, name: string, carried: boolean, /** pieces in the box; null: not counted */ stock: number | null, attributes: TackleAttributes[P] }
}[K]

const positive = () => Joi.number().greater(0)
const ATTRIBUTES: Record<TackleKind, Joi.ObjectSchema> = {
  head: Joi.object({ massKg: positive().max(0.5), densityKgM3: positive().max(23000), metal: Joi.valid('lead', 'tungsten') }),
  body: Joi.object({ lengthM: positive().max(0.3), depthM: positive().max(0.1), colour: Joi.string().min(1).max(60), dragAreaM2: positive().max(0.1).optional() }),
  line: Joi.object({ diameterM: positive().max(0.002), testKg: positive().max(100), material: Joi.valid('mono', 'braid') }),
  float: Joi.object({ volumeM3: positive().max(0.001), massKg: positive().max(0.2), shape: Joi.string().min(1).max(40) }),
  shot: Joi.object({ massKg: positive().max(0.2) }),
}

export const tackleSchema = Joi.object<TackleItem>({
  id: id(),
  kind: Joi.valid(...TACKLE_KINDS),
  name: Joi.string().trim().min(1).max(80),
  carried: Joi.boolean(),
  stock: Joi.number().integer().min(0).max(9999).allow(null),
  attributes: Joi.when('kind', { switch: TACKLE_KINDS.map(kind => ({ is: kind, then: ATTRIBUTES[kind] })) }),
}).label('tackle')

export interface TackleChange {
  carried?: boolean
  stock?: number | null
  /** of a body: its learned drag; null forgets it */
  dragAreaM2?: number | null
}

/** Puts a thing into the day's box or leaves it at home; learns or forgets a body's drag. */
export const tackleChangeSchema = Joi.object<TackleChange>({ carried: Joi.boolean().optional(), stock: Joi.number().integer().min(0).max(9999).allow(null).optional(), dragAreaM2: positive().max(0.1).allow(null).optional() }).min(1).label('change')

export const MOST_TACKLE = 2000

/** Things sent at once: all are kept or none. */
export const tackleBatchSchema = Joi.object<{ items: TackleItem[] }>({ items: Joi.array().items(tackleSchema).min(1).max(MOST_TACKLE) }).label('batch')
