import { describe, expect, it } from 'vitest'
import { jig } from './jig'
import { slackFall, tightLine } from './lureMotion'
import { motionText } from './motionText'

const lure = { ...jig({ headMassKg: 0.00118, body: { lengthM: 0.05, depthM: 0.009 } }), lineDiameterM: 0.0002, waterTempC: 12 }
const say = (way: 'slack' | 'tight' | 'wound', points: ReturnType<typeof slackFall>, reelMS = 0.3) => motionText({ way, points, depthM: 2, pastM: 0.6, reelMS, units: 'us' })
const reel = (reelMS: number) => tightLine({ ...lure, from: { x: 8, z: 2 }, rodTipM: 1.5, reelMS, bottomM: 4 })

describe('what a lure does, in words', () => {
  it('on slack line says where to aim', () => {
    expect(say('slack', slackFall({ ...lure, fromM: 8, depthM: 2, windMS: 0 }))).toMatch(/^Slack line: \d.* to 6 ft 7\. It falls straight: aim at the spot itself\.$/)
    expect(say('slack', slackFall({ ...lure, fromM: 8, depthM: 2, windMS: 6 }))).toMatch(/carries it (\d+ in|2 ft \d+) on the way: aim that far short of the spot/)
    expect(say('slack', slackFall({ ...lure, fromM: 8, depthM: 2, windMS: -6 }))).toContain('aim that far past the spot')
  })
  it('on a tight line says how far past to land, and whether it gets there', () => {
    expect(say('tight', tightLine({ ...lure, from: { x: 8, z: 0 }, rodTipM: 1.5, reelMS: 0, bottomM: 4 }))).toMatch(/land it 24 in|land it 2 ft past|land it 23\.6 in/)
    expect(say('tight', tightLine({ ...lure, from: { x: 0.6, z: 0 }, rodTipM: 0, reelMS: 0, bottomM: 4 }))).toContain('does not get down to 6 ft 7')
  })
  it('wound in rises when fast and sinks when slow, and says which to change', () => {
    expect(say('wound', reel(1.2), 1.2)).toMatch(/Wound at 3\.9 ft a second it rises: .*at the top.*Wind slower/)
    expect(say('wound', reel(0.04), 0.04)).toMatch(/it sinks: .*Wind faster to keep it up/)
    expect(say('wound', [{ t: 0, x: 8, z: 2 }, { t: 9, x: 1, z: 2.1 }])).toContain('all the way')
  })
})
