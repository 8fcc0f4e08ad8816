import type Icon from 'ol/style/Icon'
import type { PlaceKind } from '../../core/place/kinds'
import { markIcon, type MarkInk } from './markCanvas'

/** Drawings of the kinds of place in a 24-unit square, strokes only. */
export const PLACE_DRAWINGS: Record<PlaceKind, string> = {
  brush: 'M8 19 L5 6 M11 19 L11 5 M13 19 L19 7 M11 13 L7 9 M14 15 L20 13',
  timber: 'M12 20 V4 M12 10 L7 5 M12 13 L18 7 M12 16 L8 13',
  dock: 'M4 9 H20 V12 H4 Z M7 12 V19 M17 12 V19',
  weedEdge: 'M7 20 C4 15 10 11 7 5 M12 20 C9 15 15 11 12 5 M17 20 C14 15 20 11 17 5',
  reedStubble: 'M5 19 V11 M9 19 V7 M12 19 V10 M15 19 V6 M19 19 V12',
  breakEdge: 'M3 8 H10 L15 18 H21 M3 12 H8 L13 20',
  hump: 'M3 18 C8 18 8 8 12 8 C16 8 16 18 21 18',
  moorings: 'M5 15 C7 19 17 19 19 15 Z M12 15 V5 L17 13 H12',
  flat: 'M3 9 H21 M5 13 H19 M8 17 H16',
  insideTurn: 'M4 5 C5 15 9 19 20 20 M9 5 C10 11 13 14 20 15',
  channelBend: 'M4 20 C4 12 10 13 12 10 C14 7 14 5 20 4 M9 20 C9 16 14 16 16 12 C17 10 18 9 21 9',
  basinEdge: 'M3 8 C8 8 8 18 13 18 H21 M17 9 V14 M15 12 L17 14 L19 12',
  riprap: 'M4 18 L8 11 L12 18 Z M11 18 L15 9 L20 18 Z M7 11 L10 5 L13 10',
  creekMouth: 'M12 3 C9 7 15 9 12 13 M12 13 C9 15 6 17 4 20 M12 13 C15 15 18 17 20 20',
  weir: 'M4 8 H20 M6 8 V12 M10 8 V16 M14 8 V12 M18 8 V16 M5 19 H19',
  lockCut: 'M7 4 V20 M17 4 V20 M7 10 L12 13 L17 10',
  canal: 'M4 7 C9 12 15 12 20 7 M4 17 H20 M7 10 V17 M17 10 V17',
  point: 'M3 6 C12 6 14 10 21 12 C14 14 12 18 3 18',
}

/** Ground that nobody has kept stands in a diamond. */
const DIAMOND = 'M20 2 L38 20 L20 38 L2 20 Z'
const RING = 'M20 4 A16 16 0 1 1 19.99 4 Z'

/** The place's mark for the map: its drawing in a ring, heavy when chosen. */
export function placeMark(kind: PlaceKind, { ink, sheet, chosen }: MarkInk, kept = true): Icon {
  return markIcon({ frame: kept ? RING : DIAMOND, drawing: PLACE_DRAWINGS[kind], at: 8, size: chosen ? 40 : 34, ink, sheet, width: chosen ? 4 : 2.2 })
}
