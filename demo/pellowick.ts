import type { DepthGrid } from '../core/water/depthGrid'
import { gridOf } from './gridOf'
import { curve, nearestOn, noise, smoothMin, type Point, type Terrain } from './terrain'

/** Pellowick Reservoir: an invented flooded valley. South-west corner of the frame, WGS 84. */
export const PELLOWICK_ORIGIN = { lonDeg: -88.615, latDeg: 40.193 }
const WIDTH_M = 2640
const HEIGHT_M = 1640

interface Valley {
  line: Point[]
  /** height of the valley floor at its head and foot, m */
  floorM: [number, number]
  /** half-width of the flat floor at head and foot, m */
  halfM: [number, number]
  /** rise of the banks, m per m, at head and foot */
  rise: [number, number]
}

/** Drowned valleys, head first. */
const VALLEYS: Valley[] = [
  { line: curve([{ x: 170, y: 800 }, { x: 420, y: 930 }, { x: 800, y: 760 }, { x: 1240, y: 700 }, { x: 1640, y: 840 }, { x: 2080, y: 790 }, { x: 2560, y: 880 }]), floorM: [-2.6, -12], halfM: [110, 318], rise: [0.034, 0.05] },
  { line: curve([{ x: 560, y: 1480 }, { x: 680, y: 1350 }, { x: 760, y: 1130 }, { x: 900, y: 820 }]), floorM: [-0.4, -7], halfM: [50, 110], rise: [0.028, 0.05] },
  { line: curve([{ x: 1410, y: 190 }, { x: 1490, y: 320 }, { x: 1700, y: 470 }, { x: 1760, y: 800 }]), floorM: [-0.5, -9], halfM: [60, 125], rise: [0.028, 0.05] },
  { line: curve([{ x: 1560, y: 1480 }, { x: 1600, y: 1290 }, { x: 1660, y: 1060 }, { x: 1700, y: 860 }]), floorM: [0.2, -8], halfM: [40, 85], rise: [0.036, 0.06] },
  { line: curve([{ x: 2330, y: 270 }, { x: 2260, y: 480 }, { x: 2160, y: 760 }]), floorM: [-0.6, -9], halfM: [35, 80], rise: [0.04, 0.07] },
  { line: curve([{ x: 640, y: 330 }, { x: 760, y: 500 }, { x: 900, y: 720 }]), floorM: [-0.5, -5.5], halfM: [35, 70], rise: [0.04, 0.06] },
]

/** The old river bed winds within the main valley's floor. */
const CHANNEL = curve([
  { x: 170, y: 800 }, { x: 290, y: 930 }, { x: 520, y: 860 }, { x: 760, y: 850 }, { x: 930, y: 640 }, { x: 1200, y: 790 },
  { x: 1420, y: 640 }, { x: 1640, y: 960 }, { x: 1900, y: 700 }, { x: 2150, y: 920 }, { x: 2370, y: 760 }, { x: 2540, y: 860 },
])
const CHANNEL_HALF_M = 24
const CHANNEL_CUT_M = 2.4

/** What the generator put there on purpose; whatever reads the chart can be judged against it. */
export const PELLOWICK_TRUTH = {
  humps: [
    { name: 'Sexton\'s Hump', x: 1330, y: 560, radiusM: 75, topM: 3.4 },
    { name: 'Anvil Hump', x: 2090, y: 1030, radiusM: 70, topM: 4.2 },
    { name: 'Lark Hump', x: 1080, y: 860, radiusM: 60, topM: 3.0 },
  ],
  points: [
    { name: 'Kiln Point', from: { x: 1130, y: 1080 }, to: { x: 1240, y: 830 }, halfM: 45, heightM: 4.5 },
    { name: 'Tollgate Point', from: { x: 1870, y: 420 }, to: { x: 1960, y: 700 }, halfM: 50, heightM: 5 },
    { name: 'Ferryman\'s Point', from: { x: 440, y: 640 }, to: { x: 545, y: 800 }, halfM: 40, heightM: 3 },
  ],
  flats: [
    { name: 'Orchard Flat', x: 1110, y: 400, rxM: 230, ryM: 120, depthM: 1.3 },
    { name: 'Cobbler\'s Flat', x: 690, y: 1290, rxM: 110, ryM: 150, depthM: 1.2 },
    { name: 'Vetch Flat', x: 1440, y: 255, rxM: 150, ryM: 120, depthM: 1.4 },
  ],
  channel: CHANNEL,
}

const DAM_TOE_X = 2490
const DAM_SLOPE = 0.45

/** Height of the ground above the full pool, m. */
export function pellowickTerrain(): Terrain {
  const broad = noise(11, 310)
  const middle = noise(23, 120)
  const fine = noise(37, 42)
  return (x, y) => {
    const valleys = VALLEYS.map(({ line, floorM, halfM, rise }) => {
      const { distanceM, along } = nearestOn(line, x, y)
      const mix = ([a, b]: [number, number]) => a + (b - a) * along
      const past = distanceM - mix(halfM)
      // softplus: the floor runs into the bank without an edge
      const up = 22 * Math.log1p(Math.exp(Math.min(past / 22, 40)))
      return mix(floorM) + mix(rise) * up
    })
    let height = smoothMin(valleys, 3)
    // Ground rolls more toward the banks than on the silted floor.
    const roll = Math.max(0.16, Math.min(1, (height + 8) / 7))
    height += roll * (3.4 * broad(x, y) + 1.9 * middle(x, y) + 0.5 * fine(x, y)) + 0.08 * fine(y, x)

    for (const flat of PELLOWICK_TRUTH.flats) {
      const r = Math.hypot((x - flat.x) / flat.rxM, (y - flat.y) / flat.ryM)
      const mask = 1 / (1 + Math.exp((r - 1) * 14))
      height += mask * (-flat.depthM + 0.1 * middle(x, y) - height) * (height < 2.5 ? 1 : Math.max(0, 1 - (height - 2.5) / 2))
    }
    for (const point of PELLOWICK_TRUTH.points) {
      const { distanceM, along } = nearestOn([point.from, point.to], x, y)
      height += point.heightM * (1 - 0.55 * along) * Math.exp(-((distanceM / point.halfM) ** 2))
    }
    for (const hump of PELLOWICK_TRUTH.humps) {
      const r = Math.hypot(x - hump.x, y - hump.y) / hump.radiusM
      if (r < 3) height = Math.max(height, height + (-hump.topM - height) * Math.exp(-r * r))
    }
    const bed = nearestOn(CHANNEL, x, y)
    height -= CHANNEL_CUT_M * (0.4 + 0.6 * bed.along) * Math.exp(-((bed.distanceM / CHANNEL_HALF_M) ** 2)) * Math.max(0, Math.min(1, -height / 2))
    return Math.max(height, (x - DAM_TOE_X) * DAM_SLOPE - 14)
  }
}

/** The reservoir as a depth grid (5 m cells): the terrain below the pool, only the one connected lake, depths to the centimetre. */
export const pellowickGrid = (cellM = 5): DepthGrid => gridOf(pellowickTerrain(), { widthM: WIDTH_M, heightM: HEIGHT_M, cellM })
