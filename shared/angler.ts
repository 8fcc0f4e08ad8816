import Joi from 'joi'
import type { LimitRule } from '../core/fish/limits'
import { SPECIES } from '../core/fish/species'
import { CURRENT_SIDES, type CurrentSide } from '../core/place/stance'
import { DEFAULT_SCHOOLS, SCHOOLS, SCHOOL_KEYS, type Schools } from '../core/rig/schools'
import type { Units } from '../core/units/format'

/** Where the boat's instruments speak NMEA 0183, over TCP. */
export interface InstrumentsAt { host: string, port: number }

export interface Angler {
  name: string
  units: Units
  /** highest waves the angler wants to be out in, m */
  waveLimitM: number
  /** which side of a place to hold on in a current */
  currentSide: CurrentSide
  /** length of the rod, m */
  rodM: number
  /** where practitioners disagree: what this angler goes by */
  schools: Schools
  /** bag and length rules as the angler entered them from the local book */
  limits: LimitRule[]
  /** null: none */
  instruments: InstrumentsAt | null
  /** how fast the boat runs between places, m/s */
  runMS: number
  /** server's idea of now, ISO; in the demo it starts on a morning in late April */
  now: string
  demo: boolean
}

export type AnglerSettings = Pick<Angler, 'units' | 'waveLimitM' | 'currentSide' | 'rodM' | 'schools' | 'limits' | 'instruments' | 'runMS'>
/** Any of the settings; of the schools any answer. */
export type AnglerChange = Partial<Omit<AnglerSettings, 'schools'>> & { schools?: Partial<Schools> }

/** The answers of an angler, the defaults where none was given. */
export const allSchools = (given: Partial<Schools>): Schools => ({ ...DEFAULT_SCHOOLS, ...given })

const lengthOrNull = () => Joi.number().min(0.05).max(1.5).allow(null)
const limitSchema = Joi.object<LimitRule>({ species: Joi.array().items(Joi.valid(...SPECIES)).min(1).unique(), bag: Joi.number().integer().min(0).max(500).allow(null), leastM: lengthOrNull(), mostM: lengthOrNull() })

/** Any of the angler's settings; those left out stay. */
export const anglerChangeSchema = Joi.object<AnglerChange>({
  units: Joi.valid('us', 'metric').optional(),
  waveLimitM: Joi.number().min(0.05).max(3).optional(),
  currentSide: Joi.valid(...CURRENT_SIDES).optional(),
  rodM: Joi.number().min(0.5).max(8).optional(),
  instruments: Joi.object<InstrumentsAt>({ host: Joi.string().trim().hostname().max(253), port: Joi.number().port() }).allow(null).optional(),
  runMS: Joi.number().min(0.5).max(30).optional(),
  limits: Joi.array().items(limitSchema).max(20).optional(),
  schools: Joi.object<Partial<Schools>>(Object.fromEntries(SCHOOL_KEYS.map(key => [key, Joi.valid(...SCHOOLS[key].answers.map(a => a.id)).optional()]))).min(1).optional(),
}).min(1).label('settings')
