<script setup lang="ts">
import { DateTime } from 'luxon'
import { runReaches, runStage, runText, type RunStage } from '../../../core/season/whiteBassRun'
import { formatPercent, formatTemperature } from '../../../core/units/format'

const session = useSession()
const waters = useWater()
const season = useSeason()
const phases = usePhases()
const conditions = useConditions()

const NAMES: Record<RunStage, string> = { wintering: 'not begun', running: 'running up', spawning: 'on the shoals', droppingBack: 'dropping back', openWater: 'over' }
const rivers = computed(() => (season.model?.rivers ?? []).map((part) => {
  const waterC = season.partCAt(part, conditions.atMs)
  const streamC = season.streamCAt(part, conditions.atMs)
  if (waterC === null || streamC === null) return null
  // What comes down the river is what the fish run up into.
  const shares = phases.phasesFor({ fish: 'whiteBass', part, waterC: streamC, trendCPerWeek: season.trendAt(part, conditions.atMs) ?? 0, dayOfYear: conditions.local.ordinal, atMs: conditions.atMs })
  return { part, name: season.model!.names[part]!, waterC, streamC, ...runStage(shares) }
}).filter(r => r !== null))
const reaches = computed(() => runReaches({ catches: waters.record.catches.filter(c => c.species === 'whiteBass').map(c => ({ atMs: Date.parse(c.at), placeId: c.placeId })), nowMs: conditions.atMs }).slice(0, 3))
const day = (ms: number) => DateTime.fromMillis(ms, { zone: conditions.zone }).toFormat('d LLL')
</script>

<template>
  <section
    v-if="rivers.length || reaches.length"
    class="run"
    data-test="white-bass-run"
  >
    <h2>White bass run</h2>
    <p
      v-for="r in rivers"
      :key="r.part"
    >
      <strong>{{ r.name }}: {{ NAMES[r.stage] }}</strong> <span class="quiet">{{ formatPercent(r.probability) }}</span><br>
      River {{ formatTemperature(r.streamC, session.units) }}, its arm {{ formatTemperature(r.waterC, session.units) }}. {{ runText(r.stage, session.units) }}
    </p>
    <p
      v-for="r in reaches"
      :key="`${r.placeId} ${r.year}`"
    >
      In {{ r.year }}: {{ r.fish }} at
      <NuxtLink :to="`/water/${waters.water!.id}?place=${r.placeId}`">
        {{ waters.placeName(r.placeId) ?? 'a place that is gone' }}
      </NuxtLink>, {{ day(r.firstMs) }} to {{ day(r.lastMs) }}. They come back to the same reach.
    </p>
  </section>
</template>

<style scoped>
.run p { font-size: 14.5px; line-height: 1.4; margin-top: 4px; }
</style>
