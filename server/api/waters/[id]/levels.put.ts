import { poolLevelsSchema } from '../../../../shared/imports'
import { setPoolLevels } from '../../../services/imports'

export default route(async ({ event, db, angler }) => setPoolLevels(db, angler.id, pathId(event), await readJson(event, poolLevelsSchema)))
