import { PLACE_KINDS } from '../../core/place/kinds'
import type { PlaceFilter } from '../../core/place/rankPlaces'

/** Which places are listed. It lives in the address, so that it can be shared and the browser's back works. */
export function usePlaceFilter() {
  const route = useRoute()
  const on = (key: string) => route.query[key] === '1'
  const kind = computed(() => PLACE_KINDS.find(k => k === route.query.kind) ?? null)
  const filter = computed<PlaceFilter>(() => ({ kind: kind.value ?? undefined, fits: on('fits'), lee: on('lee'), shade: on('shade'), calm: on('calm') }))
  return { on, kind, filter }
}
