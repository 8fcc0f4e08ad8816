import { describe, expect, it } from 'vitest'
import { boatNow, hear, SILENT } from '../core/boat/instruments'
import { depthAt } from '../core/water/depthGrid'
import { localFrame } from '../core/water/localFrame'
import { PELLOWICK_ORIGIN, pellowickGrid } from '../demo/pellowick'
import { boatInstruments } from './boatInstruments'

const truth = pellowickGrid(10)
const frame = localFrame(PELLOWICK_ORIGIN)
const T0 = Date.UTC(2026, 3, 24, 11)
const circuit = [{ x: 1000, y: 800, stayS: 60 }, { x: 1400, y: 800, stayS: 30 }]

describe('the stand-in boat', () => {
  it('is heard by the instruments\' reader where it is, with the depth under it and the wind that blows', () => {
    const say = boatInstruments({ truth, frame, circuit, seed: 1 })
    let state = SILENT
    const off: number[] = []
    for (let s = 0; s < 240; s++) {
      for (const line of say(s, T0 + s * 1000)) state = hear(state, line, T0 + s * 1000)
      const now = boatNow(state, T0 + s * 1000)
      if (!now.position || now.depthM === null) continue
      const at = frame.toLocal(now.position.lonDeg, now.position.latDeg)
      off.push(Math.abs(now.depthM - depthAt({ grid: truth, ...at })))
      if (s === 100) expect(Math.hypot(at.x - 1200, at.y - 800)).toBeLessThan(12)
    }
    off.sort((a, b) => a - b)
    expect(off.length).toBeGreaterThan(200)
    expect(off[off.length >> 1]!).toBeLessThan(0.15)
    const now = boatNow(state, T0 + 239_000)
    expect(now.windMS!).toBeCloseTo(3.2, 0)
    expect(Math.abs(now.windFromDeg! - 225)).toBeLessThan(12)
    expect(state.left).toBeGreaterThan(0)
  })

  it('says the same for the same seed, and needs somewhere to go', () => {
    const of = () => {
      const say = boatInstruments({ truth, frame, circuit, seed: 5 })
      return Array.from({ length: 20 }, (_, s) => say(s, T0 + s * 1000))
    }
    expect(of()).toEqual(of())
    expect(() => boatInstruments({ truth, frame, circuit: [], seed: 1 })).toThrow(/circuit/)
  })
})
