<script setup lang="ts">
const props = defineProps<{ rate: number, low: number, high: number, most: number }>()
const at = (rate: number) => `${(100 * rate) / props.most}%`
const label = computed(() => `between ${props.low.toFixed(1)} and ${props.high.toFixed(1)} fish an hour, four times in five`)
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
      :style="{ left: at(low), right: `calc(100% - ${at(high)})` }"
    />
    <i
      class="mean"
      :style="{ width: at(rate) }"
    />
  </span>
</template>

<style scoped>
.bar { position: relative; display: block; height: 9px; }
.bar i { position: absolute; display: block; }
.mean { left: 0; top: 2px; height: 5px; background: var(--mark); }
.range { top: 0; height: 9px; background: var(--mark-4); border-right: 2px solid var(--mark-2); border-left: 2px solid var(--mark-2); }
</style>
