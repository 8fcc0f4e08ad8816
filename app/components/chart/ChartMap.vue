<script setup lang="ts">
import Feature from 'ol/Feature'
import LineString from 'ol/geom/LineString'
import MultiPoint from 'ol/geom/MultiPoint'
import Point from 'ol/geom/Point'
import Draw from 'ol/interaction/Draw'
import VectorLayer from 'ol/layer/Vector'
import VectorSource from 'ol/source/Vector'
import { Circle, Fill, Stroke, Style } from 'ol/style'
import type { DepthBand } from '../../../core/water/bandMeetings'
import type { Feature as Found, WaterReading } from '../../../core/water/readWater'
import { readOut } from '../../../core/water/readOut'
import type { XY } from '../../../core/water/turns'
import { compassPoint, formatDepth, formatDistance, formatPercent } from '../../../core/units/format'
import { featureMark } from '../../utils/featureMark'
import { placeMark } from '../../utils/placeMark'

const props = defineProps<{
  shown: Found[]
  chosenId: string | null
  roads: WaterReading['roads']
  weedM: number | null
  doubt: boolean
  places: boolean
  bands: { shallow: DepthBand, deep: DepthBand } | null
  drawing: boolean
  /** x, y, resolution to begin with */
  view: [number, number, number] | null
}>()
const emit = defineEmits<{ choose: [id: string | null], drawn: [line: XY[]], moved: [view: [number, number, number]] }>()

const session = useSession()
const waters = useWater()
const reading = useReading()
const host = ref<HTMLElement | null>(null)
const under = ref('')

const lineSource = new VectorSource()
const markSource = new VectorSource<Feature<Point>>()
const drawnSource = new VectorSource()
const placeSource = new VectorSource<Feature<Point>>()
const placeMarks = new VectorLayer({ source: placeSource, renderBuffer: 300, declutter: 'places' })
/** More places than this are drawn only from near, m to a pixel: from far off they would cover the chart. */
const CROWD = 400
const NEAR_M_PX = 1.2
const drawnLayer = new VectorLayer({ source: drawnSource })
const { map, worker, css, overlay } = useWaterMap(host, {
  padding: [40, 30, 60, 60],
  layers: [new VectorLayer({ source: lineSource }), placeMarks, new VectorLayer({ source: markSource, renderBuffer: 300 }), drawnLayer],
})
let draw: Draw | undefined

onMounted(() => {
  const view = map.value!.getView()
  if (props.view) {
    view.setCenter(props.view.slice(0, 2))
    view.setResolution(props.view[2])
  }
  drawnLayer.setStyle(new Style({ stroke: new Stroke({ color: css('--now'), width: 3 }) }))
  draw = new Draw({ source: drawnSource, type: 'LineString', style: new Style({ stroke: new Stroke({ color: css('--now'), width: 3, lineDash: [6, 5] }), image: new Circle({ radius: 5, fill: new Fill({ color: css('--now') }) }) }) })
  draw.setActive(props.drawing)
  draw.on('drawstart', () => drawnSource.clear())
  draw.on('drawend', event => emit('drawn', (event.feature.getGeometry() as LineString).getCoordinates() as XY[]))
  map.value!.addInteraction(draw)
  map.value!.on('singleclick', (event) => {
    if (props.drawing) return
    const hit = map.value!.forEachFeatureAtPixel(event.pixel, feature => feature.getId(), { hitTolerance: 6 })
    emit('choose', typeof hit === 'string' ? hit : null)
  })
  map.value!.on('moveend', () => {
    const [x, y] = view.getCenter() as [number, number]
    emit('moved', [Math.round(x), Math.round(y), Number(view.getResolution()!.toFixed(2))])
  })
  map.value!.on('pointermove', (event) => {
    if (event.dragging || view.getAnimating()) return
    const [x, y] = event.coordinate as [number, number]
    const at = readOut({ grid: waters.grid!, x, y })
    const { units } = session
    under.value = at
      ? `${formatDepth(at.depthM, units)} · ${at.facingDeg === null ? 'level' : `falls ${formatPercent(at.steepness)} to the ${compassPoint(at.facingDeg)}`} · ${formatDistance(at.toShoreM, units)} to the bank`
      : ''
  })
  void readChart()
  redraw()
  drawPlaces()
  void drawOverlays()
})

/** The chart as it stands with today's pool has a reading of its own. */
const readChart = () => reading.read(waters.chartKey, onProgress => worker.read(waters.water!.latDeg, onProgress))
/** Brings a point into the middle, near enough to see its own shape. */
function goTo({ x, y }: { x: number, y: number }) {
  const view = map.value!.getView()
  view.animate({ center: [x, y], resolution: Math.min(view.getResolution()!, 1.5), duration: 250 })
}
defineExpose({ meetings: worker.meetings, goTo })

function redraw() {
  if (!host.value) return
  const [ink, sheet, now, mark] = [css('--ink'), css('--sheet'), css('--now'), css('--mark')]
  lineSource.clear(true)
  markSource.clear(true)
  for (const road of props.roads) {
    const line = new Feature(new LineString(road.line))
    line.setStyle([new Style({ stroke: new Stroke({ color: sheet, width: 5 }) }), new Style({ stroke: new Stroke({ color: mark, width: 2.6, lineDash: [2, 6] }) })])
    lineSource.addFeature(line)
  }
  for (const f of [...props.shown].reverse()) {
    const chosen = f.id === props.chosenId
    const lined = f.kind === 'break' || f.kind === 'channelBend'
    if (f.line.length > 1 && (lined || chosen)) {
      const shape = lined ? new Feature<LineString | MultiPoint>(new LineString(f.line)) : new Feature<LineString | MultiPoint>(new MultiPoint(f.line))
      shape.setStyle(lined
        ? new Style({ stroke: new Stroke({ color: chosen ? now : f.kind === 'break' ? ink : mark, width: f.kind === 'break' ? (chosen ? 6 : 4) : 2, lineDash: f.kind === 'break' ? undefined : [7, 6] }) })
        : new Style({ image: new Circle({ radius: 1.7, fill: new Fill({ color: now }) }) }))
      shape.setId(`${f.id} shape`)
      lineSource.addFeature(shape)
    }
    const at = new Feature(new Point([f.x, f.y]))
    at.setId(f.id)
    at.setStyle(new Style({ zIndex: chosen ? 1000 : Math.round(f.rank * 100), image: featureMark(f.kind, { ink: chosen ? now : ink, sheet, chosen }) }))
    markSource.addFeature(at)
  }
}

function drawPlaces() {
  placeSource.clear(true)
  placeMarks.setMaxResolution(waters.places.length > CROWD ? NEAR_M_PX : Infinity)
  if (!props.places || !host.value) return
  const styles = new Map(waters.places.map(({ kind }) => [kind, new Style({ image: placeMark(kind, { ink: css('--mark'), sheet: css('--sheet'), chosen: false }) })]))
  placeSource.addFeatures(waters.places.map((place) => {
    const { x, y } = waters.frame!.toLocal(place.lonDeg, place.latDeg)
    const mark = new Feature(new Point([x, y]))
    mark.setStyle(styles.get(place.kind))
    return mark
  }))
}

async function drawOverlays() {
  const { weedM, bands } = props
  if (weedM === null) overlay('weed', null)
  else {
    // The outer line is a band, not a line: light sets it to about a fifth either way.
    const areas = await worker.areas('weed', [weedM * 0.8, weedM * 1.2])
    if (areas) overlay('weed', [areas[0]!, areas[1]!])
  }
  if (bands) {
    const areas = await worker.areas('bands', [...bands.shallow, ...bands.deep])
    if (areas) {
      overlay('now', [areas[0]!, areas[1]!])
      overlay('beside', [areas[2]!, areas[3]!])
    }
  }
  else {
    overlay('now', null)
    overlay('beside', null)
  }
  if (props.doubt) overlay('doubt', await worker.trusted(0.35))
  else overlay('doubt', null)
}

watch(() => waters.grid, () => {
  void readChart()
  void drawOverlays()
})
watch(() => [props.weedM?.toFixed(2), props.doubt, JSON.stringify(props.bands)].join(), () => void drawOverlays())
watch(() => [props.shown, props.chosenId, props.roads], redraw)
watch(() => [props.places, waters.places], drawPlaces)
watch(() => session.ground, async () => {
  await nextTick()
  redraw()
  drawPlaces()
})
watch(() => props.drawing, (on) => {
  draw?.setActive(on)
  if (!on) drawnSource.clear()
})
watch(() => props.chosenId, (id) => {
  const f = reading.byId(id)
  if (!f || !map.value) return
  const view = map.value.getView()
  const [[x, y], size] = [view.getCenter() as XY, map.value.getSize()!]
  const away = Math.max(Math.abs(f.x - x) / size[0]!, Math.abs(f.y - y) / size[1]!) / view.getResolution()!
  if (away > 0.4) view.animate({ center: [f.x, f.y], duration: 250 })
})
</script>

<template>
  <div class="map-wrap">
    <div
      ref="host"
      class="map chart-host"
      :class="{ drawing }"
      tabindex="0"
      role="application"
      aria-label="Chart of the water. Arrow keys move it, plus and minus zoom. What was found on it is listed beside it."
    />
    <p
      class="under sheet"
      data-test="under"
    >
      {{ under || 'Point at the water for depth, fall and distance to the bank' }}
    </p>
  </div>
</template>

<style scoped>
.map-wrap { position: relative; height: 100%; min-height: 0; background: repeating-linear-gradient(45deg, transparent 0 9px, color-mix(in srgb, var(--rule) 30%, transparent) 9px 10px), var(--paper); overflow: hidden; }
.map { position: absolute; inset: 0; }
.map:focus-visible { outline-offset: -4px; }
.map.drawing { cursor: crosshair; }
.under { position: absolute; left: 14px; bottom: 14px; padding: 6px 12px; border: 1px solid var(--rule); font-size: 14.5px; font-weight: 600; max-width: calc(100% - 240px); }
</style>
