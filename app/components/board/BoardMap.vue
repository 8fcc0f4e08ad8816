<script setup lang="ts">
import Feature from 'ol/Feature'
import Point from 'ol/geom/Point'
import VectorLayer from 'ol/layer/Vector'
import VectorSource from 'ol/source/Vector'
import { Fill, RegularShape, Stroke, Style, Text } from 'ol/style'
import { placeMark } from '../../utils/placeMark'
import { depthAt } from '../../../core/water/depthGrid'
import { depthUnit, depthUnitM, formatDepth, formatDepthBand } from '../../../core/units/format'

const props = defineProps<{ chosenId: string | null, placing?: boolean, spot?: { x: number, y: number } | null }>()
const emit = defineEmits<{ choose: [placeId: string], spot: [at: { x: number, y: number }] }>()

const session = useSession()
const waters = useWater()
const advice = useAdvice()

const host = ref<HTMLElement | null>(null)
const pointerDepth = ref<string | null>(null)
const placeSource = new VectorSource<Feature<Point>>()
const marks = new VectorLayer({ source: placeSource, declutter: true, updateWhileAnimating: true, updateWhileInteracting: true })
const { map, worker, levels, tints, css, overlay } = useWaterMap(host, { padding: [44, 24, 104, 24], layers: [marks] })
const band = computed(() => advice.belief && ({ top: advice.belief.quantiles.p20, bottom: advice.belief.quantiles.p80 }))

onMounted(() => {
  map.value!.on('singleclick', (event) => {
    if (props.placing) return emit('spot', { x: event.coordinate[0]!, y: event.coordinate[1]! })
    const hit = map.value!.forEachFeatureAtPixel(event.pixel, feature => feature.getId(), { hitTolerance: 6 })
    if (typeof hit === 'string') emit('choose', hit)
  })
  map.value!.on('pointermove', (event) => {
    if (event.dragging) return
    const [x, y] = event.coordinate as [number, number]
    const depth = depthAt({ grid: waters.grid!, x, y })
    pointerDepth.value = Number.isNaN(depth) ? null : formatDepth(depth, session.units)
    host.value!.style.cursor = map.value!.hasFeatureAtPixel(event.pixel, { hitTolerance: 6 }) ? 'pointer' : 'default'
  })
  void drawBand()
  drawPlaces()
})

async function drawBand() {
  if (!band.value) return overlay('now', null)
  const areas = await worker.areas('band', [band.value.top, band.value.bottom])
  if (areas) overlay('now', [areas[0]!, areas[1]!])
}

/** A cross where a place is being put. */
function spotMark({ x, y }: { x: number, y: number }): Feature<Point> {
  const mark = new Feature(new Point([x, y]))
  mark.setStyle(new Style({ zIndex: 2000, image: new RegularShape({ points: 4, radius: 14, radius2: 0, angle: Math.PI / 4, stroke: new Stroke({ color: css('--now'), width: 4 }) }) }))
  return mark
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
      image: placeMark(place.kind, { ink: chosen ? css('--now') : ink!, sheet: sheet!, chosen }),
      text: new Text({
        text: String(rank), font: `${rank <= 5 ? 750 : 600} ${rank <= 5 ? 19 : 15}px ${css('--face')}`,
        offsetX: 24, offsetY: -14, fill: new Fill({ color: mark }), stroke: new Stroke({ color: sheet, width: 4 }),
      }),
    }))
    return feature
  })
  if (props.spot) features.push(spotMark(props.spot))
  placeSource.clear(true)
  placeSource.addFeatures(features)
}

watch(() => band.value && [band.value.top, band.value.bottom].map(m => m.toFixed(2)).join(), drawBand)
watch(() => waters.grid, () => void drawBand())
watch([() => advice.ranked, () => props.chosenId, () => props.spot], drawPlaces)
watch(() => session.ground, async () => {
  await nextTick()
  drawPlaces()
})

const legend = computed(() => levels.value.map(m => Math.round(m / depthUnitM(session.units) * 10) / 10))
</script>

<template>
  <div class="map-wrap">
    <div
      ref="host"
      class="map chart-host"
      tabindex="0"
      role="application"
      aria-label="Chart of the water. Arrow keys move it, plus and minus zoom. The places are listed beside it."
    />
    <div
      class="legend sheet"
      :class="{ aside: placing }"
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
@media (max-width: 700px) { .legend.aside { display: none; } }
.tints { display: flex; font-size: 13px; }
.tints span { display: flex; flex-direction: column; width: 31px; }
.tints i { height: 13px; }
</style>
