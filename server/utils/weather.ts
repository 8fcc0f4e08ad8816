import { httpWeather, type WeatherProvider } from '../services/weatherProvider'

let provider: WeatherProvider | null | undefined

/** The weather service of WEATHER_URL; null when none is set. */
export function useWeatherProvider(): WeatherProvider | null {
  const url = process.env.WEATHER_URL
  return provider ??= url ? httpWeather(url) : null
}
