<script setup lang="ts" generic="T extends string">
/** A row of answers for a thumb; which of them hold is the caller's to say. */
defineProps<{ label: string, options: readonly { value: T, text: string }[], holds: (value: T) => boolean, /** the label stands before the answers, too */ shown?: boolean }>()
defineEmits<{ pick: [value: T] }>()
</script>

<template>
  <div
    class="chips"
    :class="{ shown }"
    role="group"
    :aria-label="label"
  >
    <span
      v-if="shown"
      class="quiet"
    >{{ label }}</span>
    <button
      v-for="o in options"
      :key="o.value"
      type="button"
      class="chip thumb"
      :aria-pressed="holds(o.value)"
      @click="$emit('pick', o.value)"
    >
      {{ o.text }}
    </button>
    <slot />
  </div>
</template>

<style scoped>
.shown { align-items: center; }
.shown .chip { flex: 1 1 0; padding: 6px; }
</style>
