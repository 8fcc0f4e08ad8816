import { placeSchema } from '../../../../../shared/places'
import { Fault } from '../../../../services/fault'
import { keepPlace } from '../../../../services/places'
import { requireWater } from '../../../../services/waters'

export default route(async ({ event, db, angler }) => {
  const place = await readJson(event, placeSchema)
  if (place.id !== pathId(event, 'placeId')) throw new Fault(422, { field: 'id', message: 'id must be that of the address' })
  return keepPlace(db, angler.id, requireWater(db, angler.id, pathId(event)).id, place)
})
