import type { DepthGrid } from '../core/water/depthGrid'
import { gridOf } from './gridOf'
import { noise, type Terrain } from './terrain'

/** Tamarrow Lake: an invented natural lake with weed all round. South-west corner of the frame, WGS 84. */
export const TAMARROW_ORIGIN = { lonDeg: -94.412, latDeg: 46.307 }
export const TAMARROW_SECCHI_M = 2.2
const SIZE = { widthM: 1500, heightM: 1100 }

/** What the generator put there on purpose. */
export const TAMARROW_TRUTH = {
  basins: [{ x: 560, y: 560, rxM: 400, ryM: 330, depthM: 11.5 }, { x: 1060, y: 600, rxM: 290, ryM: 260, depthM: 8.2 }],
  bays: [{ x: 250, y: 850, rxM: 150, ryM: 120, depthM: 2.2 }, { x: 1250, y: 300, rxM: 140, ryM: 130, depthM: 2.6 }],
  humps: [{ x: 640, y: 470, radiusM: 60, topM: 3.2 }, { x: 1010, y: 690, radiusM: 45, topM: 2.6 }],
  bar: { x: 820, y: 560, rxM: 90, ryM: 260, topM: 4.2 },
}

/** Height of the ground above the lake, m: bowls that the ice left, joined, with soft bays and a bar between the basins. */
export function tamarrowTerrain(): Terrain {
  const broad = noise(53, 260)
  const fine = noise(71, 70)
  return (x, y) => {
    const bowl = ({ x: cx, y: cy, rxM, ryM, depthM }: { x: number, y: number, rxM: number, ryM: number, depthM: number }) => {
      const r = Math.hypot((x - cx) / rxM, (y - cy) / ryM)
      return r < 1.25 ? -depthM * (1 - (r / 1.12) ** 2.4) : 6 * (r - 1.1)
    }
    let height = Math.min(...TAMARROW_TRUTH.basins.map(bowl), ...TAMARROW_TRUTH.bays.map(bowl))
    height += 1.1 * broad(x, y) * Math.min(1, Math.max(0.25, (height + 9) / 8)) + 0.25 * fine(x, y)
    const { bar, humps } = TAMARROW_TRUTH
    const across = Math.hypot((x - bar.x) / bar.rxM, (y - bar.y) / bar.ryM)
    if (height < 0) height = Math.max(height, height + (-bar.topM - height) * Math.exp(-across * across * 2))
    for (const { x: hx, y: hy, radiusM, topM } of humps) {
      const r = Math.hypot(x - hx, y - hy) / radiusM
      if (r < 3) height = Math.max(height, height + (-topM - height) * Math.exp(-r * r))
    }
    return height
  }
}

export const tamarrowGrid = (cellM = 5): DepthGrid => gridOf(tamarrowTerrain(), { ...SIZE, cellM })
