import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'

/**
 * Deepest rooted plants for a Secchi depth: log10(MDC) = 0.61·log10(SD) + 0.26.
 * Source: Canfield et al. 1985.
 * @throws RangeError for a Secchi depth that is not above 0
 */
export function maxPlantDepth({ secchiM }: { secchiM: number }): { depthM: number } {
  requireNumber('secchiM', secchiM, POSITIVE)
  return { depthM: 10 ** (0.61 * Math.log10(secchiM) + 0.26) }
}

/**
 * Share (0–1) of the surface light left at `depthM`: exp(−1.7·z/SD).
 * Source: Poole & Atkins 1929.
 * @throws RangeError for a Secchi depth that is not above 0, or a negative depth
 */
export function lightAtDepth({ secchiM, depthM }: { secchiM: number, depthM: number }): { share: number } {
  requireNumber('secchiM', secchiM, POSITIVE)
  requireNumber('depthM', depthM, NOT_NEGATIVE)
  return { share: Math.exp((-1.7 * depthM) / secchiM) }
}

/** Depth at which `share` (0–1, not 0) of the surface light is left: the inverse of `lightAtDepth`. */
export function depthOfLight({ secchiM, share }: { secchiM: number, share: number }): { depthM: number } {
  requireNumber('secchiM', secchiM, POSITIVE)
  requireNumber('share', share, { min: 0, above: true, max: 1 })
  return { depthM: (-Math.log(share) * secchiM) / 1.7 }
}
