import type { PlaceKind } from '../../core/place/kinds'

interface Base { key: string, label: string, optional?: boolean }
/** How a figure of a place is asked for: depths and lengths in the reader's unit, bearings by compass point. */
export type PlaceField = Base & (
  | { type: 'depth' | 'area' | 'bearing' | 'speed' | 'count' | 'text' | 'flag' }
  | { type: 'choice', choices: { value: string, title: string }[] })

const bottom: PlaceField = { key: 'bottomDepthM', label: 'bottom', type: 'depth' }
const top = (label: string): PlaceField => ({ key: 'coverTopM', label, type: 'depth' })

const slope: PlaceField = { key: 'slope', label: 'falls away', type: 'choice', choices: [{ value: 'steep', title: 'steeply' }, { value: 'gradual', title: 'gradually' }] }
const soft: PlaceField = { key: 'softBottom', label: 'soft, dark ground', type: 'flag' }
const facing: PlaceField = { key: 'facingDeg', label: 'faces', type: 'bearing', optional: true }

/** What any place is asked, after what its own kind is. */
const COMMON: PlaceField[] = [
  facing,
  { key: 'bottom', label: 'ground', type: 'choice', optional: true, choices: [{ value: 'mud', title: 'mud' }, { value: 'clay', title: 'clay' }, { value: 'sand', title: 'sand' }, { value: 'gravel', title: 'gravel' }, { value: 'rock', title: 'rock' }] },
  { key: 'currentTowardDeg', label: 'current toward', type: 'bearing', optional: true },
  { key: 'currentMS', label: 'current', type: 'speed', optional: true },
  { key: 'runs', label: 'it runs', type: 'choice', optional: true, choices: [{ value: 'always', title: 'always' }, { value: 'released', title: 'when water is let through' }] },
]

const OWN: Record<PlaceKind, PlaceField[]> = {
  brush: [bottom, top('top of the brush'), { key: 'material', label: 'made of', type: 'choice', choices: [{ value: 'hardwood', title: 'hardwood' }, { value: 'cedar', title: 'cedar' }, { value: 'mixed', title: 'mixed' }] },
    { key: 'laidYear', label: 'laid in', type: 'count', optional: true }, { key: 'line', label: 'staggered line', type: 'text', optional: true }, { key: 'step', label: 'step', type: 'count', optional: true }, { key: 'steps', label: 'of steps', type: 'count', optional: true }],
  timber: [bottom, top('crown'), { key: 'wood', label: 'wood', type: 'choice', choices: [{ value: 'hardwood', title: 'hardwood' }, { value: 'softwood', title: 'softwood' }] }],
  dock: [{ ...bottom, label: 'depth in front' }, { key: 'deckAreaM2', label: 'deck', type: 'area' }, { key: 'deckLengthM', label: 'deck from bank to end', type: 'depth', optional: true }, { key: 'deckHeightM', label: 'deck over the water', type: 'depth' }, { ...facing, optional: false },
    { key: 'roofed', label: 'it has a roof', type: 'flag' }, { key: 'roofHeightM', label: 'roof over the water', type: 'depth', optional: true }, { key: 'boatLengthM', label: 'boat moored to it', type: 'depth', optional: true }, { key: 'brushAtCorners', label: 'brush at the corners', type: 'flag' }],
  moorings: [bottom, { key: 'boats', label: 'boats', type: 'count' }],
  weedEdge: [bottom, top('weed top'), { key: 'growth', label: 'growth', type: 'choice', choices: [{ value: 'broadLeaved', title: 'tall, broad-leaved' }, { value: 'mat', title: 'mat' }, { value: 'stalks', title: 'sparse stalks' }] }],
  reedStubble: [bottom, soft],
  flat: [bottom, soft],
  breakEdge: [{ key: 'shallowDepthM', label: 'from', type: 'depth' }, { ...bottom, label: 'down to' }, { key: 'runM', label: 'within', type: 'depth' }],
  hump: [{ ...bottom, label: 'around it' }, top('top')],
  point: [bottom, slope],
  insideTurn: [bottom, slope],
  channelBend: [{ ...bottom, label: 'the bed' }, { key: 'shoulderDepthM', label: 'its shoulder', type: 'depth' }, { key: 'outside', label: 'on the outside of the bend', type: 'flag' }],
  basinEdge: [{ key: 'shallowDepthM', label: 'from', type: 'depth' }, { ...bottom, label: 'down to' }],
  riprap: [bottom, { key: 'stones', label: 'stones', type: 'choice', choices: [{ value: 'small', title: 'small' }, { value: 'large', title: 'large' }] }],
  creekMouth: [bottom, { key: 'flows', label: 'the creek flows', type: 'choice', choices: [{ value: 'always', title: 'always' }, { value: 'afterRain', title: 'after rain' }] }],
  weir: [bottom, { key: 'tailrace', label: 'water is let through here', type: 'flag' }],
  lockCut: [bottom, { key: 'widthM', label: 'wide', type: 'depth' }],
  canal: [bottom, { key: 'feature', label: 'what', type: 'choice', choices: [{ value: 'bridge', title: 'bridge' }, { value: 'turningBay', title: 'turning bay' }, { value: 'bend', title: 'bend' }, { value: 'outfall', title: 'outfall' }, { value: 'reeds', title: 'reeds' }] }],
}

/** What each kind of place is asked, in the order of its form: its own figures first. */
export const PLACE_FIELDS = Object.fromEntries(Object.entries(OWN).map(([kind, own]) => [kind, [...own, ...COMMON.filter(c => !own.some(f => f.key === c.key))]])) as Record<PlaceKind, PlaceField[]>
