<script setup lang="ts">
defineProps<{ label: string, modelValue: number, min: number, max: number, step: number, text: string, /** what follows from it, beside the label */ note?: string | null, thumb?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()
</script>

<template>
  <div :class="{ thumb }">
    <div class="head">
      <span>{{ label }}{{ note ? `, ${note}` : '' }}</span>
      <strong>{{ text }}</strong>
    </div>
    <v-slider
      :model-value="modelValue"
      :min="min"
      :max="max"
      :step="step"
      :aria-label="label"
      :aria-valuetext="note ? `${text}, ${note}` : text"
      :thumb-size="thumb ? 34 : 22"
      @update:model-value="emit('update:modelValue', $event)"
    />
  </div>
</template>

<style scoped>
.head { display: flex; justify-content: space-between; align-items: baseline; gap: 10px; font-size: 14.5px; color: var(--ink-2); }
.head strong { font-size: 18px; color: var(--ink); white-space: nowrap; }
.thumb .head strong { font-size: 24px; }
.thumb :deep(.v-slider__container) { min-height: 56px; }
</style>
