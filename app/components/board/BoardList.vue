<script setup lang="ts">
import { PLACE_KINDS, placeKindName } from '../../../core/place/kinds'
import { SEASON_FISH, seasonFishName, type SeasonFish } from '../../../core/season/seasons'

const ranks = useRanking()
const advice = useAdvice()
const season = useSeason()
const reading = useReading()
const { set } = useQuery()
defineEmits<{ choose: [placeId: string], add: [], bring: [] }>()

const MORE = 40
const { on, kind, filter } = usePlaceFilter()
const FLAGS = [['fits', 'fits the depth'], ['lee', 'in the lee'], ['shade', 'shaded now'], ['calm', 'waves within limit']] as const
const kinds = computed(() => PLACE_KINDS.filter(k => ranks.rows.some(r => r.place.kind === k)))
const passing = computed(() => ranks.filtered(filter.value))
const most = computed(() => Math.max(1, ...ranks.rows.slice(0, 200).map(r => r.high)))
const fitting = computed(() => ranks.filtered({ fits: true, calm: true }).length)
const limit = ref(MORE)
watch(filter, () => {
  limit.value = MORE
})
const shown = computed(() => passing.value.slice(0, limit.value).map(ranks.full))
</script>

<template>
  <section
    class="list"
    aria-label="Places, ranked"
  >
    <header>
      <h1>Where first</h1>
      <select
        class="kind"
        aria-label="Fish"
        :value="advice.fish"
        @change="set({ fish: ($event.target as HTMLSelectElement).value })"
      >
        <option
          v-for="f in SEASON_FISH"
          :key="f"
          :value="f"
        >
          {{ seasonFishName(f as SeasonFish) }}
        </option>
      </select>
      <select
        class="kind"
        aria-label="Kind of place"
        :value="kind ?? ''"
        @change="set({ kind: ($event.target as HTMLSelectElement).value || undefined })"
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
      <div class="flags">
        <button
          v-for="[key, label] in FLAGS"
          :key="key"
          type="button"
          :aria-pressed="on(key)"
          @click="set({ [key]: on(key) ? undefined : '1' })"
        >
          {{ label }}
        </button>
        <button
          type="button"
          :aria-pressed="ranks.withGround"
          @click="set({ ground: ranks.withGround ? undefined : '1' })"
        >
          unfished ground
        </button>
      </div>
      <p
        class="quiet"
        data-test="counted"
      >
        <template v-if="ranks.problem">
          The ranking failed: {{ ranks.problem }}
        </template>
        <template v-else-if="!season.settled">
          Reading the season …
        </template>
        <template v-else-if="ranks.withGround && reading.done < 1">
          Reading the chart, {{ Math.round(reading.done * 100) }} % …
        </template>
        <template v-else>
          {{ fitting }} of {{ ranks.rows.length }} places fit the depth and the wind<template v-if="passing.length < ranks.rows.length">
            · {{ passing.length }} shown
          </template>
        </template>
      </p>
    </header>
    <ol
      data-test="ranking"
      :data-took-ms="Math.round(ranks.tookMs)"
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
          <span class="name">{{ r.place.name }}<small v-if="r.candidate">off the chart, nobody has kept it</small></span>
          <span class="rate">{{ r.ratePerHour.toFixed(1) }}<small>fish an hour</small></span>
          <BoardRateBar
            class="bar"
            :rate="r.ratePerHour"
            :low="r.low"
            :high="r.high"
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
    <p
      v-if="season.settled && passing.length === 0"
      class="quiet empty"
    >
      {{ ranks.rows.length === 0 ? 'No place on this water yet: add one, or bring your marks in from a file.' : 'No place passes these filters.' }}
    </p>
    <div class="add">
      <button
        v-if="passing.length > limit"
        type="button"
        @click="limit += MORE"
      >
        Show {{ Math.min(MORE, passing.length - limit) }} more
      </button>
      <button
        type="button"
        @click="$emit('add')"
      >
        Add a place
      </button>
      <button
        type="button"
        @click="$emit('bring')"
      >
        Bring places in
      </button>
    </div>
  </section>
</template>

<style scoped>
.list { display: flex; flex-direction: column; min-height: 0; height: 100%; background: var(--sheet); }
header { padding: 12px 18px 8px; display: grid; grid-template-columns: 1fr auto auto; gap: 6px 8px; align-items: center; border-bottom: 1px solid var(--rule); }
header p, .flags { grid-column: 1 / 4; }
.kind { font: inherit; font-size: 14.5px; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 6px; max-width: 104px; min-height: 36px; }
h1 { white-space: nowrap; }
.flags { display: flex; flex-wrap: wrap; gap: 5px; }
.flags button { font: inherit; font-size: 13.5px; color: var(--ink); background: none; border: 1px solid var(--rule); border-radius: 6px; padding: 3px 8px; min-height: 30px; cursor: pointer; }
.flags button[aria-pressed='true'] { border-color: var(--ink); box-shadow: inset 0 -3px 0 var(--ink); font-weight: 650; }
.add { display: flex; gap: 18px; border-top: 1px solid var(--rule); padding: 0 18px; }
.add button { font: inherit; font-weight: 700; color: var(--ink); background: none; border: 0; padding: 8px 0; min-height: 44px; text-align: left; text-decoration: underline; text-underline-offset: 3px; cursor: pointer; }
ol { overflow-y: auto; flex: 1; min-height: 0; }
.place { font: inherit; color: inherit; text-align: left; background: none; border: 0; border-bottom: 1px solid var(--rule); width: 100%; cursor: pointer; padding: 11px 18px 12px; display: grid; grid-template-columns: 34px minmax(0, 1fr) auto; column-gap: 8px; align-items: baseline; }
.place:hover { background: var(--paper); }
.place:focus-visible { outline-offset: -3px; }
.rank { font-size: 23px; font-weight: 750; color: var(--mark); }
.name { font-size: 17px; font-weight: 700; line-height: 1.25; }
.name small { display: block; font-size: 13.5px; font-weight: 450; color: var(--ink-2); }
.rate { font-size: 18px; font-weight: 750; text-align: right; line-height: 1.1; }
.rate small { display: block; font-size: 12.5px; font-weight: 450; color: var(--ink-2); }
.bar { grid-column: 2 / 4; margin: 7px 0 5px; }
.why { grid-column: 2 / 4; font-size: 14.5px; line-height: 1.38; }
.empty { padding: 20px; }
</style>
