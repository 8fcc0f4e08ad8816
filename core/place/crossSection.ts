import { POSITIVE, requireNumber } from '../guard'
import { depthAt, type DepthGrid } from '../water/depthGrid'
import { readOut } from '../water/readOut'

export interface SectionPoint {
  /** from the place, toward deep water, m */
  alongM: number
  /** null on land */
  depthM: number | null
  /** how far the depth can be trusted, 0–1; null where the chart does not say */
  trust: number | null
}

export interface CrossSection {
  /** which way the section runs, shallow to deep */
  bearingDeg: number
  points: SectionPoint[]
}

/**
 * The bottom through a place, from the shallow side to the deep: along the fall of the bottom, or along the bearing given.
 * @throws RangeError for a span or step that is not above 0
 */
export function crossSection({ grid, x, y, bearingDeg, spanM = 30, stepM = 1 }: { grid: DepthGrid, x: number, y: number, bearingDeg?: number, spanM?: number, stepM?: number }): CrossSection {
  requireNumber('spanM', spanM, POSITIVE)
  requireNumber('stepM', stepM, POSITIVE)
  const way = bearingDeg ?? readOut({ grid, x, y })?.facingDeg ?? 90
  const [dx, dy] = [Math.sin((way * Math.PI) / 180), Math.cos((way * Math.PI) / 180)]
  const steps = Math.round(spanM / stepM)
  const points = Array.from({ length: 2 * steps + 1 }, (_, i): SectionPoint => {
    const alongM = (i - steps) * stepM
    const at = { x: x + dx * alongM, y: y + dy * alongM }
    const depthM = depthAt({ grid, ...at })
    return { alongM, depthM: Number.isNaN(depthM) ? null : depthM, trust: trustAt(grid, at) }
  })
  return { bearingDeg: way, points }
}

function trustAt({ confidence, x0, y0, cellM, cols, rows }: DepthGrid, { x, y }: { x: number, y: number }): number | null {
  const c = Math.floor((x - x0) / cellM)
  const r = Math.floor((y - y0) / cellM)
  const trust = confidence && c >= 0 && r >= 0 && c < cols && r < rows ? confidence[r * cols + c]! : Number.NaN
  return Number.isNaN(trust) ? null : trust
}
