import { nmeaSentence } from '../core/formats/nmea'
import { seededRandom } from '../core/numeric/random'
import { depthAt, type DepthGrid } from '../core/water/depthGrid'
import type { LocalFrame } from '../core/water/localFrame'

export interface CircuitStop { x: number, y: number, /** how long the boat lies there, s */ stayS: number }

export interface BoatOptions {
  truth: DepthGrid
  frame: LocalFrame
  circuit: readonly CircuitStop[]
  /** between stops, m/s */
  speedMS?: number
  waterC?: number
  wind?: { speedMS: number, fromDeg: number }
  seed: number
  /** share of sentences that arrive broken, and of seconds with a line of noise among them */
  broken?: number
  noise?: number
}

const KNOT_MS = 1852 / 3600
/** A boat that holds itself in place wanders so far, m. */
const SWING_M = 2.5
const VARIATION_DEG = -3

/** The stand-in boat: goes round a circuit and says each second what instruments would say, faults of a real wire included. */
export function boatInstruments({ truth, frame, circuit, speedMS = 5, waterC = 15.4, wind = { speedMS: 3.2, fromDeg: 225 }, seed, broken = 0.01, noise = 0.01 }: BoatOptions): (second: number, atMs: number) => string[] {
  if (circuit.length === 0) throw new RangeError('circuit is empty; it must hold at least one stop')
  const random = seededRandom(seed)
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const legs = circuit.map((from, i) => {
    const to = circuit[(i + 1) % circuit.length]!
    const lengthM = Math.hypot(to.x - from.x, to.y - from.y)
    return { from, to, runS: lengthM / speedMS, courseDeg: (Math.atan2(to.x - from.x, to.y - from.y) * 180 / Math.PI + 360) % 360 }
  })
  const roundS = legs.reduce((sum, l) => sum + l.from.stayS + l.runS, 0)

  /** Where the boat is so many seconds after it set out. */
  function place(second: number) {
    let t = roundS > 0 ? second % roundS : 0
    for (const { from, to, runS, courseDeg } of legs) {
      if (t < from.stayS) return { x: from.x + SWING_M * Math.sin(second / 17), y: from.y + SWING_M * Math.cos(second / 23), way: 0.15, courseDeg: (second * 3) % 360, bowDeg: (wind.fromDeg + 8 * Math.sin(second / 11) + 360) % 360 }
      t -= from.stayS
      if (t < runS) return { x: from.x + (to.x - from.x) * t / runS, y: from.y + (to.y - from.y) * t / runS, way: speedMS, courseDeg, bowDeg: courseDeg }
      t -= runS
    }
    const last = legs.at(-1)!
    return { x: last.to.x, y: last.to.y, way: 0, courseDeg: 0, bowDeg: wind.fromDeg }
  }

  return (second, atMs) => {
    const { x, y, way, courseDeg, bowDeg } = place(second)
    const { lonDeg, latDeg } = frame.toLonLat(x + 0.8 * gauss(), y + 0.8 * gauss())
    const at = new Date(atMs)
    const clock = `${two(at.getUTCHours())}${two(at.getUTCMinutes())}${two(at.getUTCSeconds())}.00`
    const date = `${two(at.getUTCDate())}${two(at.getUTCMonth() + 1)}${two(at.getUTCFullYear() % 100)}`
    const depth = depthAt({ grid: truth, x, y })
    // What the vane feels is the wind and the boat's own way together.
    const rad = (deg: number) => deg * Math.PI / 180
    const east = wind.speedMS * Math.sin(rad(wind.fromDeg)) + way * Math.sin(rad(courseDeg))
    const north = wind.speedMS * Math.cos(rad(wind.fromDeg)) + way * Math.cos(rad(courseDeg))
    const feltDeg = (Math.atan2(east, north) * 180 / Math.PI - bowDeg + 720) % 360
    const bodies = [
      `GPRMC,${clock},A,${angle(latDeg, 2)},${latDeg < 0 ? 'S' : 'N'},${angle(lonDeg, 3)},${lonDeg < 0 ? 'W' : 'E'},${(way / KNOT_MS).toFixed(1)},${courseDeg.toFixed(1)},${date},,`,
      `HCHDG,${((bowDeg - VARIATION_DEG + 360) % 360).toFixed(1)},,,${Math.abs(VARIATION_DEG).toFixed(1)},W`,
      ...(depth > 0.3 ? [`SDDPT,${(depth - 0.3 + 0.04 * gauss()).toFixed(2)},0.30`] : []),
      `WIMWV,${feltDeg.toFixed(1)},R,${(Math.hypot(east, north) / KNOT_MS).toFixed(1)},N,A`,
      ...(second % 5 === 0 ? [`YXMTW,${(waterC + 0.1 * Math.sin(second / 300)).toFixed(1)},C`] : []),
    ]
    const lines = bodies.map(body => nmeaSentence(body)).map(line => (random() < broken ? line.slice(0, Math.floor(random() * line.length)) : line))
    return random() < noise ? [...lines, '\u0007~~$GPXX,,,*'] : lines
  }
}

const two = (n: number) => String(n).padStart(2, '0')

/** Degrees as dddmm.mmmmm, without its sign. */
export function angle(deg: number, digits: number): string {
  const whole = Math.trunc(Math.abs(deg))
  return `${String(whole).padStart(digits, '0')}${((Math.abs(deg) - whole) * 60).toFixed(5).padStart(8, '0')}`
}
