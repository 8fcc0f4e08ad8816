import { localFrame } from '../core/water/localFrame'
import type { PartNote } from '../shared/weather'
import { PELLOWICK_ORIGIN } from './pellowick'

/** What the demo's angler knows of the reservoir's arms. */
export function pellowickParts(): PartNote[] {
  const frame = localFrame(PELLOWICK_ORIGIN)
  const part = (name: string, x: number, y: number, more: Partial<PartNote> = {}): PartNote => ({ name, ...frame.toLonLat(x, y), secchiM: null, inflowM3S: 0, river: false, ...more })
  return [
    part('Main basin', 2072, 822),
    part('River arm', 202, 852, { inflowM3S: 1.6, river: true, secchiM: 0.6 }),
    part('Cobbler\'s Arm', 687, 1387, { secchiM: 0.55, inflowM3S: 0.05 }),
    part('Lantern Arm', 1582, 1447, { secchiM: 0.5 }),
    part('Ferryman\'s Arm', 697, 402),
    part('Weir Arm', 2427, 1357),
    part('Kiln Cove', 1317, 1172),
    part('Tollgate Arm', 1837, 332),
    part('Vetch Arm', 1382, 177, { secchiM: 0.55 }),
  ]
}
