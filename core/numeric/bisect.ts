/**
 * Root of an increasing function on [lo, hi], to `relTol` of the root.
 * `f(lo)` is taken to be ≤ 0 and `f(hi)` ≥ 0; f may return Infinity.
 */
export function bisectIncreasing(f: (x: number) => number, lo: number, hi: number, relTol = 1e-12): number {
  let a = lo
  let b = hi
  for (let i = 0; i < 200 && b - a > relTol * Math.abs(b); i++) {
    const mid = 0.5 * (a + b)
    if (f(mid) < 0) a = mid
    else b = mid
  }
  return 0.5 * (a + b)
}
