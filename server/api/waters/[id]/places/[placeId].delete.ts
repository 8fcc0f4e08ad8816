import { removePlace } from '../../../../services/places'
import { requireWater } from '../../../../services/waters'

export default route(({ event, db, angler }) => removePlace(db, angler.id, requireWater(db, angler.id, pathId(event)).id, pathId(event, 'placeId'), useClock().nowMs()))
