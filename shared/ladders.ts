import Joi from 'joi'
import type { Rung } from '../core/rig/ladder'

/** A place's agreed ladder as it was taken along. */
export interface KeptLadder { placeId: string, at: string, rungs: Rung[] }

const words = () => Joi.string().trim().min(1).max(120)
const rung = Joi.object<Rung>({
  id: Joi.string().min(1).max(40), change: Joi.valid('size', 'retrieve', 'colour', 'weight'), from: words(), to: words(), presentations: Joi.number().integer().min(1).max(500),
  value: Joi.number().greater(0).max(1).optional(),
})

/** The rungs in the angler's own order; none takes the ladder away. */
export const ladderSchema = Joi.object<{ rungs: Rung[] }>({ rungs: Joi.array().items(rung).max(40).unique('id') }).label('ladder')
