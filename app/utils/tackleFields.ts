import { BAIT_TYPES, HEAD_SHAPES, TAILS, WEIGHT_STYLES } from '../../core/rig/box'
import { LEADER_MATERIALS, ROD_POWERS, type TackleKind } from '../../shared/tackle'

/** A figure of a thing in the box: how it is asked for, and what one unit of that is in SI. */
export interface TackleField {
  key: string
  label: string
  /** null: a text */
  unit: { name: string, si: number } | null
  choices?: readonly string[]
  /** may be left empty */
  optional?: boolean
}

const shapes: TackleField = { key: 'shape', label: 'shape', unit: null, choices: HEAD_SHAPES }
const grams = { name: 'g', si: 1e-3 }
const mm = { name: 'mm', si: 1e-3 }
const OZ = { name: 'oz', si: 0.028349523125 }
const LB = { name: 'lb', si: 0.45359237 }
const FOOT = { name: 'ft', si: 0.3048 }
const INCH = { name: 'in', si: 0.0254 }

/** What each kind is asked, in the reader's own units; line and float keep to the small metric units that are printed on them. */
export function tackleFields(kind: TackleKind, units: 'us' | 'metric'): TackleField[] {
  const us = units === 'us'
  switch (kind) {
    case 'head': return [{ key: 'massKg', label: 'weight', unit: us ? OZ : grams }, { key: 'metal', label: 'metal', unit: null, choices: ['lead', 'tungsten'] }, shapes, { key: 'hook', label: 'hook', unit: null, optional: true }]
    case 'body': return [{ key: 'lengthM', label: 'length', unit: us ? INCH : mm }, { key: 'depthM', label: 'height', unit: mm }, { key: 'colour', label: 'colour', unit: null }, { key: 'tail', label: 'tail', unit: null, choices: TAILS }, { key: 'densityKgM3', label: 'grams to the litre', unit: { name: 'g/l', si: 1 }, optional: true }]
    case 'bait': return [{ key: 'type', label: 'type', unit: null, choices: BAIT_TYPES }, { key: 'lengthM', label: 'length', unit: us ? INCH : mm }, { key: 'massKg', label: 'weight with hooks', unit: grams }, { key: 'volumeM3', label: 'water it pushes aside', unit: { name: 'cm³', si: 1e-6 } }, { key: 'diveM', label: 'runs at', unit: us ? FOOT : { name: 'm', si: 1 }, optional: true }]
    case 'line': return [{ key: 'testKg', label: 'test', unit: us ? LB : { name: 'kg', si: 1 } }, { key: 'diameterM', label: 'thickness', unit: mm }, { key: 'material', label: 'made of', unit: null, choices: ['mono', 'braid'] }]
    case 'leader': return [{ key: 'testKg', label: 'test', unit: us ? LB : { name: 'kg', si: 1 } }, { key: 'diameterM', label: 'thickness', unit: mm }, { key: 'material', label: 'made of', unit: null, choices: LEADER_MATERIALS }]
    case 'float': return [{ key: 'volumeM3', label: 'volume', unit: { name: 'cm³', si: 1e-6 } }, { key: 'massKg', label: 'weight', unit: grams }, { key: 'shape', label: 'shape', unit: null }]
    case 'shot': return [{ key: 'massKg', label: 'weight', unit: grams }, { key: 'style', label: 'how it sits', unit: null, choices: WEIGHT_STYLES }]
    case 'hook': return [{ key: 'size', label: 'size', unit: null }, { key: 'massKg', label: 'weight', unit: grams }]
    case 'rod': return [{ key: 'lengthM', label: 'length', unit: us ? FOOT : { name: 'm', si: 1 } }, { key: 'power', label: 'power', unit: null, choices: ROD_POWERS }]
    case 'sock': return [{ key: 'diameterM', label: 'mouth', unit: us ? FOOT : { name: 'm', si: 1 } }]
  }
}

export const KIND_NAMES: Record<TackleKind, string> = { head: 'jig heads', body: 'bodies', bait: 'hard baits', line: 'lines', leader: 'leaders', float: 'floats', shot: 'shot and weights', hook: 'hooks', rod: 'rods', sock: 'drift socks' }

/** A fraction, a decimal or a decimal comma: "1/32", "1 1/2", "0,5"; not a number for anything else. */
export function figureOf(text: string): number {
  const plain = text.trim().replace(',', '.')
  const fraction = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(plain)
  if (fraction) return Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3])
  return plain === '' ? Number.NaN : Number(plain)
}
