<script setup lang="ts">
const route = useRoute()
const router = useRouter()
const advice = useAdvice()

/** The chosen place lives in the address. */
const chosenId = computed(() => (typeof route.query.place === 'string' ? route.query.place : null))
const chosen = computed(() => advice.rankedById(chosenId.value))

function choose(place: string | null) {
  void router.push({ query: { ...route.query, place: place ?? undefined } })
}
</script>

<template>
  <div class="board">
    <FrameWaterStaff
      class="staff"
      :ranking="chosen"
    />
    <div class="chart">
      <p
        class="meaning"
        data-test="meaning"
      >
        {{ advice.phases[0]!.prior.meaning }}
      </p>
      <BoardMap
        :chosen-id="chosenId"
        @choose="choose"
      />
    </div>
    <aside>
      <BoardPlace
        v-if="chosen"
        :ranking="chosen"
        @close="choose(null)"
      />
      <BoardList
        v-else
        @choose="choose"
      />
    </aside>
  </div>
</template>

<style scoped>
.board { height: 100%; display: grid; grid-template-columns: var(--staff-w) minmax(0, 1fr) 372px; min-height: 0; }
.chart { position: relative; min-height: 0; }
.meaning { position: absolute; z-index: 2; top: 12px; left: 64px; right: 14px; font-size: 15px; line-height: 1.35; max-width: 560px; background: color-mix(in srgb, var(--paper) 88%, transparent); padding: 5px 9px; border-radius: 6px; }
aside { border-left: 1px solid var(--ink); min-height: 0; }
@media (max-width: 900px) { .board { grid-template-columns: var(--staff-w) minmax(0, 1fr) 320px; } }
@media (max-width: 700px) {
  .board { grid-template-columns: var(--staff-w) minmax(0, 1fr); grid-template-rows: 46% 54%; }
  aside { grid-column: 1 / 3; border-left: 0; border-top: 1px solid var(--ink); }
  .meaning { display: none; }
}
</style>
