import { createServer, type Server } from 'node:net'
import { localFrame } from '../core/water/localFrame'
import { PELLOWICK_ORIGIN, pellowickGrid } from '../demo/pellowick'
import { boatInstruments, type CircuitStop } from './boatInstruments'

/** A round of the demo reservoir: a brush pile, a dock, a point, the open basin. */
const ROUND: CircuitStop[] = [{ x: 1180, y: 760, stayS: 240 }, { x: 1420, y: 820, stayS: 180 }, { x: 1560, y: 940, stayS: 240 }, { x: 1300, y: 980, stayS: 120 }]

/** The stand-in boat's instruments behind TCP: everyone who connects hears the same boat. */
export function boatServer({ startMs = Date.now(), everyMs = 1000 }: { startMs?: number, everyMs?: number } = {}): Server {
  const say = boatInstruments({ truth: pellowickGrid(5), frame: localFrame(PELLOWICK_ORIGIN), circuit: ROUND, seed: 11 })
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
