export interface TemperatureReading {
  /** ms since the epoch */
  atMs: number
  waterC: number
}

const DAY_MS = 86_400_000
const WINDOW_DAYS = 7

/**
 * Slope of the last week's readings by least squares, °C a week; null with fewer than two readings
 * a day apart. Readings after `nowMs` do not count.
 */
export function temperatureTrend({ readings, nowMs }: { readings: TemperatureReading[], nowMs: number }): { perWeekC: number, days: number } | null {
  const recent = readings.filter(r => r.atMs <= nowMs && r.atMs >= nowMs - WINDOW_DAYS * DAY_MS)
  if (recent.length < 2) return null
  const times = recent.map(r => (r.atMs - nowMs) / DAY_MS)
  const days = Math.max(...times) - Math.min(...times)
  if (days < 1) return null
  const meanT = mean(times)
  const meanC = mean(recent.map(r => r.waterC))
  let sxy = 0
  let sxx = 0
  recent.forEach((r, i) => {
    const t = times[i]! - meanT
    sxy += t * (r.waterC - meanC)
    sxx += t * t
  })
  return { perWeekC: (7 * sxy) / sxx, days }
}

const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length
