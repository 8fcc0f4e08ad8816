import { dateOf, fieldsOf, figure, fixOf } from '../formats/nmeaFields'

/** A figure with the time at which it was heard, ms of the listener's clock. */
export interface Heard<T> { value: T, atMs: number }

export interface Position { lonDeg: number, latDeg: number }

/** What the boat's instruments have said so far. */
export interface Instruments {
  position: Heard<Position> | null
  /** over ground, m/s */
  speedMS: Heard<number> | null
  courseDeg: Heard<number> | null
  /** of the bow, true */
  headingDeg: Heard<number> | null
  /** of the water, m */
  depthM: Heard<number> | null
  waterC: Heard<number> | null
  /** true wind and where it comes from */
  windMS: Heard<number> | null
  windFromDeg: Heard<number> | null
  /** the receiver's own clock at its last fix, ms; it has to go on */
  clockMs: number | null
  dayMs: number | null
  /** a fix that was too far to be believed, until the next ones agree with it */
  doubted: { position: Position, atMs: number, times: number } | null
  sentences: number
  left: number
}

export const SILENT: Instruments = {
  position: null, speedMS: null, courseDeg: null, headingDeg: null, depthM: null, waterC: null, windMS: null, windFromDeg: null, clockMs: null, dayMs: null, doubted: null, sentences: 0, left: 0,
}

/** How long a figure holds, ms. */
export const HOLDS_MS = { position: 10_000, speedMS: 10_000, courseDeg: 10_000, headingDeg: 10_000, depthM: 6_000, waterC: 60_000, windMS: 30_000, windFromDeg: 30_000 } as const
export type Instrument = keyof typeof HOLDS_MS

/** No boat for this fishing is faster, m/s. */
const FASTEST_MS = 40
/** A fix wanders by this much, m. */
const WANDER_M = 30
/** Fixes that agree before a jump is believed. */
const AGREE = 3
/** Sentences of one instant arrive within this, ms. */
const SAME_MS = 1500
const HALF_DAY_MS = 43_200_000
const DEEPEST_M = 150
const COLDEST_C = -2
const WARMEST_C = 45
const FOOT_M = 0.3048
const FATHOM_M = 1.8288
const KNOT_MS = 1852 / 3600
const METRES_A_DEGREE = 111_320
/** m/s of a wind unit. */
const WIND_UNITS: Record<string, number> = { N: KNOT_MS, K: 1 / 3.6, M: 1, S: 0.44704 }

/**
 * The state after one more line from the wire. Anything but a whole sentence with its checksum changes nothing but the count of what was left out; so does a
 * fix without a satellite, one that repeats or goes back in the receiver's own time, one out of reach of the last, and a figure outside its range.
 * @param atMs when the line was heard
 */
export function hear(before: Instruments, line: string, atMs: number): Instruments {
  const start = line.indexOf('$')
  const read = start === -1 ? 'no sentence' : fieldsOf(line.slice(start).trim())
  if (typeof read === 'string') return { ...before, left: before.left + 1 }
  const [tag = '', ...f] = read
  const state = { ...before, sentences: before.sentences + 1 }
  const refuse = (): Instruments => ({ ...state, left: before.left + 1 })
  switch (tag.slice(-3)) {
    case 'RMC': {
      if (f[1] !== 'A') return refuse()
      const dayMs = dateOf(f[8]) ?? state.dayMs
      const fix = fixOf(f[2], f[3], f[4], f[5], f[0], dayMs)
      if (typeof fix === 'string') return refuse()
      const moved = moveTo({ ...state, dayMs }, fix, fix.atMs, atMs)
      if (!moved) return refuse()
      // Where the position of this instant came with another sentence just now, the way over ground is still this one's to say.
      if (!moved.position || atMs - moved.position.atMs > SAME_MS || moved.doubted) return moved
      const [knots, course] = [figure(f[6]), figure(f[7])]
      return {
        ...moved,
        speedMS: knots >= 0 && knots * KNOT_MS <= FASTEST_MS ? { value: knots * KNOT_MS, atMs } : moved.speedMS,
        courseDeg: course >= 0 && course <= 360 ? { value: course % 360, atMs } : moved.courseDeg,
      }
    }
    case 'GGA': {
      if (!f[5] || f[5] === '0') return refuse()
      // A receiver that never says the day still has a clock that has to go on.
      const fix = fixOf(f[1], f[2], f[3], f[4], f[0], state.dayMs ?? 0)
      if (typeof fix === 'string') return refuse()
      return moveTo(state, fix, fix.atMs, atMs) ?? refuse()
    }
    case 'DPT': {
      const offset = figure(f[1])
      return depth(figure(f[0]) + (Number.isFinite(offset) && offset > 0 ? offset : 0))
    }
    case 'DBT': {
      const [feet, metres, fathoms] = [figure(f[0]), figure(f[2]), figure(f[4])]
      return depth(Number.isFinite(metres) ? metres : Number.isFinite(feet) ? feet * FOOT_M : fathoms * FATHOM_M)
    }
    case 'MTW': {
      const value = figure(f[0])
      return f[1] === 'C' && value >= COLDEST_C && value <= WARMEST_C ? { ...state, waterC: { value, atMs } } : refuse()
    }
    case 'HDT': return heading(figure(f[0]))
    case 'HDG': {
      const signed = (value: string | undefined, side: string | undefined) => (Number.isFinite(figure(value)) ? figure(value) * (side === 'W' ? -1 : 1) : 0)
      return heading(figure(f[0]) + signed(f[1], f[2]) + signed(f[3], f[4]))
    }
    case 'MWV': {
      const [angle, speed, unit] = [figure(f[0]), figure(f[2]), WIND_UNITS[f[3] ?? '']]
      if (f[4] !== 'A' || unit === undefined || !(angle >= 0 && angle <= 360) || !(speed >= 0 && speed * unit <= 60)) return refuse()
      return wind(angle, speed * unit, f[1] === 'R')
    }
    default: return state
  }

  function depth(value: number): Instruments {
    // A sounder without the bottom says nought.
    return value > 0 && value <= DEEPEST_M ? { ...state, depthM: { value, atMs } } : refuse()
  }

  function heading(value: number): Instruments {
    return Number.isFinite(value) && Math.abs(value) <= 540 ? { ...state, headingDeg: { value: around(value), atMs } } : refuse()
  }

  /** Apparent wind is the true one and the boat's own way together. */
  function wind(angleDeg: number, speedMS: number, apparent: boolean): Instruments {
    const bow = fresh(state.headingDeg, HOLDS_MS.headingDeg, atMs)
    if (bow === null) return { ...state, windMS: apparent ? state.windMS : { value: speedMS, atMs } }
    const from = around(bow + angleDeg)
    const way = apparent ? fresh(state.speedMS, HOLDS_MS.speedMS, atMs) ?? 0 : 0
    const along = fresh(state.courseDeg, HOLDS_MS.courseDeg, atMs) ?? bow
    // Toward the boat, less what its own way brings.
    const east = speedMS * sin(from) - way * sin(along)
    const north = speedMS * cos(from) - way * cos(along)
    const trueMS = Math.hypot(east, north)
    return { ...state, windMS: { value: trueMS, atMs }, windFromDeg: trueMS < 0.3 ? state.windFromDeg : { value: around(Math.atan2(east, north) * 180 / Math.PI), atMs } }
  }
}

/** The state at a fix; null when the receiver's own time does not go on. */
function moveTo(state: Instruments, { lonDeg, latDeg }: Position, clockMs: number | null, atMs: number): Instruments | null {
  if (clockMs !== null && state.clockMs !== null) {
    // A second sentence of the same instant says the same place; an older one is a replay.
    if (clockMs === state.clockMs) return state
    // At midnight the hours begin anew before the new date is said.
    if (clockMs < state.clockMs && state.clockMs - clockMs < HALF_DAY_MS) return null
  }
  const position = { lonDeg, latDeg }
  const taken = (): Instruments => ({ ...state, position: { value: position, atMs }, clockMs: clockMs ?? state.clockMs, doubted: null })
  const last = state.position
  if (!last) return taken()
  const reach = (from: Position, sinceMs: number) => apart(from, position) <= WANDER_M + FASTEST_MS * Math.max(0, sinceMs) / 1000
  // After a long silence the boat may be anywhere within its reach, which grows with the time.
  if (reach(last.value, atMs - last.atMs)) return taken()
  const { doubted } = state
  const times = doubted && reach(doubted.position, atMs - doubted.atMs) ? doubted.times + 1 : 1
  return times >= AGREE ? taken() : { ...state, doubted: { position, atMs, times }, clockMs: clockMs ?? state.clockMs }
}

/** Distance between two positions, m; good to a metre over a lake. */
function apart(a: Position, b: Position): number {
  const north = (b.latDeg - a.latDeg) * METRES_A_DEGREE
  const east = (((b.lonDeg - a.lonDeg + 540) % 360) - 180) * METRES_A_DEGREE * cos(a.latDeg)
  return Math.hypot(north, east)
}

const sin = (deg: number) => Math.sin(deg * Math.PI / 180)
const cos = (deg: number) => Math.cos(deg * Math.PI / 180)
const around = (deg: number) => ((deg % 360) + 360) % 360

function fresh<T>(heard: Heard<T> | null, holdsMs: number, nowMs: number): T | null {
  return heard && nowMs - heard.atMs <= holdsMs ? heard.value : null
}

export type BoatNow = { [K in Instrument]: Instruments[K] extends Heard<infer T> | null ? T | null : never }

/** What still holds at an instant: figures that have grown old are null. */
export function boatNow(state: Instruments, nowMs: number): BoatNow {
  return Object.fromEntries((Object.keys(HOLDS_MS) as Instrument[]).map(key => [key, fresh<unknown>(state[key], HOLDS_MS[key], nowMs)])) as BoatNow
}
