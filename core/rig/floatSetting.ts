import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { lineShape, type LineShapeResult } from './lineShape'

/** Share of the wind's speed that the surface water takes up (MATH §3). */
export const SURFACE_DRIFT = 0.03
/** Depth over which the wind drift falls to 1/e, m. */
export const DRIFT_DECAY_M = 1.5

export interface FloatSettingOptions {
  /** where the bait should hang */
  baitDepthM: number
  windMS: number
  /** true: the float is held on a tight line; false: it drifts with the surface */
  held: boolean
  submergedN: number
  dragAreaM2: number
  lineDiameterM: number
  waterTempC?: number
}

export interface FloatSettingResult {
  /** line from stop to bait so that the bait hangs at `baitDepthM`; as far as it got when `planes` */
  stopLengthM: number
  /** |mean lean| of the line under the float */
  tiltDeg: number
  /** how far the bait would ride above `baitDepthM` if the stop were set at the depth itself */
  riseM: number
  /** no stop setting brings it that deep in this wind */
  planes: boolean
}

/**
 * The flow that a bait under a float feels, m/s by depth. Wind drags the surface along at 3 % and
 * the drift dies away below: a free float leaves the slower water behind, a held one stands in it.
 */
export function floatFlow({ windMS, held }: { windMS: number, held: boolean }): (depthM: number) => number {
  const surface = SURFACE_DRIFT * windMS
  return held
    ? depthM => -surface * Math.exp(-depthM / DRIFT_DECAY_M)
    : depthM => surface * -Math.expm1(-depthM / DRIFT_DECAY_M)
}

/**
 * Stop setting of a slip float in wind, with the lift it makes up for (MATH §3).
 * @throws RangeError for bad arguments
 */
export function floatSetting(options: FloatSettingOptions): FloatSettingResult {
  const { baitDepthM, stopLengthM, tiltDeg, planes, bareRise } = hang(options)
  return { stopLengthM, tiltDeg, riseM: Math.max(0, baitDepthM - bareRise().depthM), planes }
}

/** The line under the float as it hangs once the stop is set: for drawing. */
export function floatLine(options: FloatSettingOptions): { set: LineShapeResult, bare: LineShapeResult } {
  const { set, bareRise } = hang(options)
  return { set, bare: bareRise() }
}

function hang({ baitDepthM, windMS, held, ...bait }: FloatSettingOptions) {
  requireNumber('baitDepthM', baitDepthM, POSITIVE)
  requireNumber('windMS', windMS, NOT_NEGATIVE)
  const flow = floatFlow({ windMS, held })
  const set = lineShape({ ...bait, depthM: baitDepthM, flow })
  return {
    set,
    baitDepthM,
    stopLengthM: set.lengthM,
    tiltDeg: Math.abs(set.meanAngleDeg),
    planes: set.planes,
    bareRise: () => lineShape({ ...bait, lengthM: baitDepthM, flow }),
  }
}
