/**
 * Distance from every cell to the nearest marked cell, in cells: exact Euclidean, two passes of lower
 * envelopes (Felzenszwalb & Huttenlocher 2012). Infinity everywhere when nothing is marked.
 */
export function distanceToMarked(marked: Uint8Array, cols: number, rows: number): Float64Array {
  const squared = Float64Array.from(marked, m => (m ? 0 : Infinity))
  const longest = Math.max(cols, rows)
  const line = new Float64Array(longest)
  const apex = new Int32Array(longest)
  const cross = new Float64Array(longest + 1)
  for (let c = 0; c < cols; c++) envelope(squared, c, cols, rows)
  for (let r = 0; r < rows; r++) envelope(squared, r * cols, 1, cols)
  return squared.map(Math.sqrt)

  function envelope(values: Float64Array, offset: number, stride: number, n: number): void {
    let k = -1
    for (let q = 0; q < n; q++) {
      const f = values[offset + q * stride]!
      line[q] = f
      if (f === Infinity) continue
      let s = -Infinity
      while (k >= 0) {
        const v = apex[k]!
        s = (f + q * q - line[v]! - v * v) / (2 * (q - v))
        if (s > cross[k]!) break
        k--
      }
      k++
      apex[k] = q
      cross[k] = k === 0 ? -Infinity : s
      cross[k + 1] = Infinity
    }
    if (k < 0) return
    let j = 0
    for (let q = 0; q < n; q++) {
      while (cross[j + 1]! < q) j++
      const v = apex[j]!
      values[offset + q * stride] = (q - v) ** 2 + line[v]!
    }
  }
}
