import type { DepthGrid } from './depthGrid'

/**
 * Depths with the roughness below `radiusM` taken out: a box mean along rows and columns, three times over (near a Gaussian),
 * of wet cells only, so that the bank does not pull the shallows up. NaN stays where it was.
 */
export function smoothDepth({ depthM, cols, rows, cellM }: DepthGrid, radiusM: number): Float32Array {
  const half = Math.max(1, Math.round(radiusM / cellM / 1.7))
  let sum: Float64Array = Float64Array.from(depthM, d => (Number.isNaN(d) ? 0 : d))
  let wet: Float64Array = Float64Array.from(depthM, d => (Number.isNaN(d) ? 0 : 1))
  for (let pass = 0; pass < 3; pass++) {
    sum = boxed(boxed(sum, cols, rows, 1, cols, half), rows, cols, cols, 1, half)
    wet = boxed(boxed(wet, cols, rows, 1, cols, half), rows, cols, cols, 1, half)
  }
  return Float32Array.from(depthM, (d, i) => (Number.isNaN(d) ? Number.NaN : sum[i]! / wet[i]!))
}

/** Sum over a sliding window of 2·half+1 along lines of `n` values `step` apart, `lines` of them `next` apart. */
function boxed(values: Float64Array, n: number, lines: number, step: number, next: number, half: number): Float64Array {
  const out = new Float64Array(values.length)
  const scale = 1 / (2 * half + 1)
  for (let line = 0; line < lines; line++) {
    const base = line * next
    let sum = 0
    for (let k = 0; k < Math.min(half, n); k++) sum += values[base + k * step]!
    for (let k = 0; k < n; k++) {
      if (k + half < n) sum += values[base + (k + half) * step]!
      if (k - half - 1 >= 0) sum -= values[base + (k - half - 1) * step]!
      out[base + k * step] = sum * scale
    }
  }
  return out
}
