import { anglerChangeSchema, type Angler } from '../../shared/angler'
import { setAngler } from '../services/anglers'

export default route(async ({ event, db, angler }): Promise<Pick<Angler, 'units' | 'waveLimitM'>> => {
  const { units, waveLimitM } = setAngler(db, angler.id, await readJson(event, anglerChangeSchema))
  return { units, waveLimitM }
})
