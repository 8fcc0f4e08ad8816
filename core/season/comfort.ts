import { COMFORT_C, type SeasonFish } from './seasons'

/** Water goes from the layer's warmth to the cold below over about this much depth, m. */
const STEP_M = 2.5

/** Temperature down the column of the open basin, °C: the surface layer, the step under it, and the water below. */
export function columnC({ depthM, surfaceC, layerM, belowC }: { depthM: number, surfaceC: number, layerM: number, belowC: number }): number {
  const down = Math.min(1, Math.max(0, (depthM - layerM) / STEP_M))
  return surfaceC + (belowC - surfaceC) * down
}

/**
 * The depths where a fish is at ease, m: inside its comfortable temperatures where the column has them, else where it comes nearest to
 * them; never below the surface layer of a layered lake, where air runs short in summer. Null while the water is mixed, and while
 * even its surface is cooler than they like: then warmth, not the layer, decides.
 */
export function comfortBand({ fish, surfaceC, layerM, belowC, deepestM }: { fish: SeasonFish, surfaceC: number, layerM: number, belowC: number, deepestM: number }): { topM: number, bottomM: number } | null {
  if (layerM >= deepestM || Math.abs(surfaceC - belowC) < 2) return null
  const [lo, hi] = COMFORT_C[fish]
  if (surfaceC < lo) return null
  const foot = Math.min(deepestM, layerM + STEP_M / 2)
  const inside: number[] = []
  for (let z = 0; z <= foot; z += 0.1) {
    const c = columnC({ depthM: z, surfaceC, layerM, belowC })
    if (c >= lo && c <= hi) inside.push(z)
  }
  if (inside.length > 0) return { topM: inside[0]!, bottomM: inside.at(-1)! }
  // Too warm all through: the coolest water that still has air.
  return { topM: Math.max(0, layerM - 0.5), bottomM: foot }
}
