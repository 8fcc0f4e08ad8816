import Joi from 'joi'
import type { Water } from './waters'
import { id, instant } from './journal'

export interface NewWater {
  name: string
  /** IANA zone */
  zone: string
  shoreline: Water['shoreline']
}

/** What an import is for and where it came from; the soundings follow it in the same body. */
export interface ImportHeader {
  /** an existing water, or a new one */
  waterId: string | null
  newWater: NewWater | null
  /** the files' names, for the list */
  label: string
  /** pool level on the day, m in the water's datum; null: the chart's reference level */
  levelM: number | null
  cellM: number
}

export interface ImportSummary {
  id: string
  at: string
  label: string
  levelM: number | null
  count: number
  excluded: number
  undone: boolean
}

export interface JobState {
  id: string
  state: 'running' | 'done' | 'failed' | 'stopped'
  /** 0–1 */
  done: number
  waterId: string
  message: string | null
}

export interface PoolLevels {
  referenceLevelM: number
  /** in time order */
  levels: { at: string, levelM: number }[]
}

const MOST_CORNERS = 40_000
const level = () => Joi.number().min(-500).max(9000)
const corner = Joi.array().ordered(Joi.number().min(-180).max(180), Joi.number().min(-90).max(90)).length(2)
const zone = Joi.string().max(60).custom((text: string, helpers) => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: text })
    return text
  }
  catch {
    return helpers.error('zone')
  }
}).messages({ zone: '{{#label}} must be a time zone such as America/Chicago' })

export const importHeaderSchema = Joi.object<ImportHeader>({
  waterId: id().allow(null),
  newWater: Joi.object({
    name: Joi.string().trim().min(1).max(80),
    zone,
    shoreline: Joi.object({
      type: Joi.valid('Polygon'),
      coordinates: Joi.array().items(Joi.array().items(corner).min(4).max(MOST_CORNERS)).min(1).max(500),
    }),
  }).allow(null),
  label: Joi.string().trim().min(1).max(300),
  levelM: level().allow(null),
  cellM: Joi.number().min(2).max(20),
}).custom((header: ImportHeader, helpers) => ((header.waterId === null) === (header.newWater === null) ? helpers.error('one') : header))
  .messages({ one: 'exactly one of waterId and newWater must be given' }).label('import')

export const importChangeSchema = Joi.object<{ undone: boolean }>({ undone: Joi.boolean() }).label('import')

export const poolLevelsSchema = Joi.object<PoolLevels>({
  referenceLevelM: level(),
  levels: Joi.array().items(Joi.object({ at: instant, levelM: level() })).max(5000).unique('at'),
}).label('levels')

/** Header and soundings as one body: length of the header's JSON (u32, little-endian), the JSON, the soundings' bytes. */
export function packImport(header: ImportHeader, soundings: Uint8Array): Uint8Array {
  const json = new TextEncoder().encode(JSON.stringify(header))
  const body = new Uint8Array(4 + json.length + soundings.length)
  new DataView(body.buffer).setUint32(0, json.length, true)
  body.set(json, 4)
  body.set(soundings, 4 + json.length)
  return body
}

/** @throws RangeError when the body is shorter than it says; SyntaxError when its header is no JSON */
export function unpackImport(body: Uint8Array): { header: unknown, soundings: Uint8Array } {
  const length = body.byteLength < 4 ? Infinity : new DataView(body.buffer, body.byteOffset).getUint32(0, true)
  if (4 + length > body.byteLength) throw new RangeError(`the body is cut short: ${body.byteLength} bytes`)
  return { header: JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(body.subarray(4, 4 + length))), soundings: body.subarray(4 + length) }
}
