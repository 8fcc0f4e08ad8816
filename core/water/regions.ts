/** Cells of a mask that hang together by edges and corners, as lists; those of fewer than `least` cells are left out. */
export function regions(mask: Uint8Array, cols: number, rows: number, least: number): Int32Array[] {
  const seen = new Uint8Array(mask.length)
  const found: Int32Array[] = []
  for (let start = 0; start < mask.length; start++) {
    if (!mask[start] || seen[start]) continue
    const list = [start]
    seen[start] = 1
    for (let k = 0; k < list.length; k++) {
      forNeighbours(list[k]!, cols, rows, (n) => {
        if (!mask[n] || seen[n]) return
        seen[n] = 1
        list.push(n)
      })
    }
    if (list.length >= least) found.push(Int32Array.from(list))
  }
  return found
}

/** The up to eight cells around one. */
export function forNeighbours(i: number, cols: number, rows: number, visit: (n: number) => void): void {
  const c = i % cols
  const r = (i - c) / cols
  for (let dr = -1; dr <= 1; dr++) {
    for (let dc = -1; dc <= 1; dc++) {
      if ((dr === 0 && dc === 0) || c + dc < 0 || c + dc >= cols || r + dr < 0 || r + dr >= rows) continue
      visit(i + dr * cols + dc)
    }
  }
}
