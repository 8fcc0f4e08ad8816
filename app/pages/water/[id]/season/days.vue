<script setup lang="ts">
import { cautionText } from '../../../../../core/season/outlookText'
import { SEASON_FISH, seasonFishName } from '../../../../../core/season/seasons'

const session = useSession()
const waters = useWater()
const season = useSeason()
const conditions = useConditions()
const { fish, set } = useSeasonView()
const { outlooks } = useOutlook(fish)

const mostRate = computed(() => Math.max(0.5, ...outlooks.value.flatMap(o => o.hours.map(h => h.ratePerHour))))
const ranks = computed(() => {
  const order = [...outlooks.value].sort((a, b) => b.ratePerHour - a.ratePerHour)
  return new Map(order.map((o, i) => [o.day.iso, i + 1]))
})
/** A caution that holds every day is said once. */
const allDays = computed(() => (outlooks.value[0]?.cautions ?? []).filter(c => outlooks.value.every(o => o.cautions.includes(c))))
const chosenIso = computed(() => conditions.local.toISODate())

/** The whole app goes to that day, as a what-if; today is no supposition. */
function go(iso: string, hour: number | null) {
  if (season.model && iso === season.model.days[season.model.today]!.iso) conditions.forget('day')
  else conditions.suppose('day', iso)
  if (hour !== null) conditions.suppose('hour', hour)
}
useHead({ title: () => `Which day · ${waters.water?.name ?? 'Remous'}` })
</script>

<template>
  <div class="days">
    <SeasonHead />
    <div class="bar">
      <div
        class="chips"
        role="group"
        aria-label="fish"
      >
        <button
          v-for="f in SEASON_FISH"
          :key="f"
          type="button"
          class="chip"
          :aria-pressed="f === fish"
          @click="set({ fish: f })"
        >
          {{ seasonFishName(f) }}
        </button>
      </div>
      <p
        v-for="c in allDays"
        :key="c"
        class="tone-careful"
      >
        {{ cautionText(c) }}, all these days.
      </p>
      <p class="quiet key">
        The number is the order to choose in. Rates are fish an hour at an ordinary place; <i class="swatch" /> the two best windows, <i class="swatch pale" /> how readily they feed, <i class="swatch dash" /> a front.
      </p>
    </div>
    <p
      v-if="!season.model"
      class="wait"
    >
      {{ season.working ? 'Working out the water\'s year …' : 'No weather is known for this water yet.' }}
    </p>
    <ol
      v-else
      data-test="outlook"
    >
      <SeasonDayRow
        v-for="o in outlooks"
        :key="o.day.iso"
        :outlook="o"
        :cautions="o.cautions.filter(c => !allDays.includes(c))"
        :rank="ranks.get(o.day.iso)!"
        :most-rate="mostRate"
        :now-ms="session.nowMs"
        :zone="conditions.zone"
        :here="o.day.iso === chosenIso && conditions.isWhatIf('day')"
        @go="go(o.day.iso, $event)"
      />
    </ol>
  </div>
</template>

<style scoped>
.days { height: 100%; display: flex; flex-direction: column; min-height: 0; }
.bar { display: flex; flex-wrap: wrap; gap: 4px 18px; align-items: center; padding: 8px 16px; border-bottom: 1px solid var(--ink); }
.key { flex: 1 1 320px; }
.swatch { display: inline-block; width: 14px; height: 11px; background: var(--mark); vertical-align: -1px; }
.swatch.pale { background: var(--mark-4); }
.swatch.dash { width: 0; height: 13px; border-left: 2px dashed var(--careful); background: none; margin: 0 4px; }
ol { overflow-y: auto; min-height: 0; flex: 1; }
.wait { padding: 24px 16px; font-size: 17px; }
</style>
