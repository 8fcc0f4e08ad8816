/** A five-metre open boat, m. */
export const BOAT_LONG_M = 5
export const BOAT_WIDE_M = 1.9

/** The boat's plan with its bow up, about its own middle, as a path; `scale` is in units of the drawing to a metre. */
export function boatHull(scale: number): string {
  const [l, w] = [(BOAT_LONG_M / 2) * scale, (BOAT_WIDE_M / 2) * scale]
  const f = (v: number) => v.toFixed(1)
  return `M0,${f(-l)} C${f(w * 0.9)},${f(-l * 0.55)} ${f(w)},${f(-l * 0.2)} ${f(w)},${f(l * 0.2)} L${f(w * 0.86)},${f(l)} H${f(-w * 0.86)} L${f(-w)},${f(l * 0.2)} C${f(-w)},${f(-l * 0.2)} ${f(-w * 0.9)},${f(-l * 0.55)} 0,${f(-l)} Z`
}

/** The same outline as corners in metres, turned to a bearing about a point. */
export function boatCorners({ x, y }: { x: number, y: number }, bowDeg: number): [number, number][] {
  const [l, w] = [BOAT_LONG_M / 2, BOAT_WIDE_M / 2]
  const [s, c] = [Math.sin((bowDeg * Math.PI) / 180), Math.cos((bowDeg * Math.PI) / 180)]
  const corners: [along: number, right: number][] = [[l, 0], [l * 0.5, w * 0.85], [-l * 0.2, w], [-l, w * 0.86], [-l, -w * 0.86], [-l * 0.2, -w], [l * 0.5, -w * 0.85], [l, 0]]
  return corners.map(([a, r]) => [x + a * s + r * c, y + a * c - r * s])
}
