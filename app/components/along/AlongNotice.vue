<script setup lang="ts">
/** What the device itself has to say: its store was cleared, or a newer version waits. */
const along = useAlong()
const { $pwa } = useNuxtApp()
const route = useRoute()
/** Never in the middle of a stop. */
const newer = computed(() => Boolean($pwa?.needRefresh) && !/^\/log\/./.test(route.path))
</script>

<template>
  <div
    v-if="along.cleared"
    class="notice tone-now"
    role="alert"
  >
    <span>{{ along.cleared }}</span>
    <button
      type="button"
      class="chip"
      @click="along.cleared = null"
    >
      Understood
    </button>
  </div>
  <div
    v-else-if="newer"
    class="notice"
    role="status"
  >
    <span>A newer version of Remous is here.</span>
    <button
      type="button"
      class="chip"
      @click="$pwa?.updateServiceWorker()"
    >
      Load it
    </button>
  </div>
</template>

<style scoped>
.notice { position: fixed; inset: 0 0 auto; z-index: 2000; display: flex; flex-wrap: wrap; align-items: center; gap: 8px 14px; padding: 8px 14px; font-size: 16px; font-weight: 650; background: var(--sheet); border-bottom: 1px solid var(--ink); }
</style>
