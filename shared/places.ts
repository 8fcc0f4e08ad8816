import Joi from 'joi'
import { BOTTOMS, PLACE_KINDS, RUNS, type Place, type PlaceKind } from '../core/place/kinds'
import { id } from './journal'

const depth = () => Joi.number().min(0).max(150)
const bottomDepthM = depth().greater(0)
const coverTopM = depth().max(Joi.ref('bottomDepthM'))
const MOST_CORNERS = 2000
const bearing = Joi.number().min(0).less(360)

/** What any kind may have. */
const COMMON = {
  bottomDepthM,
  bottom: Joi.valid(...BOTTOMS).optional(),
  facingDeg: bearing.optional(),
  currentTowardDeg: bearing.optional(),
  currentMS: Joi.number().min(0).max(5).optional(),
  runs: Joi.valid(...RUNS).optional(),
}
/** A current is worth nothing without its direction, nor a direction without its speed. */
const of = (own: Joi.PartialSchemaMap) => Joi.object({ ...COMMON, ...own }).and('currentTowardDeg', 'currentMS').with('runs', 'currentMS')
const shallow = () => depth().max(Joi.ref('bottomDepthM'))
const slope = Joi.valid('steep', 'gradual')
const softBottom = Joi.boolean()

/** One schema per kind of place. */
const ATTRIBUTES: Record<PlaceKind, Joi.ObjectSchema> = {
  brush: of({
    coverTopM, material: Joi.valid('hardwood', 'cedar', 'mixed'),
    laidYear: Joi.number().integer().min(1900).max(2200).optional(),
    line: Joi.string().trim().min(1).max(60).optional(),
    step: Joi.number().integer().min(1).optional(),
    steps: Joi.number().integer().min(Joi.ref('step')).optional(),
  }),
  timber: of({ coverTopM, wood: Joi.valid('hardwood', 'softwood') }),
  dock: of({
    deckAreaM2: Joi.number().greater(0).max(5000), deckHeightM: Joi.number().min(0).max(10), roofed: Joi.boolean(), facingDeg: bearing, brushAtCorners: Joi.boolean(),
    roofHeightM: Joi.number().min(Joi.ref('deckHeightM')).max(20).optional(), deckLengthM: Joi.number().greater(0).max(200).optional(), boatLengthM: Joi.number().min(0).max(30).optional(),
  }),
  moorings: of({ boats: Joi.number().integer().min(1).max(2000) }),
  weedEdge: of({ coverTopM, growth: Joi.valid('broadLeaved', 'mat', 'stalks') }),
  reedStubble: of({ softBottom }),
  flat: of({ softBottom }),
  breakEdge: of({ shallowDepthM: shallow(), runM: Joi.number().greater(0).max(5000) }),
  hump: of({ coverTopM }),
  point: of({ slope }),
  insideTurn: of({ slope }),
  channelBend: of({ shoulderDepthM: shallow(), outside: Joi.boolean() }),
  basinEdge: of({ shallowDepthM: shallow() }),
  riprap: of({ stones: Joi.valid('small', 'large') }),
  creekMouth: of({ flows: Joi.valid('always', 'afterRain') }),
  weir: of({ tailrace: Joi.boolean() }),
  lockCut: of({ widthM: Joi.number().greater(0).max(500) }),
  canal: of({ feature: Joi.valid('bridge', 'turningBay', 'bend', 'outfall', 'reeds') }),
}

const corner = Joi.array().ordered(Joi.number().min(-180).max(180), Joi.number().min(-90).max(90)).length(2)
const shapeSchema = Joi.object({
  type: Joi.valid('LineString', 'Polygon'),
  coordinates: Joi.when('type', { is: 'LineString', then: Joi.array().items(corner).min(2).max(MOST_CORNERS), otherwise: Joi.array().items(Joi.array().items(corner).min(4).max(MOST_CORNERS)).min(1).max(20) }),
})

export const placeSchema = Joi.object<Place>({
  id: id(),
  name: Joi.string().trim().min(1).max(120),
  kind: Joi.valid(...PLACE_KINDS),
  lonDeg: Joi.number().min(-180).max(180),
  latDeg: Joi.number().min(-90).max(90),
  shape: shapeSchema.optional(),
  notes: Joi.string().trim().min(1).max(4000).optional(),
  attributes: Joi.when('kind', { switch: PLACE_KINDS.map(kind => ({ is: kind, then: ATTRIBUTES[kind] })) }),
}).label('place')

export const MOST_PLACES = 2000

/** Places sent at once: all are kept or none. */
export const placeBatchSchema = Joi.object<{ places: Place[] }>({ places: Joi.array().items(placeSchema).min(1).max(MOST_PLACES) }).label('batch')

export const MOST_PHOTO_BYTES = 10 * 1024 * 1024

/** A picture of a place. */
export interface Photo { id: string, at: string, widthPx: number, heightPx: number }
