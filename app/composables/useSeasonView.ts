import { SEASON_FISH, type SeasonFish } from '../../core/season/seasons'

/** The fish and the part that a season page is about: they live in the address. */
export function useSeasonView() {
  const route = useRoute()
  const query = useQuery()
  const fish = computed<SeasonFish>(() => SEASON_FISH.find(f => f === route.query.fish) ?? 'crappie')
  const part = computed(() => {
    const n = Number(route.query.part ?? 0)
    return Number.isInteger(n) && n >= 0 ? n : 0
  })
  function set(change: { fish?: SeasonFish, part?: number }) {
    if ('fish' in change) query.set({ fish: change.fish === 'crappie' ? undefined : change.fish })
    if ('part' in change) query.set({ part: change.part ? String(change.part) : undefined })
  }
  return { fish, part, set, setQuery: query.set }
}
