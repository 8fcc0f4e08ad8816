import { requireWater, waterRecord } from '../../../services/waters'

export default route(({ event, db, angler }) => waterRecord(db, angler.id, requireWater(db, angler.id, pathId(event))))
