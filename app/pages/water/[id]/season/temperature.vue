<script setup lang="ts">
import { DateTime } from 'luxon'
import { temperatureSteps } from '../../../../../core/season/temperatureSteps'
import { formatTemperature, formatTemperatureChange, formatTemperatureDifference } from '../../../../../core/units/format'
import { TEMPERATURE_TINTS } from '../../../../theme'
import { dayText } from '../../../../utils/time'

const session = useSession()
const waters = useWater()
const season = useSeason()
const conditions = useConditions()
const route = useRoute()
const { part, set, setQuery } = useSeasonView()

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS
const BACK_DAYS = 5
const AHEAD_DAYS = 10

const model = computed(() => season.model)
/** Five days back and ten ahead of the instant asked about, as far as the model goes. */
const baseMs = computed(() => Math.floor(conditions.atMs / HOUR_MS) * HOUR_MS)
const span = computed(() => {
  const heat = model.value!.heat
  return { fromMs: Math.max(heat.startMs + HOUR_MS, baseMs.value - BACK_DAYS * DAY_MS), toMs: Math.min(heat.startMs + heat.hours * HOUR_MS, baseMs.value + AHEAD_DAYS * DAY_MS) }
})
const atMs = ref(baseMs.value)
watch(baseMs, (ms) => {
  atMs.value = ms
})
onMounted(() => {
  const asked = Number(route.query.at)
  if (Number.isFinite(asked) && asked > 0 && model.value && asked >= span.value.fromMs && asked <= span.value.toMs) atMs.value = asked
})
// The hour lives in the address, written once it rests.
let resting: ReturnType<typeof setTimeout> | undefined
watch(atMs, (ms) => {
  clearTimeout(resting)
  resting = setTimeout(() => setQuery({ at: ms === baseMs.value ? undefined : String(ms) }), 300)
})
onBeforeUnmount(() => clearTimeout(resting))

const chosen = computed(() => Math.min(part.value, Math.max(0, season.parts.length - 1)))
const course = computed(() => {
  const { fromMs, toMs } = span.value
  return Array.from({ length: Math.floor((toMs - fromMs) / (2 * HOUR_MS)) + 1 }, (_, i) => fromMs + i * 2 * HOUR_MS).map(ms => ({ atMs: ms, waterC: season.partCAt(chosen.value, ms) ?? 0, sdC: season.partSdAt(chosen.value, ms) ?? 0 }))
})
/** One legend for all hours, so that a tint means the same as one slides. */
const steps = computed(() => {
  const { fromMs, toMs } = span.value
  const some: number[] = []
  for (let ms = fromMs; ms <= toMs; ms += 9 * HOUR_MS) {
    const field = season.fieldAt(ms) ?? new Float32Array(0)
    for (let i = 0; i < field.length; i += 401) some.push(field[i]!)
  }
  some.sort((a, b) => a - b)
  return temperatureSteps({ fromC: some[Math.floor(some.length * 0.03)]!, toC: some[Math.floor(some.length * 0.97)]!, units: session.units })
})
const rows = computed(() => season.parts.map(p => ({
  index: p.index, name: model.value!.names[p.index]!, waterC: season.partCAt(p.index, atMs.value)!, sdC: season.partSdAt(p.index, atMs.value)!, day: season.partCAt(p.index, atMs.value - DAY_MS),
})).sort((a, b) => b.waterC - a.waterC))
const source = computed(() => ({ known: 'as it was', forecast: 'by the forecast', usual: 'as it usually is' }[season.sourceAt(atMs.value) ?? 'known']))

/** The hour of this afternoon at which the warmest part is warmest. */
function warmest() {
  const start = DateTime.fromMillis(baseMs.value, { zone: conditions.zone }).startOf('day')
  const hours = Array.from({ length: 8 }, (_, i) => start.set({ hour: 12 + i }).toMillis()).filter(ms => ms <= span.value.toMs)
  const best = hours.map(ms => ({ ms, c: Math.max(...season.parts.map(p => season.partCAt(p.index, ms) ?? -9)) })).sort((a, b) => b.c - a.c)[0]
  if (!best) return
  atMs.value = best.ms
  const part = [...season.parts].sort((a, b) => (season.partCAt(b.index, best.ms) ?? -9) - (season.partCAt(a.index, best.ms) ?? -9))[0]!
  set({ part: part.index })
}
const legend = computed(() => steps.value.map(c => (session.units === 'us' ? Math.round(c * 1.8 + 32) : Math.round(c * 10) / 10)))
useHead({ title: () => `Water temperature · ${waters.water?.name ?? 'Remous'}` })
</script>

<template>
  <div class="temperature">
    <FrameWaterStaff
      class="staff"
    />
    <div class="main">
      <SeasonHead />
      <p
        v-if="!model"
        class="wait"
      >
        {{ season.working ? 'Working out the water\'s year …' : 'No weather is known for this water yet.' }}
      </p>
      <template v-else>
        <div class="chart">
          <div class="map-box">
            <SeasonMap
              :at-ms="atMs"
              :steps="steps"
              :chosen="chosen"
              @choose="set({ part: $event })"
            />
          </div>
          <div
            class="legend sheet"
            aria-hidden="true"
          >
            <span class="tints"><i
              v-for="(tint, i) in TEMPERATURE_TINTS[session.ground]"
              :key="tint"
              :style="{ background: tint }"
            ><b v-if="i < legend.length">{{ legend[i] }}</b></i></span>
            <span class="quiet">°{{ session.units === 'us' ? 'F' : 'C' }} near the surface</span>
          </div>
        </div>
        <div class="foot">
          <p class="at">
            <strong data-test="hour-text">{{ dayText(atMs, conditions.zone) }}</strong> <span class="quiet">{{ source }}</span>
            <v-btn
              class="plain"
              size="small"
              data-test="warmest"
              @click="warmest"
            >
              Where is it warmest this afternoon?
            </v-btn>
            <v-btn
              v-if="atMs !== baseMs"
              class="quiet-btn"
              size="small"
              @click="atMs = baseMs"
            >
              back to now
            </v-btn>
          </p>
          <SeasonHours
            v-model:at-ms="atMs"
            :from-ms="span.fromMs"
            :to-ms="span.toMs"
            :now-ms="baseMs"
            :zone="conditions.zone"
            :course="course"
            :forecast-from-ms="model.forecastFromMs"
          />
        </div>
      </template>
    </div>
    <aside>
      <h1>Warmest first</h1>
      <ol data-test="warm-parts">
        <li
          v-for="row in model ? rows : []"
          :key="row.index"
        >
          <button
            type="button"
            :aria-pressed="row.index === chosen"
            @click="set({ part: row.index })"
          >
            <span class="name">{{ row.name }}</span>
            <span class="c">{{ formatTemperature(row.waterC, session.units) }}</span>
            <span class="quiet">± {{ formatTemperatureDifference(row.sdC, session.units) }}<template v-if="row.day !== null">, {{ formatTemperatureChange(row.waterC - row.day, session.units) }} in a day</template></span>
          </button>
        </li>
      </ol>
    </aside>
  </div>
</template>

<style scoped>
.temperature { height: 100%; display: grid; grid-template-columns: var(--staff-w) minmax(0, 1fr) 270px; min-height: 0; }
.main { display: flex; flex-direction: column; min-height: 0; min-width: 0; }
.chart { position: relative; flex: 1; min-height: 160px; margin-top: 6px; border-top: 1px solid var(--rule); border-bottom: 1px solid var(--ink); }
.map-box { position: absolute; inset: 0; }
.legend { position: absolute; left: 12px; bottom: 12px; padding: 6px 10px; border: 1px solid var(--rule); display: flex; flex-direction: column; gap: 4px; }
.tints { display: flex; padding-right: 14px; padding-bottom: 17px; }
.tints i { width: 30px; height: 14px; position: relative; font-style: normal; }
.tints b { position: absolute; right: 0; top: 16px; font-size: 13px; font-weight: 600; transform: translateX(50%); }
.foot { padding: 6px 14px 4px; }
.at { display: flex; flex-wrap: wrap; gap: 4px 12px; align-items: center; font-size: 16px; min-height: 34px; }
.wait { padding: 24px 16px; font-size: 17px; }
aside, .foot { contain: layout paint; }
aside { border-left: 1px solid var(--ink); background: var(--sheet); padding: 12px 0; overflow-y: auto; min-height: 0; }
h1 { padding: 0 16px 6px; }
li button { font: inherit; text-align: left; width: 100%; background: none; border: 0; border-bottom: 1px solid var(--rule); padding: 8px 16px; color: var(--ink); cursor: pointer; display: grid; grid-template-columns: 1fr auto; gap: 0 8px; border-left: 4px solid transparent; }
li button[aria-pressed='true'] { border-left-color: var(--now); background: var(--paper); }
.name { font-weight: 650; }
.c { font-weight: 750; font-size: 18px; }
li .quiet { grid-column: 1 / 3; }
@media (max-width: 700px) {
  .temperature { display: block; overflow-y: auto; }
  .chart { flex: none; height: 380px; display: flex; flex-direction: column; }
  .map-box { position: relative; inset: auto; flex: 1; }
  .legend { position: static; border-width: 1px 0 0; border-radius: 0; }
  .staff { display: none; }
  aside { border-left: 0; border-top: 1px solid var(--ink); }
  .tints i { width: 24px; }
}
</style>
