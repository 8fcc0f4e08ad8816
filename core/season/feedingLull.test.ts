import { describe, expect, it } from 'vitest'
import { feedingLull } from './feedingLull'

const steps = (levels: number[]) => levels.map((level, i) => ({ atMs: i * 900_000, level }))

describe('a lull in feeding', () => {
  it('lasts until feeding has climbed most of the way', () => {
    expect(feedingLull(steps([0.8, 0.8, 0.9, 1.1, 1.4, 1.3]))).toEqual({ untilMs: 4 * 900_000, level: 0.8, levelThen: 1.4 })
    expect(feedingLull(steps([0.5, 0.6, 0.9, 1, 1]))!.untilMs).toBe(2 * 900_000)
  })

  it('is none while they feed, when nothing better comes, or when it comes too little', () => {
    expect(feedingLull(steps([1.2, 1.3, 2]))).toBeNull()
    expect(feedingLull(steps([0.8, 0.7, 0.5]))).toBeNull()
    expect(feedingLull(steps([0.9, 1, 1.1]))).toBeNull()
    expect(feedingLull([])).toBeNull()
  })
})
