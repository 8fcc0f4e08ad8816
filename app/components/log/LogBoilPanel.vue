<script setup lang="ts">
import { compassPoint, formatDistance, formatMinutes } from '../../../core/units/format'

/** After a boil: which way they went, and where the next should show. The boil is logged already. */
const props = defineProps<{ boilId: string }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const journal = useJournal()
const { showings, aheadMin } = useBoils()
const problem = ref<string | null>(null)
const SHOWN = 4
const WAYS = [0, 45, 90, 135, 180, 225, 270, 315]

const boil = computed(() => journal.trip?.boils.find(b => b.id === props.boilId) ?? null)
/** A phone knows where it is too, if it is allowed to say; the entry did not wait for it. */
onMounted(() => {
  if (!boil.value || boil.value.body.lonDeg !== null || !navigator.geolocation) return
  navigator.geolocation.getCurrentPosition(
    ({ coords }) => void change({ lonDeg: coords.longitude, latDeg: coords.latitude }),
    ({ message }) => console.info('this device does not say where it is', message),
    { maximumAge: 10_000, timeout: 8000, enableHighAccuracy: true },
  )
})
async function change(what: Partial<NonNullable<typeof boil.value>['body']>) {
  if (!boil.value) return emit('close')
  try {
    await journal.amend(props.boilId, 'boil', { ...boil.value.body, ...what })
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
const clock = (hour: number) => `${Math.floor(hour)}:${String(Math.round((hour % 1) * 59)).padStart(2, '0')}`
const rows = computed(() => showings.value.slice(0, SHOWN).map((s) => {
  const seen = `${s.boils} ${s.boils === 1 ? 'boil' : 'boils'}, ${s.toHour - s.fromHour < 0.25 ? `about ${clock(s.fromHour)}` : `${clock(s.fromHour)} to ${clock(s.toHour)}`}`
  const ago = s.minutesAgo === null ? '' : `, last ${s.minutesAgo < 1.5 ? 'just now' : `${formatMinutes(s.minutesAgo)} ago`}`
  const where = s.near === null ? 'open water' : s.near.apartM < 60 ? s.near.place.name : `${formatDistance(s.near.apartM, session.units)} ${compassPoint(s.near.bearingDeg)} of ${s.near.place.name}`
  const away = s.fromHere ? `${formatDistance(s.fromHere.apartM, session.units)} ${compassPoint(s.fromHere.bearingDeg)} of you. ` : ''
  return { where, says: `${away}${seen}${ago}`, chance: s.chance < 0.01 ? 'under 1 %' : `${Math.round(100 * s.chance)} %` }
}))
</script>

<template>
  <LogPanel
    title="Boil logged. Which way?"
    @close="$emit('close')"
  >
    <div
      class="ways"
      role="group"
      aria-label="going toward"
    >
      <button
        v-for="w in WAYS"
        :key="w"
        type="button"
        class="chip thumb"
        :aria-pressed="boil?.body.towardDeg === w"
        @click="change({ towardDeg: boil?.body.towardDeg === w ? null : w })"
      >
        {{ compassPoint(w) }}
      </button>
    </div>
    <p
      v-if="boil?.body.lonDeg === null && boil.body.placeId === null"
      class="tone-careful"
    >
      Nothing here knows where this is: it counts for today, not for where the next may show.
    </p>
    <h3>Next showings, within {{ formatMinutes(aheadMin) }}</h3>
    <ol data-test="showings">
      <li
        v-for="(r, i) in rows"
        :key="i"
      >
        <strong>{{ r.where }}</strong><b>{{ r.chance }}</b><span class="quiet">{{ r.says }}</span>
      </li>
    </ol>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
  </LogPanel>
</template>

<style scoped>
.ways { display: grid; grid-template-columns: repeat(4, 1fr); gap: 6px; }
h3 { font-size: 17px; }
li { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 0 10px; padding: 7px 0; border-top: 1px solid var(--rule); font-size: 17px; }
li b { font-size: 20px; color: var(--mark); }
li .quiet { font-size: 15px; grid-column: 1 / -1; }
</style>
