export const PLACE_KINDS = [
  'brush', 'timber', 'dock', 'moorings', 'weedEdge', 'reedStubble', 'flat', 'breakEdge', 'hump', 'point', 'insideTurn', 'channelBend', 'basinEdge',
  'riprap', 'creekMouth', 'weir', 'lockCut', 'canal',
] as const
export type PlaceKind = (typeof PLACE_KINDS)[number]

export const BOTTOMS = ['mud', 'clay', 'sand', 'gravel', 'rock'] as const
export type Bottom = (typeof BOTTOMS)[number]

/** When the water runs at a place: always (a river), or while water is let through. */
export const RUNS = ['always', 'released'] as const
export type Runs = (typeof RUNS)[number]

/** What any place may be known for; metres, m/s, degrees clockwise from north. */
export interface CommonAttributes {
  bottomDepthM: number
  bottom?: Bottom
  /** toward deep water, or toward where it looks */
  facingDeg?: number
  /** which way the current goes while it runs, how fast, and when */
  currentTowardDeg?: number
  currentMS?: number
  runs?: Runs
}

interface OwnAttributes {
  brush: { coverTopM: number, material: 'hardwood' | 'cedar' | 'mixed', laidYear?: number, /** name of the staggered line it belongs to */ line?: string, step?: number, steps?: number }
  timber: { coverTopM: number, wood: 'hardwood' | 'softwood' }
  dock: { deckAreaM2: number, deckHeightM: number, roofed: boolean, facingDeg: number, brushAtCorners: boolean, /** over the water; a guess where it is not known */ roofHeightM?: number, deckLengthM?: number, /** a boat beside it */ boatLengthM?: number }
  moorings: { boats: number }
  weedEdge: { coverTopM: number, growth: 'broadLeaved' | 'mat' | 'stalks' }
  reedStubble: { softBottom: boolean }
  flat: { softBottom: boolean }
  breakEdge: { shallowDepthM: number, runM: number }
  hump: { coverTopM: number }
  point: { slope: 'steep' | 'gradual' }
  insideTurn: { slope: 'steep' | 'gradual' }
  channelBend: { shoulderDepthM: number, outside: boolean }
  basinEdge: { shallowDepthM: number }
  riprap: { stones: 'small' | 'large' }
  creekMouth: { flows: 'always' | 'afterRain' }
  weir: { tailrace: boolean }
  lockCut: { widthM: number }
  canal: { feature: 'bridge' | 'turningBay' | 'bend' | 'outfall' | 'reeds' }
}

/** What is known of a place besides where it is. */
export type PlaceAttributes = { [K in PlaceKind]: CommonAttributes & OwnAttributes[K] }

/** A line or an outline of a place; WGS 84 [lon, lat] degrees, an outline closed. */
export type PlaceShape = { type: 'LineString', coordinates: [number, number][] } | { type: 'Polygon', coordinates: [number, number][][] }

export type PlaceOf<K extends PlaceKind = PlaceKind> = {
  [P in K]: {
    id: string
    name: string
    kind: P
    /** WGS 84 degrees; of a line or an outline, its middle */
    lonDeg: number
    latDeg: number
    shape?: PlaceShape
    notes?: string
    attributes: PlaceAttributes[P]
  }
}[K]
export type Place = PlaceOf

const NAMES: Record<PlaceKind, [one: string, many: string]> = {
  brush: ['brush pile', 'brush piles'],
  timber: ['standing timber', 'standing timber'],
  dock: ['dock', 'docks'],
  moorings: ['moorings', 'moorings'],
  weedEdge: ['weed edge', 'weed edges'],
  reedStubble: ['reed stubble', 'reed stubble'],
  flat: ['flat', 'flats'],
  breakEdge: ['break', 'breaks'],
  hump: ['hump', 'humps'],
  point: ['point', 'points'],
  insideTurn: ['inside turn', 'inside turns'],
  channelBend: ['channel bend', 'channel bends'],
  basinEdge: ['basin edge', 'basin edges'],
  riprap: ['riprap', 'riprap'],
  creekMouth: ['creek mouth', 'creek mouths'],
  weir: ['weir or tailrace', 'weirs and tailraces'],
  lockCut: ['lock cut', 'lock cuts'],
  canal: ['canal feature', 'canal features'],
}

/** The kind as a class: "docks". */
export function placeKindPlural(kind: PlaceKind): string {
  return NAMES[kind][1]
}

export function placeKindName(kind: PlaceKind): string {
  return NAMES[kind][0]
}

/** Depth at which the holding part of the place begins, m: the crown of the brush, the edge of the shallows, the surface under a deck. */
export function coverTop(place: Place): number {
  const { attributes } = place
  if ('coverTopM' in attributes) return attributes.coverTopM
  if ('shallowDepthM' in attributes) return attributes.shallowDepthM
  if ('shoulderDepthM' in attributes) return attributes.shoulderDepthM
  return 0
}

/** Whether something stands in the water there that fish hide in or under. */
export function hasCover(kind: PlaceKind): boolean {
  return kind === 'brush' || kind === 'timber' || kind === 'dock' || kind === 'moorings' || kind === 'weedEdge' || kind === 'reedStubble'
}
