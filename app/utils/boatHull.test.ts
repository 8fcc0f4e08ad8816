import { describe, expect, it } from 'vitest'
import { BOAT_LONG_M, BOAT_WIDE_M, boatCorners, boatHull } from './boatHull'

const span = (values: number[]) => Math.max(...values) - Math.min(...values)

describe('the boat on a chart', () => {
  it('is as long and as wide as it is, and closed', () => {
    const corners = boatCorners({ x: 0, y: 0 }, 0)
    expect(span(corners.map(c => c[1]))).toBeCloseTo(BOAT_LONG_M, 9)
    expect(span(corners.map(c => c[0]))).toBeCloseTo(BOAT_WIDE_M, 9)
    expect(corners.at(-1)).toEqual(corners[0])
  })
  it('points its bow where it heads: north up, east right', () => {
    expect(boatCorners({ x: 10, y: 20 }, 0)[0]).toEqual([10, 20 + BOAT_LONG_M / 2])
    const [x, y] = boatCorners({ x: 10, y: 20 }, 90)[0]!
    expect([x, y]).toEqual([expect.closeTo(10 + BOAT_LONG_M / 2, 9) as number, expect.closeTo(20, 9) as number])
  })
  it('keeps its shape when it turns', () => {
    const length = (deg: number) => boatCorners({ x: 3, y: -4 }, deg).reduce((sum, c, i, all) => (i === 0 ? 0 : sum + Math.hypot(c[0] - all[i - 1]![0], c[1] - all[i - 1]![1])), 0)
    for (const deg of [33, 120, 271]) expect(length(deg)).toBeCloseTo(length(0), 9)
  })
  it('is drawn bow up in the units asked for', () => {
    const ys = [...boatHull(10).matchAll(/-?\d+\.\d/g)].map(m => Number(m[0]))
    expect(Math.min(...ys)).toBe(-25)
    expect(Math.max(...ys)).toBe(25)
    expect(boatHull(10)).toMatch(/^M0,-25\.0 .* Z$/)
  })
})
