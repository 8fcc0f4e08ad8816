import { anglerChangeSchema, type AnglerSettings } from '../../shared/angler'
import { setAngler, settingsOf } from '../services/anglers'

export default route(async ({ event, db, angler }): Promise<AnglerSettings> => settingsOf(setAngler(db, angler.id, await readJson(event, anglerChangeSchema))))
