import Joi from 'joi'
import type { Units } from '../core/units/format'

export interface Angler {
  name: string
  units: Units
  /** highest waves the angler wants to be out in, m */
  waveLimitM: number
  /** server's idea of now, ISO; in the demo it starts on a morning in late April */
  now: string
  demo: boolean
}

/** Any of the angler's settings; those left out stay. */
export const anglerChangeSchema = Joi.object<Partial<Pick<Angler, 'units' | 'waveLimitM'>>>({
  units: Joi.valid('us', 'metric').optional(),
  waveLimitM: Joi.number().min(0.05).max(3).optional(),
}).min(1).label('settings')
