import type { Raster } from './rasterise'

/** Taken when no two soundings fall into one cell, m. */
export const USUAL_NOISE_M = 0.12
const LEAST_NOISE_M = 0.02
const MOST_NOISE_M = 1
const FEWEST_PAIRS = 30

/**
 * Standard deviation of single soundings, m, from pairs that fell into one cell, on one track or on two that cross:
 * the median difference left after the slope between them (of `pilot`, a coarse surface of the same water) is taken off.
 * The median shrugs off spikes.
 */
export function soundingNoise(soundings: Float64Array, { x0, y0, cellM, cols, rows }: Raster, pilot: { surface: Float64Array, raster: Raster }): number {
  const first = new Int32Array(cols * rows).fill(-1)
  const differences: number[] = []
  for (let p = 0; p < soundings.length; p += 3) {
    const c = Math.floor((soundings[p]! - x0) / cellM)
    const r = Math.floor((soundings[p + 1]! - y0) / cellM)
    if (c < 0 || r < 0 || c >= cols || r >= rows) continue
    const i = r * cols + c
    const before = first[i]!
    if (before < 0) {
      first[i] = p
      continue
    }
    first[i] = -1
    const { gx, gy } = slopeAt(pilot, soundings[p]!, soundings[p + 1]!)
    const expected = gx * (soundings[p]! - soundings[before]!) + gy * (soundings[p + 1]! - soundings[before + 1]!)
    differences.push(Math.abs(soundings[p + 2]! - soundings[before + 2]! - expected))
  }
  if (differences.length < FEWEST_PAIRS) return USUAL_NOISE_M
  const sorted = Float64Array.from(differences).sort()
  const NORMAL_MEDIAN = 0.6745
  const noise = sorted[sorted.length >> 1]! / (Math.SQRT2 * NORMAL_MEDIAN)
  return Math.max(LEAST_NOISE_M, Math.min(MOST_NOISE_M, noise))
}

function slopeAt({ surface, raster: { x0, y0, cellM, cols, rows } }: { surface: Float64Array, raster: Raster }, x: number, y: number): { gx: number, gy: number } {
  const c = Math.max(1, Math.min(cols - 2, Math.floor((x - x0) / cellM)))
  const r = Math.max(1, Math.min(rows - 2, Math.floor((y - y0) / cellM)))
  const i = r * cols + c
  return { gx: (surface[i + 1]! - surface[i - 1]!) / (2 * cellM), gy: (surface[i + cols]! - surface[i - cols]!) / (2 * cellM) }
}
