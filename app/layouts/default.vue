<script setup lang="ts">
const waters = useWater()
const session = useSession()
const router = useRouter()
const { tabs } = useIndex()
useShortcuts('Anywhere at the desk', [
  // The router itself: Nuxt's navigateTo does nothing while another page is on its way.
  ...tabs.value.map(({ name }, i) => ({ key: String(i + 1), says: name, run: () => void router.push(tabs.value[i]!.to) })),
  { key: 'n', says: 'paper by day, or before dawn', run: () => {
    session.ground = session.ground === 'day' ? 'night' : 'day'
  } },
])
</script>

<template>
  <div class="frame">
    <FrameConditionsLine class="frame-line" />
    <main class="frame-main">
      <p
        v-if="waters.problem"
        class="frame-problem"
        role="alert"
      >
        This water could not be opened: {{ waters.problem }}
      </p>
      <slot v-else />
    </main>
    <FrameIndexTabs class="frame-tabs" />
  </div>
</template>

<style scoped>
.frame {
  height: 100dvh; display: grid;
  grid-template: var(--line-h) minmax(0, 1fr) / minmax(0, 1fr) var(--tabs-w);
  grid-template-areas: 'line line' 'main tabs';
}
.frame-line { grid-area: line; }
.frame-main { grid-area: main; min-height: 0; min-width: 0; }
.frame-tabs { grid-area: tabs; }
.frame-problem { padding: 32px; font-size: 18px; color: var(--now); }
@media (max-width: 700px) {
  .frame {
    grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
    grid-template-areas: 'line' 'main';
  }
  .frame-tabs { display: none; }
}
</style>
