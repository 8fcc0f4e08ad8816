<script setup lang="ts">
import { area, curveMonotoneX, line, scaleLinear } from 'd3'
import { DateTime } from 'luxon'
import type { Phase } from '../../../core/season/phases'
import { phaseOf, seasonFishName, type SeasonFish } from '../../../core/season/seasons'
import { leadingPhases, phaseCourse } from '../../../core/season/seasonYear'
import type { PhaseShare } from '../../../core/season/phaseProbabilities'
import { formatTemperature, type Units } from '../../../core/units/format'

export interface Lane {
  fish: SeasonFish
  shares: (PhaseShare[] | null)[]
  /** days with own catches, with how many */
  catches: { day: number, fish: number }[]
}

const props = defineProps<{
  /** dates of the days, "2026-04-24" */
  days: readonly string[]
  today: number
  chosen: number
  meanC: Float32Array
  sdC: Float32Array
  /** first day that is forecast, and first that is only usual */
  forecastDay: number
  usualDay: number
  readings: { day: number, waterC: number }[]
  lanes: Lane[]
  fish: SeasonFish
  units: Units
}>()
const emit = defineEmits<{ day: [index: number], fish: [fish: SeasonFish] }>()

const NARROW = 520
const RIGHT = 14
const CURVE = 132
const LANE = 42
const GAP = 7
const FOOT = 22
const host = ref<HTMLElement | null>(null)
/** 0 until it is measured: nothing is drawn at a width that the next moment takes back */
const width = ref(0)
const LEFT = computed(() => (width.value < NARROW ? 80 : 118))
let observer: ResizeObserver | undefined
onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    width.value = Math.max(320, entry!.contentRect.width)
  })
  observer.observe(host.value!)
})
onBeforeUnmount(() => observer?.disconnect())

const height = computed(() => CURVE + 14 + props.lanes.length * (LANE + GAP) + FOOT)
const x = computed(() => scaleLinear([0, props.days.length - 1], [LEFT.value, width.value - RIGHT]))
const known = computed(() => Array.from(props.meanC, (c, d) => ({ d, c, sd: props.sdC[d]! })).filter(p => !Number.isNaN(p.c)))
const y = computed(() => {
  const most = Math.max(28, ...known.value.map(p => p.c)) + 1
  return scaleLinear([-0.5, most], [CURVE, 8])
})
const LEVELS = computed(() => (props.units === 'us' ? [32, 45, 60, 75].map(f => (f - 32) / 1.8) : [0, 7, 15, 24]))
const band = computed(() => area<{ d: number, c: number, sd: number }>().curve(curveMonotoneX).x(p => x.value(p.d)).y0(p => y.value(Math.max(0, p.c - 1.28 * p.sd))).y1(p => y.value(p.c + 1.28 * p.sd))(known.value) ?? '')
const stretch = (from: number, to: number) => line<{ d: number, c: number }>().curve(curveMonotoneX).x(p => x.value(p.d)).y(p => y.value(p.c))(known.value.filter(p => p.d >= from && p.d <= to)) ?? ''
const seen = computed(() => stretch(0, props.forecastDay))
const forecast = computed(() => stretch(props.forecastDay, props.usualDay))
const usual = computed(() => stretch(props.usualDay, props.days.length))
const months = computed(() => props.days.flatMap((iso, d) => (iso.endsWith('-01') ? [{ d, name: DateTime.fromISO(iso).toFormat(width.value < NARROW ? 'LLLLL' : 'LLL') }] : [])))

const PHASE_TINTS: Record<Phase, string> = {
  winter: 'var(--sand)', staging: 'var(--mark-4)', preSpawn: 'var(--mark-3)', spawn: 'var(--mark)', postSpawn: 'var(--mark-2)',
  earlySummer: 'var(--weed-2)', summer: 'var(--weed-1)', lateSummer: 'var(--weed-2)', fallTransition: 'var(--tab)', fall: 'var(--sand-2)',
}
const DARK: Phase[] = ['spawn', 'postSpawn']
const drawn = computed(() => props.lanes.map((lane, i) => {
  const foot = CURVE + 14 + i * (LANE + GAP) + LANE
  const tall = scaleLinear([0, 1], [foot, foot - LANE])
  const phases = [...new Set(lane.shares.flatMap(s => s?.map(p => p.phase) ?? []))]
  const bands = phases.map((phase) => {
    const course = phaseCourse(lane.shares, phase)
    return { phase, path: area<number>().curve(curveMonotoneX).x((_, d) => x.value(d)).y0(foot).y1(v => tall(v))(Array.from(course)) ?? '', peak: Math.max(...course) }
  }).filter(b => b.peak > 0.04)
  const labels = leadingPhases(lane.shares).map((span) => {
    const name = phaseOf(lane.fish, span.phase)!.name
    return { ...span, name, x: (x.value(span.from) + x.value(span.to)) / 2, room: x.value(span.to) - x.value(span.from), dark: DARK.includes(span.phase) }
  }).filter(l => l.room > l.name.length * 6.2 + 4)
  return { ...lane, foot, bands, labels }
}))

const svg = ref<SVGSVGElement | null>(null)
let dragging = false
function dayAt(event: PointerEvent): number {
  const box = svg.value!.getBoundingClientRect()
  return Math.round(Math.min(props.days.length - 1, Math.max(0, x.value.invert(event.clientX - box.left))))
}
function press(event: PointerEvent) {
  if (event.clientX - svg.value!.getBoundingClientRect().left < LEFT.value - 8) return
  dragging = true
  svg.value!.setPointerCapture(event.pointerId)
  emit('day', dayAt(event))
}
function move(event: PointerEvent) {
  if (dragging) emit('day', dayAt(event))
}
function release() {
  dragging = false
}
const STEPS: Record<string, number> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 30, PageDown: -30 }
function key(event: KeyboardEvent) {
  const step = STEPS[event.key]
  const to = event.key === 'Home' ? 0 : event.key === 'End' ? props.days.length - 1 : event.key === 'Escape' ? props.today : step === undefined ? null : props.chosen + step
  if (to === null) return
  event.preventDefault()
  emit('day', Math.min(props.days.length - 1, Math.max(0, to)))
}
const dayName = (d: number) => DateTime.fromISO(props.days[d]!).toFormat('d LLLL')
const flagX = computed(() => Math.min(width.value - RIGHT - 60, Math.max(LEFT.value + 60, x.value(props.chosen))))
const chosenC = computed(() => props.meanC[props.chosen])
const flag = computed(() => `${dayName(props.chosen)}${chosenC.value === undefined || Number.isNaN(chosenC.value) ? '' : `, ${formatTemperature(chosenC.value, props.units)}`}`)
</script>

<template>
  <div
    ref="host"
    class="ribbon"
  >
    <svg
      v-if="width > 0"
      ref="svg"
      :width="width"
      :height="height"
      data-test="ribbon"
      @pointerdown="press"
      @pointermove="move"
      @pointerup="release"
      @pointercancel="release"
    >
      <defs>
        <pattern
          id="usual-hatch"
          width="5"
          height="5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        ><line
          x1="0"
          y1="0"
          x2="0"
          y2="5"
          class="hatch"
        /></pattern>
      </defs>
      <g aria-hidden="true">
        <template
          v-for="c in LEVELS"
          :key="c"
        >
          <line
            :x1="LEFT"
            :x2="width - RIGHT"
            :y1="y(c)"
            :y2="y(c)"
            class="level"
          />
          <text
            :x="LEFT - 8"
            :y="y(c) + 4.5"
            class="axis end"
          >{{ formatTemperature(c, units) }}</text>
        </template>
        <path
          :d="band"
          class="doubt"
        />
        <rect
          :x="x(Math.min(usualDay, days.length - 1))"
          y="8"
          :width="Math.max(0, width - RIGHT - x(Math.min(usualDay, days.length - 1)))"
          :height="CURVE - 8"
          fill="url(#usual-hatch)"
        />
        <path
          :d="seen"
          class="curve"
        />
        <path
          :d="forecast"
          class="curve ahead"
        />
        <path
          :d="usual"
          class="curve usual"
        />
        <circle
          v-for="(r, i) in readings"
          :key="i"
          :cx="x(r.day)"
          :cy="y(r.waterC)"
          r="3.4"
          class="reading"
        />
        <text
          v-if="width - RIGHT - x(usualDay) > 130"
          :x="width - RIGHT - 6"
          :y="CURVE - 6"
          class="axis end"
        >usual for the season</text>

        <g
          v-for="lane in drawn"
          :key="lane.fish"
        >
          <line
            :x1="LEFT"
            :x2="width - RIGHT"
            :y1="lane.foot"
            :y2="lane.foot"
            class="foot"
          />
          <path
            v-for="b in lane.bands"
            :key="b.phase"
            :d="b.path"
            :fill="PHASE_TINTS[b.phase]"
            class="phase-band"
          />
          <text
            v-for="label in lane.labels"
            :key="label.from"
            :x="label.x"
            :y="lane.foot - 11"
            class="phase-label"
            :class="{ dark: label.dark }"
          >{{ label.name }}</text>
          <line
            v-for="c in lane.catches"
            :key="c.day"
            :x1="x(c.day)"
            :x2="x(c.day)"
            :y1="lane.foot + 5"
            :y2="lane.foot - 3 - Math.min(16, c.fish * 2)"
            class="catch"
          />
        </g>
        <template
          v-for="month in months"
          :key="month.d"
        >
          <line
            :x1="x(month.d)"
            :x2="x(month.d)"
            :y1="8"
            :y2="height - FOOT"
            class="month"
          />
          <text
            :x="x(month.d) + 5"
            :y="height - 5"
            class="axis"
          >{{ month.name }}</text>
        </template>
        <line
          :x1="x(today)"
          :x2="x(today)"
          y1="0"
          :y2="height - FOOT + 4"
          class="today"
        />
        <line
          v-if="chosen !== today"
          :x1="x(chosen)"
          :x2="x(chosen)"
          y1="18"
          :y2="height - FOOT + 4"
          class="chosen"
        />
      </g>
      <g
        class="handle"
        tabindex="0"
        role="slider"
        aria-label="day of the year"
        aria-orientation="horizontal"
        :aria-valuemin="0"
        :aria-valuemax="days.length - 1"
        :aria-valuenow="chosen"
        :aria-valuetext="flag"
        @keydown="key"
      >
        <rect
          :x="flagX - 66"
          y="0"
          width="132"
          height="24"
          rx="5"
          :class="chosen === today ? 'flag' : 'flag supposed'"
        />
        <text
          :x="flagX"
          y="17"
          class="flag-text"
        >{{ flag }}</text>
      </g>
    </svg>
    <button
      v-for="lane in drawn"
      :key="lane.fish"
      type="button"
      class="lane-name"
      :class="{ narrow: width < NARROW }"
      :style="{ top: `${lane.foot - LANE}px`, height: `${LANE}px`, width: `${LEFT - 10}px` }"
      :aria-pressed="lane.fish === fish"
      @click="emit('fish', lane.fish)"
    >
      {{ seasonFishName(lane.fish) }}
    </button>
  </div>
</template>

<style scoped>
.ribbon { position: relative; min-width: 0; }
svg { display: block; overflow: visible; margin-top: 4px; touch-action: pan-y; cursor: ew-resize; user-select: none; }
.level { stroke: var(--rule); }
.month { stroke: var(--rule); stroke-dasharray: 1 4; }
.axis { font-size: 13px; fill: var(--ink-2); }
.end { text-anchor: end; }
.doubt { fill: var(--sand); opacity: 0.75; }
.hatch { stroke: var(--rule); stroke-width: 1; opacity: 0.7; }
.curve { fill: none; stroke: var(--ink); stroke-width: 2; }
.ahead { stroke-dasharray: 6 4; }
.usual { stroke-width: 1.4; stroke-dasharray: 2 4; }
.reading { fill: var(--sheet); stroke: var(--now); stroke-width: 2; }
.foot { stroke: var(--rule); }
.phase-band { stroke: var(--paper); stroke-width: 0.8; fill-opacity: 0.88; }
.phase-label { font-size: 13.5px; font-weight: 650; fill: var(--ink); text-anchor: middle; pointer-events: none; }
.phase-label.dark { fill: var(--sheet); }
.catch { stroke: var(--ink); stroke-width: 2.4; }
.today { stroke: var(--ink); stroke-width: 1.6; }
.chosen { stroke: var(--now); stroke-width: 2; }
.handle { outline-offset: 1px; }
.flag { fill: var(--ink); }
.flag.supposed { fill: var(--now); }
.flag-text { font-size: 13.5px; font-weight: 700; fill: var(--sheet); text-anchor: middle; pointer-events: none; }
.handle:focus-visible .flag { stroke: var(--now); stroke-width: 3; }
.lane-name { position: absolute; left: 0; font: inherit; font-size: 14px; line-height: 1.15; font-weight: 600; text-align: right; padding: 0 6px; background: none; border: 0; border-right: 4px solid transparent; color: var(--ink-2); cursor: pointer; display: flex; align-items: center; justify-content: flex-end; }

.narrow { font-size: 13px; padding: 0 4px; }
.lane-name[aria-pressed='true'] { color: var(--ink); font-weight: 750; border-right-color: var(--now); }
</style>
