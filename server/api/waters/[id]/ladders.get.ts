import { listLadders } from '../../../services/ladders'

export default route(({ event, db, angler }) => listLadders(db, angler.id, pathId(event)))
