import { tackleChangeSchema } from '../../../shared/tackle'
import { setCarried } from '../../services/tackle'

export default route(async ({ event, db, angler }) => {
  const { carried } = await readJson(event, tackleChangeSchema)
  return setCarried(db, angler.id, pathId(event), carried)
})
