<script setup lang="ts">
import { area, line, scaleLinear } from 'd3'
import { DateTime } from 'luxon'

/** The hours one can slide through, with the part's course and its doubt over them. */
const props = defineProps<{ fromMs: number, toMs: number, nowMs: number, atMs: number, zone: string, course: { atMs: number, waterC: number, sdC: number }[], forecastFromMs: number }>()
const emit = defineEmits<{ 'update:atMs': [ms: number] }>()

const HOUR_MS = 3_600_000
const host = ref<HTMLElement | null>(null)
const width = ref(600)
const HEIGHT = 74
let observer: ResizeObserver | undefined
onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    width.value = Math.max(200, entry!.contentRect.width)
  })
  observer.observe(host.value!)
})
onBeforeUnmount(() => observer?.disconnect())
const x = computed(() => scaleLinear([props.fromMs, props.toMs], [0, width.value]))
const y = computed(() => {
  const all = props.course.flatMap(c => [c.waterC - 1.3 * c.sdC, c.waterC + 1.3 * c.sdC])
  return scaleLinear([Math.min(...all), Math.max(...all)], [HEIGHT - 20, 4])
})
const doubt = computed(() => area<typeof props.course[number]>().x(c => x.value(c.atMs)).y0(c => y.value(c.waterC - 1.28 * c.sdC)).y1(c => y.value(c.waterC + 1.28 * c.sdC))(props.course) ?? '')
const curve = computed(() => line<typeof props.course[number]>().x(c => x.value(c.atMs)).y(c => y.value(c.waterC))(props.course) ?? '')
const days = computed(() => {
  const list = []
  for (let day = DateTime.fromMillis(props.fromMs, { zone: props.zone }).startOf('day').plus({ days: 1 }); day.toMillis() < props.toMs; day = day.plus({ days: 1 })) list.push({ ms: day.toMillis(), name: day.toFormat('ccc d') })
  return list
})
const room = computed(() => width.value / Math.max(1, days.value.length))
</script>

<template>
  <div
    ref="host"
    class="hours"
  >
    <svg
      :width="width"
      :height="HEIGHT"
      aria-hidden="true"
    >
      <path
        :d="doubt"
        class="doubt"
      />
      <path
        :d="curve"
        class="curve"
      />
      <template
        v-for="day in days"
        :key="day.ms"
      >
        <line
          :x1="x(day.ms)"
          :x2="x(day.ms)"
          y1="0"
          :y2="HEIGHT"
          class="day"
        />
        <text
          v-if="room > 44 && x(day.ms) + 44 < width"
          :x="x(day.ms) + 4"
          :y="HEIGHT - 5"
          class="name"
        >{{ day.name }}</text>
      </template>
      <line
        :x1="x(nowMs)"
        :x2="x(nowMs)"
        y1="0"
        :y2="HEIGHT"
        class="now"
      />
      <line
        :x1="x(atMs)"
        :x2="x(atMs)"
        y1="0"
        :y2="HEIGHT"
        class="at"
      />
    </svg>
    <input
      type="range"
      class="slider"
      :min="fromMs"
      :max="toMs"
      :step="HOUR_MS"
      :value="atMs"
      aria-label="hour"
      :aria-valuetext="DateTime.fromMillis(atMs, { zone }).toFormat('ccc d LLLL, HH:mm')"
      data-test="hour"
      @input="emit('update:atMs', Number(($event.target as HTMLInputElement).value))"
    >
  </div>
</template>

<style scoped>
.hours { position: relative; }
svg { display: block; }
.doubt { fill: var(--sand); opacity: 0.8; }
.curve { fill: none; stroke: var(--ink); stroke-width: 1.8; }
.day { stroke: var(--rule); }
.name { font-size: 13px; fill: var(--ink-2); }
.now { stroke: var(--ink); stroke-width: 1.4; stroke-dasharray: 4 3; }
.at { stroke: var(--now); stroke-width: 2.5; }
.slider { width: calc(100% + 16px); margin: 0 -8px; height: 30px; accent-color: var(--now); display: block; cursor: ew-resize; }
</style>
