import type Icon from 'ol/style/Icon'
import type { FeatureKind } from '../../core/water/readWater'
import { markIcon, type MarkInk } from './markCanvas'

/** Drawings of what the bottom makes, in a 24-unit square, strokes only: cuts through the bottom, seen from the side or above. */
const DRAWINGS: Record<FeatureKind, string> = {
  flat: 'M4 15 H20 M7 11 V15 M12 9 V15 M17 11 V15',
  break: 'M3 8 H11 L14 17 H21 M12 12 l4 -2 M13 15 l4 -2',
  point: 'M12 5 L12 15 M12 15 L8 11 M12 15 L16 11 M5 19 C9 19 10 17 12 17 C14 17 15 19 19 19',
  insideTurn: 'M5 6 C6 16 18 16 19 6 M12 19 V16',
  hump: 'M3 17 C8 17 8 8 12 8 C16 8 16 17 21 17',
  saddle: 'M3 9 C7 9 8 15 12 15 C16 15 17 9 21 9',
  basin: 'M4 7 C5 18 19 18 20 7',
  channelBend: 'M6 20 C6 12 18 14 18 4 M10 20 C10 15 21 16 22 4',
}

const DIAMOND = 'M20 3 L37 20 L20 37 L3 20 Z'

/** A feature's mark for the map: its drawing in a square set on its corner, so that it is not taken for a place. */
export function featureMark(kind: FeatureKind, { ink, sheet, chosen }: MarkInk): Icon {
  return markIcon({ frame: DIAMOND, drawing: DRAWINGS[kind], at: 8, size: chosen ? 42 : 32, ink, sheet, width: chosen ? 4 : 2 })
}
