import { describe, expect, it } from 'vitest'
import { rigPlane, strokes } from './rigPlane'

describe('the bench\'s side view', () => {
  it('shows the whole distance where it fits', () => {
    const plane = rigPlane({ width: 600, pxPerM: 50, distanceM: 4 })
    expect(plane.cutX).toBeNull()
    expect(plane.x(4)).toBeCloseTo(plane.baitX, 9)
    expect(plane.x(0)).toBeCloseTo(plane.tipX, 9)
  })
  it('cuts the water out of the middle where it does not, true on either side', () => {
    const plane = rigPlane({ width: 600, pxPerM: 100, distanceM: 8 })
    expect(plane.x(8)).toBeCloseTo(plane.baitX, 9)
    expect(plane.x(8.5)! - plane.x(8)!).toBeCloseTo(50, 9)
    expect(plane.x(0)).toBeCloseTo(plane.tipX, 9)
    expect(plane.x(4)).toBeNull()
  })
  it('lets a drifted line trail behind, the other way', () => {
    const plane = rigPlane({ width: 600, pxPerM: 50, distanceM: 2, trails: true })
    expect(plane.baitX).toBeCloseTo(plane.tipX - 100, 9)
    expect(plane.x(1)).toBeCloseTo(plane.tipX - 50, 9)
  })
  it('breaks a line at the cut and nowhere else', () => {
    const line = Array.from({ length: 81 }, (_, i) => ({ x: i / 10, z: i / 40 }))
    const pens = (distanceM: number, pxPerM: number) => strokes(line, rigPlane({ width: 600, pxPerM, distanceM }), z => z * pxPerM).match(/M/g)!.length
    expect(pens(8, 100)).toBe(2)
    expect(pens(8, 20)).toBe(1)
  })
})
