import { setResponseHeaders } from 'h3'
import { encodeWeather } from '../../../../../core/formats/weatherBlob'
import { requireWater } from '../../../../services/waters'
import { weatherOf } from '../../../../services/weather'

export default route(({ event, db, angler }) => {
  const { id } = requireWater(db, angler.id, pathId(event))
  setResponseHeaders(event, { 'Content-Type': 'application/octet-stream', 'Cache-Control': 'private, no-cache' })
  return Buffer.from(encodeWeather(weatherOf(db, id)))
})
