import { standOff } from '../../core/place/standOff'
import { stance } from '../../core/place/stance'
import { downwindEnd } from '../../core/place/windThroughDay'
import { currentAt } from '../../core/place/releases'
import type { RankedPlace } from '../stores/ranking'

/** How to hold on a place in the conditions on show; null where there is no water to float on. */
export function useStance(ranking: () => RankedPlace | null) {
  const session = useSession()
  const waters = useWater()
  const conditions = useConditions()
  const advice = useAdvice()
  const ranks = useRanking()

  const at = computed(() => {
    const place = ranking()?.place
    return place && waters.frame ? waters.frame.toLocal(place.lonDeg, place.latDeg) : null
  })
  /** Corners of the place's line or outline in the local frame. */
  const outline = computed(() => {
    const shape = ranking()?.place.shape
    const corners = shape ? (shape.type === 'LineString' ? shape.coordinates : shape.coordinates[0]!) : []
    return corners.map(([lon, lat]) => waters.frame!.toLocal(lon, lat))
  })
  /** The end of a bed that the wind packs, and how far off it the fish may be. */
  const packed = computed(() => downwindEnd({ outline: outline.value, windMS: conditions.now.windMS, windFromDeg: conditions.now.windFromDeg }))
  /** What is fished at: the packed end of a bed, else the place itself. */
  const target = computed(() => packed.value ?? at.value)
  const currentMS = computed(() => {
    const place = ranking()?.place
    return place ? currentAt(place, ranks.released) : null
  })
  const made = computed(() => {
    const found = ranking()
    if (!found || !target.value || !waters.grid) return null
    const { place, belief, part } = found
    const { windMS, windFromDeg, secchiM } = conditions.now
    const fishDepthM = Math.min(belief.quantiles.p50, place.attributes.bottomDepthM)
    const phase = (advice.partPhases[part] ?? advice.phases)[0]!.phase
    return stance({
      grid: waters.grid, target: target.value, kind: place.kind, facingDeg: place.attributes.facingDeg, fishDepthM, windMS, windFromDeg,
      standOff: standOff({ kind: place.kind, phase, fishDepthM, secchiM, rodM: session.angler?.rodM, overDeep: session.schools.overDeep }),
      currentMS: currentMS.value ?? 0, currentTowardDeg: place.attributes.currentTowardDeg ?? 0, side: session.angler?.currentSide,
    })
  })
  return { stance: made, target, outline, packed, currentMS }
}
