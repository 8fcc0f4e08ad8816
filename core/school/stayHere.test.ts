import { describe, expect, it } from 'vitest'
import { adviseStay } from './adviseStay'
import type { EffectiveEntry } from './effectiveEntries'
import type { LoggedRig } from './reduceTrip'
import { armsHere, dayPrior, nextStop, stretchesHere } from './stayHere'
import { stayText } from './stayText'

const T0 = Date.UTC(2026, 3, 24, 12)
const at = (minute: number, kind: string, body: object): EffectiveEntry => ({ id: `${kind}${minute}`, tripId: 't', at: new Date(T0 + minute * 60_000).toISOString(), kind, body } as unknown as EffectiveEntry)

describe('a visit in spells', () => {
  it('has takes and signs where they fell, and the last spell as short as it is', () => {
    const spells = stretchesHere({ arrivedMs: T0, nowMs: T0 + 12 * 60_000, entries: [at(-3, 'fish', {}), at(2, 'fish', {}), at(6, 'sign', { sign: 'follow' }), at(7, 'sign', { sign: 'tap' }), at(11, 'fish', {})] })
    expect(spells.map(s => [s.minutes, s.catches, s.follows, s.taps])).toEqual([[5, 1, 0, 0], [5, 0, 1, 1], [2, 1, 0, 0]])
    expect(spells[0]!.presentations).toBe(6)
    expect(stretchesHere({ arrivedMs: T0, nowMs: T0, entries: [] })).toEqual([])
  })
  it('spreads what a logged stretch counted over its minutes', () => {
    const spells = stretchesHere({ arrivedMs: T0, nowMs: T0 + 10 * 60_000, entries: [at(10, 'stretch', { schoolId: null, minutes: 10, presentations: 14, looks: 1, follows: 1, taps: 2 })] })
    expect(spells.map(s => [s.presentations, s.follows, s.taps])).toEqual([[7, 1, 1], [7, 1, 1]])
  })
})

describe('what else there is', () => {
  const place = (id: string, ratePerHour: number, distanceM: number) => ({ id, name: id, ratePerHour, distanceM })
  it('is the stop that gives most in the time left: near late in the day, rich with time', () => {
    const list = [place('near', 2, 300), place('rich', 3, 6000)]
    expect(nextStop(list, 240)!.id).toBe('rich')
    expect(nextStop(list, 25)!.id).toBe('near')
    expect(nextStop([], 100)).toBeNull()
  })
  it('has a belief with the mean that was given', () => {
    const { alpha, beta } = dayPrior(2.5)
    expect(alpha / beta).toBeCloseTo(2.5, 12)
    expect(() => dayPrior(0)).toThrow(/ratePerHour/)
  })
})

describe('what was shown to the fish', () => {
  const rig = (minute: number, rung: string | undefined, more: Partial<LoggedRig> = {}): LoggedRig => ({ id: `r${minute}`, at: new Date(T0 + minute * 60_000).toISOString(), body: { family: 'castJig', headKg: 0.001, bodyLengthM: 0.04, bodyName: 'Slim', lineDiameterM: 2e-4, stopM: null, rung }, by: null, fish: 0, secchiM: null, minutes: 0, presentations: 0, looks: 0, follows: 0, taps: 0, ...more })
  it('counts casts by the clock from tying on to the next change, and takes with their rig', () => {
    const arms = armsHere({ rigs: [rig(-20, undefined, { fish: 1 }), rig(10, 'size-1', { fish: 2, follows: 3 })], options: [{ id: 'on', label: 'as tied' }, { id: 'size-1', label: 'smaller' }, { id: 'colour-2', label: 'white' }], arrivedMs: T0, nowMs: T0 + 20 * 60_000 })
    expect(arms).toEqual([{ id: 'on', presentations: 12, takes: 1, signs: 0 }, { id: 'size-1', presentations: 12, takes: 2, signs: 3 }, { id: 'colour-2', presentations: 0, takes: 0, signs: 0 }])
  })
})

describe('the words', () => {
  const spell = (catches: number, follows = 0) => ({ minutes: 5, presentations: 6, catches, taps: 0, follows })
  const say = (stretches: ReturnType<typeof spell>[], change: Parameters<typeof stayText>[0]['change'] = null) => {
    const next = { name: 'Ferry dock', ratePerHour: 3, travelMin: 9 }
    const advice = adviseStay({ prior: dayPrior(3), stretches, elsewhere: { ratePerHour: 3, sdPerHour: 2.1, travelMin: 9 }, minutesLeft: 300 })
    return stayText({ advice, fish: stretches.reduce((sum, s) => sum + s.catches, 0), hereMin: stretches.length * 5, next, change })
  }
  it('say where to go, how fast it bites and what the run is', () => {
    const { headline, text, more } = say(Array.from({ length: 10 }, () => spell(0)))
    expect(headline).toBe('Go on to Ferry dock')
    expect(text).toMatch(/^No fish in 50 min: \d\.\d an hour expected here, 3 at Ferry dock, a 9 min run\.$/)
    expect(more.join(' ')).toContain('Nothing has shown itself in 50 min')
  })
  it('say to stay while it bites, and to change what is looked at and not taken', () => {
    expect(say([spell(2), spell(1), spell(2)]).headline).toBe('Stay')
    const teased = say([spell(0, 2), spell(0, 3), spell(0, 2)], { label: 'size 1 in', best: 0.34 })
    expect(teased.headline).toBe('Stay, but change')
    expect(teased.text).toBe('No fish in 15 min: they look and do not take. Next: size 1 in, 34 % to be the best of them.')
  })

  it('name the time to go and a lull by the water\'s clock', () => {
    const advice = adviseStay({ prior: dayPrior(3), stretches: [spell(2), spell(1)], minutesLeft: 240, elsewhere: { ratePerHour: 3, sdPerHour: 2, travelMin: 9 } })
    const { text } = stayText({ advice, fish: 3, hereMin: 10, next: { name: 'Ferry dock', ratePerHour: 3, travelMin: 9 }, change: null, goMs: 0, lull: { untilMs: 90 * 60_000 }, clock: ms => `${ms / 60_000} past` })
    expect(text).toContain('3 at Ferry dock, a 9 min run: go at 0 past unless one more takes.')
    expect(text).toContain('A lull: they should feed again from about 90 past; a break costs little.')
  })
})
