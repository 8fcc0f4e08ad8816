import { MOST_PHOTO_BYTES } from '../../../../../../shared/places'
import { keepPhoto } from '../../../../../services/photos'

export default route(async ({ event, db, angler }) => {
  const body = await readRaw(event, /^image\/(jpeg|png|webp)\b/i, 'image/jpeg, image/png or image/webp', MOST_PHOTO_BYTES)
  return await keepPhoto(db, angler.id, pathId(event), pathId(event, 'placeId'), body, useClock().nowMs())
})
