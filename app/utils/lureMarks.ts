import { fallTime } from '../../core/rig/fallTime'
import type { LurePoint } from '../../core/rig/lureMotion'
import type { Way } from '../../core/rig/motionText'
import type { RigScene } from '../../core/rig/tieOn'
import { depthUnitM, formatDepth, formatSeconds, type Units } from '../../core/units/format'
import type { RigPlane } from './rigPlane'

/** A mark along the way of a lure; x is null where the water is cut out. */
export interface LureMark { key: string, x: number | null, y: number, text: string, last: boolean }

/** Marks nearer to one another than this run together, px. */
const NEAR_PX = { across: 46, down: 19 }
/** Room for a mark's words beside the cut, px: they stand left of it. */
const CUT_ROOM_PX = { right: 60, left: 20 }

/** Marks along the way: by depth on slack line, where the count is what the angler goes by; by seconds else. */
export function lureMarks({ points, scene, way, plane, y, units }: { points: readonly LurePoint[], scene: Extract<RigScene, { mode: 'cast' }>, way: Way, plane: RigPlane, y: (depthM: number) => number, units: Units }): LureMark[] {
  if (way === 'slack') {
    const every = units === 'us' ? 2 * depthUnitM('us') : 0.5
    const depths = [...Array.from({ length: Math.max(0, Math.floor((scene.depthM - 0.2) / every)) }, (_, i) => (i + 1) * every), scene.depthM]
    return depths.map((z) => {
      const p = points.find(q => q.z >= z - 1e-9) ?? points.at(-1)!
      const last = z === scene.depthM
      const seconds = fallTime({ ...scene.lure, depthM: z }).seconds
      return { key: last ? 'last' : `d${z}`, x: plane.x(p.x), y: y(z), text: `${formatSeconds(seconds)}${last ? ` to ${formatDepth(z, units)}` : ''}`, last }
    })
  }
  const end = points.at(-1)!.t
  const every = end > 24 ? 5 : 2
  const { cutX } = plane
  const marks: LureMark[] = []
  for (let t = every; t <= end; t += every) {
    const p = points.find(q => q.t >= t - 1e-9)!
    const mark = { key: `t${t}`, x: plane.x(p.x), y: y(p.z), text: `${t} s`, last: false }
    const before = marks.at(-1)
    const clear = mark.x !== null && (cutX === null || mark.x - cutX > CUT_ROOM_PX.right || mark.x < cutX - CUT_ROOM_PX.left)
    if (clear && (!before || Math.abs(before.y - mark.y) > NEAR_PX.down || Math.abs(before.x! - mark.x!) > NEAR_PX.across)) marks.push(mark)
  }
  return marks
}
