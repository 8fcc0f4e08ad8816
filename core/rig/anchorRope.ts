import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'

/** To lie safely, rope so many times the depth from the bow. */
export const SAFE_SCOPE = 7

/**
 * Rope for an anchor that is to leave the bow at an angle, and for lying safely: the first holds a boat over a bed in light wind only (DOMAIN §7).
 * @param options.ropeDeg below the horizontal
 * @throws RangeError for a depth not above 0, a negative bow height, or an angle outside 10–85°
 */
export function anchorRope({ depthM, bowM = 0.6, ropeDeg = 45 }: { depthM: number, bowM?: number, ropeDeg?: number }): { ropeM: number, awayM: number, safeM: number } {
  const dropM = requireNumber('depthM', depthM, POSITIVE) + requireNumber('bowM', bowM, NOT_NEGATIVE)
  const angle = (requireNumber('ropeDeg', ropeDeg, { min: 10, max: 85 }) * Math.PI) / 180
  return { ropeM: dropM / Math.sin(angle), awayM: dropM / Math.tan(angle), safeM: SAFE_SCOPE * dropM }
}
