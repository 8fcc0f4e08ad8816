import type { DepthGrid } from '../core/water/depthGrid'
import { localFrame } from '../core/water/localFrame'
import type { Place } from '../core/place/kinds'
import { edgeLine, inTo, outTo, round, stand, type Sited } from './siting'
import { TAMARROW_ORIGIN, TAMARROW_TRUTH } from './tamarrow'

const WEED_M = 3.4

/** Invented places on Tamarrow Lake. */
export function tamarrowPlaces(grid: DepthGrid, newId: () => string): Place[] {
  const weed = (name: string, starts: { x: number, y: number }[], toward: number, facingDeg: number): Sited => {
    const line = edgeLine(grid, starts, toward, WEED_M)
    return { name, kind: 'weedEdge', line, at: line[Math.floor(line.length / 2)]!, attributes: bottomDepthM => ({ bottomDepthM, coverTopM: round(bottomDepthM * 0.35), growth: 'broadLeaved', facingDeg }) }
  }
  const hump = (name: string, { x, y, topM }: { x: number, y: number, topM: number }): Sited => ({ name, kind: 'hump', at: { x, y }, attributes: bottom => ({ bottomDepthM: round(bottom + 3), coverTopM: round(Math.max(bottom, topM * 0.8)) }) })
  const sited: Sited[] = [
    weed('North shore weed', [420, 470, 520, 570, 620].map(x => ({ x, y: 940 })), 180, 180),
    weed('South shore weed', [420, 470, 520, 580, 640].map(x => ({ x, y: 180 })), 0, 0),
    weed('West shore weed', [480, 540, 600, 660].map(y => ({ x: 60, y })), 90, 90),
    weed('Second basin weed', [1040, 1100, 1160].map(x => ({ x, y: 900 })), 180, 180),
    hump('Middle hump', TAMARROW_TRUTH.humps[0]!),
    hump('Bar hump', TAMARROW_TRUTH.humps[1]!),
    { name: 'Reed bay', kind: 'reedStubble', at: outTo(grid, { x: 190, y: 880, toward: 150 }, 1), attributes: bottomDepthM => ({ bottomDepthM, softBottom: true }) },
    { name: 'Lily bay flat', kind: 'flat', at: { x: 1250, y: 300 }, attributes: bottomDepthM => ({ bottomDepthM, softBottom: true }) },
    { name: 'Otter dock', kind: 'dock', at: inTo(grid, { x: 1180, y: 640, toward: 95 }, 2.6), attributes: bottomDepthM => ({ bottomDepthM, deckAreaM2: 34, deckHeightM: 0.7, roofed: false, facingDeg: 275, brushAtCorners: false, boatLengthM: 5.2 }) },
    { name: 'Boathouse dock', kind: 'dock', at: inTo(grid, { x: 560, y: 300, toward: 185 }, 2.4), attributes: bottomDepthM => ({ bottomDepthM, deckAreaM2: 62, deckHeightM: 0.8, roofed: true, facingDeg: 5, brushAtCorners: false, roofHeightM: 3.4 }) },
    { name: 'Narrows point', kind: 'point', at: outTo(grid, { x: 800, y: 800, toward: 190 }, 4), attributes: bottomDepthM => ({ bottomDepthM, slope: 'steep', facingDeg: 190 }) },
    { name: 'Corner turn', kind: 'insideTurn', at: outTo(grid, { x: 330, y: 330, toward: 45 }, 4.4), attributes: bottomDepthM => ({ bottomDepthM, slope: 'steep', facingDeg: 45 }) },
    { name: 'Big basin edge', kind: 'basinEdge', at: outTo(grid, { x: 430, y: 800, toward: 170 }, 8.5), attributes: bottomDepthM => ({ bottomDepthM, shallowDepthM: round(bottomDepthM * 0.55) }) },
    { name: 'Bar break', kind: 'breakEdge', at: outTo(grid, { x: 830, y: 480, toward: 270 }, 6), attributes: bottomDepthM => ({ bottomDepthM, shallowDepthM: 4, runM: 35 }) },
    { name: 'Guide\'s crib', kind: 'brush', at: outTo(grid, { x: 1010, y: 440, toward: 0 }, 5), attributes: bottomDepthM => ({ bottomDepthM, coverTopM: round(bottomDepthM - 2), material: 'hardwood', laidYear: 2020 }) },
    { name: 'Inlet', kind: 'creekMouth', at: outTo(grid, { x: 250, y: 930, toward: 175 }, 1.2), attributes: bottomDepthM => ({ bottomDepthM, flows: 'afterRain' }) },
  ]
  return stand(sited, grid, localFrame(TAMARROW_ORIGIN), newId)
}
