import { dateOf, fieldsOf, figure, fixOf, type Fix } from './nmeaFields'
import { cleanText, refused, Tally, type ReadResult } from './readResult'
import { depthFault, type Sounding } from './soundings'

interface Waiting { depthM: number, line: number, source: 'DBT' | 'DPT' }

/** Two fixes farther apart in time leave the depths between them without a place, ms. */
const LONGEST_GAP_MS = 15_000
const FOOT_M = 0.3048
const FATHOM_M = 1.8288

/**
 * Soundings from a log of NMEA 0183 sentences of any talkers: depths (DPT, else DBT) set between the fixes (RMC, GGA) around them,
 * evenly in their order, as depth sentences carry no time. Sentences with a wrong checksum are counted and left out.
 * @param options.transducerM depth of the transducer below the surface: added to DBT, and to DPT that names no offset
 */
export function readNmea(text: string, { transducerM = 0 }: { transducerM?: number } = {}): ReadResult<Sounding> {
  const plain = cleanText(text)
  if (typeof plain !== 'string') return refused(plain.refusal)
  const tally = new Tally<Sounding>()
  let last: Fix | null = null
  let dayMs: number | null = null
  let waiting: Waiting[] = []
  let depths = 0
  let fixes = 0

  plain.split(/\r\n|\r|\n/).forEach((raw, i) => {
    const line = i + 1
    const sentence = raw.trim()
    const start = sentence.indexOf('$')
    if (sentence === '') return
    if (start === -1) return tally.leaveOut(line, 'this is no NMEA sentence: it has no $')
    const read = fieldsOf(sentence.slice(start))
    if (typeof read === 'string') return tally.leaveOut(line, read)
    const [tag, ...f] = read
    switch (tag!.slice(-3)) {
      case 'RMC': {
        if (f[1] !== 'A') return tally.leaveOut(line, 'RMC without a valid fix')
        dayMs = dateOf(f[8]) ?? dayMs
        return moveTo(fixOf(f[2], f[3], f[4], f[5], f[0], dayMs), line)
      }
      case 'GGA': {
        if (f[5] === '0' || f[5] === '' || f[5] === undefined) return tally.leaveOut(line, 'GGA without a valid fix')
        return moveTo(fixOf(f[1], f[2], f[3], f[4], f[0], dayMs), line)
      }
      case 'DPT': {
        const offset = figure(f[1])
        return hold(figure(f[0]) + (Number.isNaN(offset) || offset <= 0 ? transducerM : offset), line, 'DPT')
      }
      case 'DBT': {
        const [feet, metres, fathoms] = [figure(f[0]), figure(f[2]), figure(f[4])]
        return hold((Number.isFinite(metres) ? metres : Number.isFinite(feet) ? feet * FOOT_M : fathoms * FATHOM_M) + transducerM, line, 'DBT')
      }
      default:
    }
  })
  for (const { line } of waiting) tally.leaveOut(line, 'a depth after the last fix has no place')
  if (tally.items.length === 0) tally.note(null, depths === 0 ? 'there is no depth (DBT or DPT) in this log' : fixes === 0 ? 'there is no position (RMC or GGA) in this log' : 'no depth lies between two fixes')
  return tally.result()

  function hold(depthM: number, line: number, source: Waiting['source']): void {
    depths++
    const wrong = depthFault(depthM)
    if (wrong) return tally.leaveOut(line, `${source}: ${wrong}`)
    if (!last) return tally.leaveOut(line, 'a depth before the first fix has no place')
    waiting.push({ depthM, line, source })
  }

  function moveTo(fix: Fix | string, line: number): void {
    if (typeof fix === 'string') return tally.leaveOut(line, fix)
    fixes++
    const before = last
    last = fix
    if (!before || waiting.length === 0) return
    if (before.lonDeg === fix.lonDeg && before.latDeg === fix.latDeg && before.atMs === fix.atMs) return
    const gapMs = before.atMs !== null && fix.atMs !== null ? fix.atMs - before.atMs : 0
    // One sounder that sends both sentences is one sounding, not two.
    const held = waiting.some(w => w.source === 'DPT') ? waiting.filter(w => w.source === 'DPT') : waiting
    waiting = []
    if (gapMs < 0 || gapMs > LONGEST_GAP_MS) {
      for (const w of held) tally.leaveOut(w.line, `no fix within ${LONGEST_GAP_MS / 1000} s of this depth`)
      return
    }
    held.forEach(({ depthM }, k) => {
      const share = (k + 1) / (held.length + 1)
      const east = ((fix.lonDeg - before.lonDeg + 540) % 360) - 180
      const lonDeg = before.lonDeg + east * share
      tally.items.push({
        lonDeg: lonDeg > 180 ? lonDeg - 360 : lonDeg < -180 ? lonDeg + 360 : lonDeg,
        latDeg: before.latDeg + (fix.latDeg - before.latDeg) * share, depthM,
        atMs: before.atMs === null || fix.atMs === null ? null : Math.round(before.atMs + gapMs * share),
      })
    })
  }
}

/** A sentence with its checksum, ready to send. */
export function nmeaSentence(body: string): string {
  let sum = 0
  for (let i = 0; i < body.length; i++) sum ^= body.charCodeAt(i)
  return `$${body}*${sum.toString(16).toUpperCase().padStart(2, '0')}`
}
