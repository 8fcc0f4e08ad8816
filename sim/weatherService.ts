import { createServer, type Server } from 'node:http'
import { HOUR_MS } from '../core/season/weather'
import { SERVICE_FIELDS, type ServiceAnswer } from '../shared/weather'
import { simForecast } from './weather'

/** Weather of the demo waters' world. */
export const WEATHER_SEED = 6819
const ISSUED_EVERY_MS = 6 * HOUR_MS
const MOST_HOURS = 20_000

/** What the stand-in answers for a place and a span, as of an instant: a forecast is made every six hours. */
export function serviceAnswer({ latDeg, lonDeg, fromMs, toMs, nowMs, seed = WEATHER_SEED }: { latDeg: number, lonDeg: number, fromMs: number, toMs: number, nowMs: number, seed?: number }): ServiceAnswer {
  const issuedMs = Math.floor(nowMs / ISSUED_EVERY_MS) * ISSUED_EVERY_MS
  const startMs = Math.floor(fromMs / HOUR_MS) * HOUR_MS
  const hours = Math.max(0, Math.min(MOST_HOURS, Math.ceil((toMs - startMs) / HOUR_MS)))
  // Ten kilometres share their weather.
  const place = { latDeg: Math.round(latDeg * 10) / 10, lonDeg: Math.round(lonDeg * 10) / 10, seed }
  const weather = simForecast(place, issuedMs, startMs, hours)
  const digits = { airC: 1, dewPointC: 1, windMS: 1, windFromDeg: 0, cloud: 2, pressureHpa: 1, rainMm: 1 } as const
  const columns = Object.fromEntries(Object.entries(SERVICE_FIELDS).map(([field, name]) => [
    name, Array.from(weather[field as keyof typeof SERVICE_FIELDS], v => Number(v.toFixed(digits[field as keyof typeof digits])) % (field === 'windFromDeg' ? 360 : Infinity)),
  ]))
  return { issued: new Date(issuedMs).toISOString(), start: new Date(startMs).toISOString(), ...columns } as unknown as ServiceAnswer
}

/** The stand-in weather service: GET /hours?lat=&lon=&from=&to=&now= with ISO instants. */
export function weatherService(): Server {
  return createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://stand-in')
    const figure = (name: string) => Number(url.searchParams.get(name) ?? Number.NaN)
    const instant = (name: string) => Date.parse(url.searchParams.get(name) ?? '')
    const question = { latDeg: figure('lat'), lonDeg: figure('lon'), fromMs: instant('from'), toMs: instant('to'), nowMs: instant('now') }
    response.setHeader('Content-Type', 'application/json')
    if (url.pathname !== '/hours') {
      response.statusCode = 404
      response.end('{"error":"ask for /hours"}')
    }
    else if (Object.values(question).some(Number.isNaN)) {
      response.statusCode = 400
      response.end('{"error":"lat, lon, from, to and now are needed"}')
    }
    else {
      response.end(JSON.stringify(serviceAnswer(question)))
    }
  })
}
