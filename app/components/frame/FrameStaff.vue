<script setup lang="ts">
import { area, curveBasis, scaleLinear } from 'd3'
import type { DepthBelief } from '../../../core/school/depthBelief'
import { depthUnit, depthUnitM, formatDepthBand, formatRoundDepth, formatSetting, formatTemperature, type Units } from '../../../core/units/format'

const props = defineProps<{
  /** depth of the whole staff: one scale for a water, wherever it stands */
  depthM: number
  units: Units
  belief?: DepthBelief | null
  weedM?: number
  dimM?: number
  /** bottom and crown of the cover at a place */
  bottomM?: number
  coverTopM?: number | null
  /** where the bait hangs */
  baitM?: number | null
  /** schools seen: drawn as marks */
  schools?: { topM: number, bottomM: number }[]
  fish?: { depthM: number }[]
  /** surface layer of a layered lake, and where in it the fish are at ease */
  layer?: { layerM: number, surfaceC: number, belowC: number, comfort: { topM: number, bottomM: number } | null } | null
  /** room above the surface, px */
  headroom?: number
}>()

const emit = defineEmits<{ scale: [pxPerM: number] }>()
const TOP = computed(() => props.headroom ?? 30)
const FOOT = 12
const WIDTH = 92
const host = ref<HTMLElement | null>(null)
const height = ref(600)
let observer: ResizeObserver | undefined
onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    height.value = Math.max(160, TOP.value + 60, entry!.contentRect.height)
  })
  observer.observe(host.value!)
})
onBeforeUnmount(() => observer?.disconnect())

const y = computed(() => scaleLinear([0, props.depthM], [TOP.value, height.value - FOOT]))
watch(() => y.value(1) - y.value(0), pxPerM => emit('scale', pxPerM), { immediate: true })
const ticks = computed(() => {
  const unitM = depthUnitM(props.units)
  const count = Math.floor(props.depthM / unitM + 1e-6)
  const every = props.units === 'us' ? 5 : 1
  return Array.from({ length: count + 1 }, (_, i) => ({ value: i, depthM: i * unitM, major: i % every === 0, tenth: i % (every * 2) === 0 }))
})
const profile = computed(() => {
  const { belief } = props
  if (!belief) return ''
  const peak = Math.max(...belief.density)
  const bins = Array.from(belief.density, (share, i) => ({ share, depthM: (i + 0.5) * belief.binM }))
  const shape = area<{ share: number, depthM: number }>().curve(curveBasis)
    .y(d => y.value(d.depthM)).x0(WIDTH).x1(d => WIDTH - 25 * (d.share / peak))
  return shape(bins) ?? ''
})
const band = computed(() => (props.belief ? { top: props.belief.quantiles.p20, bottom: props.belief.quantiles.p80 } : null))
const said = computed(() => [
  `Depth staff from the surface to ${formatRoundDepth(props.depthM, props.units)}.`,
  band.value ? `Most fish expected at ${formatDepthBand(band.value.top, band.value.bottom, props.units)}.` : '',
  props.weedM ? `Weed grows to ${formatRoundDepth(props.weedM, props.units)}.` : '',
  props.layer ? `The surface layer of ${formatTemperature(props.layer.surfaceC, props.units)} goes down to ${formatRoundDepth(props.layer.layerM, props.units)}, below it is ${formatTemperature(props.layer.belowC, props.units)}.` : '',
  props.layer?.comfort ? `Fish are at ease at ${formatDepthBand(props.layer.comfort.topM, props.layer.comfort.bottomM, props.units)}.` : '',
  props.baitM ? `The bait hangs at ${formatSetting(props.baitM, props.units)}.` : '',
].join(' '))
const LABEL_GAP = 16
/** Words at the staff's free side, moved down where they would cover each other. */
const labels = computed(() => {
  const wanted: { text: string, y: number, kind: string }[] = []
  if (props.weedM) wanted.push({ text: 'weed', y: y.value(Math.min(props.weedM, props.depthM)), kind: 'weed-text' })
  if (props.dimM && props.dimM < props.depthM) wanted.push({ text: 'dim', y: y.value(props.dimM), kind: 'dim-text' })
  if (band.value) wanted.push({ text: 'fish', y: y.value((band.value.top + band.value.bottom) / 2), kind: 'band-text' })
  if (props.baitM) wanted.push({ text: 'bait', y: y.value(props.baitM), kind: 'bait-text' })
  if (props.layer && props.layer.layerM < props.depthM) wanted.push({ text: formatTemperature(props.layer.belowC, props.units), y: y.value(props.layer.layerM) + 10, kind: 'layer-text' })
  let last = -Infinity
  return wanted.sort((a, b) => a.y - b.y).map((label) => {
    last = Math.max(label.y + 5, last + LABEL_GAP)
    return { ...label, y: last }
  })
})
/** Stems of the cover between its crown and the bottom. */
const stems = computed(() => {
  if (props.bottomM === undefined || props.coverTopM === null || props.coverTopM === undefined || props.coverTopM >= props.bottomM) return []
  const top = y.value(props.coverTopM)
  const foot = y.value(props.bottomM)
  const rise = foot - top
  return [{ x: 8, t: 0 }, { x: 15, t: 0.22 }, { x: 36, t: 0.1 }, { x: 43, t: 0.36 }].map(({ x, t }) => `M${x},${foot} L${x + 4},${top + t * rise}`)
})
</script>

<template>
  <div
    ref="host"
    class="staff"
    data-test="staff"
  >
    <svg
      :width="WIDTH"
      :height="height"
      role="img"
      :aria-label="said"
    >
      <rect
        v-if="bottomM !== undefined"
        x="0"
        :y="y(bottomM)"
        :width="WIDTH"
        :height="Math.max(0, height - y(bottomM))"
        class="ground"
      />
      <path
        v-for="d in stems"
        :key="d"
        :d="d"
        class="stem"
      />
      <rect
        v-if="weedM"
        :x="WIDTH - 6"
        :y="y(0)"
        width="6"
        :height="y(Math.min(weedM, depthM)) - y(0)"
        class="weed"
      />
      <g
        v-if="layer && layer.layerM < depthM"
        data-test="layer"
      >
        <rect
          x="0"
          :y="y(layer.layerM)"
          :width="WIDTH"
          :height="Math.max(0, height - y(layer.layerM))"
          class="cold"
        />
        <line
          x1="0"
          :x2="WIDTH"
          :y1="y(layer.layerM)"
          :y2="y(layer.layerM)"
          class="layer-line"
        />
        <line
          v-if="layer.comfort"
          x1="2.5"
          x2="2.5"
          :y1="y(layer.comfort.topM) + 2"
          :y2="y(layer.comfort.bottomM) - 2"
          class="ease"
        />
      </g>
      <path
        :d="profile"
        class="profile"
      />
      <rect
        v-if="band"
        :x="WIDTH - 13"
        :y="y(band.top)"
        width="13"
        :height="y(band.bottom) - y(band.top)"
        class="band"
        data-test="fish-band"
      />
      <g
        v-for="tick in ticks"
        :key="tick.value"
      >
        <line
          :x1="tick.major ? (tick.tenth ? WIDTH - 26 : WIDTH - 20) : WIDTH - 10"
          :x2="WIDTH"
          :y1="y(tick.depthM)"
          :y2="y(tick.depthM)"
          :class="tick.tenth ? 'tick heavy' : 'tick'"
        />
        <text
          v-if="tick.major && tick.value > 0"
          :x="WIDTH - 30"
          :y="y(tick.depthM) + 5"
          :class="tick.tenth ? 'number heavy' : 'number'"
        >{{ tick.value }}</text>
      </g>
      <line
        x1="0"
        :x2="WIDTH"
        :y1="y(0)"
        :y2="y(0)"
        class="surface"
      />
      <text
        :x="WIDTH - 30"
        :y="y(0) - 8"
        class="number heavy"
      >{{ depthUnit(units) }}</text>
      <line
        v-if="dimM && dimM < depthM"
        x1="0"
        :x2="WIDTH"
        :y1="y(dimM)"
        :y2="y(dimM)"
        class="dim"
      />
      <text
        v-for="label in labels"
        :key="label.text"
        x="4"
        :y="label.y"
        :class="['word', label.kind]"
      >{{ label.text }}</text>
      <g v-if="schools">
        <line
          v-for="(s, i) in schools"
          :key="i"
          :x1="70"
          :x2="70"
          :y1="y(s.topM)"
          :y2="y(s.bottomM)"
          class="school"
        />
      </g>
      <g v-if="fish">
        <circle
          v-for="(f, i) in fish"
          :key="i"
          :cx="70 + ((i % 3) - 1) * 5"
          :cy="y(f.depthM) + ((i % 2) * 2 - 1) * 2"
          r="4.5"
          class="caught"
        />
      </g>
      <g v-if="baitM">
        <line
          x1="38"
          x2="38"
          :y1="y(0)"
          :y2="y(baitM)"
          class="tippet"
        />
        <circle
          cx="38"
          :cy="y(baitM)"
          r="5"
          class="bait"
        />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.staff { width: var(--staff-w); height: 100%; min-height: 0; background: var(--sheet); border-right: 1px solid var(--ink); overflow: hidden; }
svg { display: block; }
.tick { stroke: var(--ink); stroke-width: 1; }
.tick.heavy { stroke-width: 2; }
.number { font-size: 13px; fill: var(--ink); text-anchor: end; }
.number.heavy { font-size: 15px; font-weight: 700; }
.surface { stroke: var(--ink); stroke-width: 2.5; }
.band { fill: var(--now); }
.profile { fill: var(--now); opacity: 0.28; }
.weed { fill: var(--kept); opacity: 0.7; }
.dim { stroke: var(--careful); stroke-width: 1.5; stroke-dasharray: 2 4; }
.word { font-size: 13.5px; font-weight: 700; paint-order: stroke; stroke: var(--sheet); stroke-width: 3px; }
.dim-text { fill: var(--careful); }
.bait-text { fill: var(--ink); }
.weed-text { fill: var(--kept); }
.band-text { fill: var(--now); }
.cold { fill: var(--rule); opacity: 0.35; }
.layer-line { stroke: var(--ink-2); stroke-width: 1.5; stroke-dasharray: 8 3; }
.ease { stroke: var(--kept); stroke-width: 5; }
.layer-text { fill: var(--ink-2); }
.ground { fill: var(--sand); }
.stem { stroke: var(--kept); stroke-width: 3; opacity: 0.55; fill: none; }
.school { stroke: var(--mark); stroke-width: 5; opacity: 0.85; }
.caught { fill: var(--mark); stroke: var(--sheet); stroke-width: 1.5; }
.tippet { stroke: var(--ink); stroke-width: 1.2; stroke-dasharray: 1 3; }
.bait { fill: var(--sheet); stroke: var(--ink); stroke-width: 2.2; }
</style>
