import { LEAD_HEAD_KG_M3, TUNGSTEN_HEAD_KG_M3 } from '../core/rig/jig'
import type { BaitType, HeadShape, Tail } from '../core/rig/box'
import type { TackleItem } from '../shared/tackle'

const OZ = 0.028349523125
const LB = 0.45359237
const INCH = 0.0254

/** A box to start with: what most crappie anglers carry, without makers. */
export function starterTackle(newId: () => string): TackleItem[] {
  const lead = (name: string, oz: number, carried = true): TackleItem =>
    ({ id: newId(), kind: 'head', name: `${name} round head`, carried, stock: null, attributes: { massKg: oz * OZ, densityKgM3: LEAD_HEAD_KG_M3, metal: 'lead' } })
  const body = (name: string, inches: number, mm: number, colour: string): TackleItem =>
    ({ id: newId(), kind: 'body', name, carried: true, stock: null, attributes: { lengthM: inches * INCH, depthM: mm / 1000, colour } })
  const line = (name: string, mm: number, lb: number, material: 'mono' | 'braid'): TackleItem =>
    ({ id: newId(), kind: 'line', name, carried: true, stock: null, attributes: { diameterM: mm / 1000, testKg: lb * LB, material } })
  const float = (name: string, cm3: number, g: number, shape: string): TackleItem =>
    ({ id: newId(), kind: 'float', name, carried: true, stock: null, attributes: { volumeM3: cm3 / 1e6, massKg: g / 1000, shape } })
  const shot = (name: string, g: number): TackleItem =>
    ({ id: newId(), kind: 'shot', name, carried: true, stock: null, attributes: { massKg: g / 1000 } })

  const head = (name: string, kg: number, shape: HeadShape, metal: 'lead' | 'tungsten' = 'lead', hook = '#6'): TackleItem =>
    ({ id: newId(), kind: 'head', name, carried: true, stock: null, attributes: { massKg: kg, densityKgM3: metal === 'lead' ? LEAD_HEAD_KG_M3 : TUNGSTEN_HEAD_KG_M3, metal, shape, hook } })
  const tailed = (name: string, inches: number, mm: number, colour: string, tail: Tail): TackleItem =>
    ({ id: newId(), kind: 'body', name, carried: true, stock: null, attributes: { lengthM: inches * INCH, depthM: mm / 1000, colour, tail } })
  const bait = (name: string, type: BaitType, mm: number, g: number, cm3: number, diveM?: number): TackleItem =>
    ({ id: newId(), kind: 'bait', name, carried: true, stock: null, attributes: { type, lengthM: mm / 1000, massKg: g / 1000, volumeM3: cm3 / 1e6, ...(diveM ? { diveM } : {}) } })
  const bottom = (name: string, oz: number): TackleItem =>
    ({ id: newId(), kind: 'shot', name, carried: true, stock: null, attributes: { massKg: oz * OZ, style: 'bottom' } })
  const leader = (name: string, mm: number, lb: number): TackleItem =>
    ({ id: newId(), kind: 'leader', name, carried: true, stock: null, attributes: { diameterM: mm / 1000, testKg: lb * LB, material: 'fluorocarbon' } })

  return [
    lead('1/80 oz', 1 / 80), lead('1/64 oz', 1 / 64), lead('1/48 oz', 1 / 48), lead('1/32 oz', 1 / 32), lead('1/24 oz', 1 / 24),
    lead('1/16 oz', 1 / 16), lead('1/8 oz', 1 / 8), lead('3/16 oz', 3 / 16, false), lead('1/4 oz', 1 / 4, false),
    { id: newId(), kind: 'head', name: '1/16 oz dense head', carried: false, stock: null, attributes: { massKg: OZ / 16, densityKgM3: TUNGSTEN_HEAD_KG_M3, metal: 'tungsten' } },
    head('1/32 oz dense head', OZ / 32, 'round', 'tungsten', '#8'), head('1/8 oz stand-up', OZ / 8, 'stand-up', 'lead', '#2'), head('1/4 oz stand-up', OZ / 4, 'stand-up', 'lead', '#1'), head('4 g offset hook', 0.004, 'offset', 'lead', '1/0'), head('10 g shad head', 0.01, 'round', 'lead', '2/0'),
    body('Micro, 1 in', 1, 5, 'white'), body('Slim, 1½ in', 1.5, 7, 'pearl and chartreuse'), body('Paddle, 2 in', 2, 9, 'pink and white'), body('Full, 2½ in', 2.5, 12, 'black and chartreuse'),
    line('2 lb mono', 0.128, 2, 'mono'), line('4 lb mono', 0.18, 4, 'mono'), line('6 lb mono', 0.225, 6, 'mono'), line('10 lb braid', 0.12, 10, 'braid'),
    float('Pencil, thin', 1.5, 0.45, 'pencil'), float('Pencil, small', 2.2, 0.7, 'pencil'), float('Oval, small', 3.8, 1.3, 'oval'), float('Pear, small', 4.7, 1.5, 'pear'), float('Oval, middle', 6.4, 2.1, 'oval'), float('Oval, large', 10.6, 3.3, 'oval'),
    tailed('Hair fly, 1 in', 1, 6, 'black', 'hair'), tailed('Curl, 1¼ in', 1.25, 6, 'chartreuse', 'curl'), tailed('Creature, 2 in', 2, 10, 'natural brown', 'creature'), tailed('Shad, 3½ in', 3.5, 17, 'natural shad', 'paddle'), tailed('Nymph, ¾ in', 0.75, 4, 'olive', 'nymph'),
    bait('Vibrating bait, silent', 'lipless', 45, 5.3, 3.7), bait('Micro crank, short bill', 'crank', 33, 3.1, 2.8, 1), bait('Hanging minnow, 2¼ in', 'minnow', 57, 3.62, 3.62, 1.1), bait('Jigging spoon, ¼ oz', 'spoon', 38, 7.1, 0.75), bait('Inline spinner, small', 'spinner', 32, 3, 0.55),
    leader('6 lb leader', 0.2, 6), leader('8 lb leader', 0.23, 8), leader('16 lb leader', 0.35, 16),
    { id: newId(), kind: 'hook', name: '#4 light wire', carried: true, stock: null, attributes: { size: '#4', massKg: 0.00012 } },
    { id: newId(), kind: 'rod', name: '7 ft light', carried: true, stock: null, attributes: { lengthM: 2.13, power: 'light' } },
    { id: newId(), kind: 'sock', name: 'Drift sock, 3 ft', carried: false, stock: null, attributes: { diameterM: 0.91 } },
    bottom('1/4 oz drop ball', 1 / 4), bottom('3/8 oz drop ball', 3 / 8), bottom('1 oz bottom weight', 1), bottom('1½ oz bottom weight', 1.5),
    shot('#7 shot', 0.12), shot('#5 shot', 0.26), shot('#4 shot', 0.4), shot('#3/0 shot', 0.84), shot('1/16 oz slip weight', 1.77), shot('1/8 oz slip weight', 3.54),
  ]
}
