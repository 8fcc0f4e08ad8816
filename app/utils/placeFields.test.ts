import { describe, expect, it } from 'vitest'
import { firstGuess } from '../../core/place/firstGuess'
import { PLACE_KINDS, type Place } from '../../core/place/kinds'
import { placeSchema } from '../../shared/places'
import { check } from '../../shared/validate'
import { PLACE_FIELDS } from './placeFields'

const place = (kind: Place['kind'], attributes: unknown) => ({ id: '0198a1f0-0000-7000-8000-000000000000', name: 'X', kind, lonDeg: 0, latDeg: 0, attributes })

describe('the form of a place', () => {
  it.each(PLACE_KINDS)('asks everything that a %s must have, and guesses something the server takes', (kind) => {
    for (const depthM of [0.1, 1.7, 12]) {
      const guess = firstGuess(kind, depthM)
      expect(check(placeSchema, place(kind, guess))).toMatchObject({ ok: true })
      const keys = PLACE_FIELDS[kind].map(f => f.key)
      for (const key of Object.keys(guess)) expect(keys).toContain(key)
      for (const field of PLACE_FIELDS[kind]) if (!field.optional) expect(guess).toHaveProperty(field.key)
    }
  })
  it.each(PLACE_KINDS)('of a %s asks each thing once, in words of its own', (kind) => {
    const labels = PLACE_FIELDS[kind].map(f => f.label)
    expect(new Set(labels).size).toBe(labels.length)
  })
})
