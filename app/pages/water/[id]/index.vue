<script setup lang="ts">
import type { Place } from '../../../../core/place/kinds'

const route = useRoute()
const router = useRouter()
const waters = useWater()
const advice = useAdvice()

/** The chosen place lives in the address. */
const chosenId = computed(() => (typeof route.query.place === 'string' ? route.query.place : null))
const chosen = computed(() => advice.rankedById(chosenId.value))

function choose(place: string | null) {
  void router.push({ query: { ...route.query, place: place ?? undefined, edit: undefined } })
}

/** A new place is being put, or the chosen one changed: the address says so. */
const adding = computed(() => route.query.edit === 'new')
const changing = computed(() => route.query.edit === 'place' && chosen.value !== null)
const placing = computed(() => adding.value || changing.value)
const spot = ref<{ x: number, y: number } | null>(null)
watch(placing, () => {
  spot.value = null
})
function edit(what: 'new' | 'place' | undefined) {
  void router.push({ query: { ...route.query, edit: what, place: what === 'new' ? undefined : route.query.place } })
}

const removed = ref<Place | null>(null)
const problem = ref<string | null>(null)
async function tell(act: () => Promise<void>) {
  problem.value = null
  try {
    await act()
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
const remove = (place: Place) => tell(async () => {
  await waters.removePlace(place.id)
  removed.value = place
  choose(null)
})
const putBack = () => tell(async () => {
  await waters.keepPlace(removed.value!)
  removed.value = null
})
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
        :placing="placing"
        :spot="spot"
        @choose="choose"
        @spot="spot = $event"
      />
    </div>
    <aside>
      <BoardPlaceForm
        v-if="placing"
        :key="chosenId ?? 'new'"
        :place="changing ? chosen!.place : null"
        :spot="spot"
        @done="choose"
      />
      <BoardPlace
        v-else-if="chosen"
        :ranking="chosen"
        @close="choose(null)"
        @edit="edit('place')"
        @remove="remove(chosen.place)"
      />
      <BoardList
        v-else
        @choose="choose"
        @add="edit('new')"
      />
      <p
        v-if="problem"
        role="alert"
        class="strip tone-now"
      >
        {{ problem }}
      </p>
      <p
        v-else-if="removed"
        role="status"
        class="strip"
        data-test="removed"
      >
        {{ removed.name }} is off the chart; its log stays.
        <button
          type="button"
          class="undo"
          @click="putBack"
        >
          Undo
        </button>
      </p>
    </aside>
  </div>
</template>

<style scoped>
.board { height: 100%; display: grid; grid-template-columns: var(--staff-w) minmax(0, 1fr) 372px; min-height: 0; }
.chart { position: relative; min-height: 0; }
.meaning { position: absolute; z-index: 2; top: 12px; left: 64px; right: 14px; font-size: 15px; line-height: 1.35; max-width: 560px; background: color-mix(in srgb, var(--paper) 88%, transparent); padding: 5px 9px; border-radius: 6px; }
aside { border-left: 1px solid var(--ink); min-height: 0; display: flex; flex-direction: column; }
aside > :first-child { flex: 1; }
.strip { padding: 10px 18px; background: var(--sheet); border-top: 1px solid var(--ink); font-size: 15px; }
.undo { font: inherit; font-weight: 700; background: none; border: 0; text-decoration: underline; text-underline-offset: 3px; padding: 4px 6px; cursor: pointer; color: var(--ink); }
@media (max-width: 900px) { .board { grid-template-columns: var(--staff-w) minmax(0, 1fr) 320px; } }
@media (max-width: 700px) {
  .board { grid-template-columns: var(--staff-w) minmax(0, 1fr); grid-template-rows: 46% 54%; }
  aside { grid-column: 1 / 3; border-left: 0; border-top: 1px solid var(--ink); }
  .meaning { display: none; }
}
</style>
