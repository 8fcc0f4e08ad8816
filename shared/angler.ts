import Joi from 'joi'
import { CURRENT_SIDES, type CurrentSide } from '../core/place/stance'
import type { Units } from '../core/units/format'

export interface Angler {
  name: string
  units: Units
  /** highest waves the angler wants to be out in, m */
  waveLimitM: number
  /** which side of a place to hold on in a current */
  currentSide: CurrentSide
  /** length of the rod, m */
  rodM: number
  /** server's idea of now, ISO; in the demo it starts on a morning in late April */
  now: string
  demo: boolean
}

export type AnglerSettings = Pick<Angler, 'units' | 'waveLimitM' | 'currentSide' | 'rodM'>

/** Any of the angler's settings; those left out stay. */
export const anglerChangeSchema = Joi.object<Partial<AnglerSettings>>({
  units: Joi.valid('us', 'metric').optional(),
  waveLimitM: Joi.number().min(0.05).max(3).optional(),
  currentSide: Joi.valid(...CURRENT_SIDES).optional(),
  rodM: Joi.number().min(0.5).max(8).optional(),
}).min(1).label('settings')
