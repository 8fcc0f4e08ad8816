import { createServer, type Server } from 'node:net'
import type { DepthGrid } from '../core/water/depthGrid'
import { localFrame, type LocalFrame } from '../core/water/localFrame'
import { pellowickPlaces } from '../demo/places'
import { PELLOWICK_ORIGIN, pellowickGrid } from '../demo/pellowick'
import { boatInstruments, type CircuitStop } from './boatInstruments'

/** A round of the demo reservoir: how long the boat lies at each place, s. The way between them is open water. */
const ROUND: [name: string, stayS: number][] = [['Kiln brush, step 2 of 4', 2400], ['Ferry dock', 1500], ['Sexton\'s Hump', 900], ['Tollgate Point', 900]]
/** As the demo's morning has it. */
const WATER_C = 12.3

function round(truth: DepthGrid, frame: LocalFrame): CircuitStop[] {
  let n = 0
  const places = pellowickPlaces(truth, () => String(n++))
  return ROUND.map(([name, stayS]) => {
    const place = places.find(p => p.name === name)
    if (!place) throw new RangeError(`there is no place "${name}" on the demo reservoir`)
    return { ...frame.toLocal(place.lonDeg, place.latDeg), stayS }
  })
}

/** The stand-in boat's instruments behind TCP: everyone who connects hears the same boat. */
export function boatServer({ startMs = Date.now(), everyMs = 1000 }: { startMs?: number, everyMs?: number } = {}): Server {
  const truth = pellowickGrid(5)
  const frame = localFrame(PELLOWICK_ORIGIN)
  const say = boatInstruments({ truth, frame, circuit: round(truth, frame), waterC: WATER_C, seed: 11 })
  return createServer((wire) => {
    const timer = setInterval(() => {
      const now = Date.now()
      wire.write(`${say(Math.floor((now - startMs) / 1000), now).join('\r\n')}\r\n`)
    }, everyMs)
    wire.on('close', () => clearInterval(timer))
    // A listener that goes away in the middle of a sentence is no fault of the boat's.
    wire.on('error', error => console.info(`a listener went away: ${error.message}`))
  })
}

/** `npx tsx sim/serveBoat.ts` starts it on BOAT_PORT. */
if (process.argv[1]?.endsWith('serveBoat.ts')) {
  const port = Number(process.env.BOAT_PORT ?? 3902)
  boatServer().listen(port, '127.0.0.1', () => console.log(`Stand-in boat at 127.0.0.1:${port}`))
}
