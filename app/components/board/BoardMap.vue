<script setup lang="ts">
import Feature from 'ol/Feature'
import DoubleClickZoom from 'ol/interaction/DoubleClickZoom'
import LineString from 'ol/geom/LineString'
import Point from 'ol/geom/Point'
import Polygon from 'ol/geom/Polygon'
import type Geometry from 'ol/geom/Geometry'
import VectorLayer from 'ol/layer/Vector'
import VectorSource from 'ol/source/Vector'
import { Fill, RegularShape, Stroke, Style, Text } from 'ol/style'
import type { StyleLike } from 'ol/style/Style'
import type { RankRow } from '../../stores/ranking'
import { placeMark } from '../../utils/placeMark'
import { boatCorners } from '../../utils/boatHull'
import { isCandidate } from '../../../core/place/candidatePlaces'
import { depthAt } from '../../../core/water/depthGrid'
import { depthUnit, depthUnitM, formatDepth, formatDepthBand } from '../../../core/units/format'

const props = defineProps<{ chosenId: string | null, placing?: boolean, corners?: { x: number, y: number }[], drawing?: 'point' | 'line' | 'outline' }>()
const emit = defineEmits<{ choose: [placeId: string], spot: [at: { x: number, y: number }] }>()

const session = useSession()
const waters = useWater()
const advice = useAdvice()
const ranks = useRanking()
const reading = useReading()

const host = ref<HTMLElement | null>(null)
const pointerDepth = ref<string | null>(null)
const placeSource = new VectorSource<Feature<Point>>()
const marks = new VectorLayer({ source: placeSource, zIndex: 5, declutter: true, updateWhileAnimating: true, updateWhileInteracting: true })
const cornerSource = new VectorSource<Feature<Point>>()
const cornerMarks = new VectorLayer({ source: cornerSource, zIndex: 6 })
/** Lines and outlines of places, and how to hold on the chosen one, to scale. */
const shapeSource = new VectorSource<Feature<Geometry>>()
const shapes = new VectorLayer({ source: shapeSource, updateWhileInteracting: true })
const holdSource = new VectorSource<Feature<Geometry>>()
const holds = new VectorLayer({ source: holdSource, updateWhileInteracting: true, maxResolution: 1.2 })
const { stance, target } = useStance(() => ranks.rankedById(props.chosenId))
const { map, worker, levels, tints, css, overlay } = useWaterMap(host, { padding: [44, 46, 104, 24], layers: [shapes, holds, marks, cornerMarks] })
const band = computed(() => advice.belief && ({ top: advice.belief.quantiles.p20, bottom: advice.belief.quantiles.p80 }))

onMounted(() => {
  map.value!.on('click', (event) => {
    if (props.placing) emit('spot', { x: event.coordinate[0]!, y: event.coordinate[1]! })
  })
  map.value!.on('singleclick', (event) => {
    if (props.placing) return
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
  drawShapes()
  drawHold()
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

/** Ranks are written beside so many places; the rest are marks alone. */
const NUMBERED = 80
/** A water with more places than this shows them all only from near, m to a pixel. */
const CROWD = 400
const NEAR_M_PX = 1.2
const crowded = computed(() => ranks.rows.length > CROWD)
const placeFeatures = new Map<string, { feature: Feature<Point>, key: string, x: number, y: number }>()
const placeStyles = new Map<string, StyleLike>()
/** Marks that look alike share one style: thousands of places are drawn anew with every hour. */
function styleOf({ place, rank, candidate }: RankRow, chosen: boolean, key: string): StyleLike {
  const known = placeStyles.get(key)
  if (known) return known
  const [ink, sheet, mark] = [css('--ink'), css('--sheet'), css('--mark')]
  const numbered = rank <= NUMBERED || chosen
  const style = new Style({
    zIndex: chosen ? 1000 : 100 - Math.min(99, rank),
    image: placeMark(place.kind, { ink: chosen ? css('--now') : ink, sheet, chosen }, !candidate),
    text: numbered
      ? new Text({
          text: String(rank), font: `${rank <= 5 ? 750 : 600} ${rank <= 5 ? 19 : 15}px ${css('--face')}`,
          offsetX: 24, offsetY: -14, fill: new Fill({ color: mark }), stroke: new Stroke({ color: sheet, width: 4 }),
        })
      : undefined,
  })
  // Thousands of marks on one view are a smear: from far off the best ones stand alone.
  const drawn: StyleLike = numbered ? style : (_, resolution) => (crowded.value && resolution > NEAR_M_PX ? undefined : style)
  placeStyles.set(key, drawn)
  return drawn
}

function drawPlaces() {
  if (!host.value || !waters.frame) return
  const gone = new Set(placeFeatures.keys())
  const fresh: Feature<Point>[] = []
  for (const row of ranks.rows) {
    const { place, rank, candidate } = row
    const { x, y } = waters.frame.toLocal(place.lonDeg, place.latDeg)
    const chosen = place.id === props.chosenId
    const key = `${place.kind} ${rank <= NUMBERED || chosen ? rank : 'more'} ${chosen ? 'chosen' : ''} ${candidate ? 'chart' : ''} ${session.ground}`
    const known = placeFeatures.get(place.id)
    gone.delete(place.id)
    if (known?.key === key && known.x === x && known.y === y) continue
    const feature = known?.feature ?? new Feature(new Point([x, y]))
    if (known && (known.x !== x || known.y !== y)) feature.getGeometry()!.setCoordinates([x, y])
    feature.setId(place.id)
    feature.setStyle(styleOf(row, chosen, key))
    placeFeatures.set(place.id, { feature, key, x, y })
    if (!known) fresh.push(feature)
  }
  for (const id of gone) {
    placeSource.removeFeature(placeFeatures.get(id)!.feature)
    placeFeatures.delete(id)
  }
  placeSource.addFeatures(fresh)
  cornerSource.clear(true)
  cornerSource.addFeatures((props.corners ?? []).map(spotMark))
}

function drawShapes() {
  if (!host.value || !waters.frame) return
  const local = (ring: [number, number][]) => ring.map(([lon, lat]) => {
    const { x, y } = waters.frame!.toLocal(lon, lat)
    return [x, y]
  })
  const features = waters.places.flatMap(({ id, shape }) => {
    if (!shape) return []
    const feature = new Feature<Geometry>(shape.type === 'LineString' ? new LineString(local(shape.coordinates)) : new Polygon(shape.coordinates.map(local)))
    const chosen = id === props.chosenId
    feature.setId(id)
    feature.setStyle(new Style({ stroke: new Stroke({ color: css(chosen ? '--now' : '--kept'), width: chosen ? 3 : 2 }), fill: new Fill({ color: `${css('--kept')}22` }) }))
    return [feature]
  })
  const corners = (props.corners ?? []).map(p => [p.x, p.y])
  if (corners.length > 1 && props.drawing !== 'point') {
    const drawn = new Feature<Geometry>(props.drawing === 'line' || corners.length < 3 ? new LineString(corners) : new Polygon([[...corners, corners[0]!]]))
    drawn.setStyle(new Style({ stroke: new Stroke({ color: css('--now'), width: 2.5, lineDash: [6, 4] }) }))
    features.push(drawn)
  }
  shapeSource.clear(true)
  shapeSource.addFeatures(features)
}

function drawHold() {
  if (!host.value) return
  holdSource.clear(true)
  const s = stance.value
  if (!s || props.placing || isCandidate(props.chosenId ?? '')) return
  const [ink, sheet, mark] = [css('--ink'), css('--sheet'), css('--mark')]
  const put = (geometry: Geometry, style: Style) => {
    const feature = new Feature(geometry)
    feature.setStyle(style)
    holdSource.addFeature(feature)
  }
  if (s.drift) put(new LineString(s.drift.map(p => [p.x, p.y])), new Style({ stroke: new Stroke({ color: mark, width: 2, lineDash: [9, 5] }) }))
  s.casts.forEach(({ towardDeg, distanceM }, i) => {
    const rad = (towardDeg * Math.PI) / 180
    put(new LineString([[s.hold.x, s.hold.y], [s.hold.x + Math.sin(rad) * distanceM, s.hold.y + Math.cos(rad) * distanceM]]), new Style({ stroke: new Stroke({ color: ink, width: i === 0 ? 2.2 : 1, lineDash: i === 0 ? undefined : [2, 4] }) }))
  })
  if (s.anchor) put(new LineString([[s.hold.x, s.hold.y], [s.anchor.x, s.anchor.y]]), new Style({ stroke: new Stroke({ color: ink, width: 1.6, lineDash: [1, 4] }) }))
  put(new Polygon([boatCorners(s.hold, s.bowDeg)]), new Style({ stroke: new Stroke({ color: ink, width: 2.4 }), fill: new Fill({ color: sheet }) }))
}

/** Goes in until the boat and its casts are seen to scale. */
function look() {
  const s = stance.value
  if (!s || !target.value) return
  const reach = s.casts[0]!.distanceM * 1.6
  map.value!.getView().fit([target.value.x - reach, target.value.y - reach, target.value.x + reach, target.value.y + reach], { duration: matchMedia('(prefers-reduced-motion: reduce)').matches ? 0 : 400 })
}
defineExpose({ look })

watch(() => band.value && [band.value.top, band.value.bottom].map(m => m.toFixed(2)).join(), drawBand)
watch(() => waters.grid, () => void drawBand())
watch([() => ranks.rows, () => props.chosenId, () => props.corners, () => props.drawing], () => {
  drawPlaces()
  drawShapes()
})
watch([stance, () => props.placing], drawHold)
/** Two corners tapped in one breath are two corners, not a wish to go nearer. */
watch(() => props.placing, placing => map.value?.getInteractions().forEach((interaction) => {
  if (interaction instanceof DoubleClickZoom) interaction.setActive(!placing)
}))
/** Unfished ground needs the chart read: once, and only when it is asked for. */
watch([() => ranks.withGround, () => waters.chartKey], ([wanted]) => {
  if (wanted) void reading.read(waters.chartKey, onProgress => worker.read(waters.water!.latDeg, onProgress))
}, { immediate: true })
watch(() => session.ground, async () => {
  await nextTick()
  drawPlaces()
  drawShapes()
  drawHold()
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
      <span
        v-if="crowded"
        class="quiet"
      >The {{ NUMBERED }} best of {{ ranks.rows.length }}; go nearer to see all.</span>
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
@media (max-width: 700px) { .legend { padding: 6px 10px; } .tints, .legend .quiet { display: none; } }
</style>
