<script setup lang="ts">
const route = useRoute()
const session = useSession()
const waters = useWater()
const tackle = useTackle()

watch(() => String(route.params.id), async (id) => {
  await Promise.all([session.load(), waters.load(id), tackle.load()])
}, { immediate: true })
useHead({ title: () => (waters.water ? `${waters.water.name} · Remous` : 'Remous') })
</script>

<template>
  <NuxtPage v-if="waters.water && tackle.loaded" />
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
