import type { DepthGrid } from '../core/water/depthGrid'
import { localFrame } from '../core/water/localFrame'
import type { Place } from '../core/place/kinds'
import { edgeLine, inTo, outTo, round, stand, type Sited } from './siting'
import { WENNEL_ORIGIN, WENNEL_TRUTH } from './wennel'

/** Invented places on Wennel Water. */
export function wennelPlaces(grid: DepthGrid, newId: () => string): Place[] {
  const reedLine = edgeLine(grid, [420, 480, 540, 600].map(x => ({ x, y: 80 })), 0, 1.5)
  const [west, , east] = WENNEL_TRUTH.cut.line
  const sited: Sited[] = [
    { name: 'Lock cut, west', kind: 'lockCut', at: { x: west!.x + 60, y: west!.y + 8 }, attributes: bottomDepthM => ({ bottomDepthM, widthM: 28, facingDeg: 80, currentTowardDeg: 80, currentMS: 0.12, runs: 'released' }) },
    { name: 'Lock gates', kind: 'weir', at: { x: east!.x - 24, y: east!.y - 1 }, attributes: bottomDepthM => ({ bottomDepthM, tailrace: true, facingDeg: 263, currentTowardDeg: 263, currentMS: 0.3, runs: 'released' }), notes: 'Keep well off when the gates open.' },
    { name: 'Yacht moorings', kind: 'moorings', at: inTo(grid, { x: 640, y: 470, toward: 10 }, 1.9), attributes: bottomDepthM => ({ bottomDepthM, boats: 30, facingDeg: 190 }) },
    { name: 'Brick bridge', kind: 'canal', at: { x: 300, y: 232 }, attributes: bottomDepthM => ({ bottomDepthM, feature: 'bridge' }) },
    { name: 'Turning bay', kind: 'canal', at: { x: 960, y: 291 }, attributes: bottomDepthM => ({ bottomDepthM, feature: 'turningBay' }) },
    { name: 'South reeds', kind: 'weedEdge', line: reedLine, at: reedLine[2]!, attributes: bottomDepthM => ({ bottomDepthM, coverTopM: 0.4, growth: 'stalks', facingDeg: 0 }) },
    { name: 'Sand pit edge', kind: 'breakEdge', at: outTo(grid, { x: 620, y: 380, toward: 90 }, 4.6), attributes: bottomDepthM => ({ bottomDepthM, shallowDepthM: 3, runM: 40 }) },
    { name: 'Sand pit', kind: 'basinEdge', at: { x: 750, y: 385 }, attributes: bottomDepthM => ({ bottomDepthM, shallowDepthM: round(bottomDepthM * 0.7) }) },
    { name: 'Back mere flat', kind: 'flat', at: { x: 330, y: 470 }, attributes: bottomDepthM => ({ bottomDepthM, softBottom: true }) },
    { name: 'Club jetty', kind: 'dock', at: inTo(grid, { x: 560, y: 200, toward: 190 }, 1.8), attributes: bottomDepthM => ({ bottomDepthM, deckAreaM2: 40, deckHeightM: 0.6, roofed: false, facingDeg: 10, brushAtCorners: false, deckLengthM: 16 }) },
    { name: 'Wooded point', kind: 'point', at: outTo(grid, { x: 980, y: 440, toward: 235 }, 2.4), attributes: bottomDepthM => ({ bottomDepthM, slope: 'gradual', facingDeg: 235 }) },
    { name: 'North stubble', kind: 'reedStubble', at: outTo(grid, { x: 560, y: 560, toward: 180 }, 0.9), attributes: bottomDepthM => ({ bottomDepthM, softBottom: true }) },
    { name: 'Ferry stakes', kind: 'brush', at: outTo(grid, { x: 800, y: 130, toward: 0 }, 2.7), attributes: bottomDepthM => ({ bottomDepthM, coverTopM: round(bottomDepthM - 1.3), material: 'hardwood' }) },
  ]
  return stand(sited, grid, localFrame(WENNEL_ORIGIN), newId)
}
