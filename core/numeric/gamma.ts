import { POSITIVE, requireNumber } from '../guard'

/** Lanczos coefficients, g = 7. */
const LANCZOS = [0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7]

/** Natural logarithm of the gamma function, for x above 0 (Lanczos, relative error under 1e-13). */
export function logGamma(x: number): number {
  requireNumber('x', x, POSITIVE)
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x)
  const z = x - 1
  const t = z + 7.5
  const sum = LANCZOS.reduce((s, c, i) => (i === 0 ? c : s + c / (z + i)), 0)
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum)
}

/**
 * Equal shares of a gamma distribution, each by its middle: `count` values whose plain mean stands for the whole.
 * @param options.shape, options.rate as in Gamma(α, β): mean α/β
 * @throws RangeError for a shape or rate that is not above 0
 */
export function gammaShares({ shape, rate, count }: { shape: number, rate: number, count: number }): number[] {
  requireNumber('shape', shape, POSITIVE)
  requireNumber('rate', rate, POSITIVE)
  const raw = Array.from({ length: count }, (_, i) => quantile(shape, (i + 0.5) / count) / rate)
  // The middles of skewed shares fall short of the mean: the tail is put back where it belongs, in proportion.
  const short = shape / rate / (raw.reduce((a, b) => a + b, 0) / count)
  return raw.map(v => v * short)
}

/** Quantile of Gamma(shape, 1) by bisection on the regularized incomplete gamma function. */
function quantile(shape: number, p: number): number {
  let [lo, hi] = [0, shape + 10 * Math.sqrt(shape) + 20]
  for (let i = 0; i < 80; i++) {
    const mid = (lo + hi) / 2
    if (lowerGamma(shape, mid) < p) lo = mid
    else hi = mid
  }
  return (lo + hi) / 2
}

/** Regularized lower incomplete gamma function P(a, x): series below a + 1, continued fraction above (Abramowitz & Stegun 6.5.29, 6.5.31). */
export function lowerGamma(a: number, x: number): number {
  if (x <= 0) return 0
  const front = Math.exp(-x + a * Math.log(x) - logGamma(a))
  if (x < a + 1) {
    let term = 1 / a
    let sum = term
    for (let n = 1; n < 500 && term > sum * 1e-15; n++) {
      term *= x / (a + n)
      sum += term
    }
    return Math.min(1, sum * front)
  }
  let b = x + 1 - a
  let c = 1 / 1e-300
  let d = 1 / b
  let h = d
  for (let i = 1; i < 500; i++) {
    const an = -i * (i - a)
    b += 2
    d = 1 / (an * d + b || 1e-300)
    c = b + an / c || 1e-300
    const step = d * c
    h *= step
    if (Math.abs(step - 1) < 1e-15) break
  }
  return 1 - front * h
}
