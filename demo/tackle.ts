import { LEAD_HEAD_KG_M3, TUNGSTEN_HEAD_KG_M3 } from '../core/rig/jig'
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

  return [
    lead('1/80 oz', 1 / 80), lead('1/64 oz', 1 / 64), lead('1/48 oz', 1 / 48), lead('1/32 oz', 1 / 32), lead('1/24 oz', 1 / 24),
    lead('1/16 oz', 1 / 16), lead('1/8 oz', 1 / 8), lead('3/16 oz', 3 / 16, false), lead('1/4 oz', 1 / 4, false),
    { id: newId(), kind: 'head', name: '1/16 oz dense head', carried: false, stock: null, attributes: { massKg: OZ / 16, densityKgM3: TUNGSTEN_HEAD_KG_M3, metal: 'tungsten' } },
    body('Micro, 1 in', 1, 5, 'white'), body('Slim, 1½ in', 1.5, 7, 'pearl and chartreuse'), body('Paddle, 2 in', 2, 9, 'pink and white'), body('Full, 2½ in', 2.5, 12, 'black and chartreuse'),
    line('2 lb mono', 0.128, 2, 'mono'), line('4 lb mono', 0.18, 4, 'mono'), line('6 lb mono', 0.225, 6, 'mono'), line('10 lb braid', 0.12, 10, 'braid'),
    float('Pencil, thin', 1.5, 0.45, 'pencil'), float('Pencil, small', 2.2, 0.7, 'pencil'), float('Oval, small', 3.8, 1.3, 'oval'), float('Pear, small', 4.7, 1.5, 'pear'), float('Oval, middle', 6.4, 2.1, 'oval'), float('Oval, large', 10.6, 3.3, 'oval'),
    shot('#7 shot', 0.12), shot('#5 shot', 0.26), shot('#4 shot', 0.4), shot('#3/0 shot', 0.84), shot('1/16 oz slip weight', 1.77), shot('1/8 oz slip weight', 3.54),
  ]
}
