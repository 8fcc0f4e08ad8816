import type { DepthGrid } from '../core/water/depthGrid'
import { depthAt } from '../core/water/depthGrid'
import { localFrame } from '../core/water/localFrame'
import type { Place, PlaceAttributes, PlaceKind } from '../core/place/kinds'
import { PELLOWICK_ORIGIN } from './pellowick'

interface Walk { x: number, y: number, toward: number }

const STEP_M = 2.5
const LONGEST_WALK_M = 1500

/** First point along a bearing where the water is at least `depthM` deep. */
function outTo(grid: DepthGrid, { x, y, toward }: Walk, depthM: number): { x: number, y: number } {
  return walk(grid, { x, y, toward }, depth => depth >= depthM)
}

/** Last point along a bearing before the water is shallower than `depthM`: from open water in to the bank. */
function inTo(grid: DepthGrid, { x, y, toward }: Walk, depthM: number): { x: number, y: number } {
  return walk(grid, { x, y, toward }, (_, next) => !(next >= depthM))
}

function walk(grid: DepthGrid, { x, y, toward }: Walk, stop: (depth: number, next: number) => boolean): { x: number, y: number } {
  const dx = Math.sin((toward * Math.PI) / 180) * STEP_M
  const dy = Math.cos((toward * Math.PI) / 180) * STEP_M
  for (let n = 0; n < LONGEST_WALK_M / STEP_M; n++) {
    const here = { x: x + n * dx, y: y + n * dy }
    if (stop(depthAt({ grid, ...here }), depthAt({ grid, x: here.x + dx, y: here.y + dy }))) return here
  }
  throw new Error(`no such depth within ${LONGEST_WALK_M} m of ${x}, ${y} toward ${toward}`)
}

type Sited = { [K in PlaceKind]: { name: string, kind: K, at: { x: number, y: number }, attributes: (bottomDepthM: number) => PlaceAttributes[K] } }[PlaceKind]

const round = (m: number) => Math.round(m * 10) / 10

/** Invented places on Pellowick Reservoir, each set where the grid has the depth it needs. */
export function pellowickPlaces(grid: DepthGrid, newId: () => string): Place[] {
  const kilnLine: Walk = { x: 1150, y: 1040, toward: 158 }
  const kilnSteps = [2.6, 4.1, 5.4, 6.6]
  const brush = (coverTopM: number, laidYear: number, step?: number) => (bottomDepthM: number): PlaceAttributes['brush'] =>
    ({ bottomDepthM, coverTopM, material: 'hardwood', laidYear, ...(step ? { step, steps: kilnSteps.length } : {}) })
  const dock = (deckAreaM2: number, roofed: boolean, facingDeg: number, brushAtCorners: boolean) => (bottomDepthM: number): PlaceAttributes['dock'] =>
    ({ bottomDepthM, deckAreaM2, deckHeightM: 0.9, roofed, facingDeg, brushAtCorners })

  const sited: Sited[] = [
    ...kilnSteps.map((depth, i): Sited => ({
      name: `Kiln brush, step ${i + 1} of ${kilnSteps.length}`, kind: 'brush', at: outTo(grid, kilnLine, depth),
      attributes: brush([1.4, 2.3, 3.2, 4.2][i]!, 2021, i + 1),
    })),
    { name: 'Beacon brush', kind: 'brush', at: outTo(grid, { x: 790, y: 1220, toward: 200 }, 3.4), attributes: brush(1.9, 2018) },
    { name: 'Reed stubble, Cobbler\'s Arm', kind: 'reedStubble', at: outTo(grid, { x: 660, y: 1330, toward: 170 }, 1.2), attributes: bottomDepthM => ({ bottomDepthM, softBottom: true }) },
    { name: 'Reed stubble, Vetch Arm', kind: 'reedStubble', at: { x: 1400, y: 215 }, attributes: bottomDepthM => ({ bottomDepthM, softBottom: true }) },
    { name: 'Ferry dock', kind: 'dock', at: inTo(grid, { x: 1420, y: 900, toward: 352 }, 3.9), attributes: dock(74, true, 172, true) },
    { name: 'Weir House dock', kind: 'dock', at: inTo(grid, { x: 2330, y: 1000, toward: 350 }, 4.8), attributes: dock(48, false, 170, false) },
    { name: 'Cooper\'s dock', kind: 'dock', at: inTo(grid, { x: 1700, y: 480, toward: 195 }, 2.4), attributes: dock(26, false, 15, false) },
    { name: 'Orchard Flat weed', kind: 'weedEdge', at: outTo(grid, { x: 1180, y: 420, toward: 10 }, 1.9), attributes: bottomDepthM => ({ bottomDepthM, coverTopM: 0.8, growth: 'broadLeaved' }) },
    { name: 'Orchard Flat edge', kind: 'breakEdge', at: outTo(grid, { x: 1020, y: 430, toward: 5 }, 3.4), attributes: bottomDepthM => ({ bottomDepthM, shallowDepthM: 1.4, runM: 30 }) },
    { name: 'Drowned Oaks', kind: 'timber', at: outTo(grid, { x: 880, y: 900, toward: 190 }, 6.6), attributes: bottomDepthM => ({ bottomDepthM, coverTopM: 2.4, wood: 'hardwood' }) },
    { name: 'Long Bend timber', kind: 'timber', at: { x: 1690, y: 930 }, attributes: bottomDepthM => ({ bottomDepthM, coverTopM: 3.0, wood: 'hardwood' }) },
    { name: 'Sexton\'s Hump', kind: 'hump', at: { x: 1330, y: 560 }, attributes: topM => ({ bottomDepthM: round(topM + 3), coverTopM: topM }) },
    { name: 'Tollgate Point', kind: 'point', at: outTo(grid, { x: 1900, y: 520, toward: 20 }, 4.5), attributes: bottomDepthM => ({ bottomDepthM, slope: 'steep' }) },
  ]
  const frame = localFrame(PELLOWICK_ORIGIN)
  return sited.map(({ name, kind, at, attributes }) => {
    const depth = depthAt({ grid, ...at })
    if (Number.isNaN(depth)) throw new Error(`${name} would stand on land`)
    return { id: newId(), name, kind, ...frame.toLonLat(at.x, at.y), attributes: attributes(round(depth)) } as Place
  })
}

/** The gravel bar in the river arm that white bass come up to. */
export function riverReach(grid: DepthGrid, newId: () => string): Place {
  const at = inTo(grid, { x: 240, y: 905, toward: 20 }, 1.8)
  return { id: newId(), name: 'Sluice Bar, river arm', kind: 'point', ...localFrame(PELLOWICK_ORIGIN).toLonLat(at.x, at.y), attributes: { bottomDepthM: round(depthAt({ grid, ...at })), slope: 'gradual' } }
}
