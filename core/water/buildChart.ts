import { buildDepthGrid, type BuildOptions, type SurveyedGrid } from './buildDepthGrid'
import { heldOutError, type HeldOut } from './heldOutError'

export interface Chart {
  grid: SurveyedGrid
  heldOut: HeldOut | null
}

/** The grid of a water and how well it foretells tracks left out: what an import makes, in a worker on either side. */
export function buildChart(options: BuildOptions): Chart {
  const { onProgress } = options
  const grid = buildDepthGrid({ ...options, onProgress: onProgress && (done => onProgress(done * 0.8)) })
  const heldOut = heldOutError({ ...options, onProgress: onProgress && (done => onProgress(0.8 + done * 0.2)) })
  onProgress?.(1)
  return { grid, heldOut }
}
