<script setup lang="ts">
import type { LineShapeResult } from '../../../core/rig/lineShape'
import type { RigScene } from '../../../core/rig/tieOn'
import { formatSmall, formatWeight, type Units } from '../../../core/units/format'
import { strokes, type RigPlane } from '../../utils/rigPlane'

/** A weight on the ground with its hooks above it, on the line's true curve. */
const props = defineProps<{ scene: Extract<RigScene, { mode: 'bottom' }>, line: LineShapeResult, plane: RigPlane, y: (depthM: number) => number, rodTipM: number, units: Units }>()

const hooks = computed(() => props.scene.hooksUpM.map((up) => {
  const p = [...props.line.points].reverse().find(q => props.scene.depthM - q.z >= up) ?? props.line.points[0]!
  return { x: props.plane.x(p.x) ?? props.plane.baitX, y: props.y(p.z), text: formatSmall(up, props.units) }
}))
const d = computed(() => strokes([{ x: 0, z: -props.rodTipM }, ...props.line.points], props.plane, props.y))
</script>

<template>
  <g>
    <path
      :d="d"
      class="line"
    />
    <path
      :d="`M${plane.baitX - 5},${y(scene.depthM) - 13} h10 l3,13 h-16 Z`"
      class="weight"
    />
    <text
      :x="plane.baitX - 16"
      :y="y(scene.depthM) - 4"
      text-anchor="end"
      class="label"
    >
      {{ formatWeight(scene.massKg, units) }}
    </text>
    <g
      v-for="h in hooks"
      :key="h.text"
    >
      <path
        :d="`M${h.x},${h.y} h12 v7 a4,4 0 0 1 -8,0`"
        class="hook"
      />
      <text
        :x="h.x + 18"
        :y="h.y + 5"
        class="small"
      >
        {{ h.text }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.line, .hook { fill: none; stroke: var(--ink); stroke-width: 2; }
.weight { fill: var(--ink); }
.small { font-size: 13.5px; fill: var(--ink); }
.label { font-size: 15px; font-weight: 700; fill: var(--now); paint-order: stroke; stroke: var(--paper); stroke-width: 4px; }
</style>
