<script setup lang="ts">
/** The surface of the side view, rougher with more wind. */
const props = defineProps<{ width: number, surfaceY: number, windMS: number }>()
const LONG_PX = 54
const waves = computed(() => {
  const rise = Math.min(7, 1 + props.windMS * 0.8)
  return `M0,${props.surfaceY} ${`q${LONG_PX / 4},${-rise} ${LONG_PX / 2},0 t${LONG_PX / 2},0 `.repeat(Math.ceil(props.width / LONG_PX))}`
})
</script>

<template>
  <path
    :d="waves"
    class="surface"
  />
</template>

<style scoped>
.surface { fill: none; stroke: var(--ink); stroke-width: 2.2; }
</style>
