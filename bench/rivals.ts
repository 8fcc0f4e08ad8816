import Delaunator from 'delaunator'
import type { Survey } from './survey'
import { binPoints } from '../core/water/binSoundings'
import { rasterAround, rasterise, type Raster } from '../core/water/rasterise'

/** Shoreline corners and soundings joined into triangles, read off at the cells' centres. */
export function triangulated({ outer, islands, soundings }: Survey, cellM: number): { raster: Raster, depthM: Float32Array } {
  const raster = rasterAround(outer, cellM)
  const wet = rasterise(raster, outer, islands)
  const shore = [outer, ...islands].flat()
  const n = soundings.length / 3 + shore.length
  const xy = new Float64Array(2 * n)
  const z = new Float64Array(n)
  for (let i = 0; i < soundings.length / 3; i++) {
    xy[2 * i] = soundings[3 * i]!
    xy[2 * i + 1] = soundings[3 * i + 1]!
    z[i] = soundings[3 * i + 2]!
  }
  shore.forEach(({ x, y }, k) => {
    xy[2 * (soundings.length / 3 + k)] = x
    xy[2 * (soundings.length / 3 + k) + 1] = y
  })
  const { triangles } = new Delaunator(xy)
  const depthM = new Float32Array(raster.cols * raster.rows).fill(Number.NaN)
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [triangles[t]!, triangles[t + 1]!, triangles[t + 2]!]
    const [ax, ay, bx, by, cx, cy] = [xy[2 * a]!, xy[2 * a + 1]!, xy[2 * b]!, xy[2 * b + 1]!, xy[2 * c]!, xy[2 * c + 1]!]
    const det = (by - cy) * (ax - cx) + (cx - bx) * (ay - cy)
    if (det === 0) continue
    const c0 = Math.max(0, Math.ceil((Math.min(ax, bx, cx) - raster.x0) / cellM - 0.5))
    const c1 = Math.min(raster.cols - 1, Math.floor((Math.max(ax, bx, cx) - raster.x0) / cellM - 0.5))
    const r0 = Math.max(0, Math.ceil((Math.min(ay, by, cy) - raster.y0) / cellM - 0.5))
    const r1 = Math.min(raster.rows - 1, Math.floor((Math.max(ay, by, cy) - raster.y0) / cellM - 0.5))
    for (let r = r0; r <= r1; r++) {
      const y = raster.y0 + (r + 0.5) * cellM
      for (let col = c0; col <= c1; col++) {
        const x = raster.x0 + (col + 0.5) * cellM
        const u = ((by - cy) * (x - cx) + (cx - bx) * (y - cy)) / det
        const v = ((cy - ay) * (x - cx) + (ax - cx) * (y - cy)) / det
        if (u < -1e-9 || v < -1e-9 || u + v > 1 + 1e-9 || !wet[r * raster.cols + col]) continue
        depthM[r * raster.cols + col] = u * z[a]! + v * z[b]! + (1 - u - v) * z[c]!
      }
    }
  }
  return { raster, depthM }
}

/** The same from the means of what fell into each cell: less noise, fewer triangles. */
export function triangulatedMeans(given: Survey, cellM: number): ReturnType<typeof triangulated> {
  const raster = rasterAround(given.outer, cellM)
  const { weight, depthM, offX, offY } = binPoints(raster, [{ points: given.soundings, weight: 1 }])
  const means: number[] = []
  weight.forEach((w, i) => {
    if (w > 0) means.push(raster.x0 + ((i % raster.cols) + 0.5 + offX[i]!) * cellM, raster.y0 + (Math.floor(i / raster.cols) + 0.5 + offY[i]!) * cellM, depthM[i]!)
  })
  return triangulated({ ...given, soundings: Float64Array.from(means) }, cellM)
}
