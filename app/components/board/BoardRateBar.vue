<script setup lang="ts">
import type { PlaceScore } from '../../../core/place/scorePlace'

const props = defineProps<{ score: PlaceScore, most: number }>()
const at = (rate: number) => `${(100 * rate) / props.most}%`
const label = computed(() => `between ${props.score.ratePerHourLow.toFixed(1)} and ${props.score.ratePerHourHigh.toFixed(1)} fish an hour, four times in five`)
</script>

<template>
  <span
    class="bar"
    role="img"
    :aria-label="label"
    :title="label"
  >
    <i
      class="range"
      :style="{ left: at(score.ratePerHourLow), right: `calc(100% - ${at(score.ratePerHourHigh)})` }"
    />
    <i
      class="mean"
      :style="{ width: at(score.ratePerHour) }"
    />
  </span>
</template>

<style scoped>
.bar { position: relative; display: block; height: 9px; }
.bar i { position: absolute; display: block; }
.mean { left: 0; top: 2px; height: 5px; background: var(--mark); }
.range { top: 0; height: 9px; background: var(--mark-4); border-right: 2px solid var(--mark-2); border-left: 2px solid var(--mark-2); }
</style>
