import type { Place, PlaceKind } from '../../core/place/kinds'

interface Base { key: string, label: string, optional?: boolean }
/** How a figure of a place is asked for: depths and lengths in the reader's unit, bearings by compass point. */
export type PlaceField = Base & (
  | { type: 'depth' | 'area' | 'bearing' | 'count' | 'flag' }
  | { type: 'choice', choices: { value: string, title: string }[] })

const bottom: PlaceField = { key: 'bottomDepthM', label: 'bottom', type: 'depth' }
const top = (label: string): PlaceField => ({ key: 'coverTopM', label, type: 'depth' })

/** What each kind of place is asked, in the order of its form. */
export const PLACE_FIELDS: Record<PlaceKind, PlaceField[]> = {
  brush: [bottom, top('top of the brush'), { key: 'material', label: 'made of', type: 'choice', choices: [{ value: 'hardwood', title: 'hardwood' }, { value: 'cedar', title: 'cedar' }, { value: 'mixed', title: 'mixed' }] },
    { key: 'laidYear', label: 'laid in', type: 'count', optional: true }, { key: 'step', label: 'step', type: 'count', optional: true }, { key: 'steps', label: 'of steps', type: 'count', optional: true }],
  timber: [bottom, top('crown'), { key: 'wood', label: 'wood', type: 'choice', choices: [{ value: 'hardwood', title: 'hardwood' }, { value: 'softwood', title: 'softwood' }] }],
  dock: [{ ...bottom, label: 'depth in front' }, { key: 'deckAreaM2', label: 'deck', type: 'area' }, { key: 'deckHeightM', label: 'deck over the water', type: 'depth' }, { key: 'facingDeg', label: 'faces', type: 'bearing' }, { key: 'roofed', label: 'it has a roof', type: 'flag' }, { key: 'brushAtCorners', label: 'brush at the corners', type: 'flag' }],
  weedEdge: [bottom, top('weed top'), { key: 'growth', label: 'growth', type: 'choice', choices: [{ value: 'broadLeaved', title: 'tall, broad-leaved' }, { value: 'mat', title: 'mat' }, { value: 'stalks', title: 'sparse stalks' }] }],
  reedStubble: [bottom, { key: 'softBottom', label: 'soft, dark ground', type: 'flag' }],
  breakEdge: [{ key: 'shallowDepthM', label: 'from', type: 'depth' }, { ...bottom, label: 'down to' }, { key: 'runM', label: 'within', type: 'depth' }],
  hump: [{ ...bottom, label: 'around it' }, top('top')],
  point: [bottom, { key: 'slope', label: 'falls away', type: 'choice', choices: [{ value: 'steep', title: 'steeply' }, { value: 'gradual', title: 'gradually' }] }],
}

/** A first guess at a place's figures from the depth of the chart there. */
export function firstGuess(kind: PlaceKind, depthM: number): Place['attributes'] {
  const bottomDepthM = Math.round(Math.max(0.3, depthM) * 10) / 10
  const part = (share: number) => Math.round(bottomDepthM * share * 10) / 10
  switch (kind) {
    case 'brush': return { bottomDepthM, coverTopM: part(0.55), material: 'hardwood' }
    case 'timber': return { bottomDepthM, coverTopM: part(0.4), wood: 'hardwood' }
    case 'dock': return { bottomDepthM, deckAreaM2: 40, deckHeightM: 0.9, roofed: false, facingDeg: 180, brushAtCorners: false }
    case 'weedEdge': return { bottomDepthM, coverTopM: part(0.4), growth: 'broadLeaved' }
    case 'reedStubble': return { bottomDepthM, softBottom: true }
    case 'breakEdge': return { bottomDepthM, shallowDepthM: part(0.4), runM: 20 }
    case 'hump': return { bottomDepthM: part(1.6), coverTopM: bottomDepthM }
    case 'point': return { bottomDepthM, slope: 'gradual' }
  }
}
