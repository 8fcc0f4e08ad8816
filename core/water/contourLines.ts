import { contours } from 'd3-contour'
import { requireNumber } from '../guard'
import type { DepthGrid } from './depthGrid'

/** Closed rings of one level: `rings[polygon][0]` is the outside, the rest its holes; [x, y] in the local frame, m. */
export interface DepthArea {
  levelM: number
  polygons: [number, number][][][]
}

/** Stand-in depth of land, so that a contour is drawn between the last wet cell and the bank. */
const LAND_M = -0.5

/**
 * The part of a water at least as deep as each level, as polygons with holes. A level of 0 is the water itself.
 * Uses d3-contour's marching squares with linear interpolation.
 * @throws RangeError for a level below 0
 */
export function depthAreas({ grid, levelsM }: { grid: DepthGrid, levelsM: number[] }): DepthArea[] {
  const { cols, rows, cellM, x0, y0 } = grid
  levelsM.forEach((level, i) => requireNumber(`levelsM[${i}]`, level, { min: 0 }))
  const values = new Float64Array(grid.depthM)
  for (let i = 0; i < values.length; i++) if (Number.isNaN(values[i]!)) values[i] = LAND_M
  const marching = contours().size([cols, rows]).smooth(true)
  return levelsM.map((levelM) => {
    // Exactly 0 would sit on the stand-in's side of the bank; a hair above it keeps to the water.
    const { coordinates } = marching.contour(values as unknown as number[], Math.max(levelM, 1e-6))
    const polygons = coordinates as [number, number][][][]
    // The rings are this call's own: they are moved in place.
    for (const polygon of polygons) {
      for (const ring of polygon) {
        for (const corner of ring) {
          corner[0] = x0 + corner[0] * cellM
          corner[1] = y0 + corner[1] * cellM
        }
      }
    }
    return { levelM, polygons }
  })
}

/**
 * Contour lines of a water: for each level every closed line, outside and holes alike.
 * @throws RangeError for a level below 0
 */
export function contourLines({ grid, levelsM }: { grid: DepthGrid, levelsM: number[] }): { levelM: number, lines: [number, number][][] }[] {
  return depthAreas({ grid, levelsM }).map(({ levelM, polygons }) => ({ levelM, lines: polygons.flat() }))
}
