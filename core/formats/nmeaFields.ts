export interface Fix { lonDeg: number, latDeg: number, atMs: number | null }

const DAY_MS = 86_400_000

/** The sentence's fields from its tag on, or what is wrong with it. */
export function fieldsOf(sentence: string): string[] | string {
  const star = sentence.lastIndexOf('*')
  if (star === -1) return 'the sentence has no checksum'
  const body = sentence.slice(1, star)
  const told = sentence.slice(star + 1).trim()
  let sum = 0
  for (let i = 0; i < body.length; i++) sum ^= body.charCodeAt(i)
  const wanted = (sum & 0xFF).toString(16).toUpperCase().padStart(2, '0')
  if (told.toUpperCase() !== wanted) return `wrong checksum: ${told.slice(0, 8)} instead of ${wanted}`
  return body.split(',')
}

/** A plain number, else not a number. */
export const figure = (text: string | undefined): number => (text === undefined || !/^[+-]?\d*\.?\d+$/.test(text.trim()) ? Number.NaN : Number(text))

/** "ddmm.mmm" and its hemisphere in degrees. */
function angle(text: string | undefined, side: string | undefined, positive: string, negative: string): number {
  const found = /^(\d{2,3})(\d{2}(?:\.\d*)?)$/.exec(text?.trim() ?? '')
  if (!found || (side !== positive && side !== negative)) return Number.NaN
  const minutes = Number(found[2])
  return minutes >= 60 ? Number.NaN : (Number(found[1]) + minutes / 60) * (side === negative ? -1 : 1)
}

/** Position and, where the day is known, instant of a fix; or what is wrong with it. */
export function fixOf(lat: string | undefined, ns: string | undefined, lon: string | undefined, ew: string | undefined, time: string | undefined, dayMs: number | null): Fix | string {
  const latDeg = angle(lat, ns, 'N', 'S')
  const lonDeg = angle(lon, ew, 'E', 'W')
  if (Number.isNaN(latDeg) || Number.isNaN(lonDeg) || Math.abs(latDeg) > 90 || Math.abs(lonDeg) > 180) return 'the position is missing or no angle'
  const clock = /^(\d{2})(\d{2})(\d{2}(?:\.\d+)?)$/.exec(time ?? '')
  const ofDay = clock ? ((Number(clock[1]) * 60 + Number(clock[2])) * 60 + Number(clock[3])) * 1000 : null
  return { latDeg, lonDeg, atMs: ofDay === null || dayMs === null || ofDay >= DAY_MS ? null : dayMs + Math.round(ofDay) }
}

/** "ddmmyy" as the day's first instant, UTC. */
export function dateOf(text: string | undefined): number | null {
  const found = /^(\d{2})(\d{2})(\d{2})$/.exec(text ?? '')
  if (!found) return null
  const ms = Date.UTC(2000 + Number(found[3]), Number(found[2]) - 1, Number(found[1]))
  return Number.isNaN(ms) ? null : ms
}
