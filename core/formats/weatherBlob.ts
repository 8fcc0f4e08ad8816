import { WEATHER_FIELDS, type Weather } from '../season/weather'

const MAGIC = 0x48545752 // "RWTH"
const VERSION = 1
const HEADER_BYTES = 24

/** Bytes of a weather series: a header (magic, version, hours, first instant in ms), then each field's figures in turn; little-endian. */
export function encodeWeather(weather: Weather): Uint8Array {
  const bytes = new Uint8Array(HEADER_BYTES + WEATHER_FIELDS.length * 4 * weather.hours)
  const view = new DataView(bytes.buffer)
  view.setUint32(0, MAGIC, true)
  view.setUint32(4, VERSION, true)
  view.setUint32(8, weather.hours, true)
  view.setFloat64(16, weather.startMs, true)
  WEATHER_FIELDS.forEach((field, f) => {
    const at = HEADER_BYTES + f * 4 * weather.hours
    for (let k = 0; k < weather.hours; k++) view.setFloat32(at + 4 * k, weather[field][k]!, true)
  })
  return bytes
}

/** @throws RangeError for bytes that are no weather series, of another version, or cut off */
export function decodeWeather(bytes: Uint8Array): Weather {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  if (bytes.byteLength < HEADER_BYTES || view.getUint32(0, true) !== MAGIC) throw new RangeError('these bytes are no weather series')
  const version = view.getUint32(4, true)
  if (version !== VERSION) throw new RangeError(`weather version is ${version}; it must be ${VERSION}`)
  const hours = view.getUint32(8, true)
  const startMs = view.getFloat64(16, true)
  if (bytes.byteLength !== HEADER_BYTES + WEATHER_FIELDS.length * 4 * hours) throw new RangeError(`the weather has ${bytes.byteLength} bytes; ${hours} hours must have ${HEADER_BYTES + WEATHER_FIELDS.length * 4 * hours}`)
  if (!Number.isFinite(startMs)) throw new RangeError('the weather has no first instant')
  const weather = { startMs, hours } as Weather
  WEATHER_FIELDS.forEach((field, f) => {
    const at = HEADER_BYTES + f * 4 * hours
    weather[field] = Float32Array.from({ length: hours }, (_, k) => view.getFloat32(at + 4 * k, true))
  })
  return weather
}
