import { emptyWeather, HOUR_MS, type Weather } from './weather'

const YEAR_H = 365.2425 * 24
/** Less than this of a year says nothing of the rest of it. */
const LEAST_DAYS = 300
const TERMS = 5
/** Weeks over which an unusual spell gives way to the season. */
const FORGET_H = 5 * 24

/**
 * Weather as it usually is: the year's round of each figure (a mean and two harmonics by least squares), with the mean course of
 * its days, carried on from the end of what is known. What was unusual at that end fades over five days. Wind is kept by its mean square
 * and cloud as it dims the sun, since that is how they act on water.
 * @returns hours from the end of `known` to before `toMs`; null when less than 300 days are known
 */
export function usualWeather({ known, toMs }: { known: Weather, toMs: number }): Weather | null {
  const endMs = known.startMs + known.hours * HOUR_MS
  if (known.hours < LEAST_DAYS * 24) return null
  const hours = Math.max(0, Math.ceil((toMs - endMs) / HOUR_MS))
  const out = emptyWeather(endMs, hours)
  const air = fit(known, known.airC)
  const dew = fit(known, known.dewPointC)
  const wind = fit(known, known.windMS.map(w => w * w))
  const cloud = fit(known, known.cloud.map(c => c ** 3.4))
  const pressure = fit(known, known.pressureHpa)
  const last = { air: tail(known, known.airC, air), dew: tail(known, known.dewPointC, dew) }
  const from = prevailing(known)
  for (let k = 0; k < hours; k++) {
    const atMs = endMs + k * HOUR_MS
    const fading = Math.exp(-k / FORGET_H)
    out.airC[k] = air(atMs) + fading * last.air
    out.dewPointC[k] = Math.min(out.airC[k]!, dew(atMs) + fading * last.dew)
    out.windMS[k] = Math.sqrt(Math.max(0.04, wind(atMs)))
    out.windFromDeg[k] = from
    out.cloud[k] = Math.min(1, Math.max(0, cloud(atMs))) ** (1 / 3.4)
    out.pressureHpa[k] = pressure(atMs)
    out.rainMm[k] = 0
  }
  return out
}

/** The year's round of a figure plus the mean course of its day, as a function of the instant. */
function fit({ startMs, hours }: Weather, values: Float32Array): (atMs: number) => number {
  const a = new Float64Array(TERMS * TERMS)
  const b = new Float64Array(TERMS)
  for (let k = 0; k < hours; k++) {
    const value = values[k]!
    if (Number.isNaN(value)) continue
    const row = terms(startMs + k * HOUR_MS)
    for (let i = 0; i < TERMS; i++) {
      b[i]! += row[i]! * value
      for (let j = 0; j < TERMS; j++) a[i * TERMS + j]! += row[i]! * row[j]!
    }
  }
  const x = solve(a, b)
  const round = (atMs: number) => terms(atMs).reduce((sum, t, i) => sum + t * x[i]!, 0)
  const course = new Float64Array(24)
  const counts = new Float64Array(24)
  for (let k = 0; k < hours; k++) {
    if (Number.isNaN(values[k]!)) continue
    const hour = new Date(startMs + k * HOUR_MS).getUTCHours()
    course[hour]! += values[k]! - round(startMs + k * HOUR_MS)
    counts[hour]!++
  }
  return atMs => round(atMs) + course[new Date(atMs).getUTCHours()]! / Math.max(1, counts[new Date(atMs).getUTCHours()]!)
}

function terms(atMs: number): number[] {
  const angle = (2 * Math.PI * (atMs / HOUR_MS)) / YEAR_H
  return [1, Math.cos(angle), Math.sin(angle), Math.cos(2 * angle), Math.sin(2 * angle)]
}

/** Gaussian elimination with pivoting; a figure that was never known comes out as 0. */
function solve(a: Float64Array, b: Float64Array): Float64Array {
  const n = b.length
  for (let c = 0; c < n; c++) {
    let pivot = c
    for (let r = c + 1; r < n; r++) if (Math.abs(a[r * n + c]!) > Math.abs(a[pivot * n + c]!)) pivot = r
    if (Math.abs(a[pivot * n + c]!) < 1e-9) continue
    if (pivot !== c) {
      for (let j = 0; j < n; j++) [a[c * n + j], a[pivot * n + j]] = [a[pivot * n + j]!, a[c * n + j]!]
      ;[b[c], b[pivot]] = [b[pivot]!, b[c]!]
    }
    for (let r = 0; r < n; r++) {
      if (r === c) continue
      const f = a[r * n + c]! / a[c * n + c]!
      for (let j = c; j < n; j++) a[r * n + j]! -= f * a[c * n + j]!
      b[r]! -= f * b[c]!
    }
  }
  return Float64Array.from(b, (value, i) => (Math.abs(a[i * n + i]!) < 1e-9 ? 0 : value / a[i * n + i]!))
}

/** How far the last day lies off the usual. */
function tail({ startMs, hours }: Weather, values: Float32Array, usual: (atMs: number) => number): number {
  let sum = 0
  for (let k = Math.max(0, hours - 24); k < hours; k++) if (!Number.isNaN(values[k]!)) sum += (values[k]! - usual(startMs + k * HOUR_MS)) / 24
  return sum
}

function prevailing({ windMS, windFromDeg }: Weather): number {
  let east = 0
  let north = 0
  windMS.forEach((w, k) => {
    const rad = (windFromDeg[k]! * Math.PI) / 180
    if (Number.isNaN(w) || Number.isNaN(rad)) return
    east += w * Math.sin(rad)
    north += w * Math.cos(rad)
  })
  return ((Math.atan2(east, north) * 180) / Math.PI + 360) % 360
}

/** Fills gaps of a few hours between known ones in a straight line (directions by the shorter way are left as before the gap), longer ones from `other`. */
export function withoutGaps(weather: Weather, other: Weather | null): Weather {
  const out: Weather = { ...weather }
  const shift = other ? Math.round((weather.startMs - other.startMs) / HOUR_MS) : 0
  for (const field of ['airC', 'dewPointC', 'windMS', 'cloud', 'pressureHpa', 'windFromDeg', 'rainMm'] as const) {
    const values = weather[field].slice()
    let last = -1
    for (let k = 0; k <= values.length; k++) {
      if (k < values.length && Number.isNaN(values[k]!)) continue
      for (let g = last + 1; g < k; g++) {
        const share = (g - last) / (k - last)
        const before = values[last]
        const after = values[k]
        const elsewhere = other?.[field][g + shift]
        if (elsewhere !== undefined && !Number.isNaN(elsewhere)) values[g] = elsewhere
        else if (before === undefined) values[g] = after ?? Number.NaN
        else values[g] = after === undefined || field === 'windFromDeg' ? before : before * (1 - share) + after * share
      }
      last = k
    }
    out[field] = values
  }
  return out
}
