import { describe, expect, it } from 'vitest'
import { TACKLE_KINDS, tackleSchema } from '../../shared/tackle'
import { check } from '../../shared/validate'
import { figureOf, KIND_NAMES, tackleFields } from './tackleFields'

const SIZES: Record<string, number> = { lengthM: 2, densityKgM3: 1000, diameterM: 0.9 }

describe('the box\'s forms', () => {
  it.each(TACKLE_KINDS)('ask all that a thing of the kind %s must have', (kind) => {
    const value = (key: string, unit: { si: number } | null) => (unit ? unit.si * (SIZES[key] ?? 0.5) : (tackleFields(kind, 'us').find(f => f.key === key)!.choices?.[0] ?? 'white'))
    for (const units of ['us', 'metric'] as const) {
      const attributes = Object.fromEntries(tackleFields(kind, units).map(f => [f.key, value(f.key, f.unit)]))
      const item = { id: '0198a1f0-0000-7000-8000-000000000000', kind, name: KIND_NAMES[kind], carried: true, stock: null, attributes: { ...attributes, ...(kind === 'head' ? { densityKgM3: 10773 } : {}) } }
      expect(check(tackleSchema, item)).toMatchObject({ ok: true })
    }
  })
  it.each([['1/32', 0.03125], ['1 1/2', 1.5], ['0,5', 0.5], [' 2 ', 2], ['', Number.NaN], ['heavy', Number.NaN]])('read "%s"', (text, value) => {
    expect(figureOf(text)).toEqual(value)
  })
})
