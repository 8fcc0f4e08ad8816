import { weatherService } from './weatherService'

/** Starts the stand-in weather service on WEATHER_PORT: `npx tsx sim/serveWeather.ts`. */
const port = Number(process.env.WEATHER_PORT ?? 3901)
weatherService().listen(port, '127.0.0.1', () => console.log(`Stand-in weather at http://127.0.0.1:${port}/hours`))
