<script setup lang="ts">
defineProps<{ title: string }>()
const emit = defineEmits<{ close: [] }>()
const open = ref(true)
watch(open, (value) => {
  if (!value) emit('close')
})
</script>

<template>
  <v-bottom-sheet
    v-model="open"
    :aria-label="title"
  >
    <div
      class="sheet boat-sheet body"
      role="dialog"
      :aria-label="title"
    >
      <h2>{{ title }}</h2>
      <slot />
    </div>
  </v-bottom-sheet>
</template>

<style scoped>
.body { padding: 14px 16px 16px; display: flex; flex-direction: column; gap: 12px; width: min(560px, 100%); margin: 0 auto; border-bottom: 0; border-radius: 12px 12px 0 0; max-height: 92dvh; overflow-y: auto; }
</style>
