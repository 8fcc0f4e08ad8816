import { DateTime } from 'luxon'
import { describe, expect, it } from 'vitest'
import { dayTime } from './dayTime'

const zone = 'America/Chicago'
const at = (iso: string) => DateTime.fromISO(iso, { zone }).toMillis()
const day = (from: string, to: string) => ({ startedAt: new Date(at(from)).toISOString(), untilMs: at(to), zone })

describe('a time of a day of the log', () => {
  const spring = day('2026-04-24T06:40', '2026-04-24T15:10')
  it('is read in the water\'s own zone', () => {
    expect(dayTime('9:40', spring)).toBe(at('2026-04-24T09:40:30'))
    expect(dayTime(' 15.10 ', spring), 'no later than the end').toBe(at('2026-04-24T15:10'))
    expect(dayTime('06:40', spring)).toBe(at('2026-04-24T06:40:30'))
  })

  it('may lie after midnight of a night that ran on', () => {
    expect(dayTime('1:05', day('2026-04-24T20:00', '2026-04-25T02:00'))).toBe(at('2026-04-25T01:05:30'))
  })

  it('is refused with a sentence when it is none, or of no such day', () => {
    for (const text of ['', 'noon', '25:00', '9:77', '940']) expect(dayTime(text, spring), text).toMatch(/hours and minutes/)
    expect(dayTime('16:00', spring)).toBe('That day ran from 6:40 to 15:10.')
    expect(dayTime('05:00', spring)).toMatch(/6:40/)
  })
})
