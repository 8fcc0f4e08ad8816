import type { Angler } from '../../shared/angler'

export default route(({ angler: { name, units, waveLimitM } }): Angler => {
  const clock = useClock()
  return { name, units, waveLimitM, now: new Date(clock.nowMs()).toISOString(), demo: clock.demo }
})
