import { seasonNotesOf } from '../../../services/seasonNotes'
import { requireWater } from '../../../services/waters'

export default route(({ event, db, angler }) => seasonNotesOf(db, requireWater(db, angler.id, pathId(event)).id))
