import { poolLevels } from '../../../services/imports'

export default route(({ event, db, angler }) => poolLevels(db, angler.id, pathId(event)))
