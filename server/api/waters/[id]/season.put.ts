import { seasonNotesSchema } from '../../../../shared/weather'
import { setSeasonNotes } from '../../../services/seasonNotes'
import { requireWater } from '../../../services/waters'

export default route(async ({ event, db, angler }) => setSeasonNotes(db, angler.id, requireWater(db, angler.id, pathId(event)).id, await readJson(event, seasonNotesSchema)))
