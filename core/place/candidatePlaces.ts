import { featureTitle } from '../water/featureText'
import type { LocalFrame } from '../water/localFrame'
import type { Feature } from '../water/readWater'
import type { Units } from '../units/format'
import type { Place } from './kinds'

/** Ids of ground that the chart shows and nobody has kept begin so. */
const PREFIX = 'chart:'
export const isCandidate = (id: string) => id.startsWith(PREFIX)
/** A feature this near to a kept place is that place, m. */
const SAME_M = 30
const round = (m: number) => Math.round(m * 10) / 10

/** Unfished ground off the chart as places: what the bottom's shape makes, each where no kept place is. */
export function candidatePlaces({ features, kept, frame, units }: { features: readonly Feature[], kept: readonly { lonDeg: number, latDeg: number }[], frame: LocalFrame, units: Units }): Place[] {
  const taken = kept.map(p => frame.toLocal(p.lonDeg, p.latDeg))
  return features.filter(f => taken.every(p => Math.hypot(p.x - f.x, p.y - f.y) > SAME_M)).flatMap((f) => {
    const what = kindOf(f)
    return what ? [{ id: `${PREFIX}${f.id}`, name: featureTitle(f, units), ...frame.toLonLat(f.x, f.y), ...what } as Place] : []
  })
}

function kindOf({ kind, depthM: [shallow, deep], steepness, facingDeg }: Feature): Pick<Place, 'kind' | 'attributes'> | null {
  const bottomDepthM = Math.max(0.3, round(deep))
  const facing = facingDeg === null ? {} : { facingDeg: ((facingDeg % 360) + 360) % 360 }
  const upper = Math.min(bottomDepthM, round(shallow))
  switch (kind) {
    case 'flat': return { kind, attributes: { bottomDepthM, softBottom: false, ...facing } }
    case 'break': return { kind: 'breakEdge', attributes: { bottomDepthM, shallowDepthM: upper, runM: Math.max(1, round((deep - shallow) / Math.max(0.01, steepness ?? 0.1))), ...facing } }
    case 'hump': return { kind, attributes: { bottomDepthM, coverTopM: upper } }
    case 'point': return { kind, attributes: { bottomDepthM, slope: 'gradual', ...facing } }
    case 'insideTurn': return { kind, attributes: { bottomDepthM, slope: 'gradual', ...facing } }
    case 'channelBend': return { kind, attributes: { bottomDepthM, shoulderDepthM: round(bottomDepthM * 0.75), outside: true } }
    case 'basin': return { kind: 'basinEdge', attributes: { bottomDepthM, shallowDepthM: upper } }
    case 'saddle': return null
  }
}
