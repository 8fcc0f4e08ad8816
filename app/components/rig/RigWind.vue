<script setup lang="ts">
import { formatWind, type Units } from '../../../core/units/format'

/** The wind as an arrow over the water, as long as it is strong; its point is taken hold of. */
const props = defineProps<{ windMS: number, mostMS: number, width: number, units: Units }>()
const emit = defineEmits<{ take: [], move: [moreMS: number], drop: [] }>()

const PX_PER_MS = 11
/** An arrow that can still be held when the air stands still, px. */
const SHORTEST = 14
const MARGIN = 74
const STEP_MS = 0.44704
const from = computed(() => props.width - MARGIN - props.mostMS * PX_PER_MS)
const tip = computed(() => from.value + SHORTEST + props.windMS * PX_PER_MS)
function step(right: number, up: number) {
  emit('move', (right || up) * STEP_MS)
  emit('drop')
}
</script>

<template>
  <RigGrip
    label="wind in the drawing"
    :value="windMS"
    :least="0"
    :most="mostMS"
    :text="formatWind(windMS, units)"
    :x="tip"
    :y="28"
    data-test="grip-wind"
    @take="emit('take')"
    @drag="dx => emit('move', dx / PX_PER_MS)"
    @drop="emit('drop')"
    @step="step"
  >
    <line
      :x1="from"
      :x2="tip"
      y1="28"
      y2="28"
    />
    <path :d="`M${tip - 10},22 L${tip},28 L${tip - 10},34`" />
    <text
      :x="from"
      y="52"
    >
      wind {{ formatWind(windMS, units) }}
    </text>
  </RigGrip>
</template>

<style scoped>
line, path { stroke: var(--ink); stroke-width: 2; fill: none; }
text { font-size: 13.5px; fill: var(--ink); }
</style>
