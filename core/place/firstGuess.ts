import { requireNumber } from '../guard'
import type { Place, PlaceAttributes, PlaceKind } from './kinds'

const SHALLOWEST_M = 0.3

/** A first guess at a place's figures from the depth of the chart there. @throws RangeError for a depth that is no number */
export function firstGuess(kind: PlaceKind, depthM: number): Place['attributes'] {
  const bottomDepthM = Math.round(Math.max(SHALLOWEST_M, requireNumber('depthM', depthM)) * 10) / 10
  const part = (share: number) => Math.round(bottomDepthM * share * 10) / 10
  const guesses: { [K in PlaceKind]: () => PlaceAttributes[K] } = {
    brush: () => ({ bottomDepthM, coverTopM: part(0.55), material: 'hardwood' }),
    timber: () => ({ bottomDepthM, coverTopM: part(0.4), wood: 'hardwood' }),
    dock: () => ({ bottomDepthM, deckAreaM2: 40, deckHeightM: 0.9, roofed: false, facingDeg: 180, brushAtCorners: false }),
    moorings: () => ({ bottomDepthM, boats: 6 }),
    weedEdge: () => ({ bottomDepthM, coverTopM: part(0.4), growth: 'broadLeaved' }),
    reedStubble: () => ({ bottomDepthM, softBottom: true }),
    flat: () => ({ bottomDepthM, softBottom: true }),
    breakEdge: () => ({ bottomDepthM, shallowDepthM: part(0.4), runM: 20 }),
    hump: () => ({ bottomDepthM: part(1.6), coverTopM: bottomDepthM }),
    point: () => ({ bottomDepthM, slope: 'gradual' }),
    insideTurn: () => ({ bottomDepthM, slope: 'gradual' }),
    channelBend: () => ({ bottomDepthM, shoulderDepthM: part(0.7), outside: true }),
    basinEdge: () => ({ bottomDepthM, shallowDepthM: part(0.6) }),
    riprap: () => ({ bottomDepthM, stones: 'large' }),
    creekMouth: () => ({ bottomDepthM, flows: 'always' }),
    weir: () => ({ bottomDepthM, tailrace: false }),
    lockCut: () => ({ bottomDepthM, widthM: 20 }),
    canal: () => ({ bottomDepthM, feature: 'bridge' }),
  }
  return guesses[kind]()
}
