import { describe, expect, it } from 'vitest'
import { pellowickGrid } from '../../demo/pellowick'
import { partNames } from '../season/partNames'
import type { DepthGrid } from './depthGrid'
import { FETCH_DIRECTIONS, lakeParts } from './lakeParts'

/** A lake drawn with letters: each digit a cell of so many metres, dots land. */
function drawn(rows: string[], cellM = 20): DepthGrid {
  const cols = rows[0]!.length
  const depthM = new Float32Array(cols * rows.length)
  rows.forEach((row, i) => [...row].forEach((c, x) => {
    depthM[(rows.length - 1 - i) * cols + x] = c === '.' ? Number.NaN : Number(c)
  }))
  return { x0: 0, y0: 0, cellM, cols, rows: rows.length, depthM }
}

const pellowick = pellowickGrid(10)
const { parts, labels } = lakeParts({ grid: pellowick })

describe('lakeParts', () => {
  it('takes the demo reservoir apart into its basin and the arms that were drawn', () => {
    expect(parts[0]).toMatchObject({ index: 0, kind: 'basin', joins: null, mouthM2: 0 })
    expect(parts[0]!.areaM2).toBeGreaterThan(0.8 * parts.reduce((sum, p) => sum + p.areaM2, 0))
    for (const [x, y] of [[202, 852], [687, 1387], [1582, 1447], [697, 402], [1382, 177]]) {
      const label = labels[Math.floor(y! / 10) * pellowick.cols + Math.floor(x! / 10)]!
      expect(parts[label]?.kind, `${x}, ${y}`).toBe('bay')
    }
  })
  it('labels every wet cell and no dry one, and measures by them', () => {
    const counts = new Map<number, number>()
    labels.forEach((label, i) => {
      expect(label === -1).toBe(Number.isNaN(pellowick.depthM[i]!))
      if (label >= 0) counts.set(label, (counts.get(label) ?? 0) + 1)
    })
    for (const p of parts) {
      expect(counts.get(p.index)! * 100).toBe(p.areaM2)
      expect(labels[Math.floor(p.y / 10) * pellowick.cols + Math.floor(p.x / 10)]).toBe(p.index)
      expect(p.fetchM).toHaveLength(FETCH_DIRECTIONS)
      p.fetchM.forEach((f, k) => expect(p.roughFetchM[k]!).toBeGreaterThan(0.6 * f))
      expect(p.volumeM3 / p.areaM2).toBeLessThan(p.deepestM)
      if (p.kind === 'bay') {
        expect(p.mouthM2).toBeGreaterThan(0)
        expect(parts[p.joins!]).toBeDefined()
      }
    }
    const sizes = parts.slice(1).map(p => p.areaM2)
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a))
  })
  it('leaves a round pond in one piece', () => {
    const cols = 60
    const depthM = Float32Array.from({ length: cols * cols }, (_, i) => (Math.hypot((i % cols) - 30, Math.floor(i / cols) - 30) < 26 ? 3 : Number.NaN))
    expect(lakeParts({ grid: { x0: 0, y0: 0, cellM: 10, cols, rows: cols, depthM } }).parts).toHaveLength(1)
  })
  it('parts a second pool beyond a narrows, and gives what is too small to the water beside it', () => {
    const wide = '.' + '4'.repeat(20) + '.'.repeat(20) + '.'
    const narrows = '.' + '4'.repeat(20) + '2'.repeat(6) + '3'.repeat(14) + '.'
    const pool = '.' + '4'.repeat(20) + '......' + '3'.repeat(14) + '.'
    const shore = '.'.repeat(42)
    const grid = drawn([shore, wide, wide, wide, pool, pool, pool, pool, pool, narrows, narrows, pool, pool, pool, pool, wide, wide, wide, shore])
    const found = lakeParts({ grid })
    expect(found.parts).toHaveLength(2)
    expect(found.parts[1]!.x).toBeGreaterThan(found.parts[0]!.x)
    expect(found.parts.reduce((sum, p) => sum + p.areaM2, 0)).toBe(grid.depthM.filter(d => !Number.isNaN(d)).length * 400)
  })
  it('refuses a grid without water', () => {
    expect(() => lakeParts({ grid: drawn(['...', '...']) })).toThrow(/no water/)
  })
})

describe('partNames', () => {
  it('say where a part lies, each once', () => {
    const names = partNames(parts)
    expect(names[0]).toBe('main basin')
    expect(names.slice(1).every(n => / (arm|bay)( \d)?$/.test(n))).toBe(true)
    expect(new Set(names).size).toBe(names.length)
    const at = (x: number, y: number, areaM2 = 50_000) => ({ ...parts[1]!, x, y, areaM2 })
    expect(partNames([{ ...parts[0]!, x: 0, y: 0 }, at(0, 500), at(10, 900), at(-700, 10, 9000)])).toEqual(['main basin', 'north arm 1', 'north arm 2', 'west bay'])
  })
})
