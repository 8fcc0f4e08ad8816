import { describe, expect, it } from 'vitest'
import { jig } from '../../core/rig/jig'
import { fallTime } from '../../core/rig/fallTime'
import { lureWay } from '../../core/rig/lureWay'
import type { RigScene } from '../../core/rig/tieOn'
import { lureMarks } from './lureMarks'
import { rigPlane } from './rigPlane'

const scene: Extract<RigScene, { mode: 'cast' }> = { mode: 'cast', lure: { ...jig({ headMassKg: 0.00118, body: { lengthM: 0.05, depthM: 0.009 } }), lineDiameterM: 0.0002, waterTempC: 12 }, depthM: 2.3, fallS: 8, holdSpeedMS: 0.33 }
const y = (m: number) => 60 + 100 * m
const marksOf = (way: 'slack' | 'tight' | 'wound', more: { width?: number, units?: 'us' | 'metric' } = {}) => {
  const points = lureWay({ scene, way, outM: 8, rodTipM: 1.5, windMS: 0, reelMS: 0.3, bottomM: 4 })
  const plane = rigPlane({ width: more.width ?? 1800, pxPerM: 100, distanceM: 8 })
  return { plane, points, marks: lureMarks({ points, scene, way, plane, y, units: more.units ?? 'metric' }) }
}

describe('marks along the way of a lure', () => {
  it('on slack line stand at each half metre with the count to it, the last at the bait\'s depth', () => {
    const { marks } = marksOf('slack')
    expect(marks.map(m => m.y)).toEqual([0.5, 1, 1.5, 2, 2.3].map(z => expect.closeTo(y(z), 6) as number))
    expect(marks.filter(m => m.last)).toHaveLength(1)
    expect(marks.at(-1)!.text).toMatch(/s to 2\.3 m$/)
    const seconds = marks.map(m => Number.parseFloat(m.text))
    expect(seconds[1]).toBeCloseTo(fallTime({ ...scene.lure, depthM: 1 }).seconds, 0)
    expect([...seconds].sort((a, b) => a - b)).toEqual(seconds)
  })
  it('go by two feet where feet are read', () => {
    const { marks } = marksOf('slack', { units: 'us' })
    expect(marks[0]!.y).toBeCloseTo(y(2 * 0.3048), 6)
    expect(marks.at(-1)!.text).toMatch(/ft/)
  })
  it('on a tight line tell seconds that lie on its way', () => {
    const { marks, points, plane } = marksOf('tight')
    expect(marks.length).toBeGreaterThan(1)
    for (const mark of marks) {
      const at = points.find(p => p.t >= Number.parseFloat(mark.text) - 1e-9)!
      expect([mark.x, mark.y]).toEqual([plane.x(at.x), y(at.z)])
    }
  })
  it('never run together, nor into the cut', () => {
    for (const width of [600, 900, 1800]) {
      const { marks, plane } = marksOf('wound', { width })
      for (const [i, m] of marks.entries()) {
        expect(m.x).not.toBeNull()
        if (plane.cutX !== null) expect(m.x! - plane.cutX > 60 || m.x! < plane.cutX - 20).toBe(true)
        if (i > 0) expect(Math.abs(m.x! - marks[i - 1]!.x!) > 46 || Math.abs(m.y - marks[i - 1]!.y) > 19).toBe(true)
      }
    }
  })
})
