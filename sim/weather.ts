import { seededRandom } from '../core/numeric/random'
import { HOUR_MS, type Weather, emptyWeather } from '../core/season/weather'
import { sunAt } from '../core/season/sun'

const YEAR_MS = 365.2425 * 24 * HOUR_MS
const DAY_H = 24

export interface WeatherPlace {
  latDeg: number
  lonDeg: number
  seed: number
}

/** Smooth noise along time with about the standard deviation 1: a value each period, eased between. The same instant always has the same value. */
function timeNoise(seed: number, periodH: number): (hour: number) => number {
  const lattice = (i: number) => {
    const random = seededRandom((seed * 7919 + i * 104729) >>> 0)
    random()
    return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  }
  let at = Number.NaN
  let values = [0, 0]
  return (hour) => {
    const x = hour / periodH
    const i = Math.floor(x)
    if (i !== at) {
      at = i
      values = [lattice(i), lattice(i + 1)]
    }
    const t = x - i
    const ease = t * t * (3 - 2 * t)
    return (values[0]! * (1 - ease) + values[1]! * ease) * 1.18
  }
}

/**
 * Made-up weather of a place: seasons, days, highs and lows that pass, fronts that turn the wind and drop the air. Seeded and a function of
 * the instant alone, so that any two stretches of it agree where they meet.
 */
export function simWeather({ latDeg, lonDeg, seed }: WeatherPlace, startMs: number, hours: number): Weather {
  const weather = emptyWeather(startMs, hours)
  const noise = (k: number, periodH: number) => timeNoise(seed * 31 + k, periodH)
  const [slow, mid, low, high, cloudy, gusty, turning, moist, fine, shower] = [
    noise(1, 17 * DAY_H), noise(2, 5 * DAY_H), noise(3, 2.7 * DAY_H), noise(4, 9 * DAY_H), noise(5, 20), noise(6, 9), noise(7, 30), noise(8, 3 * DAY_H), noise(9, 5), noise(10, 4),
  ] as const
  const pressureAt = (hour: number) => 1016 + 7.5 * low(hour) + 4.5 * high(hour)
  const meanC = 25.4 - 0.0088 * latDeg ** 2
  const swingC = Math.min(20, 0.34 * Math.abs(latDeg)) * (latDeg < 0 ? -1 : 1)

  const [lowAgo, highAgo] = [noise(3, 2.7 * DAY_H), noise(4, 9 * DAY_H)]
  for (let k = 0; k < hours; k++) {
    const atMs = startMs + k * HOUR_MS
    const hour = atMs / HOUR_MS
    const season = Math.cos((2 * Math.PI * (atMs - Date.UTC(2000, 6, 22))) / YEAR_MS)
    const pressure = pressureAt(hour)
    // Behind a trough the pressure climbs, the wind swings to the north-west and the air is colder.
    const climb = pressure - (1016 + 7.5 * lowAgo(hour - 10) + 4.5 * highAgo(hour - 10))
    const behind = Math.tanh(climb / 5)
    const cloud = Math.min(1, Math.max(0, 0.5 - 0.03 * (pressure - 1016) + 0.3 * cloudy(hour) - 0.12 * season * Math.sign(latDeg || 1) * 0.5))
    const { altitudeDeg } = sunAt({ atMs: atMs - 2.5 * HOUR_MS, latDeg, lonDeg })
    const warmth = (1 - 0.65 * cloud) * (Math.sin((altitudeDeg * Math.PI) / 180) - 0.12)
    const air = meanC + swingC * season + 2.1 * slow(hour) + 2.4 * mid(hour) - 5 * behind + 8.5 * warmth + 0.4 * fine(hour)
    const depression = Math.max(0.5, 7.6 - 4.5 * cloud + 2.2 * moist(hour) + 7 * Math.max(0, warmth) + 1.6 * behind)
    const wind = Math.max(0.2, 3.1 + 1.1 * gusty(hour) + 2.6 * Math.abs(climb) / 6 + 2.2 * Math.max(0, warmth) - 0.05 * (pressure - 1016))
    weather.airC[k] = air
    weather.dewPointC[k] = air - depression
    weather.windMS[k] = wind
    weather.windFromDeg[k] = (((latDeg < 0 ? -1 : 1) * (245 + 70 * behind + 38 * turning(hour)) + (latDeg < 0 ? 540 : 0)) % 360 + 360) % 360
    weather.cloud[k] = cloud
    weather.pressureHpa[k] = pressure
    const wet = cloud > 0.72 && pressure < 1015 ? Math.max(0, 1.1 * (shower(hour) - 0.1)) * (cloud - 0.6) * 4 : 0
    weather.rainMm[k] = wet
  }
  return weather
}

/** How far a forecast strays: a day ahead and each day more; at long range it leans on nothing better. */
const STRAY = { airC: [0.7, 0.32], windMS: [0.5, 0.14], cloud: [0.1, 0.022], pressureHpa: [0.6, 0.55] } as const

/** What would have been forecast at an instant: true up to it, straying more with every day after it. */
export function simForecast(place: WeatherPlace, issuedMs: number, startMs: number, hours: number): Weather {
  const weather = simWeather(place, startMs, hours)
  const issue = Math.floor(issuedMs / (6 * HOUR_MS))
  const stray = Object.fromEntries(Object.keys(STRAY).map((key, i) => [key, timeNoise(place.seed * 17 + issue * 5 + i, 30)])) as Record<keyof typeof STRAY, (hour: number) => number>
  for (let k = 0; k < hours; k++) {
    const leadDays = (startMs + k * HOUR_MS - issuedMs) / (24 * HOUR_MS)
    if (leadDays <= 0) continue
    const hour = startMs / HOUR_MS + k
    const off = (key: keyof typeof STRAY) => stray[key](hour) * Math.min(1, leadDays * 2) * (STRAY[key][0] + STRAY[key][1] * leadDays)
    const air = off('airC')
    weather.airC[k]! += air
    weather.dewPointC[k] = Math.min(weather.airC[k]!, weather.dewPointC[k]! + 0.8 * air)
    weather.windMS[k] = Math.max(0.2, weather.windMS[k]! + off('windMS'))
    weather.cloud[k] = Math.min(1, Math.max(0, weather.cloud[k]! + off('cloud')))
    weather.pressureHpa[k]! += off('pressureHpa')
  }
  return weather
}
