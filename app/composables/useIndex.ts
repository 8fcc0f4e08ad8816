/** The notebook's index: where each tab leads from here. */
export function useIndex() {
  const waters = useWater()
  const route = useRoute()
  /** A page of the open water; until one is open, the way to one. */
  const page = (rest: string) => (waters.water ? `/water/${waters.water.id}${rest}` : '/')
  const place = computed(() => (typeof route.query.place === 'string' ? `?place=${route.query.place}` : ''))
  const tabs = computed(() => [
    { name: 'Water', to: page(place.value), here: /^\/water\/[^/]+(\/card)?\/?$/.test(route.path) },
    { name: 'Season', to: page('/season'), here: /^\/water\/[^/]+\/season/.test(route.path) },
    { name: 'Chart', to: page('/chart'), here: route.path.endsWith('/chart') },
    { name: 'Rig', to: page(`/rig${place.value}`), here: /\/(rig|methods|two|figures|box)$/.test(route.path) },
    { name: 'Log', to: '/log', here: route.path.startsWith('/log') },
    { name: 'Back', to: '/days', here: route.path.startsWith('/days') },
  ])
  return { tabs }
}
