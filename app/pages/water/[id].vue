<script setup lang="ts">
const route = useRoute()
const session = useSession()
const waters = useWater()
const tackle = useTackle()
const ladders = useLadders()
const journal = useJournal()

const problem = ref<string | null>(null)

watch(() => String(route.params.id), async (id) => {
  const wasOpen = waters.water?.id === id
  try {
    // What an earlier page was torn away from sending goes first: the record is read after it.
    await Promise.all([session.load(), journal.flush().then(() => waters.load(id)), tackle.load(), ladders.load(id)])
    // Coming back to a water that is open: the log may have grown since.
    if (wasOpen) await waters.refreshRecord()
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}, { immediate: true })
useHead({ title: () => (waters.water ? `${waters.water.name} · Remous` : 'Remous') })
</script>

<template>
  <NuxtPage v-if="waters.water && tackle.loaded" />
  <p
    v-else-if="problem"
    role="alert"
    class="wait tone-now"
  >
    The server cannot be reached: {{ problem }}
  </p>
  <p
    v-else
    class="wait"
  >
    Opening the water …
  </p>
</template>

<style scoped>
.wait { padding: 32px; font-size: 17px; }
</style>
