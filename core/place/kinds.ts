export const PLACE_KINDS = ['brush', 'timber', 'dock', 'weedEdge', 'reedStubble', 'breakEdge', 'hump', 'point'] as const
export type PlaceKind = (typeof PLACE_KINDS)[number]

/** What is known of a place besides where it is; metres, degrees clockwise from north. */
export interface PlaceAttributes {
  brush: { bottomDepthM: number, coverTopM: number, material: 'hardwood' | 'cedar' | 'mixed', laidYear?: number, step?: number, steps?: number }
  timber: { bottomDepthM: number, coverTopM: number, wood: 'hardwood' | 'softwood' }
  dock: { bottomDepthM: number, deckAreaM2: number, deckHeightM: number, roofed: boolean, facingDeg: number, brushAtCorners: boolean }
  weedEdge: { bottomDepthM: number, coverTopM: number, growth: 'broadLeaved' | 'mat' | 'stalks' }
  reedStubble: { bottomDepthM: number, softBottom: boolean }
  breakEdge: { bottomDepthM: number, shallowDepthM: number, runM: number }
  hump: { bottomDepthM: number, coverTopM: number }
  point: { bottomDepthM: number, slope: 'steep' | 'gradual' }
}

export type PlaceOf<K extends PlaceKind = PlaceKind> = {
  [P in K]: {
    id: string
    name: string
    kind: P
    /** WGS 84 degrees */
    lonDeg: number
    latDeg: number
    attributes: PlaceAttributes[P]
  }
}[K]
export type Place = PlaceOf

const NAMES: Record<PlaceKind, string> = {
  brush: 'brush pile',
  timber: 'standing timber',
  dock: 'dock',
  weedEdge: 'weed edge',
  reedStubble: 'reed stubble',
  breakEdge: 'break',
  hump: 'hump',
  point: 'point',
}

const PLURALS: Record<PlaceKind, string> = {
  brush: 'brush piles',
  timber: 'standing timber',
  dock: 'docks',
  weedEdge: 'weed edges',
  reedStubble: 'reed stubble',
  breakEdge: 'breaks',
  hump: 'humps',
  point: 'points',
}

/** The kind as a class: "docks". */
export function placeKindPlural(kind: PlaceKind): string {
  return PLURALS[kind]
}

export function placeKindName(kind: PlaceKind): string {
  return NAMES[kind]
}

/** Depth at which the holding part of the place begins, m: the crown of the brush, the edge of the shallows, the surface under a deck. */
export function coverTop(place: Place): number {
  switch (place.kind) {
    case 'brush':
    case 'timber':
    case 'weedEdge':
    case 'hump':
      return place.attributes.coverTopM
    case 'breakEdge':
      return place.attributes.shallowDepthM
    case 'dock':
    case 'reedStubble':
    case 'point':
      return 0
  }
}
