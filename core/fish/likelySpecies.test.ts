import { describe, expect, it } from 'vitest'
import { likelySpecies } from './likelySpecies'
import { SPECIES } from './species'

describe('the likeliest next fish', () => {
  it('is the usual order with nothing to go by', () => {
    expect(likelySpecies([])).toEqual([...SPECIES])
    expect(likelySpecies([{ species: null, hoursAgo: 1, here: true }])).toEqual([...SPECIES])
  })

  it('is what came last, and what came here before what came elsewhere', () => {
    expect(likelySpecies([{ species: 'whiteBass', hoursAgo: 0.1, here: true }, { species: 'yellowPerch', hoursAgo: 6, here: true }]).slice(0, 2)).toEqual(['whiteBass', 'yellowPerch'])
    expect(likelySpecies([{ species: 'whiteBass', hoursAgo: 1, here: false }, { species: 'yellowPerch', hoursAgo: 1, here: true }])[0]).toBe('yellowPerch')
  })

  it('is moved by one fish of today more than by two of last month, not more than by twenty', () => {
    const old = (n: number) => Array.from({ length: n }, () => ({ species: 'yellowPerch' as const, hoursAgo: 24 * 30, here: true }))
    const today = { species: 'whiteBass' as const, hoursAgo: 0.5, here: true }
    expect(likelySpecies([today, ...old(2)])[0]).toBe('whiteBass')
    expect(likelySpecies([today, ...old(20)])[0]).toBe('yellowPerch')
  })
})
