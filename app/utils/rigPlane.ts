/** Where things stand in the bench's side view: one scale both ways; where the boat is farther off than the picture is wide, the water between is cut out. */
export interface RigPlane {
  tipX: number
  baitX: number
  /** middle of the cut, px; null where all of it fits */
  cutX: number | null
  /** px of a point so far out from the rod tip, m; null inside the cut */
  x: (outM: number) => number | null
}

const TIP_SHARE = 0.27
const BAIT_SHARE = 0.64
const TRAIL_SHARE = 0.52
const CUT_PX = 22

/** @param options.trails the line trails behind the boat, up-wind, instead of reaching out before it */
export function rigPlane({ width, pxPerM, distanceM, trails = false }: { width: number, pxPerM: number, distanceM: number, trails?: boolean }): RigPlane {
  if (trails) {
    const tipX = width * TRAIL_SHARE
    return { tipX, baitX: tipX - distanceM * pxPerM, cutX: null, x: m => tipX - m * pxPerM }
  }
  const baitX = width * BAIT_SHARE
  const least = width * TIP_SHARE
  const plain = baitX - distanceM * pxPerM
  if (plain >= least) return { tipX: plain, baitX, cutX: null, x: m => plain + m * pxPerM }
  const cutX = least + (baitX - least) * 0.3
  const [left, right] = [(m: number) => least + m * pxPerM, (m: number) => baitX + (m - distanceM) * pxPerM]
  return {
    tipX: least, baitX, cutX,
    x: (m) => {
      if (right(m) > cutX + CUT_PX / 2) return right(m)
      return left(m) < cutX - CUT_PX / 2 ? left(m) : null
    },
  }
}

/** Strokes of a line through points given out and down, broken where the water is cut out. */
export function strokes(points: readonly { x: number, z: number }[], plane: RigPlane, y: (z: number) => number): string {
  let pen = 'M'
  let d = ''
  for (const p of points) {
    const px = plane.x(p.x)
    if (px === null) pen = 'M'
    else {
      d += `${pen}${px.toFixed(1)},${y(p.z).toFixed(1)}`
      pen = 'L'
    }
  }
  return d
}
