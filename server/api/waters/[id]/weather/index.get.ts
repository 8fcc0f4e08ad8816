import { requireWater } from '../../../../services/waters'
import { weatherState } from '../../../../services/weather'

export default route(({ event, db, angler }) => weatherState(db, requireWater(db, angler.id, pathId(event)).id, useWeatherProvider()))
