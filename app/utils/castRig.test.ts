import { describe, expect, it } from 'vitest'
import type { RigAdvice } from '../../core/rig/rigFor'
import { castRig } from './castRig'

const rig = { bodyId: 'b', lineId: 'six', tie: { massKg: 0.00118 } } as RigAdvice
const body = { id: 'b', kind: 'body' as const, name: 'Slim, 2 in', attributes: { lengthM: 0.0508, depthM: 0.009, colour: 'pink and white' } }
const tackle = (held: unknown, lines: unknown[] = [{ id: 'six', attributes: { diameterM: 2.25e-4 } }]) => ({ byId: () => held, lines }) as unknown as Parameters<typeof castRig>[1]

describe('the jig as the journal keeps it', () => {
  it('names head, body, line and colour', () => {
    expect(castRig(rig, tackle(body))).toEqual({ family: 'castJig', headKg: 0.00118, bodyLengthM: 0.0508, bodyName: 'Slim, 2 in', lineDiameterM: 2.25e-4, stopM: null, colour: 'pink and white' })
  })
  it('is none without advice, without its body or line, or where the id is something else', () => {
    expect(castRig(null, tackle(body))).toBeNull()
    expect(castRig(rig, tackle(undefined))).toBeNull()
    expect(castRig(rig, tackle({ ...body, kind: 'head' }))).toBeNull()
    expect(castRig(rig, tackle(body, []))).toBeNull()
  })
})
