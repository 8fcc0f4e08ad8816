import { journalBatchSchema } from '../../shared/journal'

export default route(async ({ event, angler }) => {
  const { entries } = await readJson(event, journalBatchSchema)
  return await useJournalQueue().append(angler.id, entries)
})
