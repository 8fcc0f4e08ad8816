import { requireWater } from '../../../services/waters'

export default route(({ event, db, angler }) => requireWater(db, angler.id, pathId(event)))
