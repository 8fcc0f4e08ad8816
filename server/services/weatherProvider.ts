import { emptyWeather, HOUR_MS, type Weather, type WeatherField } from '../../core/season/weather'
import { SERVICE_FIELDS, serviceAnswerSchema } from '../../shared/weather'
import { check } from '../../shared/validate'

export interface WeatherQuestion {
  latDeg: number
  lonDeg: number
  fromMs: number
  toMs: number
  /** the instant that counts as now */
  nowMs: number
}
export interface WeatherAnswer { issuedMs: number, weather: Weather }

/** Whoever knows the weather: hours as they were up to now and as they are forecast after. @throws Error with a sentence for the angler */
export interface WeatherProvider {
  hours: (question: WeatherQuestion) => Promise<WeatherAnswer>
}

const PATIENCE_MS = 5000
const MOST_BYTES = 8_388_608

/** A service that answers over HTTP at `url` with the columns of `ServiceAnswer`. */
export function httpWeather(url: string): WeatherProvider {
  return {
    async hours({ latDeg, lonDeg, fromMs, toMs, nowMs }) {
      const at = new URL('hours', url.endsWith('/') ? url : `${url}/`)
      const iso = (ms: number) => new Date(ms).toISOString()
      for (const [key, value] of Object.entries({ lat: latDeg, lon: lonDeg, from: iso(fromMs), to: iso(toMs), now: iso(nowMs) })) at.searchParams.set(key, String(value))
      let text: string
      try {
        const response = await fetch(at, { signal: AbortSignal.timeout(PATIENCE_MS) })
        if (!response.ok) throw new Error(`it answered ${response.status}`)
        text = await limited(response)
      }
      catch (cause) {
        throw new Error(cause instanceof Error && cause.name === 'TimeoutError' ? `it did not answer within ${PATIENCE_MS / 1000} s` : cause instanceof TypeError ? 'it cannot be reached' : `${cause instanceof Error ? cause.message : String(cause)}`, { cause })
      }
      return weatherAnswer(text)
    },
  }
}

/** The answer's text, read no further than it may be long. */
async function limited(response: Response): Promise<string> {
  const chunks: Uint8Array[] = []
  let bytes = 0
  const reader = response.body?.getReader()
  for (let part = await reader?.read(); part && !part.done; part = await reader!.read()) {
    bytes += part.value.length
    if (bytes > MOST_BYTES) {
      await reader!.cancel()
      throw new Error('its answer is too large')
    }
    chunks.push(part.value)
  }
  return Buffer.concat(chunks).toString('utf8')
}

/** An answer's text as weather. @throws Error when it is no JSON, or a figure in it is out of range */
export function weatherAnswer(text: string): WeatherAnswer {
  let input: unknown
  try {
    input = JSON.parse(text)
  }
  catch (cause) {
    throw new Error('its answer is not JSON', { cause })
  }
  const checked = check(serviceAnswerSchema, input)
  if (!checked.ok) throw new Error(`its answer is wrong at ${checked.error.field ?? 'the whole'}: ${checked.error.message}`)
  const answer = checked.value
  const hours = answer.air_c.length
  const weather = emptyWeather(Math.floor(Date.parse(answer.start) / HOUR_MS) * HOUR_MS, hours)
  for (const [field, name] of Object.entries(SERVICE_FIELDS) as [WeatherField, (typeof SERVICE_FIELDS)[WeatherField]][]) {
    const column = answer[name]
    if (column.length !== hours) throw new Error(`its answer has ${hours} hours of air but ${column.length} of ${name}`)
    column.forEach((value, k) => {
      if (value !== null) weather[field][k] = value
    })
  }
  return { issuedMs: Date.parse(answer.issued), weather }
}
