import { seededRandom } from '../core/numeric/random'
import { depthAt, type DepthGrid } from '../core/water/depthGrid'
import { nmeaSentence } from '../core/formats/nmea'
import type { LocalFrame } from '../core/water/localFrame'
import { angle } from './boatInstruments'

export interface BoatLogOptions {
  /** the water's true bottom, which no reader of the log sees */
  truth: DepthGrid
  frame: LocalFrame
  /** first instant of the log */
  startMs: number
  /** between the parallel tracks, m */
  spacingM: number
  seed: number
  speedMS?: number
  /** transducer below the surface, m: the sentences give depth below it */
  transducerM?: number
  noiseM?: number
  /** share of depth sentences with a spike, and with a broken checksum */
  spikes?: number
  broken?: number
}

const SOUNDINGS_A_SECOND = 2

/** What the boat's instruments would write on a survey of parallel tracks: RMC once a second, DBT twice, with the faults of a real log. */
export function boatLog({ truth, frame, startMs, spacingM, seed, speedMS = 2.5, transducerM = 0.3, noiseM = 0.1, spikes = 0.004, broken = 0.003 }: BoatLogOptions): string {
  const random = seededRandom(seed)
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const lines: string[] = []
  let now = startMs
  const width = truth.cols * truth.cellM
  const height = truth.rows * truth.cellM
  for (let track = 0; (track + 0.5) * spacingM < width; track++) {
    const x = truth.x0 + (track + 0.5) * spacingM
    for (let along = 0; along < height; along += speedMS) {
      const y = truth.y0 + (track % 2 === 0 ? along : height - along)
      const helm = 0.08 * spacingM * Math.sin(along / 70 + track)
      const depth = depthAt({ grid: truth, x: x + helm, y })
      if (!(depth > transducerM + 0.2)) continue
      const at = new Date(now)
      const { lonDeg, latDeg } = frame.toLonLat(x + helm, y)
      const clock = `${two(at.getUTCHours())}${two(at.getUTCMinutes())}${two(at.getUTCSeconds())}.00`
      const date = `${two(at.getUTCDate())}${two(at.getUTCMonth() + 1)}${two(at.getUTCFullYear() % 100)}`
      lines.push(nmeaSentence(`GPRMC,${clock},A,${angle(latDeg, 2)},${latDeg < 0 ? 'S' : 'N'},${angle(lonDeg, 3)},${lonDeg < 0 ? 'W' : 'E'},${(speedMS * 1.944).toFixed(1)},${track % 2 === 0 ? '0.0' : '180.0'},${date},,`))
      for (let k = 0; k < SOUNDINGS_A_SECOND; k++) {
        const below = random() < spikes ? depth * 1.9 + 2 : Math.max(0, depth - transducerM + noiseM * gauss())
        const sentence = nmeaSentence(`SDDBT,${(below / 0.3048).toFixed(1)},f,${below.toFixed(2)},M,${(below / 1.8288).toFixed(1)},F`)
        lines.push(random() < broken ? sentence.replace(/\*..$/, '*ZZ') : sentence)
      }
      now += 1000
    }
    // The turn to the next track takes a while: no depth is set across it.
    now += 30_000
  }
  return `${lines.join('\r\n')}\r\n`
}

const two = (n: number) => String(n).padStart(2, '0')
