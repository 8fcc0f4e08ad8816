<script setup lang="ts">
import { WAYS, type Way } from '../../../core/rig/motionText'
import type { RigScene } from '../../../core/rig/tieOn'
import { formatSpeed, type Units } from '../../../core/units/format'

/** Under the drawing: how the lure comes down, to be chosen and played, and what it does in a sentence. */
defineProps<{ mode: RigScene['mode'], way: Way, reelMS: number, words: string, playing: boolean, units: Units }>()
const emit = defineEmits<{ way: [way: Way], reel: [speedMS: number], play: [], stop: [] }>()
const NAMES: Record<Way, string> = { slack: 'slack line', tight: 'tight line', wound: 'wind it in' }
</script>

<template>
  <div class="strip">
    <div
      v-if="mode === 'cast'"
      class="chips"
      role="group"
      aria-label="how it comes down"
    >
      <button
        v-for="w in WAYS"
        :key="w"
        type="button"
        class="chip"
        :aria-pressed="way === w"
        @click="emit('way', w)"
      >
        {{ NAMES[w] }}
      </button>
    </div>
    <label
      v-if="mode === 'cast' && way === 'wound'"
      class="reel"
    >
      <span class="quiet">wound at {{ formatSpeed(reelMS, units) }}</span>
      <input
        type="range"
        min="0.03"
        max="1.6"
        step="0.01"
        :value="reelMS"
        aria-label="winding speed"
        @input="emit('reel', Number(($event.target as HTMLInputElement).value))"
      >
    </label>
    <button
      v-if="mode === 'cast' || mode === 'swim'"
      type="button"
      class="chip play"
      data-test="play"
      @click="playing ? emit('stop') : emit('play')"
    >
      {{ playing ? 'Back' : 'Let it go' }}
    </button>
    <slot />
    <p
      aria-live="polite"
      data-test="motion"
    >
      <span class="alone">{{ words }}</span>
    </p>
  </div>
</template>

<style scoped>
.strip { grid-column: 1 / 3; display: flex; flex-wrap: wrap; align-items: center; gap: 8px 12px; padding: 8px 14px; min-height: 58px; background: var(--sheet); border-top: 1px solid var(--ink); }
/* Room for two lines always: a drawing that changes its height with the words would slip from under the hand. Contained, the words cost the page no layout. */
p { flex: 1 1 100%; font-size: 15px; line-height: 1.35; height: 2.7em; position: relative; }
.alone { position: absolute; inset: 0; contain: strict; }
.reel { display: flex; flex-direction: column; width: 150px; }
.reel input { accent-color: var(--ink); }
.play { font-weight: 700; }
@media (max-width: 700px) { .strip { grid-column: 1; } p { height: auto; min-height: 5.4em; } .alone { position: static; contain: none; } }
</style>
