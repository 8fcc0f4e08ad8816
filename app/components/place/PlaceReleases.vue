<script setup lang="ts">
import type { Release } from '../../../core/place/releases'
import { seasonNotesSchema } from '../../../shared/weather'
import { check } from '../../../shared/validate'

const weather = useWeather()
const ranks = useRanking()
const conditions = useConditions()

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const draft = reactive<Release>({ weekdays: [1, 2, 3, 4, 5], from: '14:00', to: '18:00' })
const problem = ref<string | null>(null)
const releases = computed(() => weather.notes.releases)

function toggle(day: number) {
  draft.weekdays = draft.weekdays.includes(day) ? draft.weekdays.filter(d => d !== day) : [...draft.weekdays, day].sort()
}
async function put(next: Release[]) {
  const checked = check(seasonNotesSchema, { ...weather.notes, releases: next })
  problem.value = null
  if (!checked.ok) {
    problem.value = checked.error.field?.includes('weekdays') ? 'Choose a day at least.' : checked.error.field?.endsWith('to') ? 'It must end at another time than it begins.' : checked.error.message
    return
  }
  try {
    await weather.setNotes(checked.value)
  }
  catch (error) {
    problem.value = `Not saved: ${error instanceof Error ? error.message : String(error)}`
  }
}
const add = () => put([...releases.value, { ...draft, weekdays: [...draft.weekdays] }])
const drop = (i: number) => put(releases.value.filter((_, n) => n !== i))
const daysText = (days: number[]) => (days.length === 7 ? 'every day' : days.map(d => DAYS[d - 1]).join(', '))
</script>

<template>
  <section data-test="releases">
    <h2>When water is let through</h2>
    <p>
      {{ releases.length === 0 ? 'No hours entered: taken as never.' : ranks.released ? `It runs at ${conditions.local.toFormat('HH:mm')}.` : `It stands still at ${conditions.local.toFormat('HH:mm')}.` }}
      Check the operator's own timetable: the current comes suddenly, mind the horn.
    </p>
    <ul>
      <li
        v-for="(r, i) in releases"
        :key="i"
      >
        {{ daysText(r.weekdays) }}, {{ r.from }} to {{ r.to }}
        <button
          type="button"
          class="drop"
          @click="drop(i)"
        >
          take out
        </button>
      </li>
    </ul>
    <div class="draft">
      <button
        v-for="(name, i) in DAYS"
        :key="name"
        type="button"
        :aria-pressed="draft.weekdays.includes(i + 1)"
        @click="toggle(i + 1)"
      >
        {{ name }}
      </button>
      <label>from <input
        v-model="draft.from"
        type="time"
      ></label>
      <label>to <input
        v-model="draft.to"
        type="time"
      ></label>
      <button
        type="button"
        @click="add"
      >
        Add these hours
      </button>
    </div>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
  </section>
</template>

<style scoped>
.draft { display: flex; flex-wrap: wrap; gap: 5px; align-items: center; padding: 6px 0; }
.draft button, .draft input { font: inherit; font-size: 14.5px; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 4px 8px; min-height: 36px; }
.draft button[aria-pressed='true'] { border-color: var(--ink); box-shadow: inset 0 -3px 0 var(--ink); }
.drop { font: inherit; font-size: 14px; background: none; border: 0; text-decoration: underline; text-underline-offset: 3px; color: var(--ink-2); cursor: pointer; }
</style>
