import { requireWater } from '../../../../services/waters'
import { refreshWeather } from '../../../../services/weather'

export default route(({ event, db, angler }) => refreshWeather(db, angler.id, requireWater(db, angler.id, pathId(event)), useWeatherProvider(), useClock().nowMs()))
