import { lineShape } from '../core'
import { race } from './time'

const CASES = [0.05, 0.1, 0.2, 0.3].flatMap(flow => [2, 6, 12, 20].map(depthM => ({ submergedN: 0.25, dragAreaM2: 4e-4, lineDiameterM: 2.5e-4, depthM, flow })))

/** Euler steps of a millimetre: the plain way to half a per mille. */
function euler({ submergedN, dragAreaM2, lineDiameterM, depthM, flow }: (typeof CASES)[number], ds: number): number {
  const rho = 999.1
  let tx = 0.5 * rho * dragAreaM2 * flow * flow
  let tz = submergedN
  let x = 0
  let z = 0
  while (z < depthM) {
    const t = Math.hypot(tx, tz)
    const [sin, cos] = [tx / t, tz / t]
    const normal = 0.5 * rho * 1.2 * lineDiameterM * (flow * cos) ** 2
    const skin = 0.5 * rho * 0.015 * Math.PI * lineDiameterM * (flow * sin) ** 2
    tx += (normal * cos + skin * sin) * ds
    tz += (-normal * sin + skin * cos) * ds
    x += sin * ds
    z += cos * ds
  }
  return x
}

export function lineShapeBench() {
  const exact = CASES.map(c => euler(c, 1e-4))
  const worst = (offsets: number[]) => Math.max(...offsets.map((o, i) => Math.abs(o - exact[i]!) / exact[i]!))
  const times = race({ midpoint: () => CASES.map(c => lineShape(c)), euler: () => CASES.map(c => euler(c, 1e-3)) })
  return {
    what: 'lineShape (midpoint, 5 cm steps) against Euler steps of 1 mm, 16 lines',
    lines: [
      `time: ${(times.euler! / times.midpoint!).toFixed(1)} times faster`,
      `largest error of the offset: ${(100 * worst(CASES.map(c => lineShape(c).offsetM))).toFixed(3)} % against ${(100 * worst(CASES.map(c => euler(c, 1e-3)))).toFixed(3)} %`,
    ],
  }
}
