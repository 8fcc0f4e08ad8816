export const HOUR_MS = 3_600_000

export const WEATHER_FIELDS = ['airC', 'dewPointC', 'windMS', 'windFromDeg', 'cloud', 'pressureHpa', 'rainMm'] as const
export type WeatherField = (typeof WEATHER_FIELDS)[number]

/**
 * Weather hour by hour without a gap in time: entry k of each array is for startMs + k hours. °C, m/s, degrees the wind blows
 * from, cloud as a share 0–1, hPa at sea level, mm in the hour. NaN where a figure is not known.
 */
export type Weather = { startMs: number, hours: number } & Record<WeatherField, Float32Array>

export type WeatherHour = { atMs: number } & Record<WeatherField, number>

/** Range that a figure of real weather lies in; what is outside is a fault of the source. */
export const WEATHER_RANGE: Record<WeatherField, [number, number]> = {
  airC: [-60, 55], dewPointC: [-70, 35], windMS: [0, 60], windFromDeg: [0, 360], cloud: [0, 1], pressureHpa: [870, 1090], rainMm: [0, 200],
}

export function emptyWeather(startMs: number, hours: number): Weather {
  const of = () => new Float32Array(hours).fill(Number.NaN)
  return { startMs, hours, airC: of(), dewPointC: of(), windMS: of(), windFromDeg: of(), cloud: of(), pressureHpa: of(), rainMm: of() }
}

/** Series from single hours in any order; instants go to the hour they lie in, the later of two for one hour counts. */
export function weatherOf(list: readonly WeatherHour[]): Weather {
  if (list.length === 0) return emptyWeather(0, 0)
  const hour = (ms: number) => Math.floor(ms / HOUR_MS)
  let first = Infinity
  let last = -Infinity
  for (const { atMs } of list) {
    first = Math.min(first, hour(atMs))
    last = Math.max(last, hour(atMs))
  }
  const weather = emptyWeather(first * HOUR_MS, last - first + 1)
  for (const item of list) {
    const k = hour(item.atMs) - first
    for (const field of WEATHER_FIELDS) if (!Number.isNaN(item[field])) weather[field][k] = item[field]
  }
  return weather
}

/** Index of the hour an instant lies in; may be outside the series. */
export function hourIndex({ startMs }: { startMs: number }, atMs: number): number {
  return Math.floor((atMs - startMs) / HOUR_MS)
}

export const endMs = ({ startMs, hours }: { startMs: number, hours: number }) => startMs + hours * HOUR_MS

export function hourAt(weather: Weather, k: number): WeatherHour {
  const hour = { atMs: weather.startMs + k * HOUR_MS } as WeatherHour
  for (const field of WEATHER_FIELDS) hour[field] = weather[field][k] ?? Number.NaN
  return hour
}

/** The hours from one instant to before another, as a series of their own; NaN where the given one does not reach. */
export function weatherBetween(weather: Weather, fromMs: number, toMs: number): Weather {
  const first = hourIndex(weather, fromMs)
  const hours = Math.max(0, Math.ceil((toMs - weather.startMs) / HOUR_MS) - first)
  const cut = emptyWeather(weather.startMs + first * HOUR_MS, hours)
  for (const field of WEATHER_FIELDS) {
    for (let k = Math.max(0, -first); k < hours && first + k < weather.hours; k++) cut[field][k] = weather[field][first + k]!
  }
  return cut
}

/** Both series in one; where both know a figure the second's counts. */
export function mergeWeather(under: Weather, over: Weather): Weather {
  if (under.hours === 0) return over
  if (over.hours === 0) return under
  const startMs = Math.min(under.startMs, over.startMs)
  const merged = emptyWeather(startMs, Math.round((Math.max(endMs(under), endMs(over)) - startMs) / HOUR_MS))
  for (const source of [under, over]) {
    const shift = Math.round((source.startMs - startMs) / HOUR_MS)
    for (const field of WEATHER_FIELDS) {
      const [from, to] = [source[field], merged[field]]
      for (let k = 0; k < source.hours; k++) if (!Number.isNaN(from[k]!)) to[k + shift] = from[k]!
    }
  }
  return merged
}
