import { ladderSchema } from '../../../../../../shared/ladders'
import { keepLadder } from '../../../../../services/ladders'

export default route(async ({ event, db, angler }) => {
  const { rungs } = await readJson(event, ladderSchema)
  return keepLadder(db, angler.id, pathId(event), pathId(event, 'placeId'), rungs, useClock().nowMs())
})
