<script setup lang="ts">
import { area, curveMonotoneX, scaleLinear } from 'd3'
import type { DayOutlook } from '../../../core/season/dayOutlook'

/** One day's hours: how readily they feed, the light, and the two best windows. All days share one scale. */
const props = defineProps<{ outlook: DayOutlook, mostRate: number, nowMs: number }>()

const HOUR_MS = 3_600_000
const WIDTH = 268
const HEIGHT = 52
const x = computed(() => scaleLinear([props.outlook.day.startMs, props.outlook.day.endMs], [0, WIDTH]))
const y = computed(() => scaleLinear([0, props.mostRate], [HEIGHT, 5]))
/** The hours stand for their middles; the day's ends go with the first and last. */
const whole = computed(() => {
  const { hours, day } = props.outlook
  const [first, last] = [hours[0], hours.at(-1)]
  return first && last ? [{ ...first, atMs: day.startMs }, ...hours, { ...last, atMs: Math.min(day.endMs, last.atMs + HOUR_MS / 2) }] : []
})
const curve = computed(() => area<DayOutlook['hours'][number]>().curve(curveMonotoneX).x(h => x.value(h.atMs)).y0(HEIGHT).y1(h => y.value(h.ratePerHour))(whole.value) ?? '')
const lights = computed(() => props.outlook.lights)
const nights = computed(() => {
  const { riseMs, setMs, alwaysUp, alwaysDown } = lights.value
  if (alwaysUp) return []
  if (alwaysDown || riseMs === null || setMs === null) return [[0, WIDTH] as const]
  const clamp = (v: number) => Math.min(WIDTH, Math.max(0, v))
  return [[0, clamp(x.value(riseMs))] as const, [clamp(x.value(setMs)), WIDTH] as const]
})
const NOON_HOURS = [6, 12, 18]
const id = useId()
</script>

<template>
  <svg
    :width="WIDTH"
    :height="HEIGHT"
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    aria-hidden="true"
  >
    <clipPath :id="id"><path :d="curve" /></clipPath>
    <rect
      v-for="([a, b], i) in nights"
      :key="i"
      :x="a"
      y="0"
      :width="Math.max(0, b - a)"
      :height="HEIGHT"
      class="night"
    />
    <path
      :d="curve"
      class="curve"
    />
    <g :clip-path="`url(#${id})`">
      <rect
        v-for="w in outlook.windows"
        :key="w.fromMs"
        :x="x(w.fromMs)"
        y="0"
        :width="x(w.toMs) - x(w.fromMs)"
        :height="HEIGHT"
        class="window"
      />
    </g>
    <line
      v-for="h in NOON_HOURS"
      :key="h"
      :x1="x(outlook.day.startMs + h * HOUR_MS)"
      :x2="x(outlook.day.startMs + h * HOUR_MS)"
      :y1="h === 12 ? 0 : HEIGHT - 8"
      :y2="HEIGHT"
      class="tick"
    />
    <line
      v-for="f in outlook.fronts"
      :key="f.atMs"
      :x1="x(f.atMs)"
      :x2="x(f.atMs)"
      y1="0"
      :y2="HEIGHT"
      class="front"
    />
    <line
      v-if="nowMs > outlook.day.startMs && nowMs < outlook.day.endMs"
      :x1="x(nowMs)"
      :x2="x(nowMs)"
      y1="0"
      :y2="HEIGHT"
      class="now"
    />
    <line
      x1="0"
      :x2="WIDTH"
      :y1="HEIGHT - 0.5"
      :y2="HEIGHT - 0.5"
      class="foot"
    />
  </svg>
</template>

<style scoped>
svg { display: block; max-width: 100%; }
.night { fill: var(--tab); }
.curve { fill: var(--mark-4); }
.window { fill: var(--mark); }
.tick { stroke: var(--rule); }
.front { stroke: var(--careful); stroke-width: 2; stroke-dasharray: 5 3; }
.now { stroke: var(--ink); stroke-width: 1.6; }
.foot { stroke: var(--ink-2); }
</style>
