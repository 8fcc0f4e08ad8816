<script setup lang="ts">
import type { LureMark } from '../../utils/lureMarks'

/** Depths or seconds along the way of the lure. */
defineProps<{ marks: readonly LureMark[], slack: boolean }>()
</script>

<template>
  <g>
    <g
      v-for="m in marks"
      :key="m.key"
    >
      <template v-if="m.x !== null">
        <line
          :x1="m.x - (slack ? 7 : 4)"
          :x2="m.x + (slack ? 0 : 4)"
          :y1="m.y"
          :y2="m.y"
        />
        <text
          :x="m.x - 12"
          :y="m.y + 5"
          text-anchor="end"
          :class="{ last: m.last }"
        >
          {{ m.text }}
        </text>
      </template>
    </g>
  </g>
</template>

<style scoped>
line { stroke: var(--ink); stroke-width: 1.6; }
text { font-size: 13.5px; fill: var(--ink); }
.last { font-size: 15px; font-weight: 700; fill: var(--now); paint-order: stroke; stroke: var(--paper); stroke-width: 4px; }
</style>
