<script setup lang="ts">
defineProps<{ label: string, whatIf?: boolean }>()
defineEmits<{ forget: [] }>()
const open = ref(false)
</script>

<template>
  <v-menu
    v-model="open"
    :close-on-content-click="false"
    location="bottom start"
    :offset="4"
  >
    <template #activator="{ props }">
      <button
        v-bind="props"
        type="button"
        class="menu-face"
        :class="{ supposed: whatIf }"
        :aria-label="label"
      >
        <slot name="face" />
      </button>
    </template>
    <div class="sheet menu-body">
      <slot :close="() => { open = false }" />
      <button
        v-if="whatIf"
        type="button"
        class="back"
        @click="$emit('forget')"
      >
        Back to the reading
      </button>
    </div>
  </v-menu>
</template>

<style scoped>
.menu-face {
  font: inherit; color: var(--ink); text-align: left; background: none; border: 0; border-right: 1px solid var(--rule);
  padding: 8px 15px 6px; display: flex; flex-direction: column; cursor: pointer; min-width: 0;
}
.menu-face:hover { background: var(--paper); }
.menu-face.supposed { background: var(--what-if); }
.menu-face.supposed :deep(.small) { color: var(--now); font-weight: 650; }
.menu-body { padding: 16px 18px; width: min(340px, 92vw); max-height: calc(100dvh - 28px); overflow-y: auto; display: flex; flex-direction: column; gap: 14px; }
.back { font: inherit; align-self: flex-start; font-weight: 650; color: var(--now); background: none; border: 0; text-decoration: underline; text-underline-offset: 3px; padding: 6px 0; cursor: pointer; }
</style>
