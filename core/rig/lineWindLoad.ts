import { NOT_NEGATIVE, requireNumber } from '../guard'

const AIR_DENSITY = 1.2
const LINE_AIR_DRAG = 1.1

export interface LineWindOptions {
  windMS: number
  lineDiameterM: number
  /** line between rod tip and water, default 8 m */
  lineInAirM?: number
}

/**
 * Pull of the wind on the line in the air: F = ½·1.2·1.1·d·L·U² (MATH §6).
 * @throws RangeError for a negative or non-finite argument
 */
export function lineWindLoad({ windMS, lineDiameterM, lineInAirM = 8 }: LineWindOptions): { forceN: number } {
  requireNumber('windMS', windMS, NOT_NEGATIVE)
  requireNumber('lineDiameterM', lineDiameterM, NOT_NEGATIVE)
  requireNumber('lineInAirM', lineInAirM, NOT_NEGATIVE)
  return { forceN: 0.5 * AIR_DENSITY * LINE_AIR_DRAG * lineDiameterM * lineInAirM * windMS ** 2 }
}
