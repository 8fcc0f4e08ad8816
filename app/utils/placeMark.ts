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
  point: 'M3 6 C12 6 14 10 21 12 C14 14 12 18 3 18',
}

const RING = 'M20 4 A16 16 0 1 1 19.99 4 Z'

/** The place's mark for the map: its drawing in a ring, heavy when chosen. */
export function placeMark(kind: PlaceKind, { ink, sheet, chosen }: MarkInk): Icon {
  return markIcon({ frame: RING, drawing: PLACE_DRAWINGS[kind], at: 8, size: chosen ? 40 : 34, ink, sheet, width: chosen ? 4 : 2.2 })
}
