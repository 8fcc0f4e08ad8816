import { describe, expect, it } from 'vitest'
import { judgeStore, readWitness, witnessText } from './storeWitness'

describe('the witness of the device store', () => {
  it('reads back what it writes and nothing else', () => {
    expect(readWitness(witnessText({ sinceMs: 1_790_000_000_000, unsent: 31 }))).toEqual({ sinceMs: 1_790_000_000_000, unsent: 31 })
    for (const text of [null, '', 'x', '12', '12 -3', '{"sinceMs":1}']) expect(readWitness(text), String(text)).toBeNull()
  })

  it('says nothing of a store that is new or still there', () => {
    expect(judgeStore(null, null)).toBeNull()
    expect(judgeStore({ sinceMs: 5, unsent: 2 }, 5)).toBeNull()
  })

  it('says what went with a store that was cleared', () => {
    expect(judgeStore({ sinceMs: 5, unsent: 0 }, null)).toMatch(/Everything logged had been sent/)
    expect(judgeStore({ sinceMs: 5, unsent: 1 }, null)).toMatch(/1 entry that was not sent yet is gone/)
    expect(judgeStore({ sinceMs: 5, unsent: 7 }, 9)).toMatch(/7 entries that were not sent yet are gone/)
  })
})
