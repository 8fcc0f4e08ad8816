<script setup lang="ts">
import { SEASON_FISH, seasonOf } from '../../../../../core/season/seasons'

const session = useSession()
const waters = useWater()
const season = useSeason()
const phases = usePhases()
const conditions = useConditions()
const { fish, part, set } = useSeasonView()

const model = computed(() => season.model)
const chosen = computed(() => Math.max(0, season.dayIndexAt(conditions.atMs)))
const shownPart = computed(() => Math.min(part.value, Math.max(0, season.parts.length - 1)))

function goTo(day: number) {
  if (day === model.value!.today) conditions.forget('day')
  else conditions.suppose('day', model.value!.days[day]!.iso)
}
const dayOf = (at: string) => season.dayIndexAt(Date.parse(at))
const lanes = computed(() => SEASON_FISH.map((lane) => {
  const counts = new Map<number, number>()
  for (const { at, species } of waters.record.catches) {
    const day = dayOf(at)
    if (day >= 0 && (species === null ? lane === 'crappie' : seasonOf(species) === lane)) counts.set(day, (counts.get(day) ?? 0) + 1)
  }
  return { fish: lane, shares: phases.yearOf(lane, shownPart.value), catches: [...counts].map(([day, n]) => ({ day, fish: n })) }
}))
const readings = computed(() => (model.value?.innovations ?? []).filter(i => i.part === shownPart.value).map(i => ({ day: season.dayIndexAt(i.atMs), waterC: i.waterC })).filter(r => r.day >= 0))
const dayAfter = (ms: number) => {
  const found = model.value!.days.findIndex(d => d.endMs > ms)
  return found === -1 ? model.value!.days.length : found
}
useHead({ title: () => `Season · ${waters.water?.name ?? 'Remous'}` })
</script>

<template>
  <div class="season">
    <FrameWaterStaff
      class="staff"
    />
    <div class="main">
      <SeasonHead />
      <p
        v-if="!model"
        class="wait"
        data-test="season-wait"
      >
        {{ season.working ? 'Working out the water\'s year …' : 'No weather is known for this water yet. Bring a table of hours, or ask the weather service.' }}
      </p>
      <template v-else>
        <SeasonRibbon
          class="ribbon"
          :days="model.days.map(d => d.iso)"
          :today="model.today"
          :chosen="chosen"
          :mean-c="model.meanC[shownPart]!"
          :sd-c="model.sdC[shownPart]!"
          :forecast-day="dayAfter(model.forecastFromMs)"
          :usual-day="dayAfter(model.usualFromMs)"
          :readings="readings"
          :lanes="lanes"
          :fish="fish"
          :units="session.units"
          @day="goTo"
          @fish="set({ fish: $event })"
        />
        <SeasonParts
          class="table"
          :fish="fish"
          :chosen="shownPart"
          @choose="set({ part: $event })"
        />
      </template>
    </div>
    <aside>
      <SeasonMeaning
        :fish="fish"
        :part="shownPart"
      />
      <SeasonRun />
      <SeasonSources />
      <SeasonPriors
        :fish="fish"
        :part="shownPart"
      />
    </aside>
  </div>
</template>

<style scoped>
.season { height: 100%; display: grid; grid-template-columns: var(--staff-w) minmax(0, 1fr) 322px; min-height: 0; }
.main { display: flex; flex-direction: column; min-height: 0; min-width: 0; gap: 8px; }
.ribbon { margin: 0 12px 0 4px; flex: none; }
.table { margin: 0 0 8px 8px; flex: 1; }
.wait { padding: 24px 16px; font-size: 17px; max-width: 560px; }
aside { border-left: 1px solid var(--ink); background: var(--sheet); padding: 12px 16px 20px; overflow-y: auto; display: flex; flex-direction: column; gap: 18px; min-height: 0; }
@media (max-width: 1000px) { .season { grid-template-columns: var(--staff-w) minmax(0, 1fr) 280px; } }
@media (max-width: 700px) {
  .season { display: block; overflow-y: auto; }
  .staff { display: none; }
  aside { border-left: 0; border-top: 1px solid var(--ink); overflow: visible; }
}
</style>
