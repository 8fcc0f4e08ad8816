<script setup lang="ts">
const session = useSession()
const waters = useWater()
const along = useAlong()
const problem = ref<string | null>(null)

onMounted(async () => {
  try {
    await session.load()
    const list = await waters.loadList()
    await along.load()
    const first = list.find(w => !along.away || along.isTaken(w.id)) ?? list[0]
    if (first) await navigateTo(`/water/${first.id}`, { replace: true })
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
})
</script>

<template>
  <div class="page">
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      The server cannot be reached: {{ problem }}
    </p>
    <template v-else-if="waters.list?.length === 0">
      <h1>No water yet</h1>
      <p>
        <NuxtLink to="/bring">Bring in a water</NuxtLink> from a shoreline and soundings, or start with <code>npm run demo</code> to open the demo reservoir.
      </p>
    </template>
    <p v-else>
      Opening the water …
    </p>
  </div>
</template>

<style scoped>
.page { padding: 32px; font-size: 17px; }
</style>
