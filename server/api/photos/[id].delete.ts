import { removePhoto } from '../../services/photos'

export default route(({ event, db, angler }) => removePhoto(db, angler.id, pathId(event)))
