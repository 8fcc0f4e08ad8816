import { calibrateDragArea } from './calibrateDragArea'
import { jig, type Body } from './jig'

/** A learned body this far off its size's own drag was counted wrong, or was not this body: it is not believed. */
const BELIEVED: [number, number] = [0.2, 5]

/**
 * What a counted fall says of a body: its drag area, and how that stands to the one its size alone would give.
 * @throws RangeError as `calibrateDragArea`, and for a count so far off that it cannot be this body's
 */
export function learnBody({ headMassKg, headDensityKgM3, body, lineDiameterM, depthM, seconds, waterTempC }: { headMassKg: number, headDensityKgM3?: number, body: Body, lineDiameterM: number, depthM: number, seconds: number, waterTempC?: number }): { dragAreaM2: number, ratio: number } {
  const lure = jig({ headMassKg, headDensityKgM3, body: { ...body, dragAreaM2: undefined } })
  const { dragAreaM2 } = calibrateDragArea({ massKg: lure.massKg, densityKgM3: lure.densityKgM3, lineDiameterM, depthM, seconds, waterTempC })
  const ratio = dragAreaM2 / lure.dragAreaM2
  if (ratio < BELIEVED[0] || ratio > BELIEVED[1]) throw new RangeError(`seconds is ${seconds}; that would be ${ratio.toPrecision(2)} times the drag of its size: count again`)
  return { dragAreaM2, ratio }
}
