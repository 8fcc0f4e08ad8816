<script setup lang="ts">
import { line as d3line, curveNatural, scaleLinear } from 'd3'
import { coverTop, type Place } from '../../../core/place/kinds'
import { fallTime } from '../../../core/rig/fallTime'
import { floatLine } from '../../../core/rig/floatSetting'
import { jig } from '../../../core/rig/jig'
import type { RigAdvice } from '../../../core/rig/rigFor'
import { depthUnitM, formatDepth, formatDepthBand, formatSeconds, formatSetting, formatWind, type Units } from '../../../core/units/format'

const props = defineProps<{
  place: Place
  rig: RigAdvice
  how: 'castJig' | 'slipFloat'
  held: boolean
  depthM: number
  headroom: number
  fishTopM: number
  fishBottomM: number
  windMS: number
  waterC: number
  lineDiameterM: number
  body: { lengthM: number, depthM: number, dragAreaM2?: number }
  lightAt: (depthM: number) => number
  units: Units
}>()

const FOOT = 12
const host = ref<HTMLElement | null>(null)
const size = ref({ width: 640, height: 700 })
let observer: ResizeObserver | undefined
onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    size.value = { width: Math.max(280, entry!.contentRect.width), height: Math.max(240, entry!.contentRect.height) }
  })
  observer.observe(host.value!)
})
onBeforeUnmount(() => observer?.disconnect())

const y = computed(() => scaleLinear([0, props.depthM], [props.headroom, size.value.height - FOOT]))
/** One scale both ways: the drawing is not stretched. */
const pxPerM = computed(() => y.value(1) - y.value(0))
const baitX = computed(() => size.value.width * 0.6)
const bottomM = computed(() => Math.min(props.place.attributes.bottomDepthM, props.depthM))
const crownM = computed(() => coverTop(props.place))
const stroke = d3line<{ x: number, y: number }>(p => p.x, p => p.y).curve(curveNatural)

/** Darkening of the water: a step for each halving of what light is left. */
const shades = computed(() => {
  const steps = 8
  return Array.from({ length: steps }, (_, i) => {
    const from = (i / steps) * bottomM.value
    return { y: y.value(from), height: y.value(((i + 1) / steps) * bottomM.value) - y.value(from), opacity: 0.05 + 0.3 * (1 - props.lightAt(from)) }
  })
})

const hung = computed(() => floatLine({
  baitDepthM: props.rig.baitDepthM, windMS: props.windMS, held: props.held, submergedN: props.rig.float.submergedN,
  dragAreaM2: props.body.dragAreaM2 ?? props.body.lengthM * props.body.depthM, lineDiameterM: props.lineDiameterM, waterTempC: props.waterC,
}))
const bareRise = computed(() => props.rig.float.bare.riseM)
/** Under the float: it stands so that the bait comes to hang at baitX. */
const floatX = computed(() => baitX.value - hung.value.set.offsetM * pxPerM.value)
const floatPath = computed(() => stroke(hung.value.set.points.filter((_, i, all) => i % 4 === 0 || i === all.length - 1)
  .map(p => ({ x: floatX.value + p.x * pxPerM.value, y: y.value(p.z) }))) ?? '')
const bait = computed(() => ({ x: baitX.value, y: y.value(props.rig.baitDepthM) }))
const bareBait = computed(() => {
  const riseM = bareRise.value
  const depth = Math.max(0.05, props.rig.baitDepthM - riseM)
  // Same line length, hung higher: the chord tells how far it swings out.
  const out = Math.sqrt(Math.max(0, props.rig.baitDepthM ** 2 - depth ** 2)) * Math.sign(hung.value.set.offsetM || 1)
  return { x: floatX.value + out * pxPerM.value, y: y.value(depth), depth }
})

/** The count by depth on slack line, a mark for each two feet or half metre. */
const counts = computed(() => {
  const lure = jig({ headMassKg: props.rig.tie.massKg, body: props.body })
  const every = props.units === 'us' ? 2 * depthUnitM('us') : 0.5
  const depths = Array.from({ length: Math.floor((props.rig.baitDepthM - 0.2) / every) }, (_, i) => (i + 1) * every)
  return [...depths, props.rig.baitDepthM].map(depthM => ({
    depthM, last: depthM === props.rig.baitDepthM,
    seconds: fallTime({ ...lure, lineDiameterM: props.lineDiameterM, depthM, waterTempC: props.waterC }).seconds,
  }))
})
const rodTip = computed(() => ({ x: size.value.width * 0.27, y: props.headroom - 62 }))

/** Drawing of the cover, crown to bottom, around the bait's side of the picture. */
const cover = computed((): string[] => {
  const foot = y.value(bottomM.value)
  const top = y.value(Math.min(crownM.value, bottomM.value))
  const left = size.value.width * 0.5
  const right = size.value.width * 0.94
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
      const tip = props.place.kind === 'reedStubble' ? y.value(0) - 10 : top
      return Array.from({ length: 11 }, (_, i) => `M${at(0.25 + i * 0.075)},${foot} C${at(0.25 + i * 0.075) - 10},${foot - (foot - tip) * 0.4} ${at(0.25 + i * 0.075) + 10},${foot - (foot - tip) * 0.7} ${at(0.25 + i * 0.075)},${tip + (i % 3) * 9}`)
    }
    case 'dock': {
      const deck = y.value(0) - 22
      return [`M${at(0.3)},${deck} H${size.value.width}`, `M${at(0.3)},${deck - 7} H${size.value.width}`, ...[0.36, 0.66, 0.96].map(s => `M${at(s)},${deck} V${foot}`)]
    }
    default:
      return []
  }
})
/** The bottom: level, or rising to the crown for a break, hump or point. */
const rises = computed(() => props.place.kind === 'breakEdge' || props.place.kind === 'hump')
const ground = computed(() => {
  const { width, height } = size.value
  const foot = y.value(bottomM.value)
  const top = y.value(Math.max(0, Math.min(crownM.value, bottomM.value)))
  const right = rises.value ? `L${width * 0.66},${foot} C${width * 0.84},${foot} ${width * 0.84},${top} ${width * 0.96},${top} L${width},${top}` : `C${width * 0.6},${foot - 5} ${width * 0.8},${foot + 4} ${width},${foot}`
  return `M0,${foot} L${width * 0.45},${foot} ${right} L${width},${height} L0,${height} Z`
})
const school = computed(() => {
  // Off a rise the fish hang over its deep side, not in the bank.
  const left = size.value.width * (rises.value ? 0.42 : 0.52)
  const width = size.value.width * (rises.value ? 0.3 : 0.4)
  const [top, bottom] = [y.value(props.fishTopM), y.value(Math.min(props.fishBottomM, bottomM.value))]
  const spots = [[0.12, 0.25], [0.3, 0.6], [0.47, 0.2], [0.58, 0.72], [0.75, 0.4], [0.9, 0.68], [0.2, 0.85]]
  return { left, width, top, height: Math.max(6, bottom - top), fish: spots.map(([a, b], i) => ({ x: left + a! * width, y: top + b! * (bottom - top), turned: i % 3 === 1 })) }
})
const waves = computed(() => {
  const rise = Math.min(7, 1 + props.windMS * 0.8)
  const surface = y.value(0)
  const long = 54
  let d = `M0,${surface}`
  for (let x = 0; x < size.value.width; x += long) d += ` q${long / 4},${-rise} ${long / 2},0 t${long / 2},0`
  return d
})
const windArrow = computed(() => ({ x: size.value.width - 40, length: Math.min(130, 16 + props.windMS * 11) }))
const said = computed(() => (props.how === 'castJig'
  ? `Side view to scale: the jig falls to ${formatDepth(props.rig.baitDepthM, props.units)} in ${formatSeconds(props.rig.tie.fallS)}, over fish at ${formatDepthBand(props.fishTopM, props.fishBottomM, props.units)}.`
  : `Side view to scale: under the float the bait hangs at ${formatDepth(props.rig.baitDepthM, props.units)} with the stop at ${formatSetting(props.rig.float.setting.stopLengthM, props.units)}, over fish at ${formatDepthBand(props.fishTopM, props.fishBottomM, props.units)}.`))
</script>

<template>
  <div
    ref="host"
    class="drawing"
  >
    <svg
      :width="size.width"
      :height="size.height"
      role="img"
      :aria-label="said"
    >
      <rect
        v-for="(s, i) in shades"
        :key="i"
        x="0"
        :y="s.y"
        :width="size.width"
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
        :y="Math.min(y(bottomM) + 20, size.height - 6)"
        class="small"
      >bottom {{ formatDepth(place.attributes.bottomDepthM, units) }}{{ place.attributes.bottomDepthM > depthM ? ', below the picture' : '' }}</text>

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
      >fish {{ formatDepthBand(fishTopM, fishBottomM, units) }}</text>

      <path
        :d="waves"
        class="surface"
      />
      <path
        :d="`M${rodTip.x - 130},${headroom - 20} l8,26 h104 l12,-26 Z`"
        class="boat"
      />
      <path
        :d="`M${rodTip.x - 70},${headroom - 26} Q${rodTip.x - 20},${headroom - 52} ${rodTip.x},${rodTip.y}`"
        class="rod"
      />

      <template v-if="how === 'castJig'">
        <path
          :d="`M${rodTip.x},${rodTip.y} Q${(rodTip.x + baitX) / 2 + 20},${headroom + 4} ${baitX},${y(0)} L${baitX},${bait.y}`"
          class="line"
        />
        <g
          v-for="c in counts"
          :key="c.depthM"
        >
          <line
            :x1="baitX - 7"
            :x2="baitX"
            :y1="y(c.depthM)"
            :y2="y(c.depthM)"
            class="mark"
          />
          <text
            :x="baitX - 12"
            :y="y(c.depthM) + 5"
            text-anchor="end"
            :class="c.last ? 'label now' : 'small'"
          >{{ formatSeconds(c.seconds) }}<template v-if="c.last"> to {{ formatDepth(c.depthM, units) }}</template></text>
        </g>
      </template>
      <template v-else>
        <path
          :d="`M${rodTip.x},${rodTip.y} Q${(rodTip.x + floatX) / 2},${headroom - (held ? 26 : 4)} ${floatX},${y(0) - 8}`"
          class="line"
        />
        <template v-if="rig.float.shotKg > 0 && bareRise > 0.03">
          <line
            :x1="floatX"
            :x2="bareBait.x"
            :y1="y(0)"
            :y2="bareBait.y"
            class="bare"
          />
          <text
            :x="Math.min(bareBait.x + 10, size.width - 6)"
            :y="bareBait.y - 8"
            class="label careful"
            :text-anchor="bareBait.x > size.width - 170 ? 'end' : 'start'"
          >without the shot: {{ formatDepth(bareBait.depth, units) }}</text>
        </template>
        <path
          :d="floatPath"
          class="line heavy"
        />
        <circle
          v-if="rig.float.shotKg > 0"
          :cx="baitX - (baitX - floatX) * 0.06"
          :cy="bait.y - Math.min(26, (bait.y - y(0)) * 0.3)"
          r="5"
          class="shot"
        />
        <ellipse
          :cx="floatX"
          :cy="y(0) - 4"
          rx="7"
          ry="17"
          class="float"
        />
        <rect
          :x="floatX - 7"
          :y="y(0) - 7"
          width="14"
          height="7"
          class="float-band"
        />
        <text
          :x="bait.x - 14"
          :y="bait.y + 5"
          text-anchor="end"
          class="label now"
        >stop {{ formatSetting(rig.float.setting.stopLengthM, units) }}</text>
      </template>
      <path
        :d="`M${bait.x},${bait.y} m0,-4 q9,1 12,12`"
        class="lure"
      />
      <circle
        :cx="bait.x"
        :cy="bait.y - 3"
        r="4.5"
        class="head"
      />

      <g class="wind">
        <line
          :x1="windArrow.x - windArrow.length"
          :x2="windArrow.x"
          y1="30"
          y2="30"
        />
        <path :d="`M${windArrow.x - 10},24 L${windArrow.x},30 L${windArrow.x - 10},36`" />
        <text
          :x="windArrow.x"
          y="54"
          text-anchor="end"
          class="small"
        >wind {{ formatWind(windMS, units) }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.drawing { height: 100%; min-height: 0; overflow: hidden; }
svg { display: block; }
.water { fill: var(--ink); shape-rendering: crispEdges; }
.ground { fill: var(--sand); stroke: var(--ink); stroke-width: 1.6; }
.cover { fill: none; stroke: var(--ink-2); stroke-width: 3.2; stroke-linecap: round; }
.school { fill: none; stroke: var(--now); stroke-width: 2; stroke-dasharray: 7 5; }
.fish { fill: var(--mark); opacity: 0.85; }
.surface { fill: none; stroke: var(--ink); stroke-width: 2.2; }
.boat { fill: var(--sheet); stroke: var(--ink); stroke-width: 2.2; }
.rod { fill: none; stroke: var(--ink); stroke-width: 3; }
.line { fill: none; stroke: var(--ink); stroke-width: 1.4; }
.line.heavy { stroke-width: 2; }
.bare { stroke: var(--careful); stroke-width: 2; stroke-dasharray: 5 5; }
.mark { stroke: var(--ink); stroke-width: 1.6; }
.float { fill: var(--sheet); stroke: var(--ink); stroke-width: 2; }
.float-band { fill: var(--now); }
.shot, .head { fill: var(--ink); }
.lure { fill: none; stroke: var(--now); stroke-width: 6; stroke-linecap: round; }
.wind line, .wind path { stroke: var(--ink); stroke-width: 2; fill: none; }
.small { font-size: 13.5px; fill: var(--ink); }
.label { font-size: 15px; font-weight: 700; paint-order: stroke; stroke: var(--paper); stroke-width: 4px; }
.now { fill: var(--now); }
.careful { fill: var(--careful); }
</style>
