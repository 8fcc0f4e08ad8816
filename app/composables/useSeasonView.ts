import { SEASON_FISH, type SeasonFish } from '../../core/season/seasons'

/** The fish and the part that a season page is about: they live in the address. */
export function useSeasonView() {
  const route = useRoute()
  const router = useRouter()
  const fish = computed<SeasonFish>(() => SEASON_FISH.find(f => f === route.query.fish) ?? 'crappie')
  const part = computed(() => {
    const n = Number(route.query.part ?? 0)
    return Number.isInteger(n) && n >= 0 ? n : 0
  })
  function set(change: { fish?: SeasonFish, part?: number }) {
    const query = { ...route.query, ...('fish' in change ? { fish: change.fish === 'crappie' ? undefined : change.fish } : {}), ...('part' in change ? { part: change.part ? String(change.part) : undefined } : {}) }
    void router.replace({ query })
  }
  return { fish, part, set }
}
