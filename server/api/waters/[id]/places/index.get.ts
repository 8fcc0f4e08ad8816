import { listPlaces, requireWater } from '../../../../services/waters'

export default route(({ event, db, angler }) => listPlaces(db, angler.id, requireWater(db, angler.id, pathId(event)).id))
