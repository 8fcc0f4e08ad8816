<script setup lang="ts">
import type { Rung } from '../../../core/rig/ladder'

/** The ladder that was agreed on at the bench, at hand on the water: one tap ties a rung on. */
const props = defineProps<{ rungs: readonly Rung[], /** rung that is on; 'on': as tied on first */ on: string, next: { id: string, best: number } | null }>()
defineEmits<{ tie: [rung: Rung] }>()
const first = computed(() => props.rungs.find(r => r.id === props.next?.id) ?? props.rungs.find(r => r.id !== props.on) ?? props.rungs[0]!)
</script>

<template>
  <details
    class="ladder"
    data-test="log-ladder"
  >
    <summary>
      <span class="quiet">your ladder, next</span>
      <strong>{{ first.change }}: {{ first.to }}</strong>
    </summary>
    <ol>
      <li
        v-for="(rung, i) in rungs"
        :key="rung.id"
      >
        <button
          type="button"
          :aria-pressed="rung.id === on"
          @click="$emit('tie', rung)"
        >
          <span class="rank">{{ i + 1 }}</span>
          <span><strong>{{ rung.change }}: {{ rung.to }}</strong><span class="quiet">{{ rung.id === on ? 'on now' : rung.id === next?.id ? `next, ${Math.round(next.best * 100)} % to be the best` : `${rung.presentations} casts` }}</span></span>
        </button>
      </li>
    </ol>
  </details>
</template>

<style scoped>
.ladder { border-bottom: 1px solid var(--rule); }
summary { min-height: 56px; display: flex; flex-direction: column; justify-content: center; padding: 4px; cursor: pointer; }
summary strong { font-size: 17px; }
.quiet { font-size: 14px; }
li { border-top: 1px solid var(--rule); }
li button { font: inherit; font-size: 17px; color: inherit; text-align: left; width: 100%; min-height: 56px; display: grid; grid-template-columns: 32px 1fr; align-items: center; padding: 6px 4px; background: none; border: 0; cursor: pointer; }
li button[aria-pressed='true'] { background: var(--tab); }
li .quiet { display: block; }
.rank { font-weight: 750; color: var(--mark); }
</style>
