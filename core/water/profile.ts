import { POSITIVE, requireNumber } from '../guard'
import { depthAt, type DepthGrid } from './depthGrid'
import { resample, type XY } from './turns'

/** Depths along a drawn line: distance from its start and depth (null on land), every `stepM`. */
export function profile({ grid, line, stepM }: { grid: DepthGrid, line: readonly XY[], stepM: number }): { alongM: number, depthM: number | null }[] {
  requireNumber('stepM', stepM, POSITIVE)
  return resample(line, stepM).map(([x, y], i) => {
    const depth = depthAt({ grid, x, y })
    return { alongM: i * stepM, depthM: Number.isNaN(depth) ? null : depth }
  })
}
