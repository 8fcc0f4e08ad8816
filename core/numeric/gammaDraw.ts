/** A draw from Gamma(shape, 1). Source: Marsaglia & Tsang 2000, ACM Trans. Math. Softw. 26(3). */
export function gammaDraw(shape: number, random: () => number): number {
  if (shape < 1) return gammaDraw(shape + 1, random) * Math.max(random(), 1e-12) ** (1 / shape)
  const d = shape - 1 / 3
  const c = 1 / Math.sqrt(9 * d)
  for (;;) {
    const x = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
    const v = (1 + c * x) ** 3
    if (v > 0 && Math.log(1 - random()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v
  }
}
