import type { Place } from '../../core/place/kinds'
import { compassPoint, formatDepth, formatDistance, type Units } from '../../core/units/format'

/** What is known of a place, as label and value pairs. */
export function placeFacts(place: Place, units: Units): { label: string, value: string }[] {
  const depth = (m: number) => formatDepth(m, units)
  const bottom = { label: 'bottom', value: depth(place.attributes.bottomDepthM) }
  switch (place.kind) {
    case 'brush': {
      const { coverTopM, material, laidYear, step, steps } = place.attributes
      return [bottom, { label: 'top of the brush', value: depth(coverTopM) }, { label: 'made of', value: material },
        ...(laidYear ? [{ label: 'laid', value: String(laidYear) }] : []), ...(step && steps ? [{ label: 'step', value: `${step} of ${steps}` }] : [])]
    }
    case 'timber': return [bottom, { label: 'crown', value: depth(place.attributes.coverTopM) }, { label: 'wood', value: place.attributes.wood }]
    case 'dock': {
      const { deckAreaM2, roofed, facingDeg, brushAtCorners } = place.attributes
      const deck = units === 'us' ? `${Math.round(deckAreaM2 * 10.7639)} sq ft` : `${Math.round(deckAreaM2)} m²`
      return [{ label: 'depth in front', value: depth(place.attributes.bottomDepthM) }, { label: 'deck', value: `${deck}${roofed ? ', roofed' : ''}` },
        { label: 'faces', value: compassPoint(facingDeg) }, { label: 'brush at the corners', value: brushAtCorners ? 'yes' : 'none known' }]
    }
    case 'weedEdge': return [bottom, { label: 'weed top', value: depth(place.attributes.coverTopM) }, { label: 'growth', value: { broadLeaved: 'tall, broad-leaved', mat: 'mat', stalks: 'sparse stalks' }[place.attributes.growth] }]
    case 'reedStubble': return [bottom, { label: 'ground', value: place.attributes.softBottom ? 'soft and dark' : 'firm' }]
    case 'breakEdge': return [{ label: 'from', value: depth(place.attributes.shallowDepthM) }, { label: 'down to', value: depth(place.attributes.bottomDepthM) }, { label: 'within', value: formatDistance(place.attributes.runM, units) }]
    case 'hump': return [{ label: 'top', value: depth(place.attributes.coverTopM) }, { label: 'around it', value: depth(place.attributes.bottomDepthM) }]
    case 'point': return [bottom, { label: 'falls away', value: place.attributes.slope === 'steep' ? 'steeply' : 'gradually' }]
  }
}
