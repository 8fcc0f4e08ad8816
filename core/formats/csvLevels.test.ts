import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readCsvLevels, writeCsvLevels } from './csvLevels'

const day = (iso: string) => Date.parse(iso)

describe('levels as CSV', () => {
  it('come back as they went', () => {
    const row = fc.record({ atMs: fc.integer({ min: 0, max: 2e12 }), levelM: fc.double({ min: -400, max: 4000, noNaN: true }) })
    fc.assert(fc.property(fc.uniqueArray(row, { minLength: 1, maxLength: 8, selector: r => r.atMs }), (levels) => {
      const sorted = [...levels].sort((a, b) => a.atMs - b.atMs)
      expect(readCsvLevels(writeCsvLevels(levels))).toEqual({ items: sorted.map(l => ({ ...l, levelM: l.levelM === 0 ? 0 : l.levelM })), skipped: 0, issues: [] })
    }), { numRuns: 50 })
  })

  it('finds the columns by their names, in feet where the heading says so', () => {
    const { items } = readCsvLevels('station,date,inflow,pool elevation (ft)\nA,2026-04-01,3,700\nA,2026-04-02,4,701.5\n')
    expect(items).toEqual([{ atMs: day('2026-04-01'), levelM: 700 * 0.3048 }, { atMs: day('2026-04-02'), levelM: 701.5 * 0.3048 }])
  })

  it('finds them by what is in them when there is no heading', () => {
    expect(readCsvLevels('2026-04-02;213,4\n2026-04-01;213\n').items).toEqual([{ atMs: day('2026-04-01'), levelM: 213 }, { atMs: day('2026-04-02'), levelM: 213.4 }])
  })

  it('counts rows that do not fit, by line and reason, and makes no 0 of a gap', () => {
    const { items, skipped, issues } = readCsvLevels('date,level_m\n2026-04-01,213\n2026-04-02,\nsoon,213\n\n2026-04-01,214\n2026-04-05,99999\n')
    expect(items).toHaveLength(1)
    expect(skipped).toBe(4)
    expect(issues.map(i => [i.line, i.message])).toEqual([
      [3, 'the level is missing or no number'], [4, 'the time is missing or cannot be read'], [6, 'this time stood in an earlier row'], [7, 'the level 99999 m is more than 9000 m'],
    ])
  })

  it('says when it is no table of levels', () => {
    expect(readCsvLevels('').issues[0]!.message).toBe('the file is empty')
    expect(readCsvLevels('a,b\nc,d\n').issues[0]!.message).toMatch(/two columns are needed/)
    expect(readCsvLevels('date,level\nx,1\n').issues[0]!.message).toMatch(/two columns are needed/)
  })
})
