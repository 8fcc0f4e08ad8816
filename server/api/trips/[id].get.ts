import { unknownThing } from '../../services/fault'
import { tripEntries } from '../../services/tripEntries'

export default route(({ event, db, angler }) => {
  const id = pathId(event)
  const entries = tripEntries(db, angler.id, id)
  if (entries.length === 0) throw unknownThing('trip', id)
  return { entries }
})
