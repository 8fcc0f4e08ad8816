import { tackleChangeSchema } from '../../../shared/tackle'
import { changeTackle } from '../../services/tackle'

export default route(async ({ event, db, angler }) => changeTackle(db, angler.id, pathId(event), await readJson(event, tackleChangeSchema)))
