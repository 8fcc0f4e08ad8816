<script setup lang="ts">
const route = useRoute()
const waters = useWater()

/** The bench's pages; the place and its choices go along. */
const PAGES = [['rig', 'The bench'], ['methods', 'What to fish with'], ['two', 'Two rigs'], ['figures', 'Calculators']] as const
const links = computed(() => PAGES.map(([page, name]) => ({ name, to: { path: `/water/${waters.water!.id}/${page}`, query: route.query.place ? { place: route.query.place } : {} } })))
</script>

<template>
  <nav
    class="pages"
    aria-label="Pages of the bench"
  >
    <NuxtLink
      v-for="l in links"
      :key="l.name"
      :to="l.to"
    >
      {{ l.name }}
    </NuxtLink>
    <NuxtLink to="/box">
      The box
    </NuxtLink>
  </nav>
</template>

<style scoped>
.pages { display: flex; flex-wrap: wrap; gap: 4px 14px; }
.pages a { font-size: 15px; font-weight: 650; text-decoration: underline; text-underline-offset: 4px; padding: 4px 0; color: var(--ink-2); }
.pages a.router-link-active { color: var(--ink); text-decoration-thickness: 3px; }
</style>
