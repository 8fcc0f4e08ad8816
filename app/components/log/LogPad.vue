<script setup lang="ts">
import type { Sign } from '../../../core/school/entries'

/** The pad: one tap, one entry. While a sheet is open only the take stays, so that the next fish need not wait for it. */
defineProps<{ signs: { looks: number, follows: number, taps: number, presentations: number }, schools: number, boils: number, fish: number, short: boolean }>()
defineEmits<{ sign: [sign: Sign], school: [], boil: [], take: [] }>()
const SIGN_KEYS = [
  { sign: 'cast', tally: 'presentations', name: 'Cast', says: 'or drop' },
  { sign: 'look', tally: 'looks', name: 'Look', says: 'turned away' },
  { sign: 'follow', tally: 'follows', name: 'Follow', says: 'trailed it' },
  { sign: 'tap', tally: 'taps', name: 'Tap', says: 'felt, missed' },
] as const
</script>

<template>
  <section
    class="pad"
    :class="{ short }"
    aria-label="Log"
  >
    <template v-if="!short">
      <button
        v-for="k in SIGN_KEYS"
        :key="k.sign"
        type="button"
        class="key"
        :data-test="k.sign"
        @click="$emit('sign', k.sign)"
      >
        <span>{{ k.name }}</span><small>{{ k.says }}</small><b>{{ signs[k.tally] }}</b>
      </button>
      <button
        type="button"
        class="key"
        data-test="school"
        @click="$emit('school')"
      >
        <span>School</span><small>new, moved</small><b>{{ schools }}</b>
      </button>
      <button
        type="button"
        class="key"
        data-test="boil"
        @click="$emit('boil')"
      >
        <span>Boil</span><small>at the top</small><b>{{ boils }}</b>
      </button>
    </template>
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
.pad { flex: 0 0 auto; display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); grid-auto-rows: 66px; gap: 8px; }
@media (min-height: 740px) { .pad { grid-auto-rows: 72px; } }
@media (min-width: 800px) and (min-height: 740px) { .pad { grid-auto-rows: 96px; } }
.key { font: inherit; position: relative; text-align: left; background: var(--sheet); color: var(--ink); border: 2px solid var(--ink); border-radius: 9px; padding: 7px 9px; display: flex; flex-direction: column; justify-content: center; cursor: pointer; touch-action: manipulation; min-height: 64px; }
.key span { font-size: 20px; font-weight: 750; line-height: 1.2; }
.key small { font-size: 14px; color: var(--ink-2); white-space: nowrap; }
.key b { position: absolute; right: 9px; top: 7px; font-size: 22px; line-height: 1.1; color: var(--mark); }
.key:active { background: var(--what-if); }
.key.take { grid-column: 1 / -1; background: var(--ink); color: var(--sheet); }
.key.take span { font-size: 29px; }
.key.take small { color: var(--sheet); }
.key.take b { color: var(--sheet); font-size: 40px; top: auto; bottom: 8px; }
@media (max-width: 600px) {
  .key:not(.take) { justify-content: flex-start; }
  .key:not(.take) small { display: none; }
  .key:not(.take) b { top: auto; bottom: 7px; }
}
</style>
