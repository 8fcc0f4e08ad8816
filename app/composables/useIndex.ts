/** The notebook's index: where each tab leads from here. */
export function useIndex() {
  const waters = useWater()
  const route = useRoute()
  const waterPath = computed(() => (waters.water ? `/water/${waters.water.id}` : '/'))
  const place = computed(() => (typeof route.query.place === 'string' ? `?place=${route.query.place}` : ''))
  const tabs = computed(() => [
    { name: 'Water', to: waterPath.value + place.value, here: /^\/water\/[^/]+\/?$/.test(route.path) },
    { name: 'Season', to: `${waterPath.value}/season`, here: /^\/water\/[^/]+\/season/.test(route.path) },
    { name: 'Chart', to: `${waterPath.value}/chart`, here: route.path.endsWith('/chart') },
    { name: 'Rig', to: `${waterPath.value}/rig${place.value}`, here: route.path.endsWith('/rig') },
    { name: 'Log', to: '/log', here: route.path.startsWith('/log') },
    { name: 'Back', to: '/days', here: route.path.startsWith('/days') },
  ])
  return { tabs }
}
