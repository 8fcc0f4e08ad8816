import { describe, expect, it } from 'vitest'
import { firstGuess } from '../../core/place/firstGuess'
import { PLACE_KINDS, type Place } from '../../core/place/kinds'
import { DEPTH_TINTS, day, night } from '../theme'
import { placeFacts } from './placeFacts'
import { clockText, dateText, dayText, hourText } from './time'

/** Relative luminance and contrast as WCAG 2 has them. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map(i => Number.parseInt(hex.slice(i, i + 2), 16) / 255).map(c => (c <= 0.03928 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4))
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
}
const contrast = (a: string, b: string) => {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x)
  return (light! + 0.05) / (dark! + 0.05)
}

describe('times', () => {
  it('are the water\'s own, across a change of the clock', () => {
    const before = Date.UTC(2026, 2, 8, 7, 59)
    expect(clockText(before, 'America/Chicago')).toBe('01:59')
    expect(clockText(before + 60_000, 'America/Chicago')).toBe('03:00')
    expect(dayText(Date.UTC(2026, 3, 24, 11, 40), 'America/Chicago')).toBe('Fri 24 April, 06:40')
    expect(dateText('2026-04-25T03:00:00.000Z', 'America/Chicago')).toBe('Fri 24 April 2026')
  })

  it('write an hour of the day with its minutes', () => {
    expect([0, 6.75, 23.75, 5.999].map(hourText)).toEqual(['00:00', '06:45', '23:45', '06:00'])
  })
})

describe('facts of a place', () => {
  it('are there for every kind, in the reader\'s own unit', () => {
    const current = { currentTowardDeg: 90, currentMS: 0.2, runs: 'released', bottom: 'sand', facingDeg: 180 }
    for (const kind of PLACE_KINDS) {
      const place = { id: 'id', name: kind, kind, lonDeg: 0, latDeg: 0, attributes: { ...firstGuess(kind, 4), ...current } } as Place
      expect(placeFacts(place, 'metric').map(f => f.value).join(' '), kind).toMatch(/sand.*0\.20 m\/s toward E, when let through|S .*0\.20/)
      const [us, metric] = [placeFacts(place, 'us'), placeFacts(place, 'metric')].map(facts => facts.map(f => f.value).join(' '))
      expect(placeFacts(place, 'us').length, place.name).toBeGreaterThanOrEqual(2)
      expect(us + metric!, place.name).not.toMatch(/undefined|NaN/)
      expect(metric, place.name).not.toMatch(/\bft\b/)
    }
  })
})

describe('colours', () => {
  it('keep the contrast that the design asks for', () => {
    for (const { colors } of [day, night]) {
      expect(contrast(colors['on-background'], colors.background)).toBeGreaterThanOrEqual(7)
      for (const role of ['error', 'warning', 'success', 'secondary'] as const) expect(contrast(colors[role], colors.background), role).toBeGreaterThanOrEqual(4.5)
    }
  })

  it('step the depths evenly darker, so that they read in grey', () => {
    for (const tints of Object.values(DEPTH_TINTS)) {
      const light = tints.map(t => Math.cbrt(luminance(t)))
      light.slice(1).forEach((l, i) => expect(l).toBeLessThan(light[i]!))
      const steps = light.slice(1).map((l, i) => light[i]! - l)
      expect(Math.max(...steps) / Math.min(...steps)).toBeLessThan(4)
    }
  })
})
