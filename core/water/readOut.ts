import { depthAt, openWater, type DepthGrid } from './depthGrid'

export interface ReadOut {
  depthM: number
  /** fall over run */
  steepness: number
  /** the way down, degrees; null on the level */
  facingDeg: number | null
  toShoreM: number
}

const WAYS = 16

/** What the chart says of one point; null on land. The distance to the shore is along the nearest of 16 ways. */
export function readOut({ grid, x, y }: { grid: DepthGrid, x: number, y: number }): ReadOut | null {
  const depthM = depthAt({ grid, x, y })
  if (Number.isNaN(depthM)) return null
  const h = 1.5 * grid.cellM
  const lean = (dx: number, dy: number): number => {
    const [before, after] = [depthAt({ grid, x: x - dx, y: y - dy }), depthAt({ grid, x: x + dx, y: y + dy })]
    if (Number.isNaN(before)) return Number.isNaN(after) ? 0 : (after - depthM) / h
    return Number.isNaN(after) ? (depthM - before) / h : (after - before) / (2 * h)
  }
  const [gx, gy] = [lean(h, 0), lean(0, h)]
  const steepness = Math.hypot(gx, gy)
  let toShoreM = Infinity
  for (let k = 0; k < WAYS; k++) toShoreM = Math.min(toShoreM, openWater({ grid, x, y, bearingDeg: (k * 360) / WAYS }))
  return { depthM, steepness, facingDeg: steepness < 1e-6 ? null : ((Math.atan2(gx, gy) * 180) / Math.PI + 360) % 360, toShoreM }
}
