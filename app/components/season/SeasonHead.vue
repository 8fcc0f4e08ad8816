<script setup lang="ts">
const waters = useWater()
const season = useSeason()
const weather = useWeather()
const route = useRoute()
const base = computed(() => `/water/${waters.water!.id}/season`)
const query = computed(() => ({ fish: route.query.fish, part: route.query.part }))
const pages = computed(() => [
  { name: 'The year', to: base.value, here: /\/season\/?$/.test(route.path) },
  { name: 'Water temperature', to: `${base.value}/temperature`, here: route.path.endsWith('/temperature') },
  { name: 'Which day', to: `${base.value}/days`, here: route.path.endsWith('/days') },
])
const problem = computed(() => season.problem ?? weather.problem)
</script>

<template>
  <div class="head">
    <nav aria-label="Season">
      <NuxtLink
        v-for="page in pages"
        :key="page.name"
        :to="{ path: page.to, query }"
        class="page"
        :aria-current="page.here ? 'page' : undefined"
      >
        {{ page.name }}
      </NuxtLink>
    </nav>
    <SeasonWeatherAge />
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
.head { display: flex; align-items: center; gap: 6px 22px; flex-wrap: wrap; padding: 8px 16px 0; }
nav { display: flex; gap: 4px; }
.page { font-weight: 650; font-size: 16px; padding: 7px 12px; text-decoration: none; border-bottom: 3px solid transparent; }
.page[aria-current] { border-bottom-color: var(--now); color: var(--now); }
@media (max-width: 700px) {
  .head { padding: 4px 8px 0; }
  .page { font-size: 15px; padding: 10px 8px; min-height: 44px; }
}
</style>
