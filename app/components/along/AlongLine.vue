<script setup lang="ts">
import { ageText } from '../../utils/ageText'
import { PART_NAMES } from '../../utils/takeParts'

/** How old each part of a water is on this device, and what is still to be sent: one sentence. */
const props = defineProps<{ waterId: string }>()
const along = useAlong()
const journal = useJournal()
const session = useSession()

const unsent = computed(() => (journal.unsent === 0 ? 'Everything logged is sent' : `${journal.unsent} ${journal.unsent === 1 ? 'entry' : 'entries'} not sent yet`))
/** Parts of one age are said together. */
const ages = computed(() => {
  const of = along.ages.get(props.waterId)
  if (!of) return null
  // Ages run by this device's own clock; the tick only makes them move.
  const nowMs = session.nowMs > 0 ? Date.now() : 0
  const said = new Map<string, string[]>()
  for (const name of PART_NAMES) {
    const savedMs = of[name]
    const age = savedMs === null ? 'not here' : ageText(nowMs - savedMs)
    said.set(age, [...said.get(age) ?? [], name])
  }
  return [...said].map(([age, names]) => `${names.join(', ')} ${age}`).join('; ')
})
</script>

<template>
  <p
    class="along"
    data-test="along"
  >
    <template v-if="ages">
      On this device: {{ ages }}.
    </template>
    <template v-else-if="along.taking?.waterId === waterId">
      Taking it along: {{ along.taking.done }} of {{ along.taking.of }}.
    </template>
    <template v-else>
      Not taken along: without a network only the log works here.
    </template>
    {{ unsent }}<template v-if="along.away">
      ; no network just now
    </template>.
  </p>
</template>

<style scoped>
.along { font-size: 15.5px; line-height: 1.4; color: var(--ink-2); }
</style>
