import { createHash } from 'node:crypto'
import { gunzipSync, gzipSync } from 'node:zlib'
import { and, eq } from 'drizzle-orm'
import { decodeWeather, encodeWeather } from '../../core/formats/weatherBlob'
import { emptyWeather, endMs, HOUR_MS, mergeWeather, weatherBetween, WEATHER_FIELDS, WEATHER_RANGE, type Weather } from '../../core/season/weather'
import { MOST_HOURS, type WeatherState } from '../../shared/weather'
import type { Water } from '../../shared/waters'
import type { Db, Tx } from '../db/open'
import { weather as table } from '../db/schema'
import { Fault } from './fault'
import type { WeatherProvider } from './weatherProvider'

type Source = 'service' | 'file'
const DAY_MS = 24 * HOUR_MS
/** Enough for a year's round, its two winters, and the forecast. */
const HISTORY_DAYS = 480
const FORECAST_DAYS = 11
/** What was said of the last days may still be mended by the service. */
const AGAIN_DAYS = 3

const problems = new Map<string, string>()
const asking = new Map<string, Promise<void>>()

function rowOf(db: Db | Tx, waterId: string, source: Source) {
  return db.select().from(table).where(and(eq(table.waterId, waterId), eq(table.source, source))).get()
}

function stored(db: Db | Tx, waterId: string, source: Source): Weather {
  const row = rowOf(db, waterId, source)
  return row ? decodeWeather(gunzipSync(row.bytes)) : emptyWeather(0, 0)
}

export function storeWeather(db: Db | Tx, ownerId: string, waterId: string, source: Source, issuedAt: string, weather: Weather): void {
  const bytes = gzipSync(encodeWeather(weather))
  db.insert(table).values({ waterId, source, ownerId, issuedAt, bytes }).onConflictDoUpdate({ target: [table.waterId, table.source], set: { issuedAt, bytes } }).run()
}

/** The hours of both sources in one; the angler's own file counts where both know an hour. */
export function weatherOf(db: Db, waterId: string): Weather {
  return mergeWeather(stored(db, waterId, 'service'), stored(db, waterId, 'file'))
}

export function weatherState(db: Db, waterId: string, provider: WeatherProvider | null): WeatherState {
  const service = rowOf(db, waterId, 'service')
  const file = rowOf(db, waterId, 'file')
  const span = (bytes: Buffer) => decodeWeather(gunzipSync(bytes))
  const brought = file ? span(file.bytes) : null
  return {
    service: provider || service
      ? { issuedAt: service?.issuedAt ?? null, untilAt: service ? iso(endMs(span(service.bytes))) : null, problem: provider ? problems.get(waterId) ?? null : 'no weather service is set up' }
      : null,
    file: brought ? { fromAt: iso(brought.startMs), untilAt: iso(endMs(brought)), hours: brought.hours } : null,
    tag: createHash('sha256').update(service?.bytes ?? '').update(file?.bytes ?? '').digest('hex').slice(0, 16),
  }
}

/**
 * Asks the service for what is missing or may have changed, and keeps it. A service that fails leaves what was there, with the reason
 * in the state; two calls at once ask once.
 */
export async function refreshWeather(db: Db, ownerId: string, { id: waterId, latDeg, lonDeg }: Water, provider: WeatherProvider | null, nowMs: number): Promise<WeatherState> {
  if (provider) {
    const running = asking.get(waterId) ?? ask(db, ownerId, { id: waterId, latDeg, lonDeg }, provider, nowMs).finally(() => asking.delete(waterId))
    asking.set(waterId, running)
    await running
  }
  return weatherState(db, waterId, provider)
}

async function ask(db: Db, ownerId: string, { id: waterId, latDeg, lonDeg }: Pick<Water, 'id' | 'latDeg' | 'lonDeg'>, provider: WeatherProvider, nowMs: number): Promise<void> {
  const before = stored(db, waterId, 'service')
  const issuedAt = rowOf(db, waterId, 'service')?.issuedAt
  const earliest = Math.floor((nowMs - HISTORY_DAYS * DAY_MS) / HOUR_MS) * HOUR_MS
  // Hours that were a forecast when they were kept are asked for again.
  const fromMs = before.hours === 0 || issuedAt === undefined ? earliest : Math.max(earliest, Math.floor((Math.min(nowMs, Date.parse(issuedAt)) - AGAIN_DAYS * DAY_MS) / HOUR_MS) * HOUR_MS)
  try {
    const answer = await provider.hours({ latDeg, lonDeg, fromMs, toMs: nowMs + FORECAST_DAYS * DAY_MS, nowMs })
    const kept = mergeWeather(before.hours > 0 ? weatherBetween(before, earliest, Math.min(endMs(before), Math.max(fromMs, answer.weather.startMs))) : before, answer.weather)
    storeWeather(db, ownerId, waterId, 'service', iso(answer.issuedMs), kept)
    problems.delete(waterId)
  }
  catch (error) {
    problems.set(waterId, error instanceof Error ? error.message : String(error))
  }
}

/** Adds hours from the angler's own file. @throws Fault 422 for hours that are not of this world, or too many */
export function addWeatherFile(db: Db, ownerId: string, waterId: string, brought: Weather, nowMs: number): void {
  if (brought.hours === 0) throw new Fault(422, { field: 'hours', message: 'hours is empty; there must be at least one' })
  for (const field of WEATHER_FIELDS) {
    const [lo, hi] = WEATHER_RANGE[field]
    const k = brought[field].findIndex(v => !Number.isNaN(v) && !(v >= lo - 1e-3 && v <= hi + 1e-3))
    if (k !== -1) throw new Fault(422, { field: `${field}[${k}]`, message: `${field}[${k}] is ${brought[field][k]}; it must be from ${lo} to ${hi}` })
  }
  const before = stored(db, waterId, 'file')
  const spanMs = before.hours === 0 ? brought.hours * HOUR_MS : Math.max(endMs(before), endMs(brought)) - Math.min(before.startMs, brought.startMs)
  if (spanMs > MOST_HOURS * HOUR_MS) throw new Fault(422, { field: 'hours', message: `the hours span more than ${MOST_HOURS}` })
  storeWeather(db, ownerId, waterId, 'file', iso(nowMs), mergeWeather(before, brought))
}

export function dropWeatherFile(db: Db, waterId: string): void {
  db.delete(table).where(and(eq(table.waterId, waterId), eq(table.source, 'file'))).run()
}

const iso = (ms: number) => new Date(ms).toISOString()
