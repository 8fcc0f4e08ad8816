import { unknownThing } from '../../services/fault'
import { freshenReadTables } from '../../services/readTables'
import { dayEntries } from '../../services/tripEntries'

export default route(({ event, db, angler }) => {
  const id = pathId(event)
  // Which days are joined is known from the read tables.
  freshenReadTables(db, angler.id)
  const entries = dayEntries(db, angler.id, id)
  if (entries.length === 0) throw unknownThing('trip', id)
  return { entries }
})
