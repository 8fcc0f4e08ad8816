<script setup lang="ts">
import OlMap from 'ol/Map'
import View from 'ol/View'
import Feature from 'ol/Feature'
import Point from 'ol/geom/Point'
import VectorLayer from 'ol/layer/Vector'
import VectorSource from 'ol/source/Vector'
import { Fill, Icon, Stroke, Style, Text } from 'ol/style'
import { ScaleLine, Zoom } from 'ol/control'
import { Projection } from 'ol/proj'
import 'ol/ol.css'
import { DEPTH_TINTS } from '../../theme'
import { DepthLayer, type DepthInk } from '../../utils/DepthLayer'
import { placeMark } from '../../utils/placeMark'
import { depthAt } from '../../../core/water/depthGrid'
import { tintLevels } from '../../../core/water/tints'
import { depthUnit, depthUnitM, formatDepth, formatDepthBand } from '../../../core/units/format'

const props = defineProps<{ chosenId: string | null }>()
const emit = defineEmits<{ choose: [placeId: string] }>()

const session = useSession()
const waters = useWater()
const advice = useAdvice()
const chart = useChartWorker()

const host = ref<HTMLElement | null>(null)
const pointerDepth = ref<string | null>(null)
const levels = computed(() => tintLevels({ deepestM: waters.deepestM || 10, units: session.units }))
const tints = computed(() => DEPTH_TINTS[session.ground])
const band = computed(() => advice.belief && ({ top: advice.belief.quantiles.p20, bottom: advice.belief.quantiles.p80 }))

const css = (name: string) => getComputedStyle(host.value!).getPropertyValue(name).trim()
function inks(): DepthInk {
  const day = session.ground === 'day'
  return { tints: tints.value, line: day ? 'rgba(31,27,21,0.5)' : 'rgba(226,167,94,0.35)', shore: css('--ink'), pattern: css('--now'), land: css('--paper') }
}

// The local metric frame is the map's own plane: one unit is one metre, and no distance is stretched.
const plane = new Projection({ code: 'REMOUS:LOCAL', units: 'm', metersPerUnit: 1 })
const placeSource = new VectorSource<Feature<Point>>()
let map: OlMap | undefined
let ground: DepthLayer | undefined

onMounted(() => {
  const grid = waters.grid!
  ground = new DepthLayer(inks())
  chart.open(grid)
  const marks = new VectorLayer({ source: placeSource, declutter: true, updateWhileAnimating: true, updateWhileInteracting: true })
  const extent = [grid.x0, grid.y0, grid.x0 + grid.cols * grid.cellM, grid.y0 + grid.rows * grid.cellM]
  map = new OlMap({
    target: host.value!,
    layers: [ground, marks],
    view: new View({ projection: plane, extent: grow(extent, 600), minResolution: 0.25, maxResolution: 12, enableRotation: false, constrainOnlyCenter: true }),
    controls: [new Zoom({ className: 'ol-zoom notebook-zoom' }), new ScaleLine({ units: session.units === 'us' ? 'us' : 'metric', minWidth: 90 })],
    keyboardEventTarget: host.value!,
  })
  map.getView().fit(wetExtent(), { padding: [44, 24, 104, 24] })
  map.on('singleclick', (event) => {
    const hit = map!.forEachFeatureAtPixel(event.pixel, feature => feature.getId(), { hitTolerance: 6 })
    if (typeof hit === 'string') emit('choose', hit)
  })
  map.on('pointermove', (event) => {
    if (event.dragging) return
    const [x, y] = event.coordinate as [number, number]
    const depth = depthAt({ grid, x, y })
    pointerDepth.value = Number.isNaN(depth) ? null : formatDepth(depth, session.units)
    host.value!.style.cursor = map!.hasFeatureAtPixel(event.pixel, { hitTolerance: 6 }) ? 'pointer' : 'default'
  })
  void drawGround()
  void drawStaging()
  drawPlaces()
})
onBeforeUnmount(() => map?.setTarget(undefined))

function grow([a, b, c, d]: number[], by: number): number[] {
  return [a! - by, b! - by, c! + by, d! + by]
}

function wetExtent(): number[] {
  const ring = waters.water!.shoreline.coordinates[0]!.map(([lon, lat]) => waters.frame!.toLocal(lon, lat))
  const xs = ring.map(p => p.x)
  const ys = ring.map(p => p.y)
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)]
}

async function drawGround() {
  const areas = await chart.areas('ground', levels.value)
  if (areas) ground?.setAreas(areas)
}

async function drawStaging() {
  if (!band.value) return ground?.setStaging(null)
  const areas = await chart.areas('staging', [band.value.top, band.value.bottom])
  if (areas) ground?.setStaging([areas[0]!, areas[1]!])
}

function drawPlaces() {
  if (!host.value || !waters.frame) return
  const [ink, sheet, mark] = [css('--ink'), css('--sheet'), css('--mark')]
  const features = [...advice.ranked].reverse().map(({ place, rank }) => {
    const { x, y } = waters.frame!.toLocal(place.lonDeg, place.latDeg)
    const chosen = place.id === props.chosenId
    const feature = new Feature(new Point([x, y]))
    feature.setId(place.id)
    feature.setStyle(new Style({
      zIndex: chosen ? 1000 : 100 - rank,
      image: new Icon({ declutterMode: 'none', src: placeMark(place.kind, { ink: chosen ? css('--now') : ink, sheet, chosen }) }),
      text: new Text({
        text: String(rank), font: `${rank <= 5 ? 750 : 600} ${rank <= 5 ? 19 : 15}px ${css('--face')}`,
        offsetX: 24, offsetY: -14, fill: new Fill({ color: mark }), stroke: new Stroke({ color: sheet, width: 4 }),
      }),
    }))
    return feature
  })
  placeSource.clear(true)
  placeSource.addFeatures(features)
}

watch(levels, drawGround)
watch(() => band.value && [band.value.top, band.value.bottom].map(m => m.toFixed(2)).join(), drawStaging)
watch([() => advice.ranked, () => props.chosenId], drawPlaces)
watch(() => session.ground, async () => {
  await nextTick()
  ground?.setInk(inks())
  drawPlaces()
})
watch(() => session.units, (units) => {
  map?.getControls().forEach((control) => {
    if (control instanceof ScaleLine) control.setUnits(units === 'us' ? 'us' : 'metric')
  })
})

const legend = computed(() => levels.value.map(m => Math.round(m / depthUnitM(session.units) * 10) / 10))
</script>

<template>
  <div class="map-wrap">
    <div
      ref="host"
      class="map"
      tabindex="0"
      role="application"
      aria-label="Chart of the water. Arrow keys move it, plus and minus zoom. The places are listed beside it."
    />
    <div
      class="legend sheet"
      data-test="legend"
    >
      <div
        v-if="band"
        class="pattern-row"
      >
        <svg
          width="26"
          height="18"
          aria-hidden="true"
        ><rect
          width="26"
          height="18"
          :fill="tints[1]"
        /><circle
          v-for="[x, y] in [[4, 4], [13, 4], [22, 4], [8.5, 9], [17.5, 9], [4, 14], [13, 14], [22, 14]]"
          :key="`${x},${y}`"
          :cx="x"
          :cy="y"
          r="1.4"
          class="dot"
        /></svg>
        <span>{{ formatDepthBand(band.top, band.bottom, session.units) }} of water: the depth to look at today</span>
      </div>
      <div
        class="tints"
        aria-hidden="true"
      >
        <span
          v-for="(tint, i) in tints"
          :key="tint"
        ><i :style="{ background: tint }" />{{ legend[i] }}</span>
      </div>
      <span class="quiet">{{ depthUnit(session.units) }}{{ pointerDepth ? ` · ${pointerDepth} under the pointer` : '' }}</span>
    </div>
  </div>
</template>

<style scoped>
.map-wrap { position: relative; height: 100%; min-height: 0; background: repeating-linear-gradient(45deg, transparent 0 9px, color-mix(in srgb, var(--rule) 30%, transparent) 9px 10px), var(--paper); overflow: hidden; }
.map { position: absolute; inset: 0; }
.map:focus-visible { outline-offset: -4px; }
.legend { position: absolute; left: 14px; bottom: 14px; padding: 9px 14px; display: flex; flex-direction: column; gap: 6px; border-width: 1px; border-color: var(--rule); font-size: 14px; max-width: calc(100% - 28px); }
.pattern-row { display: flex; align-items: center; gap: 10px; }
.dot { fill: var(--now); }
.tints { display: flex; font-size: 13px; }
.tints span { display: flex; flex-direction: column; width: 31px; }
.tints i { height: 13px; }
.map :deep(.ol-scale-line) { right: 14px; left: auto; bottom: 14px; background: var(--sheet); border: 1px solid var(--rule); padding: 4px 8px; }
.map :deep(.ol-scale-line-inner) { color: var(--ink); border-color: var(--ink); font: 600 13px var(--face); }
.map :deep(.notebook-zoom) { position: absolute; top: 12px; left: 12px; display: flex; flex-direction: column; background: none; padding: 0; }
.map :deep(.notebook-zoom button) { width: 38px; height: 38px; margin: 0 0 4px; font: 700 22px var(--face); color: var(--ink); background: var(--sheet); border: 1px solid var(--ink); border-radius: 6px; cursor: pointer; }
</style>
