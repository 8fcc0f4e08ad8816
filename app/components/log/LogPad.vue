<script setup lang="ts">
import type { Sign } from '../../../core/school/entries'

defineProps<{ signs: { looks: number, follows: number, taps: number }, schools: number, fish: number }>()
defineEmits<{ sign: [sign: Sign], school: [], take: [] }>()
</script>

<template>
  <section
    class="pad"
    aria-label="Log"
  >
    <button
      type="button"
      class="key"
      data-test="look"
      @click="$emit('sign', 'look')"
    >
      <span>Look</span><small>came, turned away</small><b>{{ signs.looks }}</b>
    </button>
    <button
      type="button"
      class="key"
      data-test="follow"
      @click="$emit('sign', 'follow')"
    >
      <span>Follow</span><small>trailed it</small><b>{{ signs.follows }}</b>
    </button>
    <button
      type="button"
      class="key"
      data-test="tap"
      @click="$emit('sign', 'tap')"
    >
      <span>Tap</span><small>felt, missed</small><b>{{ signs.taps }}</b>
    </button>
    <button
      type="button"
      class="key"
      data-test="school"
      @click="$emit('school')"
    >
      <span>School</span><small>new, or moved</small><b>{{ schools }}</b>
    </button>
    <button
      type="button"
      class="key take"
      data-test="take"
      @click="$emit('take')"
    >
      <span>Take</span><small>fish on; details can wait</small><b>{{ fish }}</b>
    </button>
  </section>
</template>

<style scoped>
.pad { flex: 1; display: grid; grid-template-columns: 1fr 1fr; grid-auto-rows: minmax(64px, 1fr); gap: 9px; min-height: 260px; }
.key { font: inherit; position: relative; text-align: left; background: var(--sheet); color: var(--ink); border: 2px solid var(--ink); border-radius: 9px; padding: 8px 12px; display: flex; flex-direction: column; justify-content: center; cursor: pointer; touch-action: manipulation; min-height: 64px; }
.key span { font-size: 21px; font-weight: 750; line-height: 1.2; }
.key small { font-size: 14px; color: var(--ink-2); }
.key b { position: absolute; right: 12px; bottom: 8px; font-size: 25px; line-height: 1; color: var(--mark); }
.key:active { background: var(--what-if); }
.key.take { grid-column: 1 / 3; background: var(--ink); color: var(--sheet); }
.key.take span { font-size: 29px; }
.key.take small { color: var(--sheet); }
.key.take b { color: var(--sheet); font-size: 40px; }
</style>
