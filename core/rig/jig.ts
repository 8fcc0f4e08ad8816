import { POSITIVE, requireNumber } from '../guard'

/** Lead with its hook: 0.95 of lead's own 11 340 kg/m³. */
export const LEAD_HEAD_KG_M3 = 10773
export const TUNGSTEN_HEAD_KG_M3 = 16500
export const LEAD_KG_M3 = 11340
/** Soft plastics sink slowly on their own. */
export const SOFT_BODY_KG_M3 = 1030
/** A tapered body fills about two thirds of the cylinder around it. */
const BODY_FILL = 0.65

export interface Body {
  lengthM: number
  /** height of the body seen from the side */
  depthM: number
  densityKgM3?: number
  /** learned from a counted fall (see `learnBody`) */
  dragAreaM2?: number
}

export interface Jig {
  massKg: number
  densityKgM3: number
  dragAreaM2: number
}

export interface JigOptions {
  headMassKg: number
  headDensityKgM3?: number
  body: Body
  /** overrules the body's own; with neither 1.0 × length × depth, a broadside fall */
  dragAreaM2?: number
}

/**
 * A head and a body as one lure: masses and volumes summed for the mean density (MATH §1).
 * @throws RangeError for a mass, size or density that is not above 0
 */
export function jig({ headMassKg, headDensityKgM3 = LEAD_HEAD_KG_M3, body, dragAreaM2 }: JigOptions): Jig {
  requireNumber('headMassKg', headMassKg, POSITIVE)
  requireNumber('headDensityKgM3', headDensityKgM3, POSITIVE)
  requireNumber('body.lengthM', body.lengthM, POSITIVE)
  requireNumber('body.depthM', body.depthM, POSITIVE)
  const bodyDensity = requireNumber('body.densityKgM3', body.densityKgM3 ?? SOFT_BODY_KG_M3, POSITIVE)
  const area = requireNumber('dragAreaM2', dragAreaM2 ?? body.dragAreaM2 ?? body.lengthM * body.depthM, POSITIVE)
  const bodyM3 = BODY_FILL * (Math.PI / 4) * body.depthM ** 2 * body.lengthM
  const massKg = headMassKg + bodyDensity * bodyM3
  return { massKg, densityKgM3: massKg / (headMassKg / headDensityKgM3 + bodyM3), dragAreaM2: area }
}
