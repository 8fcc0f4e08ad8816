import { tackleBatchSchema } from '../../../shared/tackle'
import { keepTackle } from '../../services/tackle'

export default route(async ({ event, db, angler }) => keepTackle(db, angler.id, (await readJson(event, tackleBatchSchema)).items))
