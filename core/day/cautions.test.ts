import { describe, expect, it } from 'vitest'
import { cautionsNow, type CautionsOptions } from './cautions'
import { turnBack } from './turnBack'

const SUNSET = Date.UTC(2026, 3, 24, 20)
const calm: CautionsOptions = {
  nowMs: SUNSET - 5 * 3_600_000, waterC: 18, airC: 20, waveM: 0.1, laterWave: null, waveLimitM: 0.3, back: turnBack({ sunsetMs: SUNSET, homeM: 3000, runMS: 5 }), homeKnown: true, deepestM: 3, units: 'us',
  clock: ms => new Date(ms).toISOString().slice(11, 16),
}
const keys = (more: Partial<CautionsOptions>) => cautionsNow({ ...calm, ...more }).map(c => `${c.key} ${c.tone}`)

describe('turning back', () => {
  it('leaves time for the run, a detour and a quarter of an hour', () => {
    const { atMs, runMin } = turnBack({ sunsetMs: SUNSET, homeM: 3000, runMS: 5 })
    expect(runMin).toBeCloseTo(12.5, 9)
    expect(atMs).toBe(SUNSET - 27.5 * 60_000)
    expect(turnBack({ sunsetMs: SUNSET, homeM: 3000, runMS: 2.5 }).atMs).toBeLessThan(atMs)
    expect(() => turnBack({ sunsetMs: SUNSET, homeM: 3000, runMS: 0 })).toThrow(/runMS/)
  })

  it('is spoken of an hour before, and pressed when it is time', () => {
    expect(keys({})).toEqual([])
    const by = calm.back!.atMs
    expect(keys({ nowMs: by - 61 * 60_000 })).toEqual([])
    expect(keys({ nowMs: by - 59 * 60_000 })).toEqual(['turnBack careful'])
    expect(cautionsNow({ ...calm, nowMs: by - 59 * 60_000 })[0]!.text).toBe('Turn back by 19:32 to be in before dark: a 13 min run home.')
    expect(cautionsNow({ ...calm, nowMs: by, homeKnown: false })[0]).toEqual({ key: 'turnBack', tone: 'now', text: 'Turn back now: a 13 min run home at most, and the sun is going.' })
  })
})

describe('cautions', () => {
  it('come from the day\'s own numbers', () => {
    expect(keys({ waterC: 15.5 })).toEqual(['coldWater careful'])
    expect(keys({ airC: 32 })).toEqual(['heat careful'])
    expect(keys({ deepestM: 9.5 })).toEqual(['deepFish careful'])
    expect(keys({ waveM: 0.25 })).toEqual(['waves careful'])
    expect(keys({ laterWave: { waveM: 0.4, atMs: SUNSET } })).toEqual(['wavesLater careful'])
    expect(keys({ laterWave: { waveM: 0.2, atMs: SUNSET } })).toEqual([])
  })

  it('put what must be done before what is to be known, and say waves once', () => {
    expect(keys({ waterC: 8, waveM: 0.5, laterWave: { waveM: 0.6, atMs: SUNSET }, nowMs: calm.back!.atMs - 10 * 60_000 })).toEqual(['waves now', 'turnBack careful', 'coldWater careful'])
  })

  it('speak the angler\'s units', () => {
    expect(cautionsNow({ ...calm, waterC: 8, units: 'metric' })[0]!.text).toContain('8 °C')
    expect(cautionsNow({ ...calm, deepestM: 12, units: 'us' })[0]!.text).toContain('39 ft')
  })
})
