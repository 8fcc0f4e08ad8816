import { placeBatchSchema } from '../../../../../shared/places'
import { keepPlaces } from '../../../../services/places'
import { requireWater } from '../../../../services/waters'

export default route(async ({ event, db, angler }) => {
  const { id } = requireWater(db, angler.id, pathId(event))
  return keepPlaces(db, angler.id, id, (await readJson(event, placeBatchSchema, MOST_BATCH_BYTES)).places)
})
