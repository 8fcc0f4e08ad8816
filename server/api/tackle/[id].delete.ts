import { removeTackle } from '../../services/tackle'

export default route(({ event, db, angler }) => removeTackle(db, angler.id, pathId(event)))
