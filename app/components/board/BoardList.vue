<script setup lang="ts">
import { PLACE_KINDS, placeKindName, type PlaceKind } from '../../../core/place/kinds'

const advice = useAdvice()
const season = useSeason()
const route = useRoute()
const router = useRouter()
defineEmits<{ choose: [placeId: string], add: [] }>()

/** The filter lives in the address, so that it can be shared and the browser's back works. */
const kind = computed<PlaceKind | null>(() => PLACE_KINDS.find(k => k === route.query.kind) ?? null)
const kinds = computed(() => PLACE_KINDS.filter(k => advice.ranked.some(r => r.place.kind === k)))
const shown = computed(() => advice.ranked.filter(r => kind.value === null || r.place.kind === kind.value))
const fitting = computed(() => advice.ranked.filter(r => r.score.factors.every(f => f.key !== 'depth' || f.value >= 0.5) && r.score.factors.every(f => f.key !== 'waves' || !f.over)).length)
const most = computed(() => Math.max(1, ...advice.ranked.map(r => r.score.ratePerHourHigh)))

function filter(value: PlaceKind | null) {
  void router.replace({ query: { ...route.query, kind: value ?? undefined } })
}
</script>

<template>
  <section
    class="list"
    aria-label="Places, ranked"
  >
    <header>
      <h1>Where first</h1>
      <p
        v-if="!season.settled"
        class="quiet"
      >
        Reading the season …
      </p>
      <p
        v-else
        class="quiet"
      >
        crappie · {{ fitting }} of {{ advice.ranked.length }} places fit the depth and the wind
      </p>
      <select
        class="kind"
        aria-label="Kind of place"
        :value="kind ?? ''"
        @change="filter((($event.target as HTMLSelectElement).value || null) as PlaceKind | null)"
      >
        <option value="">
          every kind
        </option>
        <option
          v-for="k in kinds"
          :key="k"
          :value="k"
        >
          {{ placeKindName(k) }}
        </option>
      </select>
    </header>
    <ol
      data-test="ranking"
      tabindex="0"
      aria-label="Ranked places"
    >
      <li
        v-for="r in shown"
        :key="r.place.id"
      >
        <button
          type="button"
          class="place"
          @click="$emit('choose', r.place.id)"
        >
          <span class="rank">{{ r.rank }}</span>
          <span class="name">{{ r.place.name }}</span>
          <span class="rate">{{ r.score.ratePerHour.toFixed(1) }}<small>fish an hour</small></span>
          <BoardRateBar
            class="bar"
            :score="r.score"
            :most="most"
          />
          <span class="why">
            <template
              v-for="reason in r.reasons"
              :key="reason.key"
            ><span :class="`tone-${reason.tone}`">{{ reason.text }}.</span>{{ ' ' }}</template>
          </span>
        </button>
      </li>
    </ol>
    <button
      type="button"
      class="add"
      @click="$emit('add')"
    >
      Add a place
    </button>
    <p
      v-if="shown.length === 0"
      class="quiet empty"
    >
      No place of that kind on this water yet.
    </p>
  </section>
</template>

<style scoped>
.list { display: flex; flex-direction: column; min-height: 0; height: 100%; background: var(--sheet); }
header { padding: 14px 18px 10px; display: grid; grid-template-columns: 1fr auto; column-gap: 10px; border-bottom: 1px solid var(--rule); }
header .quiet { grid-column: 1; }
.kind { grid-row: 1 / 3; grid-column: 2; align-self: center; font: inherit; font-size: 14.5px; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 7px 8px; max-width: 130px; }
.add { font: inherit; font-weight: 700; color: var(--ink); background: none; border: 0; border-top: 1px solid var(--rule); padding: 10px 18px; min-height: 44px; text-align: left; text-decoration: underline; text-underline-offset: 3px; cursor: pointer; }
ol { overflow-y: auto; flex: 1; min-height: 0; }
.place { font: inherit; color: inherit; text-align: left; background: none; border: 0; border-bottom: 1px solid var(--rule); width: 100%; cursor: pointer; padding: 11px 18px 12px; display: grid; grid-template-columns: 34px minmax(0, 1fr) auto; column-gap: 8px; align-items: baseline; }
.place:hover { background: var(--paper); }
.place:focus-visible { outline-offset: -3px; }
.rank { font-size: 23px; font-weight: 750; color: var(--mark); }
.name { font-size: 17px; font-weight: 700; line-height: 1.25; }
.rate { font-size: 18px; font-weight: 750; text-align: right; line-height: 1.1; }
.rate small { display: block; font-size: 12.5px; font-weight: 450; color: var(--ink-2); }
.bar { grid-column: 2 / 4; margin: 7px 0 5px; }
.why { grid-column: 2 / 4; font-size: 14.5px; line-height: 1.38; }
.empty { padding: 20px; }
</style>
