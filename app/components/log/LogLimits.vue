<script setup lang="ts">
import { countLimits, limitText } from '../../../core/fish/limits'

/** One line for each rule that has something to say: one before the bag, at it, over it. */
const session = useSession()
const journal = useJournal()
const lines = computed(() => countLimits({ rules: session.angler?.limits ?? [], fish: journal.trip?.fish ?? [] }).flatMap((count) => {
  const text = limitText(count, session.units)
  return text === null ? [] : [{ text, now: count.state === 'full' || count.state === 'over' || count.wrongSize.length > 0 }]
}))
</script>

<template>
  <div
    v-if="lines.length > 0"
    class="limits"
    role="status"
    data-test="limits"
  >
    <ul>
      <li
        v-for="l in lines"
        :key="l.text"
        :class="l.now ? 'tone-now' : 'tone-careful'"
      >
        {{ l.text }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.limits { padding: 6px 4px; border-top: 1px solid var(--rule); }
li { font-size: 16px; line-height: 1.4; }
</style>
