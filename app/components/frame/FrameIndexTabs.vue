<script setup lang="ts">
const { tabs } = useIndex()
</script>

<template>
  <nav
    class="tabs"
    aria-label="Index"
  >
    <NuxtLink
      v-for="tab in tabs"
      :key="tab.name"
      :to="tab.to"
      class="tab"
      :aria-current="tab.here ? 'page' : undefined"
    >{{ tab.name }}</NuxtLink>
  </nav>
</template>

<style scoped>
.tabs { display: flex; flex-direction: column; gap: 4px; padding-top: 10px; align-items: flex-end; border-left: 1px solid var(--ink); }
.tab {
  writing-mode: vertical-rl; width: 41px; padding: 14px 0; text-align: center; line-height: 40px; font-weight: 650; font-size: 16px;
  background: var(--tab); border: 1px solid var(--ink); border-right: 0; border-radius: 0 0 0 0; border-top-left-radius: 9px; border-bottom-left-radius: 9px;
  text-decoration: none; color: var(--ink);
}
.tab[aria-current] { background: var(--sheet); width: 47px; margin-left: -2px; position: relative; left: 0; border-left-color: var(--sheet); color: var(--now); box-shadow: inset -4px 0 0 var(--now); }
</style>
