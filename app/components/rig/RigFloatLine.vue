<script setup lang="ts">
import { line as d3line, curveNatural } from 'd3'
import { floatLine } from '../../../core/rig/floatSetting'
import type { RigAdvice } from '../../../core/rig/rigFor'
import { formatDepth, formatSetting, type Units } from '../../../core/units/format'

/** A float with its line as it hangs in the wind, set as advised and as it would hang without the shot. */
const props = defineProps<{
  rig: RigAdvice
  held: boolean
  windMS: number
  waterC: number
  lineDiameterM: number
  body: { lengthM: number, depthM: number, dragAreaM2?: number }
  tip: { x: number, y: number }
  /** where the bait hangs, px */
  baitX: number
  y: (depthM: number) => number
  pxPerM: number
  width: number
  units: Units
}>()

const stroke = d3line<{ x: number, y: number }>(p => p.x, p => p.y).curve(curveNatural)
const float = computed(() => {
  const { rig, y, pxPerM } = props
  const { set } = floatLine({
    baitDepthM: rig.baitDepthM, windMS: props.windMS, held: props.held, submergedN: rig.float.submergedN,
    dragAreaM2: props.body.dragAreaM2 ?? props.body.lengthM * props.body.depthM, lineDiameterM: props.lineDiameterM, waterTempC: props.waterC,
  })
  // Core measures against the wind; the picture's wind blows to the right.
  const x = props.baitX + set.offsetM * pxPerM
  const depth = Math.max(0.05, rig.baitDepthM - rig.float.bare.riseM)
  // Same line length, hung higher: the chord tells how far it swings out.
  const out = -Math.sqrt(Math.max(0, rig.baitDepthM ** 2 - depth ** 2)) * Math.sign(set.offsetM || 1)
  return {
    x, path: stroke(set.points.filter((_, i, all) => i % 4 === 0 || i === all.length - 1).map(p => ({ x: x - p.x * pxPerM, y: y(p.z) }))) ?? '',
    bare: rig.float.shotKg > 0 && rig.float.bare.riseM > 0.03 ? { x: x + out * pxPerM, y: y(depth), depth } : null,
    shot: { x: props.baitX - (props.baitX - x) * 0.06, y: y(rig.baitDepthM) - Math.min(26, (y(rig.baitDepthM) - y(0)) * 0.3) },
  }
})
</script>

<template>
  <g>
    <path
      :d="`M${tip.x},${tip.y} Q${(tip.x + float.x) / 2},${y(0) - (held ? 26 : 4)} ${float.x},${y(0) - 8}`"
      class="line"
    />
    <template v-if="float.bare">
      <line
        :x1="float.x"
        :x2="float.bare.x"
        :y1="y(0)"
        :y2="float.bare.y"
        class="bare"
      />
      <text
        :x="Math.min(float.x + 14, width - 120)"
        :y="float.bare.y + 5"
        class="label careful"
      >
        no shot: {{ formatDepth(float.bare.depth, units) }}
      </text>
    </template>
    <path
      :d="float.path"
      class="line heavy"
    />
    <circle
      v-if="rig.float.shotKg > 0"
      :cx="float.shot.x"
      :cy="float.shot.y"
      r="5"
      class="shot"
    />
    <ellipse
      :cx="float.x"
      :cy="y(0) - 4"
      rx="7"
      ry="17"
      class="float"
    />
    <rect
      :x="float.x - 7"
      :y="y(0) - 7"
      width="14"
      height="7"
      class="float-band"
    />
    <text
      :x="baitX - 14"
      :y="y(rig.baitDepthM) + 5"
      text-anchor="end"
      class="label now"
    >
      stop {{ formatSetting(rig.float.setting.stopLengthM, units) }}
    </text>
  </g>
</template>

<style scoped>
.line { fill: none; stroke: var(--ink); stroke-width: 1.4; }
.line.heavy { stroke-width: 2; }
.bare { stroke: var(--careful); stroke-width: 2; stroke-dasharray: 5 5; }
.float { fill: var(--sheet); stroke: var(--ink); stroke-width: 2; }
.float-band { fill: var(--now); }
.shot { fill: var(--ink); }
.label { font-size: 15px; font-weight: 700; fill: var(--ink); paint-order: stroke; stroke: var(--paper); stroke-width: 4px; }
.label.now { fill: var(--now); }
.label.careful { fill: var(--careful); }
</style>
