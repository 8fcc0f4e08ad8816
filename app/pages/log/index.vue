<script setup lang="ts">
import type { TripSummary } from '../../../shared/waters'
import { api } from '../../utils/api'
import { dateText } from '../../utils/time'

const route = useRoute()
const session = useSession()
const waters = useWater()
const journal = useJournal()
const along = useAlong()
/** The day under way: this device's own first, then one that another device began. */
const open = ref<{ id: string, waterId: string | null, startedAt: string, schools: number, fish: number } | null>(null)
const ready = ref(false)
const problem = ref<string | null>(null)
const place = computed(() => (typeof route.query.place === 'string' ? route.query.place : undefined))

onMounted(async () => {
  try {
    await session.load()
    const list = await waters.loadList()
    // A day begun on this device may not have reached the server yet.
    await journal.flush()
    const [here] = await journal.openHere()
    open.value = here ?? (await api<TripSummary[]>('trips')).find(t => t.endedAt === null) ?? null
    await along.load()
    const first = list.find(w => !along.away || along.isTaken(w.id)) ?? list[0]
    if (open.value?.waterId) await waters.load(open.value.waterId)
    else if (!waters.water && first) await waters.load(first.id)
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
  ready.value = true
})

function go(tripId: string) {
  return navigateTo({ path: `/log/${tripId}`, query: place.value ? { place: place.value } : {} }, { replace: true })
}

async function start() {
  try {
    const { id, name } = waters.water!
    const tripId = await journal.begin(id)
    // Whoever starts a day wants it to go on where the network ends.
    if (!along.isTaken(id) && !along.away) void along.take({ id, name })
    await go(tripId)
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <div class="page">
    <template v-if="ready && waters.water">
      <template v-if="open">
        <h1>A day is still open</h1>
        <p>{{ waters.water.name }}, {{ dateText(open.startedAt, waters.water.zone) }}: {{ open.schools }} schools, {{ open.fish }} fish so far.</p>
        <v-btn
          class="main thumb"
          block
          @click="go(open.id)"
        >
          Go on with it
        </v-btn>
      </template>
      <template v-else>
        <h1>{{ waters.water.name }}</h1>
        <p>Start the day when you leave the ramp. What you tap is kept on this device first and sent when it can be.</p>
        <v-btn
          class="main thumb"
          block
          data-test="start-day"
          @click="start"
        >
          Start the day
        </v-btn>
      </template>
      <AlongLine :water-id="waters.water.id" />
      <ul class="cautions">
        <li>Water under 60 °F (15 °C): wear the life jacket, do not stow it.</li>
        <li>A phone and a sonar are not a lookout.</li>
        <li>Your local rules hold; this notebook is not the law.</li>
      </ul>
    </template>
    <p v-else-if="!problem">
      Opening the log …
    </p>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
  </div>
</template>

<style scoped>
.page { padding: 32px; max-width: 560px; display: flex; flex-direction: column; gap: 16px; font-size: 17px; line-height: 1.4; height: 100%; overflow-y: auto; }
.page > .v-btn { flex: 0 0 auto; }
.cautions li { border-left: 3px solid var(--careful); padding: 2px 0 2px 12px; margin-top: 8px; font-size: 15.5px; }
@media (max-width: 700px) { .page { padding: 20px 16px; } }
</style>
