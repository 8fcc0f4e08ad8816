import Joi from 'joi'
import { BAIT_TYPES, HEAD_SHAPES, TAILS, WEIGHT_STYLES, type BaitType, type HeadShape, type Tail, type WeightStyle } from '../core/rig/box'
import { id } from './journal'

export const LEADER_MATERIALS = ['fluorocarbon', 'mono', 'wire'] as const
export const ROD_POWERS = ['ultralight', 'light', 'medium'] as const

/** What is noted of each kind; what is optional came later and may be missing on older things. */
export interface TackleAttributes {
  head: { massKg: number, densityKgM3: number, metal: 'lead' | 'tungsten', shape?: HeadShape, hook?: string }
  body: { lengthM: number, depthM: number, colour: string, tail?: Tail, /** below 1,000 it floats */ densityKgM3?: number, /** learned from a counted fall */ dragAreaM2?: number }
  bait: { type: BaitType, lengthM: number, /** with its hooks */ massKg: number, volumeM3: number, /** runs at, on an ordinary cast */ diveM?: number }
  line: { diameterM: number, testKg: number, material: 'mono' | 'braid' }
  leader: { diameterM: number, testKg: number, material: (typeof LEADER_MATERIALS)[number] }
  float: { volumeM3: number, massKg: number, shape: string }
  shot: { massKg: number, style?: WeightStyle }
  hook: { size: string, massKg: number }
  rod: { lengthM: number, power: (typeof ROD_POWERS)[number] }
  sock: { diameterM: number }
}
export type TackleKind = keyof TackleAttributes
export const TACKLE_KINDS = ['head', 'body', 'bait', 'line', 'leader', 'float', 'shot', 'hook', 'rod', 'sock'] as const satisfies TackleKind[]

/** A thing in the box. */
export type TackleItem<K extends TackleKind = TackleKind> = {
  [P in K]: { id: string, kind: P, name: string, carried: boolean, /** pieces in the box; null: not counted */ stock: number | null, attributes: TackleAttributes[P] }
}[K]

const positive = () => Joi.number().greater(0)
const word = () => Joi.string().trim().min(1).max(60)
const ATTRIBUTES: Record<TackleKind, Joi.ObjectSchema> = {
  head: Joi.object({ massKg: positive().max(0.5), densityKgM3: positive().max(23000), metal: Joi.valid('lead', 'tungsten'), shape: Joi.valid(...HEAD_SHAPES).optional(), hook: word().optional() }),
  body: Joi.object({ lengthM: positive().max(0.3), depthM: positive().max(0.1), colour: word(), tail: Joi.valid(...TAILS).optional(), densityKgM3: Joi.number().min(500).max(3000).optional(), dragAreaM2: positive().max(0.1).optional() }),
  bait: Joi.object({ type: Joi.valid(...BAIT_TYPES), lengthM: positive().max(0.3), massKg: positive().max(0.2), volumeM3: positive().max(0.0005), diveM: positive().max(20).optional() }),
  line: Joi.object({ diameterM: positive().max(0.002), testKg: positive().max(100), material: Joi.valid('mono', 'braid') }),
  leader: Joi.object({ diameterM: positive().max(0.002), testKg: positive().max(100), material: Joi.valid(...LEADER_MATERIALS) }),
  float: Joi.object({ volumeM3: positive().max(0.001), massKg: positive().max(0.2), shape: Joi.string().min(1).max(40) }),
  shot: Joi.object({ massKg: positive().max(0.2), style: Joi.valid(...WEIGHT_STYLES).optional() }),
  hook: Joi.object({ size: word(), massKg: positive().max(0.05) }),
  rod: Joi.object({ lengthM: Joi.number().min(0.5).max(8), power: Joi.valid(...ROD_POWERS) }),
  sock: Joi.object({ diameterM: Joi.number().min(0.2).max(4) }),
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
