import { journalBatchSchema } from '../../shared/journal'
import { appendEntries } from '../services/journal'

export default route(async ({ event, db, angler }) => {
  const { entries } = await readJson(event, journalBatchSchema)
  return appendEntries(db, angler.id, entries)
})
