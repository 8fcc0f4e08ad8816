import { describe, expect, it } from 'vitest'
import { jig } from './jig'
import { groundedLine, levelReelSpeed, lureWay, restingAt } from './lureWay'
import type { RigScene } from './tieOn'

const cast: RigScene = { mode: 'cast', lure: { ...jig({ headMassKg: 0.00118, body: { lengthM: 0.05, depthM: 0.009 } }), lineDiameterM: 1e-9, waterTempC: 12 }, depthM: 2, fallS: 7, holdSpeedMS: 0.33 }
const options = { scene: cast, outM: 8, rodTipM: 1.5, windMS: 6, reelMS: 0.3, bottomM: 4 }

describe('the way of a lure', () => {
  it('on slack line ends on the mark, whatever the wind does on the way', () => {
    for (const windMS of [0, 6, -6]) expect(lureWay({ ...options, windMS, way: 'slack' }).at(-1)).toMatchObject({ x: expect.closeTo(8, 9) as number, z: 2 })
    expect(lureWay({ ...options, way: 'slack' })[0]!.x).toBeLessThan(8)
  })
  it('on a tight line begins past the mark and rests where it passes the depth there', () => {
    const points = lureWay({ ...options, way: 'tight' })
    expect(points[0]!.x).toBeGreaterThan(8)
    expect(restingAt(points, cast, 'tight').x).toBeCloseTo(8, 1)
  })
  it('wound at the level speed neither rises nor sinks at first', () => {
    const speedMS = levelReelSpeed(cast, 8, 1.5)
    const slower = lureWay({ ...options, way: 'wound', reelMS: speedMS * 0.5 })[1]!
    const faster = lureWay({ ...options, way: 'wound', reelMS: speedMS * 2 })[1]!
    expect(slower.z).toBeGreaterThan(2)
    expect(faster.z).toBeLessThan(2)
    expect(restingAt([{ t: 0, x: 8, z: 2 }, faster], cast, 'wound')).toEqual({ t: 0, x: 8, z: 2 })
  })
  it('of a bait that runs by itself is level, and of a weight on the ground none', () => {
    expect(lureWay({ ...options, scene: { mode: 'swim', depthM: 1.1, speedMS: 0.4 }, way: 'slack' }).map(p => p.z)).toEqual([1.1, 1.1])
    const bottom: RigScene = { mode: 'bottom', massKg: 0.042, dragAreaM2: 8e-4, hooksUpM: [0.4], driftMS: 0.25, depthM: 20 }
    expect(lureWay({ ...options, scene: bottom, way: 'slack' })).toHaveLength(1)
    const line = groundedLine(bottom, { lineDiameterM: 0.00025, waterTempC: 12 })!
    expect(line.depthM).toBeCloseTo(20, 6)
    expect(line.meanAngleDeg).toBeGreaterThan(5)
    expect(groundedLine(cast, { lineDiameterM: 0.00025, waterTempC: 12 })).toBeNull()
  })
})
