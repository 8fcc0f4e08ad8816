import { POSITIVE, requireNumber } from '../guard'
import { TOUCH_SHARE } from './chooseJigWeight'
import { fallTime } from './fallTime'
import { holdDepthSpeed } from './holdDepthSpeed'
import { jig, type Body } from './jig'
import { lineWindLoad } from './lineWindLoad'
import { sinkSpeed } from './sinkSpeed'

export interface MeasuredRig {
  sinkMS: number
  /** to the depth asked about, s */
  fallS: number
  /** to run level there at the distance, m/s */
  holdMS: number
  /** strongest wind in which it is felt, m/s */
  windMS: number
  /** how long it falls through the fish, s */
  inBandS: number
  /** depth through time on slack line, from the surface down */
  fall: { seconds: number, depthM: number }[]
}

const CURVE_POINTS = 40
const ROD_TIP_M = 1.2

/**
 * One rig in figures, for holding it against another: how it falls, runs and stands the wind.
 * @param options.bandM top and bottom of the fish, m
 * @throws RangeError for a depth or distance that is not above 0, or a band that is upside down
 */
export function measureRig({ headMassKg, headDensityKgM3, body, lineDiameterM, depthM, distanceM, bandM, waterTempC }: { headMassKg: number, headDensityKgM3?: number, body: Body, lineDiameterM: number, depthM: number, distanceM: number, bandM: [number, number], waterTempC?: number }): MeasuredRig {
  requireNumber('depthM', depthM, POSITIVE)
  requireNumber('distanceM', distanceM, POSITIVE)
  requireNumber('bandM[1]', bandM[1], { min: requireNumber('bandM[0]', bandM[0], { min: 0 }) })
  const lure = jig({ headMassKg, headDensityKgM3, body })
  const { submergedN, speedMS } = sinkSpeed({ ...lure, waterTempC })
  const secondsTo = (to: number) => (to === 0 ? 0 : fallTime({ ...lure, lineDiameterM, depthM: to, waterTempC }).seconds)
  const lowest = Math.max(depthM, bandM[1])
  const pull = lineWindLoad({ windMS: 1, lineDiameterM }).forceN
  return {
    sinkMS: speedMS, fallS: secondsTo(depthM), holdMS: holdDepthSpeed({ submergedN, dragAreaM2: lure.dragAreaM2, distanceM, depthM, rodTipM: ROD_TIP_M, waterTempC }).speedMS,
    windMS: Math.sqrt(submergedN / (TOUCH_SHARE * pull)), inBandS: secondsTo(bandM[1]) - secondsTo(bandM[0]),
    fall: Array.from({ length: CURVE_POINTS + 1 }, (_, i) => ({ depthM: (lowest * i) / CURVE_POINTS, seconds: secondsTo((lowest * i) / CURVE_POINTS) })),
  }
}
