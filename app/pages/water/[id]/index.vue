<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import { SEASON_FISH } from '../../../../core/season/seasons'
import type { Place } from '../../../../core/place/kinds'

const route = useRoute()
const router = useRouter()
const waters = useWater()
const advice = useAdvice()
const ranks = useRanking()
const pxPerM = ref(0)
const chartMap = useTemplateRef('chart-map')

/** The chosen place lives in the address. */
const chosenId = computed(() => (typeof route.query.place === 'string' ? route.query.place : null))
const chosen = computed(() => ranks.rankedById(chosenId.value))
const compared = computed(() => ranks.rankedById(typeof route.query.compare === 'string' ? route.query.compare : null))

// Whom the list is for and whether unfished ground stands in it are in the address too.
watch(() => route.query.fish, (fish) => {
  const kind = SEASON_FISH.find(f => f === fish)
  if (kind) advice.chooseFish(kind)
}, { immediate: true })
watch(() => route.query.ground, (ground) => {
  ranks.withGround = ground === '1'
}, { immediate: true })

function choose(place: string | null) {
  void router.push({ query: { ...route.query, place: place ?? undefined, edit: undefined, compare: undefined } })
}

/** A new place is being put, or the chosen one changed: the address says so. */
const adding = computed(() => route.query.edit === 'new')
const changing = computed(() => route.query.edit === 'place' && chosen.value !== null)
const placing = computed(() => adding.value || changing.value)
const bringing = computed(() => route.query.edit === 'bring')
/** What was tapped on the chart: a point, or the corners of a line or an outline. */
const drawing = ref<'point' | 'line' | 'outline'>('point')
const corners = ref<{ x: number, y: number }[]>([])
watch([placing, drawing], () => {
  corners.value = []
})
function tap(at: { x: number, y: number }) {
  corners.value = drawing.value === 'point' ? [at] : [...corners.value, at]
}
function hold(other: string | undefined) {
  void router.push({ query: { ...route.query, compare: other } })
}
function edit(what: 'new' | 'place' | 'bring' | undefined) {
  void router.push({ query: { ...route.query, edit: what, place: what === 'place' ? route.query.place : undefined } })
}

/** Ground off the chart becomes a place of one's own, under an id of its own. */
const keepGround = (place: Place) => tell(async () => {
  const kept = { ...place, id: uuidv7() }
  await waters.keepPlace(kept)
  choose(kept.id)
})

/** Up and down the list as it stands. */
const { filter } = usePlaceFilter()
function turn(by: number) {
  const ids = ranks.filtered(filter.value).map(r => r.place.id)
  const at = chosenId.value === null ? -1 : ids.indexOf(chosenId.value)
  const next = ids[at < 0 ? 0 : Math.max(0, Math.min(ids.length - 1, at + by))]
  if (next && next !== chosenId.value) choose(next)
}
useShortcuts('Places', [
  { key: 'j', says: 'the next place of the list', run: () => turn(1), idle: () => placing.value },
  { key: 'k', says: 'the one before it', run: () => turn(-1), idle: () => placing.value },
  { key: 'l', says: 'back to the list', run: () => choose(null), idle: () => chosenId.value === null },
  { key: 'v', says: 'see it on the chart', run: () => chartMap.value?.look(), idle: () => chosen.value === null },
  { key: 'e', says: 'change it', run: () => edit('place'), idle: () => chosen.value === null || placing.value },
  { key: 'a', says: 'add a place', run: () => edit('new'), idle: () => placing.value },
])
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
      @scale="pxPerM = $event"
    />
    <div class="chart">
      <p
        class="meaning"
        data-test="meaning"
      >
        {{ advice.phases[0]!.prior.meaning }}
      </p>
      <BoardMap
        ref="chart-map"
        :chosen-id="chosenId"
        :placing="placing"
        :corners="corners"
        :drawing="drawing"
        @choose="choose"
        @spot="tap"
      />
    </div>
    <aside>
      <BoardPlaceForm
        v-if="placing"
        :key="chosenId ?? 'new'"
        v-model:drawing="drawing"
        :place="changing ? chosen!.place : null"
        :corners="corners"
        @undo-corner="corners = corners.slice(0, -1)"
        @done="choose"
      />
      <BoardBring
        v-else-if="bringing"
        @done="edit(undefined)"
      />
      <PlaceCompare
        v-else-if="chosen && compared"
        :mine="chosen"
        :other="compared"
        @close="hold(undefined)"
        @choose="choose"
      />
      <BoardPlace
        v-else-if="chosen"
        :ranking="chosen"
        :px-per-m="pxPerM"
        @look="chartMap?.look()"
        @keep="keepGround(chosen.place)"
        @choose="choose"
        @compare="hold"
        @close="choose(null)"
        @edit="edit('place')"
        @remove="remove(chosen.place)"
      />
      <BoardList
        v-else
        @choose="choose"
        @add="edit('new')"
        @bring="edit('bring')"
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
