<script setup lang="ts">
import { schoolViews, type SchoolKey } from '../../../core/rig/schools'

/** A question on which practitioners disagree: what is gone by here, and the other view one tap away. */
const props = defineProps<{ question: SchoolKey }>()
const session = useSession()
const problem = ref<string | null>(null)
const views = computed(() => schoolViews(props.question, session.schools))

async function change() {
  try {
    await session.set({ schools: { [props.question]: views.value.other.id } })
    problem.value = null
  }
  catch (error) {
    problem.value = `Not saved: ${error instanceof Error ? error.message : String(error)}`
  }
}
</script>

<template>
  <p
    class="school"
    :data-test="`school-${question}`"
  >
    {{ views.question }}: {{ views.here.says }}.
    <button
      type="button"
      :title="views.other.says"
      @click="change"
    >
      The other view: {{ views.other.says }}
    </button>
    <span
      v-if="problem"
      role="alert"
      class="tone-now"
    >{{ problem }}</span>
  </p>
</template>

<style scoped>
.school { font-size: 14px; line-height: 1.4; color: var(--ink-2); }
button { font: inherit; color: var(--ink); background: none; border: 0; padding: 4px 0; text-align: left; text-decoration: underline; text-underline-offset: 3px; cursor: pointer; }
</style>
