<script setup lang="ts">
import type { WaterSummary } from '../../shared/waters'

const session = useSession()
const waters = useWater()
const along = useAlong()
const journal = useJournal()
const { $pwa } = useNuxtApp()
const problem = ref<string | null>(null)
const list = ref<WaterSummary[]>([])

onMounted(async () => {
  try {
    await session.load()
    await along.load()
    list.value = await waters.loadList()
    if (!waters.water && list.value[0]) await waters.load((list.value.find(w => along.isTaken(w.id)) ?? list.value[0]).id)
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
})

const kept = computed(() => {
  if (along.lasting === null) return 'This browser does not say whether it keeps what is here when space runs short.'
  return along.lasting
    ? 'This browser keeps what is here even when space runs short.'
    : 'This browser may clear what is here when space runs short. Installing Remous makes that unlikely; entries are safe once they are sent.'
})
const used = computed(() => (along.usedBytes === null ? '' : ` ${(along.usedBytes / 1_048_576).toFixed(1)} MB are in use.`))
async function send() {
  await journal.flush()
  await along.load()
}
useHead({ title: 'Take along · Remous' })
</script>

<template>
  <div class="page">
    <h1>Without a network</h1>
    <p>What is taken along opens on the lake with the network off, after a restart too: chart, places, forecast, ladders, tackle, and the last days of the log. Entries are always kept here first.</p>
    <p
      v-if="problem ?? along.problem"
      role="alert"
      class="tone-now"
    >
      {{ problem ?? along.problem }}
    </p>
    <ul data-test="waters">
      <li
        v-for="w in list"
        :key="w.id"
      >
        <div>
          <h2>{{ w.name }}</h2>
          <AlongLine :water-id="w.id" />
        </div>
        <div class="acts">
          <template v-if="along.taking?.waterId === w.id">
            <v-progress-linear
              :model-value="100 * along.taking.done / along.taking.of"
              :aria-label="`Taking ${w.name} along`"
              height="8"
              color="var(--ink)"
            />
            <button
              type="button"
              class="chip thumb"
              @click="along.stopTaking"
            >
              Stop
            </button>
          </template>
          <template v-else>
            <button
              type="button"
              class="chip thumb"
              :disabled="along.taking !== null"
              @click="along.take(w)"
            >
              {{ along.isTaken(w.id) ? 'Bring up to date' : 'Take along' }}
            </button>
            <button
              v-if="along.isTaken(w.id)"
              type="button"
              class="chip thumb"
              @click="along.leave(w.id)"
            >
              Leave at home
            </button>
          </template>
        </div>
      </li>
    </ul>
    <section>
      <h2>This device</h2>
      <p>{{ kept }}{{ used }}</p>
      <p v-if="$pwa?.isPWAInstalled">
        Remous is installed here.
      </p>
      <v-btn
        v-else-if="$pwa?.showInstallPrompt"
        class="main thumb"
        @click="$pwa.install()"
      >
        Install Remous
      </v-btn>
      <p
        v-else
        class="quiet"
      >
        To install it, use the browser's own menu: add to the home screen, or install.
      </p>
      <p
        v-if="journal.unsent > 0"
        class="waiting"
      >
        <span>{{ journal.unsent }} {{ journal.unsent === 1 ? 'entry waits' : 'entries wait' }} to be sent.</span>
        <button
          type="button"
          class="chip"
          @click="send"
        >
          Try now
        </button>
      </p>
      <p
        v-if="journal.problem"
        class="tone-now"
        role="alert"
      >
        {{ journal.problem }}
      </p>
    </section>
  </div>
</template>

<style scoped>
.page { padding: 24px 32px 40px; height: 100%; overflow-y: auto; font-size: 16px; line-height: 1.4; display: flex; flex-direction: column; gap: 16px; max-width: 860px; }
li { display: grid; grid-template-columns: minmax(0, 1fr) 220px; gap: 8px 24px; align-items: center; padding: 14px 0; border-bottom: 1px solid var(--rule); }
.acts { display: flex; flex-direction: column; gap: 8px; }
section { display: flex; flex-direction: column; gap: 10px; align-items: flex-start; }
.waiting { display: flex; gap: 12px; align-items: center; }
@media (max-width: 700px) { .page { padding: 16px; } li { grid-template-columns: 1fr; } }
</style>
