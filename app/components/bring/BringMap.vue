<script setup lang="ts">
import Feature from 'ol/Feature'
import OlMap from 'ol/Map'
import View from 'ol/View'
import { ScaleLine, Zoom } from 'ol/control'
import { createEmpty, extend, isEmpty } from 'ol/extent'
import MultiPoint from 'ol/geom/MultiPoint'
import Polygon from 'ol/geom/Polygon'
import { Draw, Modify, Snap } from 'ol/interaction'
import VectorLayer from 'ol/layer/Vector'
import VectorSource from 'ol/source/Vector'
import { Circle, Fill, Stroke, Style } from 'ol/style'
import 'ol/ol.css'
import type { DepthArea } from '../../../core/water/contourLines'
import type { LocalFrame } from '../../../core/water/localFrame'
import type { LonLat } from '../../../core/formats/readResult'
import type { Ring } from '../../../core/water/rasterise'
import { DEPTH_TINTS } from '../../theme'
import { DepthLayer } from '../../utils/DepthLayer'

const props = defineProps<{
  frame: LocalFrame
  shore: { outer: Ring, islands: Ring[] } | null
  fault: { x: number, y: number } | null
  triples: Float64Array
  flags: Uint8Array
  /** depth areas of a chart that was tried */
  areas: DepthArea[] | null
  drawing: boolean
}>()
const emit = defineEmits<{ drawn: [rings: LonLat[][]] }>()
const session = useSession()
const host = ref<HTMLElement | null>(null)
const MOST_DOTS = 12_000

const shoreSource = new VectorSource()
const dotSource = new VectorSource()
const drawSource = new VectorSource<Feature<Polygon>>()
let map: OlMap | undefined
let ground: DepthLayer | undefined
let draw: Draw | undefined
const css = (name: string) => getComputedStyle(host.value!).getPropertyValue(name).trim()

onMounted(() => {
  ground = new DepthLayer({ tints: DEPTH_TINTS[session.ground], line: 'rgba(31,27,21,0.5)', shore: css('--ink'), patterns: { now: css('--now'), beside: css('--mark'), weed: css('--kept'), doubt: css('--ink') } })
  const outline = new Style({ stroke: new Stroke({ color: css('--now'), width: 2.5 }), fill: new Fill({ color: 'rgba(168, 50, 10, 0.06)' }) })
  map = new OlMap({
    target: host.value!,
    layers: [ground, new VectorLayer({ source: dotSource }), new VectorLayer({ source: shoreSource }), new VectorLayer({ source: drawSource, style: outline })],
    view: new View({ projection: mapPlane, center: [0, 0], resolution: 5, minResolution: 0.2, maxResolution: 60 }),
    controls: [new Zoom({ className: 'ol-zoom notebook-zoom' }), new ScaleLine({ units: session.units === 'us' ? 'us' : 'metric', minWidth: 90 })],
    keyboardEventTarget: host.value!,
  })
  draw = new Draw({ source: drawSource, type: 'Polygon', style: outline })
  draw.on('drawstart', () => {
    corners = 1
  })
  draw.on('drawend', () => {
    corners = 0
  })
  draw.on('drawend', event => tell([...drawSource.getFeatures(), event.feature as Feature<Polygon>]))
  const modify = new Modify({ source: drawSource })
  modify.on('modifyend', () => tell(drawSource.getFeatures()))
  map.addInteraction(modify)
  map.addInteraction(draw)
  map.addInteraction(new Snap({ source: drawSource }))
  draw.setActive(props.drawing)
  redraw()
  fit()
})
onBeforeUnmount(() => map?.setTarget(undefined))

function tell(features: Feature<Polygon>[]) {
  emit('drawn', [...new Set(features)].map(f => f.getGeometry()!.getCoordinates()[0]!.slice(0, -1).map(([x, y]) => props.frame.toLonLat(x!, y!))))
}
/** Takes back the last corner of an outline being drawn, else the last outline. */
let corners = 0
function takeBack() {
  if (corners > 0) return draw?.removeLastPoint()
  const last = drawSource.getFeatures().at(-1)
  if (!last) return
  drawSource.removeFeature(last)
  tell(drawSource.getFeatures())
}
defineExpose({ takeBack })

function redraw() {
  if (!host.value) return
  shoreSource.clear(true)
  dotSource.clear(true)
  if (props.shore) {
    const closed = (ring: Ring) => [...ring, ring[0]!].map(({ x, y }) => [x, y])
    const shape = new Feature(new Polygon([props.shore.outer, ...props.shore.islands].map(closed)))
    shape.setStyle(new Style({ stroke: new Stroke({ color: css('--ink'), width: 2 }) }))
    shoreSource.addFeature(shape)
  }
  if (props.fault) {
    const cross = new Feature(new MultiPoint([[props.fault.x, props.fault.y]]))
    cross.setStyle(new Style({ image: new Circle({ radius: 9, stroke: new Stroke({ color: css('--now'), width: 4 }) }) }))
    shoreSource.addFeature(cross)
  }
  if (props.areas) return
  const n = props.triples.length / 3
  const every = Math.max(1, Math.ceil(n / MOST_DOTS))
  const kept: number[][] = []
  const left: number[][] = []
  for (let i = 0; i < n; i++) {
    if (i % every === 0 || props.flags[i]) (props.flags[i] ? left : kept).push([props.triples[3 * i]!, props.triples[3 * i + 1]!])
  }
  for (const [points, color, radius] of [[kept, css('--mark'), 1.4], [left.slice(0, MOST_DOTS), css('--now'), 3]] as const) {
    const dots = new Feature(new MultiPoint(points))
    dots.setStyle(new Style({ image: new Circle({ radius, fill: new Fill({ color }) }) }))
    dotSource.addFeature(dots)
  }
}

function fit() {
  const extent = createEmpty()
  for (const source of [shoreSource, dotSource]) if (source.getFeatures().length > 0) extend(extent, source.getExtent()!)
  if (!isEmpty(extent) && Number.isFinite(extent[0]!)) map?.getView().fit(extent, { padding: [40, 40, 60, 60] })
}

watch(() => [props.shore, props.fault, props.triples, props.flags, props.areas], redraw)
watch(() => [props.shore?.outer, props.triples], fit)
watch(() => props.drawing, on => draw?.setActive(on))
watch(() => props.areas, areas => ground?.setAreas(areas ?? []))
</script>

<template>
  <div
    ref="host"
    class="map chart-host"
    tabindex="0"
    role="application"
    aria-label="What has been read so far, on a map. Arrow keys move it, plus and minus zoom."
  />
</template>

<style scoped>
.map { height: 100%; min-height: 300px; background: var(--paper); position: relative; }
.map:focus-visible { outline-offset: -4px; }
</style>
