import { describe, expect, it } from 'vitest'
import { survey } from '../../bench/survey'
import { pellowickGrid } from '../../demo/pellowick'
import { seededRandom } from '../numeric/random'
import { cleanSoundings, SOUNDING_FLAGS, type SoundingFlag } from './cleanSoundings'
import { heldOutError } from './heldOutError'
import { arrangeOutlines, insideRing, ringArea, shorelineFault } from './shoreline'

const square = (x: number, y: number, side: number) => [{ x, y }, { x: x + side, y }, { x: x + side, y: y + side }, { x, y: y + side }]

describe('shoreline', () => {
  it('has an area whichever way it runs', () => {
    expect(ringArea(square(5, 5, 10))).toBe(100)
    expect(ringArea([...square(5, 5, 10)].reverse())).toBe(100)
    expect([insideRing(square(0, 0, 10), 5, 5), insideRing(square(0, 0, 10), 15, 5)]).toEqual([true, false])
  })

  it('is sound, or says what and where it is not', () => {
    expect(shorelineFault(square(0, 0, 100))).toBeNull()
    expect(shorelineFault([...square(0, 0, 100), { x: 0, y: 0 }])).toBeNull()
    const bow = [{ x: 0, y: 0 }, { x: 100, y: 100 }, { x: 100, y: 0 }, { x: 0, y: 60 }]
    expect(shorelineFault(bow)).toMatchObject({ message: expect.stringMatching(/crosses itself between corners 1 and 3/) as string, x: expect.closeTo(37.5, 0) as number })
    expect(shorelineFault(square(0, 0, 5).slice(0, 2))!.message).toMatch(/at least 3 corners; this one has 2/)
    expect(shorelineFault([{ x: 0, y: 0 }, { x: 50, y: 0 }, { x: 100, y: 0 }])!.message).toMatch(/next to nothing/)
    expect(shorelineFault(square(0, 0, 1e6))!.message).toMatch(/more than a lake/)
  })

  it('is checked fast enough for thousands of corners', () => {
    const ring = Array.from({ length: 20_000 }, (_, i) => ({ x: 900 * Math.cos((i * Math.PI) / 10_000), y: 500 * Math.sin((i * Math.PI) / 10_000) }))
    expect(shorelineFault(ring)).toBeNull()
  })

  it('takes the largest outline and what lies in it', () => {
    const found = arrangeOutlines([{ outer: square(10, 10, 5), holes: [] }, { outer: square(0, 0, 100), holes: [square(50, 50, 3)] }, { outer: square(500, 0, 20), holes: [] }])!
    expect(found.outer).toEqual(square(0, 0, 100))
    expect(found.islands).toHaveLength(2)
    expect(found.elsewhere).toBe(1)
    expect(arrangeOutlines([])).toBeNull()
  })
})

describe('cleanSoundings', () => {
  const random = seededRandom(5)
  /** A track eastward over a gentle slope with a little noise. */
  const track = (count: number, y = 0) => Array.from({ length: count }, (_, i) => [i * 2, y, 3 + i * 0.01 + 0.1 * (random() - 0.5)] as [number, number, number])
  const flagsOf = (points: [number, number, number][], inside?: (x: number, y: number) => boolean) => Array.from(cleanSoundings({ soundings: Float64Array.from(points.flat()), inside }), f => SOUNDING_FLAGS[f]!)
  const tally = (flags: SoundingFlag[]) => Object.fromEntries(SOUNDING_FLAGS.map(f => [f, flags.filter(x => x === f).length]).filter(([, n]) => n !== 0)) as Record<string, number>

  it('leaves a clean track alone, steep ones too', () => {
    expect(tally(flagsOf(track(200)))).toEqual({ ok: 200 })
    expect(tally(flagsOf(Array.from({ length: 80 }, (_, i): [number, number, number] => [i * 2, 0, 1 + i * 0.2])))).toEqual({ ok: 80 })
  })

  it('finds zeros and spikes where they are', () => {
    const points = track(100)
    points[20]![2] = 0
    points[50]![2] = 9
    points[70]![2] = 0.9
    const flags = flagsOf(points)
    expect([flags[20], flags[50], flags[70]]).toEqual(['zero', 'spike', 'spike'])
    expect(tally(flags)).toEqual({ ok: 97, zero: 1, spike: 2 })
  })

  it('finds a frozen sounder, and thins a boat that lay still to one', () => {
    const frozen = track(60).map(([x, y, d], i): [number, number, number] => [x, y, i >= 20 && i < 40 ? 3.3 : d])
    expect(tally(flagsOf(frozen))).toEqual({ ok: 40, frozen: 20 })
    const still = [...track(30), ...Array.from({ length: 50 }, (): [number, number, number] => [58 + random(), random(), 3.3 + random() * 0.1]), ...track(30).map(([x, y, d]): [number, number, number] => [x + 64, y, d])]
    expect(tally(flagsOf(still)).still).toBeGreaterThanOrEqual(48)
    expect(tally(flagsOf(still)).ok).toBeGreaterThanOrEqual(59)
  })

  it('outvotes the one track that two others contradict', () => {
    const far = (y: number): [number, number, number][] => track(60, y + 500)
    const points = [...track(60, 1), ...far(0), ...track(60, 2), ...far(20), ...track(60, 3).map(([x, y, d]): [number, number, number] => [x, y, d + 2])]
    const flags = flagsOf(points)
    expect(flags.slice(-60).filter(f => f === 'crossing').length).toBeGreaterThan(50)
    expect(flags.slice(0, -60).every(f => f === 'ok')).toBe(true)
  })

  it('marks what lies off the water', () => {
    expect(tally(flagsOf(track(10), x => x < 10))).toEqual({ ok: 5, outside: 5 })
    expect(() => cleanSoundings({ soundings: Float64Array.from([1, 2]) })).toThrow(/three/)
  })
})

describe('heldOutError', () => {
  it('grows with the space between tracks, and needs a few of them', () => {
    const truth = pellowickGrid(20)
    const error = (spacingM: number) => heldOutError({ ...survey(truth, { spacingM, count: 8000 }), cellM: 10 })!
    const [close, wide] = [error(30), error(120)]
    expect(close.rmsM).toBeLessThan(wide.rmsM)
    expect(close.rmsM).toBeGreaterThan(0.12)
    expect(close.count).toBeGreaterThan(1000)
    expect(heldOutError({ outer: square(0, 0, 100), soundings: Float64Array.from([5, 5, 1, 8, 8, 1]), cellM: 5 })).toBeNull()
  })
})
