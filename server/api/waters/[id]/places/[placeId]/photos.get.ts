import { listPhotos } from '../../../../../services/photos'

export default route(({ event, db, angler }) => listPhotos(db, angler.id, pathId(event, 'placeId')))
