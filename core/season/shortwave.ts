const RAD = Math.PI / 180

/**
 * Sunlight on level ground under a clear sky, W/m², by the sun's altitude in degrees; 0 below the horizon.
 * Source: Haurwitz 1945, 1098·cos z·exp(−0.057/cos z).
 */
export function clearSkyWm2(altitudeDeg: number): number {
  if (altitudeDeg <= 0) return 0
  const up = Math.sin(altitudeDeg * RAD)
  return 1098 * up * Math.exp(-0.057 / up)
}

/** Share of the clear sky's light that comes through cloud of a share 0–1. Source: Kasten & Czeplak 1980. */
export function throughCloud(cloud: number): number {
  return 1 - 0.75 * Math.min(1, Math.max(0, cloud)) ** 3.4
}

/** Share of sunlight that water reflects, by the sun's altitude in degrees. Source: Taylor et al. 1996. */
export function reflected(altitudeDeg: number): number {
  const up = Math.sin(Math.max(0, altitudeDeg) * RAD)
  return Math.min(1, 0.037 / (1.1 * up ** 1.4 + 0.15))
}

/** Near infrared and the like, taken up in the first hand's breadth of water. */
const TAKEN_AT_ONCE = 0.45

/**
 * Share of the light that got in which warms the water above a depth. Visible light fades as exp(−1.7·z/SD)
 * (Poole & Atkins 1929); where the bottom is reached it takes up what is left but for its own reflection.
 */
export function warmedAbove({ depthM, secchiM, toBottom }: { depthM: number, secchiM: number, toBottom: boolean }): number {
  const left = (1 - TAKEN_AT_ONCE) * Math.exp((-1.7 * depthM) / secchiM)
  return toBottom ? 1 - BOTTOM_REFLECTS * left : 1 - left
}
const BOTTOM_REFLECTS = 0.25
