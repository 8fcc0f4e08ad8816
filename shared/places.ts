import Joi from 'joi'
import { PLACE_KINDS, type Place, type PlaceKind } from '../core/place/kinds'
import { id } from './journal'

const depth = () => Joi.number().min(0).max(150)
const bottomDepthM = depth().greater(0)
const coverTopM = depth().max(Joi.ref('bottomDepthM'))
const bearing = Joi.number().min(0).less(360)

/** One schema per kind of place. */
const ATTRIBUTES: Record<PlaceKind, Joi.ObjectSchema> = {
  brush: Joi.object({
    bottomDepthM, coverTopM, material: Joi.valid('hardwood', 'cedar', 'mixed'),
    laidYear: Joi.number().integer().min(1900).max(2200).optional(),
    step: Joi.number().integer().min(1).optional(),
    steps: Joi.number().integer().min(Joi.ref('step')).optional(),
  }),
  timber: Joi.object({ bottomDepthM, coverTopM, wood: Joi.valid('hardwood', 'softwood') }),
  dock: Joi.object({
    bottomDepthM, deckAreaM2: Joi.number().greater(0).max(5000), deckHeightM: Joi.number().min(0).max(10),
    roofed: Joi.boolean(), facingDeg: bearing, brushAtCorners: Joi.boolean(),
  }),
  weedEdge: Joi.object({ bottomDepthM, coverTopM, growth: Joi.valid('broadLeaved', 'mat', 'stalks') }),
  reedStubble: Joi.object({ bottomDepthM, softBottom: Joi.boolean() }),
  breakEdge: Joi.object({ bottomDepthM, shallowDepthM: depth().max(Joi.ref('bottomDepthM')), runM: Joi.number().greater(0).max(5000) }),
  hump: Joi.object({ bottomDepthM, coverTopM }),
  point: Joi.object({ bottomDepthM, slope: Joi.valid('steep', 'gradual') }),
}

export const placeSchema = Joi.object<Place>({
  id: id(),
  name: Joi.string().trim().min(1).max(120),
  kind: Joi.valid(...PLACE_KINDS),
  lonDeg: Joi.number().min(-180).max(180),
  latDeg: Joi.number().min(-90).max(90),
  attributes: Joi.when('kind', { switch: PLACE_KINDS.map(kind => ({ is: kind, then: ATTRIBUTES[kind] })) }),
}).label('place')
