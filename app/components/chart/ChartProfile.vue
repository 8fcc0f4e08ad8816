<script setup lang="ts">
import { area, curveMonotoneX, line as d3line, scaleLinear } from 'd3'
import { profile } from '../../../core/water/profile'
import type { XY } from '../../../core/water/turns'
import { depthUnitM, formatDepth, formatDistance } from '../../../core/units/format'

const props = defineProps<{ line: XY[], staffM: number }>()
defineEmits<{ close: [] }>()
const session = useSession()
const waters = useWater()
const advice = useAdvice()

const HEIGHT = 190
const PAD = { left: 46, right: 12, top: 22, bottom: 24 }
const host = ref<HTMLElement | null>(null)
const width = ref(700)
let observer: ResizeObserver | undefined
onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    width.value = Math.max(240, entry!.contentRect.width)
  })
  observer.observe(host.value!)
})
onBeforeUnmount(() => observer?.disconnect())

const lengthM = computed(() => props.line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - props.line[i]![0], y - props.line[i]![1]), 0))
const cut = computed(() => profile({ grid: waters.grid!, line: props.line, stepM: Math.max(1, lengthM.value / 300) }))
const x = computed(() => scaleLinear([0, Math.max(1, lengthM.value)], [PAD.left, width.value - PAD.right]))
/** The staff's own scale: the whole depth of the water, whatever the line crosses. */
const y = computed(() => scaleLinear([0, props.staffM], [PAD.top, HEIGHT - PAD.bottom]))
type Cut = (typeof cut.value)[number]
const bottom = computed(() => area<Cut>().defined(p => p.depthM !== null).curve(curveMonotoneX).x(p => x.value(p.alongM)).y0(HEIGHT - PAD.bottom).y1(p => y.value(p.depthM!))(cut.value) ?? '')
const edge = computed(() => d3line<Cut>().defined(p => p.depthM !== null).curve(curveMonotoneX).x(p => x.value(p.alongM)).y(p => y.value(p.depthM!))(cut.value) ?? '')
const ticks = computed(() => {
  const unitM = depthUnitM(session.units)
  const every = session.units === 'us' ? 10 : 2
  return Array.from({ length: Math.floor(props.staffM / unitM / every) + 1 }, (_, i) => i * every).map(value => ({ value, y: y.value(value * unitM) }))
})
const band = computed(() => advice.belief?.quantiles ?? null)
const deepestM = computed(() => Math.max(0, ...cut.value.map(p => p.depthM ?? 0)))
</script>

<template>
  <section
    ref="host"
    class="profile"
    aria-label="Profile along the line"
    data-test="profile"
  >
    <header>
      <strong>{{ formatDistance(lengthM, session.units) }} long, {{ formatDepth(deepestM, session.units) }} at the deepest</strong>
      <button
        type="button"
        class="chip"
        @click="$emit('close')"
      >
        Put it away
      </button>
    </header>
    <svg
      :width="width"
      :height="HEIGHT"
      role="img"
      :aria-label="`Bottom along the line: ${formatDistance(lengthM, session.units)}, ${formatDepth(deepestM, session.units)} at the deepest`"
    >
      <rect
        v-if="band"
        :x="PAD.left"
        :width="width - PAD.left - PAD.right"
        :y="y(band.p20)"
        :height="y(band.p80) - y(band.p20)"
        class="band"
      />
      <path
        :d="bottom"
        class="ground"
      />
      <path
        :d="edge"
        class="edge"
      />
      <line
        :x1="PAD.left"
        :x2="width - PAD.right"
        :y1="y(0)"
        :y2="y(0)"
        class="surface"
      />
      <g
        v-for="tick in ticks"
        :key="tick.value"
      >
        <line
          :x1="PAD.left - 6"
          :x2="PAD.left"
          :y1="tick.y"
          :y2="tick.y"
          class="tick"
        />
        <text
          :x="PAD.left - 10"
          :y="tick.y + 4"
          text-anchor="end"
        >{{ tick.value }}</text>
      </g>
      <text
        :x="PAD.left"
        :y="HEIGHT - 6"
      >start</text>
      <text
        :x="width - PAD.right"
        :y="HEIGHT - 6"
        text-anchor="end"
      >end</text>
    </svg>
  </section>
</template>

<style scoped>
.profile { background: var(--sheet); border-top: 1px solid var(--ink); padding: 8px 12px 4px; }
header { display: flex; justify-content: space-between; align-items: center; font-size: 15px; }
svg { display: block; }
text { font-size: 13px; fill: var(--ink); }
.ground { fill: var(--sand); }
.edge { fill: none; stroke: var(--ink); stroke-width: 2; }
.surface, .tick { stroke: var(--ink); stroke-width: 1.5; }
.band { fill: var(--now); opacity: 0.22; }
</style>
