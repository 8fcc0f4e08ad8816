import { describe, expect, it } from 'vitest'
import type { Entry } from './entries'
import { effectiveEntries } from './effectiveEntries'
import { joinTarget, overlapping } from './joinedDays'

const join = (id: string, tripId: string, into: string): Entry => ({ id, tripId, at: '2026-04-24T12:00:00.000Z', kind: 'join', body: { tripId: into } })

describe('days of two devices', () => {
  it('are joined to the earlier one, never each to the other', () => {
    expect(joinTarget(effectiveEntries([join('1', 'b', 'a')]), 'b')).toBe('a')
    expect(joinTarget(effectiveEntries([join('1', 'a', 'b')]), 'a')).toBeNull()
    expect(joinTarget(effectiveEntries([join('1', 'b', 'b')]), 'b')).toBeNull()
    expect(joinTarget([], 'b')).toBeNull()
  })

  it('come apart again when the join is taken back', () => {
    const undo: Entry = { id: '2', tripId: 'b', at: '2026-04-24T13:00:00.000Z', kind: 'undo', body: { entryId: '1' } }
    expect(joinTarget(effectiveEntries([join('1', 'b', 'a'), undo]), 'b')).toBeNull()
  })

  it('overlap when both were under way on the same water', () => {
    const day = (id: string, from: number, to: number | null, waterId = 'w') => ({ id, waterId, startedAt: new Date(from * 3_600_000).toISOString(), endedAt: to === null ? null : new Date(to * 3_600_000).toISOString() })
    const mine = day('m', 6, 12)
    const others = [mine, day('same', 7, 11), day('before', 3, 6), day('other water', 7, 11, 'x'), day('open', 11, null), day('after', 12, 15)]
    expect(overlapping(mine, others, 14 * 3_600_000).map(d => d.id)).toEqual(['same', 'open'])
  })
})
