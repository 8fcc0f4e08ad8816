import { decodeWeather } from '../../../../../core/formats/weatherBlob'
import { requireWater } from '../../../../services/waters'
import { addWeatherFile, weatherState } from '../../../../services/weather'

export default route(async ({ event, db, angler }) => {
  const { id } = requireWater(db, angler.id, pathId(event))
  addWeatherFile(db, angler.id, id, await readBlob(event, decodeWeather), useClock().nowMs())
  return weatherState(db, id, useWeatherProvider())
})
