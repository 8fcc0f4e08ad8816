<script setup lang="ts">
import { ageText } from '../../utils/ageText'
import { clockText } from '../../utils/time'

const session = useSession()
const weather = useWeather()
const conditions = useConditions()

const service = computed(() => weather.state?.service ?? null)
const file = computed(() => weather.state?.file ?? null)
const age = computed(() => {
  const issued = service.value?.issuedAt
  return issued ? `made at ${clockText(Date.parse(issued), conditions.zone)}, ${ageText(session.nowMs - Date.parse(issued))}` : null
})
</script>

<template>
  <p
    class="age"
    data-test="weather-age"
  >
    <template v-if="!weather.state">
      Reading the weather …
    </template>
    <template v-else>
      <span v-if="service && age">Forecast {{ age }}.</span>
      <span
        v-if="service?.problem"
        class="tone-careful"
      >The weather service is down: {{ service.problem }}. {{ age ? 'This is the last forecast.' : '' }}</span>
      <span v-else-if="!service">No weather service is set up.</span>
      <span v-if="file">Own hours from a file: {{ file.hours }}.</span>
      <button
        v-if="service"
        type="button"
        class="again"
        :disabled="weather.asking"
        @click="weather.refresh()"
      >
        {{ weather.asking ? 'asking …' : 'ask again' }}
      </button>
    </template>
  </p>
</template>

<style scoped>
.age { font-size: 14px; color: var(--ink-2); display: flex; flex-wrap: wrap; gap: 2px 8px; align-items: baseline; }
.again { font: inherit; color: var(--ink); background: none; border: 0; padding: 4px; text-decoration: underline; text-underline-offset: 3px; cursor: pointer; }
</style>
