import { dateOf, fieldsOf, figure, fixOf, type Fix } from './nmeaFields'
import { cleanText, refused, Tally, type ReadResult } from './readResult'

/** Water temperature that a boat's sensor read. */
export interface TemperatureAt {
  lonDeg: number
  latDeg: number
  atMs: number
  waterC: number
}

/** A fix older than this says nothing of where a temperature was read, ms. */
const STALE_MS = 15_000
const COLDEST_C = -2
const WARMEST_C = 45

/**
 * Water temperatures (MTW) of a log of NMEA 0183 sentences, each at the last fix (RMC, GGA) before it. A temperature without a fix and
 * its instant, outside −2 to 45 °C or in another unit than C is counted and left out, as is a broken sentence.
 */
export function readNmeaTemperatures(text: string): ReadResult<TemperatureAt> {
  const plain = cleanText(text)
  if (typeof plain !== 'string') return refused(plain.refusal)
  const tally = new Tally<TemperatureAt>()
  let fix: Fix | null = null
  let clockMs: number | null = null
  let dayMs: number | null = null
  plain.split(/\r\n|\r|\n/).forEach((raw, i) => {
    const line = i + 1
    const start = raw.indexOf('$')
    if (start === -1) return
    const read = fieldsOf(raw.slice(start).trim())
    if (typeof read === 'string') return tally.leaveOut(line, read)
    const [tag, ...f] = read
    const kind = tag!.slice(-3)
    if (kind === 'RMC' && f[1] === 'A') {
      dayMs = dateOf(f[8]) ?? dayMs
      move(fixOf(f[2], f[3], f[4], f[5], f[0], dayMs))
    }
    else if (kind === 'GGA' && f[5] !== '0' && f[5] !== '' && f[5] !== undefined) {
      move(fixOf(f[1], f[2], f[3], f[4], f[0], dayMs))
    }
    else if (kind === 'MTW') {
      const waterC = figure(f[0])
      if (f[1] !== 'C') return tally.leaveOut(line, `MTW in ${f[1] === undefined || f[1] === '' ? 'no unit' : f[1]}, not C`)
      if (!(waterC >= COLDEST_C && waterC <= WARMEST_C)) return tally.leaveOut(line, `MTW: ${f[0]} is no temperature of open water`)
      if (!fix || fix.atMs === null || clockMs === null) return tally.leaveOut(line, 'a temperature before the first fix with a date has no place')
      if (clockMs - fix.atMs > STALE_MS) return tally.leaveOut(line, 'no fix near this temperature')
      tally.items.push({ lonDeg: fix.lonDeg, latDeg: fix.latDeg, atMs: fix.atMs, waterC })
    }
  })
  if (tally.items.length === 0) tally.note(null, 'there is no water temperature (MTW) with a place and a date in this log')
  return tally.result()

  function move(found: Fix | string): void {
    if (typeof found === 'string') return
    fix = found
    clockMs = found.atMs ?? clockMs
  }
}

const SPELL_MS = 20 * 60_000

/** One reading for each part of the lake and twenty minutes: the median of what was read there and then. */
export function thinTemperatures(items: readonly TemperatureAt[], partOf: (at: TemperatureAt) => number): (TemperatureAt & { part: number, of: number })[] {
  const groups = new Map<string, { part: number, items: TemperatureAt[] }>()
  for (const item of items) {
    const part = partOf(item)
    if (part < 0) continue
    const key = `${part} ${Math.floor(item.atMs / SPELL_MS)}`
    const group = groups.get(key) ?? { part, items: [] }
    group.items.push(item)
    groups.set(key, group)
  }
  return [...groups.values()].map(({ part, items: list }) => {
    const sorted = [...list].sort((a, b) => a.waterC - b.waterC)
    return { ...sorted[Math.floor(sorted.length / 2)]!, part, of: list.length }
  }).sort((a, b) => a.atMs - b.atMs)
}
