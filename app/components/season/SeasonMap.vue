<script setup lang="ts">
import Feature from 'ol/Feature'
import Point from 'ol/geom/Point'
import VectorLayer from 'ol/layer/Vector'
import VectorSource from 'ol/source/Vector'
import { Fill, Stroke, Style, Text } from 'ol/style'
import { TEMPERATURE_TINTS as TINTS } from '../../theme'
import { FieldLayer } from '../../utils/FieldLayer'
import { formatTemperature } from '../../../core/units/format'

const props = defineProps<{ atMs: number, steps: number[], chosen: number }>()
const emit = defineEmits<{ choose: [part: number] }>()
const session = useSession()
const season = useSeason()
const waters = useWater()

const host = ref<HTMLElement | null>(null)
const field = new FieldLayer(waters.grid!, season.lake!.lookup.cell)
const labels = new VectorSource<Feature<Point>>()
const { map, worker, css } = useWaterMap(host, { padding: [40, 24, 40, 24], bare: true, layers: [field, new VectorLayer({ source: labels, declutter: true })] })
const tints = computed(() => TINTS[session.ground])

function draw() {
  const values = season.fieldAt(props.atMs)
  if (values) field.show(values, props.steps, tints.value)
}

/** Read once a ground: asking for a style in every hour would lay the page out again. */
let inks: { ink: string, sheet: string, now: string, face: string } | null = null
function write() {
  if (!host.value) return
  const { ink, sheet, now, face } = inks ??= { ink: css('--ink'), sheet: css('--sheet'), now: css('--now'), face: css('--face') }
  const order = season.parts.map(p => ({ p, waterC: season.partCAt(p.index, props.atMs) })).filter(o => o.waterC !== null)
  labels.clear(true)
  labels.addFeatures(order.map(({ p, waterC }) => {
    const feature = new Feature(new Point([p.x, p.y]))
    feature.setId(p.index)
    feature.setStyle(new Style({
      zIndex: p.index === props.chosen ? 10 : 1,
      text: new Text({
        text: [formatTemperature(waterC!, session.units), `750 17px ${face}`, `\n${season.model!.names[p.index]!}`, `600 13px ${face}`],
        fill: new Fill({ color: p.index === props.chosen ? now : ink }), stroke: new Stroke({ color: sheet, width: 4 }),
      }),
    }))
    return feature
  }))
}

onMounted(() => {
  map.value!.on('singleclick', ({ coordinate }) => {
    const part = season.partAt({ x: coordinate[0]!, y: coordinate[1]! })
    if (part >= 0) emit('choose', part)
  })
  draw()
  write()
  void outline()
})
/** The shoreline that the tints end at. */
async function outline() {
  const areas = await worker.areas('shore', [0])
  if (areas?.[0]) field.setShore(areas[0], css('--ink'))
}
watch(() => session.ground, async () => {
  await nextTick()
  inks = null
  write()
  void outline()
})
watch([() => props.atMs, () => props.steps, () => season.model, () => session.ground], () => {
  draw()
  write()
})
watch(() => props.chosen, write)
</script>

<template>
  <div
    ref="host"
    class="map chart-host"
    tabindex="0"
    role="application"
    aria-label="Chart of the water's temperature. The parts of the lake are listed beside it."
  />
</template>

<style scoped>
.map { position: absolute; inset: 0; background: var(--paper); }
.map:focus-visible { outline-offset: -4px; }
</style>
