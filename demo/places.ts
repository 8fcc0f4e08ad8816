import type { DepthGrid } from '../core/water/depthGrid'
import { depthAt } from '../core/water/depthGrid'
import { localFrame } from '../core/water/localFrame'
import type { Place, PlaceAttributes } from '../core/place/kinds'
import { PELLOWICK_ORIGIN } from './pellowick'
import { inTo, outTo, round, stand, type Sited, type Walk } from './siting'

/** Invented places on Pellowick Reservoir, each set where the grid has the depth it needs. */
export function pellowickPlaces(grid: DepthGrid, newId: () => string): Place[] {
  const kilnLine: Walk = { x: 1150, y: 1040, toward: 158 }
  const kilnSteps = [2.6, 4.1, 5.4, 6.6]
  const brush = (coverTopM: number, laidYear: number, step?: number) => (bottomDepthM: number): PlaceAttributes['brush'] =>
    ({ bottomDepthM, coverTopM, material: 'hardwood', laidYear, ...(step ? { line: 'Kiln brush', step, steps: kilnSteps.length } : {}) })
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
  return stand(sited, grid, localFrame(PELLOWICK_ORIGIN), newId)
}

/** The gravel bar in the river arm that white bass come up to. */
export function riverReach(grid: DepthGrid, newId: () => string): Place {
  const at = inTo(grid, { x: 240, y: 905, toward: 20 }, 1.8)
  return { id: newId(), name: 'Sluice Bar, river arm', kind: 'point', ...localFrame(PELLOWICK_ORIGIN).toLonLat(at.x, at.y), attributes: { bottomDepthM: round(depthAt({ grid, ...at })), slope: 'gradual' } }
}

/** More of the reservoir's places, which the weeks before the demo's morning did not visit. */
export function pellowickMore(grid: DepthGrid, newId: () => string): Place[] {
  const sited: Sited[] = [
    { name: 'Ferry marina', kind: 'moorings', at: inTo(grid, { x: 1500, y: 900, toward: 355 }, 3.4), attributes: bottomDepthM => ({ bottomDepthM, boats: 18, facingDeg: 172 }) },
    { name: 'Cut Bank bend', kind: 'channelBend', at: { x: 1420, y: 660 }, attributes: bottomDepthM => ({ bottomDepthM, shoulderDepthM: round(bottomDepthM * 0.7), outside: true }) },
    { name: 'Old Bridge bend', kind: 'channelBend', at: { x: 940, y: 660 }, attributes: bottomDepthM => ({ bottomDepthM, shoulderDepthM: round(bottomDepthM * 0.65), outside: true }) },
    { name: 'Lantern creek mouth', kind: 'creekMouth', at: outTo(grid, { x: 1572, y: 1420, toward: 175 }, 1.4), attributes: bottomDepthM => ({ bottomDepthM, flows: 'always', currentTowardDeg: 175, currentMS: 0.06, runs: 'always' }) },
    { name: 'Dam riprap', kind: 'riprap', at: inTo(grid, { x: 2300, y: 850, toward: 85 }, 5), attributes: bottomDepthM => ({ bottomDepthM, stones: 'large', facingDeg: 265, currentTowardDeg: 85, currentMS: 0.15, runs: 'released' }) },
    { name: 'Tollgate pocket', kind: 'insideTurn', at: outTo(grid, { x: 1830, y: 430, toward: 40 }, 3.6), attributes: bottomDepthM => ({ bottomDepthM, slope: 'steep' }) },
    { name: 'Main basin edge', kind: 'basinEdge', at: { x: 2080, y: 640 }, attributes: bottomDepthM => ({ bottomDepthM, shallowDepthM: round(bottomDepthM * 0.6) }) },
    { name: 'Miller\'s crib', kind: 'brush', at: outTo(grid, { x: 2000, y: 1180, toward: 160 }, 5.6), attributes: bottomDepthM => ({ bottomDepthM, coverTopM: round(bottomDepthM - 2.4), material: 'mixed', laidYear: 2023 }) },
  ]
  return stand(sited, grid, localFrame(PELLOWICK_ORIGIN), newId)
}
