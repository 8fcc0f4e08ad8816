import { describe, expect, it } from 'vitest'
import type { Place } from '../place/kinds'
import { FAMILIES } from './families'
import { chaseSpeed, MOODS, type Mood } from './mood'
import type { RigAdvice } from './rigFor'
import { DEFAULT_SCHOOLS } from './schools'
import { workJig } from './workJig'

const brush: Place = { id: 'p', name: 'Brush', kind: 'brush', lonDeg: 0, latDeg: 40, attributes: { bottomDepthM: 5, coverTopM: 3, material: 'hardwood' } }
const dock: Place = { id: 'd', name: 'Dock', kind: 'dock', lonDeg: 0, latDeg: 40, attributes: { bottomDepthM: 3, deckAreaM2: 60, deckHeightM: 0.5, roofed: false, facingDeg: 90, brushAtCorners: false } }
function work(id: string, mood: Mood, more: { place?: Place, schools?: Partial<typeof DEFAULT_SCHOOLS>, units?: 'us' | 'metric', holdSpeedMS?: number } = {}) {
  const rig = { mood, chaseSpeedMS: chaseSpeed(mood) } as RigAdvice
  return workJig(FAMILIES.find(f => f.id === id)!, { rig, place: more.place ?? brush, schools: { ...DEFAULT_SCHOOLS, ...more.schools }, units: more.units ?? 'metric' }, more.holdSpeedMS ?? 0.4)
}

describe('how a jig is worked', () => {
  it('is as good as still for slow fish, popped for steady ones, wound for keen ones', () => {
    expect(work('castJig', 'torpid')).toMatch(/as good as still/)
    expect(work('castJig', 'slow')).toMatch(/as good as still/)
    expect(work('castJig', 'steady')).toMatch(/on the fall/)
    expect(work('castJig', 'keen', { holdSpeedMS: 0.4 })).toMatch(/level at 0\.40 m/)
  })
  it('never tells slow fish a speed they do not follow', () => {
    for (const mood of ['torpid', 'slow'] as const) expect(Number(/([\d.]+) m/.exec(work('castJig', mood))![1])).toBeCloseTo(chaseSpeed(mood), 1)
  })
  it('at a dock follows the school of thought the angler holds with', () => {
    const ways = (['popFall', 'pullPop'] as const).map(dockRetrieve => work('castJig', 'steady', { place: dock, schools: { dockRetrieve } }))
    expect(ways[0]).toMatch(/to the bottom again/)
    expect(ways[1]).toMatch(/half way/)
  })
  it('waits longer with a stand-up head the colder the fish', () => {
    expect(work('standUp', 'torpid')).toMatch(/ten seconds and longer/)
    expect(work('standUp', 'steady')).toMatch(/five to ten seconds/)
  })
  it('holds a minnow still for slow fish and lifts it for others', () => {
    expect(work('minnowJig', 'slow')).not.toBe(work('minnowJig', 'keen'))
  })
  it('says something for each family and mood, and another thing for each of the odd ones', () => {
    const odd = ['standUp', 'heavyShad', 'weedless', 'safetyPin', 'bladedJig', 'nymph', 'denseJig', 'minnowJig', 'castJig']
    for (const mood of MOODS) {
      const said = odd.map(id => work(id, mood))
      expect(said.every(s => s.endsWith('.'))).toBe(true)
      expect(new Set(said).size).toBe(odd.length)
    }
  })
})
