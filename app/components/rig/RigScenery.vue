<script setup lang="ts">
import { coverTop, type Place } from '../../../core/place/kinds'
import { formatDepth, formatDepthBand, type Units } from '../../../core/units/format'

/** Water, ground, cover and fish of the side view: what does not move. */
const props = defineProps<{
  place: Place
  width: number
  height: number
  /** px of a depth */
  y: (depthM: number) => number
  depthM: number
  fishTopM: number
  fishBottomM: number
  lightAt: (depthM: number) => number
  units: Units
}>()

const bottomM = computed(() => Math.min(props.place.attributes.bottomDepthM, props.depthM))
const crownM = computed(() => coverTop(props.place))
/** Darkening of the water: a step for each halving of what light is left. */
const shades = computed(() => {
  const steps = 8
  return Array.from({ length: steps }, (_, i) => {
    const from = (i / steps) * bottomM.value
    return { y: props.y(from), height: props.y(((i + 1) / steps) * bottomM.value) - props.y(from), opacity: 0.05 + 0.3 * (1 - props.lightAt(from)) }
  })
})
/** Drawing of the cover, crown to bottom, around the bait's side of the picture. */
const cover = computed((): string[] => {
  const foot = props.y(bottomM.value)
  const top = props.y(Math.min(crownM.value, bottomM.value))
  const left = props.width * 0.54
  const right = props.width * 0.96
  const at = (share: number) => left + share * (right - left)
  const rise = foot - top
  switch (props.place.kind) {
    case 'brush':
    case 'timber': {
      const trunks = props.place.kind === 'brush' ? [0.14, 0.3, 0.44, 0.6, 0.76, 0.92] : [0.3, 0.78]
      return trunks.flatMap((share, i) => {
        const peak = top + rise * [0, 0.25, 0.08, 0.3, 0.12, 0.4][i]!
        const lean = (i % 2 ? -1 : 1) * 12
        const x = at(share)
        const branch = (t: number, side: number) => `M${x + lean * t},${foot + (peak - foot) * t} l${side * 22},${-rise * 0.12}`
        return [`M${x},${foot} L${x + lean},${peak}`, branch(0.55, 1), branch(0.7, -1), branch(0.85, 1)]
      })
    }
    case 'weedEdge':
    case 'reedStubble': {
      const tip = props.place.kind === 'reedStubble' ? props.y(0) - 10 : top
      return Array.from({ length: 11 }, (_, i) => `M${at(0.25 + i * 0.075)},${foot} C${at(0.25 + i * 0.075) - 10},${foot - (foot - tip) * 0.4} ${at(0.25 + i * 0.075) + 10},${foot - (foot - tip) * 0.7} ${at(0.25 + i * 0.075)},${tip + (i % 3) * 9}`)
    }
    case 'dock': {
      const deck = props.y(0) - 22
      return [`M${at(0.3)},${deck} H${props.width}`, `M${at(0.3)},${deck - 7} H${props.width}`, ...[0.36, 0.66, 0.96].map(s => `M${at(s)},${deck} V${foot}`)]
    }
    default:
      return []
  }
})
/** The bottom: level, or rising to the crown for a break, hump or point. */
const rises = computed(() => props.place.kind === 'breakEdge' || props.place.kind === 'hump')
const ground = computed(() => {
  const { width, height } = props
  const foot = props.y(bottomM.value)
  const top = props.y(Math.max(0, Math.min(crownM.value, bottomM.value)))
  const right = rises.value ? `L${width * 0.7},${foot} C${width * 0.86},${foot} ${width * 0.86},${top} ${width * 0.97},${top} L${width},${top}` : `C${width * 0.6},${foot - 5} ${width * 0.8},${foot + 4} ${width},${foot}`
  return `M0,${foot} L${width * 0.45},${foot} ${right} L${width},${height} L0,${height} Z`
})
const school = computed(() => {
  // Off a rise the fish hang over its deep side, not in the bank.
  const left = props.width * (rises.value ? 0.5 : 0.56)
  const width = props.width * (rises.value ? 0.26 : 0.4)
  const [top, bottom] = [props.y(props.fishTopM), props.y(Math.min(props.fishBottomM, bottomM.value))]
  const spots = [[0.12, 0.25], [0.3, 0.6], [0.47, 0.2], [0.58, 0.72], [0.75, 0.4], [0.9, 0.68], [0.2, 0.85]]
  return { left, width, top, height: Math.max(6, bottom - top), fish: spots.map(([a, b], i) => ({ x: left + a! * width, y: top + b! * (bottom - top), turned: i % 3 === 1 })) }
})
</script>

<template>
  <g>
    <rect
      v-for="(s, i) in shades"
      :key="i"
      x="0"
      :y="s.y"
      :width="width"
      :height="s.height"
      :opacity="s.opacity"
      class="water"
    />
    <path
      v-for="d in cover"
      :key="d"
      :d="d"
      class="cover"
    />
    <path
      :d="ground"
      class="ground"
    />
    <text
      x="14"
      :y="Math.min(y(bottomM) + 20, height - 6)"
      class="small"
    >
      bottom {{ formatDepth(place.attributes.bottomDepthM, units) }}{{ place.attributes.bottomDepthM > depthM ? ', below the picture' : '' }}
    </text>
    <rect
      :x="school.left"
      :y="school.top"
      :width="school.width"
      :height="school.height"
      class="school"
    />
    <g
      v-for="(f, i) in school.fish"
      :key="i"
      :transform="`translate(${f.x} ${f.y}) scale(${f.turned ? -1 : 1} 1)`"
    >
      <path
        d="M-13,0 C-9,-7 3,-8 9,0 C3,8 -9,7 -13,0 Z M8,0 L15,-5 L13,0 L15,5 Z M-6,-5.4 L0,-9 L5,-4.6 Z"
        class="fish"
      />
    </g>
    <text
      :x="school.left + school.width"
      :y="school.top + school.height + 18"
      class="label now"
      text-anchor="end"
    >
      fish {{ formatDepthBand(fishTopM, fishBottomM, units) }}
    </text>
  </g>
</template>

<style scoped>
.water { fill: var(--ink); shape-rendering: crispEdges; }
.ground { fill: var(--sand); stroke: var(--ink); stroke-width: 1.6; }
.cover { fill: none; stroke: var(--ink-2); stroke-width: 3.2; stroke-linecap: round; }
.school { fill: none; stroke: var(--now); stroke-width: 2; stroke-dasharray: 7 5; }
.fish { fill: var(--mark); opacity: 0.85; }
.small { font-size: 13.5px; fill: var(--ink); }
.label { font-size: 15px; font-weight: 700; paint-order: stroke; stroke: var(--paper); stroke-width: 4px; }
.now { fill: var(--now); }
</style>
