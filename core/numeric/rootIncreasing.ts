/**
 * Root of an increasing function on [lo, hi], to `relTol` of the root. `f` may return Infinity.
 * Inverse quadratic steps where the last three points allow one, halving where they do not: as sure as halving and several times quicker on smooth functions.
 * An end of the interval is returned where the function does not change its sign inside.
 * Source: Chandrupatla 1997, Adv. Eng. Software 28(3).
 */
export function rootIncreasing(f: (x: number) => number, lo: number, hi: number, relTol = 1e-12): number {
  let [a, b] = [hi, lo]
  let [fa, fb] = [f(a), f(b)]
  if (fa <= 0) return hi
  if (fb >= 0) return lo
  let t = 0.5
  for (let i = 0; i < 200; i++) {
    const x = a + t * (b - a)
    const fx = f(x)
    let [c, fc] = [a, fa]
    if (Math.sign(fx) !== Math.sign(fa)) {
      [c, fc] = [b, fb];
      [b, fb] = [a, fa]
    }
    [a, fa] = [x, fx]
    const best = Math.abs(fa) < Math.abs(fb) ? a : b
    const least = (relTol * Math.abs(best)) / Math.abs(b - a)
    if (fx === 0 || !(least < 0.5)) return fx === 0 ? x : best
    const xi = (a - b) / (c - b)
    const phi = (fa - fb) / (fc - fb)
    // With an infinite value among the three these are no numbers, and the interval is halved.
    const smooth = phi * phi < xi && (1 - phi) * (1 - phi) < 1 - xi
    t = smooth ? (fa / (fb - fa)) * (fc / (fb - fc)) + ((c - a) / (b - a)) * (fa / (fc - fa)) * (fb / (fc - fb)) : 0.5
    t = Math.min(1 - least, Math.max(least, t))
  }
  return 0.5 * (a + b)
}
