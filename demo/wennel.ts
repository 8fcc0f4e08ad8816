import type { DepthGrid } from '../core/water/depthGrid'
import { gridOf } from './gridOf'
import { nearestOn, noise, type Terrain } from './terrain'

/** Wennel Water: an invented stillwater with a dug cut through it that ends at a lock. South-west corner of the frame, WGS 84. */
export const WENNEL_ORIGIN = { lonDeg: 5.213, latDeg: 52.441 }
export const WENNEL_SECCHI_M = 0.9
const SIZE = { widthM: 1150, heightM: 620 }

/** What the generator put there on purpose. */
export const WENNEL_TRUTH = {
  mere: { x: 620, y: 320, rxM: 430, ryM: 250, depthM: 3.1 },
  pit: { x: 760, y: 380, radiusM: 110, depthM: 6.8 },
  cut: { line: [{ x: 70, y: 200 }, { x: 420, y: 250 }, { x: 1080, y: 300 }], halfM: 14, depthM: 4.3 },
  basin: { x: 350, y: 470, rxM: 130, ryM: 80, depthM: 2.6 },
}

/** Height of the ground above the water, m. */
export function wennelTerrain(): Terrain {
  const broad = noise(91, 180)
  const fine = noise(17, 45)
  return (x, y) => {
    const { mere, pit, cut, basin } = WENNEL_TRUTH
    const bowl = (b: typeof mere, edge: number) => {
      const r = Math.hypot((x - b.x) / b.rxM, (y - b.y) / b.ryM)
      return -b.depthM * Math.tanh((1 - r) * edge)
    }
    let height = Math.min(bowl(mere, 4), bowl(basin, 3))
    height += (0.35 * broad(x, y) + 0.12 * fine(x, y)) * (height < 1 ? 1 : 0.3)
    height = Math.min(height, height + (-pit.depthM - height) * Math.exp(-((Math.hypot(x - pit.x, y - pit.y) / pit.radiusM) ** 2)))
    const { distanceM } = nearestOn(cut.line, x, y)
    // A dug channel: steep sides, level bed.
    return Math.min(height, -cut.depthM + Math.max(0, distanceM - cut.halfM) * 0.55)
  }
}

export const wennelGrid = (cellM = 5): DepthGrid => gridOf(wennelTerrain(), { ...SIZE, cellM })
