<script setup lang="ts">
import type { StayWords } from '../../../core/school/stayText'

/** The thing to know just now: one headline, one sentence, the reasons on a tap; it can be told to be quiet for this stop. */
defineProps<{ words: StayWords | null, fallback: { headline: string, text: string } }>()
const quiet = defineModel<boolean>('quiet', { required: true })
</script>

<template>
  <section
    class="say"
    aria-live="polite"
    data-test="stay"
  >
    <template v-if="words && !quiet">
      <h2 class="tone-now">
        {{ words.headline }}
      </h2>
      <p>{{ words.text }}</p>
      <details>
        <summary>Why</summary>
        <ul>
          <li
            v-for="line in words.more"
            :key="line"
          >
            {{ line }}
          </li>
          <li>{{ fallback.text }}</li>
        </ul>
        <button
          type="button"
          class="hush"
          @click="quiet = true"
        >
          Say no more at this stop
        </button>
      </details>
    </template>
    <template v-else>
      <h2 class="tone-now">
        {{ fallback.headline }}
      </h2>
      <p>{{ fallback.text }}</p>
      <button
        v-if="quiet"
        type="button"
        class="hush"
        @click="quiet = false"
      >
        Speak again
      </button>
    </template>
  </section>
</template>

<style scoped>
.say { padding: 2px 4px 4px; }
.say p { font-size: 16px; line-height: 1.4; }
summary { min-height: 40px; display: flex; align-items: center; font-size: 15px; font-weight: 650; cursor: pointer; text-decoration: underline; text-underline-offset: 3px; }
li { font-size: 15px; line-height: 1.4; padding: 3px 0; border-top: 1px solid var(--rule); }
.hush { font: inherit; font-size: 15px; min-height: 56px; color: var(--ink); background: none; border: 0; text-decoration: underline; text-underline-offset: 3px; cursor: pointer; }
</style>
