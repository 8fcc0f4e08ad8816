<script setup lang="ts">
import type { Caution } from '../../../core/day/cautions'

defineProps<{ cautions: readonly Caution[] }>()
</script>

<template>
  <div
    v-if="cautions.length > 0"
    class="cautions"
    role="status"
    data-test="cautions"
  >
    <ul>
      <li
        v-for="c in cautions"
        :key="c.key"
        :class="`tone-${c.tone}`"
      >
        {{ c.text }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.cautions { padding: 2px 4px; }
li { font-size: 16px; line-height: 1.35; font-weight: 600; padding: 4px 0 4px 10px; border-left: 3px solid currentcolor; margin: 3px 0; }
</style>
