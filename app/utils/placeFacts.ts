import type { Place } from '../../core/place/kinds'
import { compassPoint, formatDepth, formatDistance, formatSpeed, type Units } from '../../core/units/format'

/** What is known of a place, as label and value pairs. */
export function placeFacts(place: Place, units: Units): { label: string, value: string }[] {
  const depth = (m: number) => formatDepth(m, units)
  const bottom = { label: 'bottom', value: depth(place.attributes.bottomDepthM) }
  const own = (): { label: string, value: string }[] => {
    switch (place.kind) {
      case 'brush': {
        const { coverTopM, material, laidYear, line, step, steps } = place.attributes
        return [bottom, { label: 'top of the brush', value: depth(coverTopM) }, { label: 'made of', value: material },
          ...(laidYear ? [{ label: 'laid', value: String(laidYear) }] : []), ...(step && steps ? [{ label: line ?? 'step', value: `step ${step} of ${steps}` }] : [])]
      }
      case 'timber': return [bottom, { label: 'crown', value: depth(place.attributes.coverTopM) }, { label: 'wood', value: place.attributes.wood }]
      case 'dock': {
        const { deckAreaM2, roofed, brushAtCorners, boatLengthM } = place.attributes
        const deck = units === 'us' ? `${Math.round(deckAreaM2 * 10.7639)} sq ft` : `${Math.round(deckAreaM2)} m²`
        return [{ label: 'depth in front', value: depth(place.attributes.bottomDepthM) }, { label: 'deck', value: `${deck}${roofed ? ', roofed' : ''}` },
          { label: 'brush at the corners', value: brushAtCorners ? 'yes' : 'none known' }, ...(boatLengthM ? [{ label: 'boat beside it', value: formatDistance(boatLengthM, units) }] : [])]
      }
      case 'moorings': return [bottom, { label: 'boats', value: String(place.attributes.boats) }]
      case 'weedEdge': return [bottom, { label: 'weed top', value: depth(place.attributes.coverTopM) }, { label: 'growth', value: { broadLeaved: 'tall, broad-leaved', mat: 'mat', stalks: 'sparse stalks' }[place.attributes.growth] }]
      case 'reedStubble': case 'flat': return [bottom, { label: 'ground', value: place.attributes.softBottom ? 'soft and dark' : 'firm' }]
      case 'breakEdge': return [{ label: 'from', value: depth(place.attributes.shallowDepthM) }, { label: 'down to', value: depth(place.attributes.bottomDepthM) }, { label: 'within', value: formatDistance(place.attributes.runM, units) }]
      case 'basinEdge': return [{ label: 'from', value: depth(place.attributes.shallowDepthM) }, { label: 'down to', value: depth(place.attributes.bottomDepthM) }]
      case 'hump': return [{ label: 'top', value: depth(place.attributes.coverTopM) }, { label: 'around it', value: depth(place.attributes.bottomDepthM) }]
      case 'point': case 'insideTurn': return [bottom, { label: 'falls away', value: place.attributes.slope === 'steep' ? 'steeply' : 'gradually' }]
      case 'channelBend': return [{ label: 'the bed', value: depth(place.attributes.bottomDepthM) }, { label: 'its shoulder', value: depth(place.attributes.shoulderDepthM) }, { label: 'side', value: place.attributes.outside ? 'outside of the bend' : 'inside of the bend' }]
      case 'riprap': return [bottom, { label: 'stones', value: place.attributes.stones }]
      case 'creekMouth': return [bottom, { label: 'the creek flows', value: place.attributes.flows === 'always' ? 'always' : 'after rain' }]
      case 'weir': return [bottom, { label: 'water', value: place.attributes.tailrace ? 'is let through here' : 'runs over' }]
      case 'lockCut': return [bottom, { label: 'wide', value: formatDistance(place.attributes.widthM, units) }]
      case 'canal': return [bottom, { label: 'what', value: { bridge: 'bridge', turningBay: 'turning bay', bend: 'bend', outfall: 'outfall', reeds: 'reeds' }[place.attributes.feature] }]
    }
  }
  const { bottom: ground, facingDeg, currentMS, currentTowardDeg, runs } = place.attributes
  return [...own(),
    ...(ground ? [{ label: 'ground', value: ground }] : []),
    ...(facingDeg !== undefined ? [{ label: 'faces', value: compassPoint(facingDeg) }] : []),
    ...(currentMS !== undefined && currentTowardDeg !== undefined ? [{ label: 'current', value: `${formatSpeed(currentMS, units)} toward ${compassPoint(currentTowardDeg)}${runs === 'released' ? ', when let through' : ''}` }] : [])]
}
