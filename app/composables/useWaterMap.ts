import OlMap from 'ol/Map'
import View from 'ol/View'
import type BaseLayer from 'ol/layer/Base'
import { ScaleLine, Zoom } from 'ol/control'
import 'ol/ol.css'
import { DEPTH_TINTS } from '../theme'
import { DepthLayer, type DepthInk } from '../utils/DepthLayer'
import { mapPlane } from '../utils/mapPlane'
import { tintLevels } from '../../core/water/tints'

/**
 * The chart of the open water on a host element: tinted depths with contours, a scale, zoom buttons and the keyboard.
 * The caller's layers lie above the ground; a bare map leaves the depths out, for a caller that covers the water itself.
 */
export function useWaterMap(host: Ref<HTMLElement | null>, { padding, layers, bare = false }: { padding: [number, number, number, number], layers: BaseLayer[], bare?: boolean }) {
  const session = useSession()
  const waters = useWater()
  const worker = useChartWorker()
  const levels = computed(() => tintLevels({ deepestM: Math.max(1, waters.deepestM), units: session.units }))
  const tints = computed(() => DEPTH_TINTS[session.ground])
  const map = shallowRef<OlMap | null>(null)
  let ground: DepthLayer | undefined

  const css = (name: string) => getComputedStyle(host.value!).getPropertyValue(name).trim()
  const boat = useBoatLayer(css)
  function inks(): DepthInk {
    const day = session.ground === 'day'
    return {
      tints: tints.value, line: day ? 'rgba(31,27,21,0.5)' : 'rgba(226,167,94,0.35)', shore: css('--ink'),
      patterns: { now: css('--now'), beside: css('--mark'), weed: css('--kept'), doubt: css('--ink') },
    }
  }

  onMounted(() => {
    const { x0, y0, cols, rows, cellM } = waters.grid!
    ground = new DepthLayer(inks())
    worker.open(waters.grid!)
    const margin = 600
    map.value = new OlMap({
      target: host.value!,
      layers: [...bare ? [] : [ground], ...layers, boat],
      view: new View({ projection: mapPlane, extent: [x0 - margin, y0 - margin, x0 + cols * cellM + margin, y0 + rows * cellM + margin], minResolution: 0.04, maxResolution: 12, enableRotation: false, constrainOnlyCenter: true }),
      controls: [new Zoom({ className: 'ol-zoom notebook-zoom' }), new ScaleLine({ units: session.units === 'us' ? 'us' : 'metric', minWidth: 90 })],
      keyboardEventTarget: host.value!,
    })
    fit()
    void drawGround()
  })
  onBeforeUnmount(() => map.value?.setTarget(undefined))

  function fit() {
    const ring = waters.water!.shoreline.coordinates[0]!.map(([lon, lat]) => waters.frame!.toLocal(lon, lat))
    const xs = ring.map(p => p.x)
    const ys = ring.map(p => p.y)
    map.value!.getView().fit([Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)], { padding })
  }

  async function drawGround() {
    if (bare) return
    const areas = await worker.areas('ground', levels.value)
    if (areas) ground?.setAreas(areas)
  }

  watch(levels, drawGround)
  watch(() => waters.grid, (grid) => {
    if (!grid) return
    worker.open(grid)
    void drawGround()
  })
  watch(() => session.ground, async () => {
    await nextTick()
    ground?.setInk(inks())
  })
  watch(() => session.units, (units) => {
    map.value?.getControls().forEach((control) => {
      if (control instanceof ScaleLine) control.setUnits(units === 'us' ? 'us' : 'metric')
    })
  })

  return { map, worker, levels, tints, css, overlay: (...args: Parameters<DepthLayer['setOverlay']>) => ground?.setOverlay(...args) }
}
