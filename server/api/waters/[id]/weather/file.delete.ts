import { requireWater } from '../../../../services/waters'
import { dropWeatherFile, weatherState } from '../../../../services/weather'

export default route(({ event, db, angler }) => {
  const { id } = requireWater(db, angler.id, pathId(event))
  dropWeatherFile(db, id)
  return weatherState(db, id, useWeatherProvider())
})
