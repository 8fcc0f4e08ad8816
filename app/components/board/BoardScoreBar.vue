<script setup lang="ts">
import type { PlaceScore } from '../../../core/place/scorePlace'

const props = defineProps<{ score: PlaceScore, share: number }>()
const SHOWN = ['depth', 'structure', 'wind', 'record'] as const
const SHADES = ['var(--mark)', 'var(--mark-2)', 'var(--mark-3)', 'var(--mark-4)']

/** The bar's length is the rate; its parts show which factors carry it. */
const parts = computed(() => {
  const values = SHOWN.map(key => props.score.factors.find(f => f.key === key)?.value ?? 0)
  const total = values.reduce((a, b) => a + b, 0) || 1
  return values.map((value, i) => ({ key: SHOWN[i]!, width: `${(100 * props.share * value) / total}%`, shade: SHADES[i]! }))
})
</script>

<template>
  <span
    class="bar"
    aria-hidden="true"
  >
    <i
      v-for="part in parts"
      :key="part.key"
      :style="{ width: part.width, background: part.shade }"
    />
  </span>
</template>

<style scoped>
.bar { display: flex; gap: 2px; height: 7px; }
.bar i { display: block; height: 100%; min-width: 2px; }
</style>
