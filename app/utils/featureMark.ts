import type { FeatureKind } from '../../core/water/readWater'

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

/** A feature's mark as an SVG image: its drawing in a square set on its corner, so that it is not taken for a place. */
export function featureMark(kind: FeatureKind, { ink, sheet, chosen }: { ink: string, sheet: string, chosen: boolean }): string {
  const size = chosen ? 40 : 30
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="0 0 40 40">
<path d="M20 3 L37 20 L20 37 L3 20 Z" fill="${sheet}" stroke="${ink}" stroke-width="${chosen ? 4 : 2}"/>
<path transform="translate(9.2 9.2) scale(0.9)" d="${DRAWINGS[kind]}" fill="none" stroke="${ink}" stroke-width="2.2" stroke-linecap="round" stroke-linejoin="round"/></svg>`
  return `data:image/svg+xml,${encodeURIComponent(svg)}`
}
