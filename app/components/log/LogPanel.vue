<script setup lang="ts">
/** A sheet of the stop that leaves the take and the undo in reach: it stands where the advice was. */
defineProps<{ title: string }>()
defineEmits<{ close: [] }>()
const host = useTemplateRef<HTMLElement>('host')
onMounted(() => host.value?.focus({ preventScroll: true }))
</script>

<template>
  <section
    ref="host"
    class="panel"
    role="dialog"
    tabindex="-1"
    :aria-label="title"
    @keydown.esc="$emit('close')"
  >
    <header>
      <h2>{{ title }}</h2>
      <button
        type="button"
        class="shut"
        aria-label="Close"
        @click="$emit('close')"
      >
        ✕
      </button>
    </header>
    <div class="scroll">
      <slot />
    </div>
    <footer v-if="$slots.foot">
      <slot name="foot" />
    </footer>
  </section>
</template>

<style scoped>
.panel { flex: 1; min-height: 0; display: flex; flex-direction: column; background: var(--sheet); border: 1.5px solid var(--ink); border-radius: 9px; outline: none; }
.scroll { flex: 1; min-height: 0; overflow-y: auto; display: flex; flex-direction: column; gap: 8px; padding: 0 12px 10px; }
footer { padding: 8px 12px; border-top: 1px solid var(--rule); }
header { display: flex; align-items: center; justify-content: space-between; gap: 8px; padding-left: 12px; }
h2 { font-size: 20px; }
.shut { font: inherit; font-size: 22px; width: 56px; height: 56px; background: none; border: 0; color: var(--ink); cursor: pointer; }
</style>
