<script setup lang="ts">
import type { TripSummary } from '../../../shared/waters'
import { api } from '../../utils/api'
import { dateText } from '../../utils/time'

const session = useSession()
const waters = useWater()
const trips = ref<TripSummary[] | null>(null)
const problem = ref<string | null>(null)
const zone = computed(() => waters.water?.zone ?? 'utc')

onMounted(async () => {
  try {
    await session.load()
    const [first] = await waters.loadList()
    if (!waters.water && first) await waters.load(first.id)
    trips.value = await api<TripSummary[]>('trips')
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
})
useHead({ title: 'Days · Remous' })
</script>

<template>
  <div class="page">
    <h1>Days on the water</h1>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
    <p v-else-if="trips?.length === 0">
      No day logged yet. Start one from the Log tab.
    </p>
    <table v-else-if="trips">
      <thead>
        <tr>
          <th scope="col">
            day
          </th><th scope="col">
            water
          </th><th scope="col">
            schools
          </th><th scope="col">
            fish
          </th><th scope="col">
            kept
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="t in trips"
          :key="t.id"
        >
          <th scope="row">
            <NuxtLink :to="`/days/${t.id}`">{{ dateText(t.startedAt, zone) }}</NuxtLink><span
              v-if="!t.endedAt"
              class="tone-now"
            > · still open</span>
          </th>
          <td>{{ t.waterName }}</td>
          <td>{{ t.schools }}</td>
          <td>{{ t.fish }}</td>
          <td>{{ t.kept }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else>
      Opening the log …
    </p>
  </div>
</template>

<style scoped>
.page { padding: 24px 32px; height: 100%; overflow-y: auto; font-size: 16px; }
table { border-collapse: collapse; margin-top: 16px; width: min(820px, 100%); background: var(--sheet); }
th, td { text-align: left; padding: 11px 14px; border-bottom: 1px solid var(--rule); }
thead th { font-weight: 450; color: var(--ink-2); font-size: 14px; }
td:nth-child(n+3), th:nth-child(n+3) { text-align: right; }
tbody th { font-weight: 700; }
@media (max-width: 700px) { .page { padding: 16px; } th, td { padding: 12px 6px; } td:nth-child(2), th:nth-child(2) { display: none; } }
</style>
