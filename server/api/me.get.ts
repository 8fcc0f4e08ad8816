import type { Angler } from '../../shared/angler'
import { settingsOf } from '../services/anglers'

export default route(({ angler }): Angler => {
  const clock = useClock()
  return { name: angler.name, ...settingsOf(angler), now: new Date(clock.nowMs()).toISOString(), demo: clock.demo }
})
