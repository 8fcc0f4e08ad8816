<script setup lang="ts">
import { dayReached } from '../../../core/season/dayReached'
import { reachedText } from '../../../core/season/reachedText'
import type { SeasonFish } from '../../../core/season/seasons'
import { formatPercent, formatTemperature, formatTemperatureChange, formatTemperatureDifference } from '../../../core/units/format'

const props = defineProps<{ fish: SeasonFish, chosen: number }>()
const emit = defineEmits<{ choose: [part: number] }>()
const session = useSession()
const season = useSeason()
const advice = useAdvice()
const conditions = useConditions()

/** Levels that decide the phases, °C, in the order the water meets them. */
const LEVELS_C = [7, 10, 14, 18]
const units = computed(() => session.units)
const day = computed(() => season.dayIndexAt(conditions.atMs))
const way = computed(() => ((season.trendAt(0, conditions.atMs) ?? 0) < -0.5 ? 'falls' as const : 'rises' as const))
const levels = computed(() => (way.value === 'rises' ? LEVELS_C : [...LEVELS_C].reverse()))

function shown(part: number): number | null {
  const waterC = season.partCAt(part, conditions.atMs)
  return waterC === null ? null : waterC + advice.offModelC
}
const rows = computed(() => {
  const model = season.model
  if (!model || day.value < 0) return []
  const upTo = Math.min(model.days.length, Math.max(day.value, model.today) + 11)
  const days = model.days.slice(0, upTo)
  return season.parts.map(({ index }) => {
    const meanC = model.meanC[index]!.subarray(0, upTo)
    const shares = advice.phasesOf(props.fish, index)
    return {
      index, name: model.names[index]!, waterC: shown(index), sdC: season.partSdAt(index, conditions.atMs) ?? 0, trend: season.trendAt(index, conditions.atMs) ?? 0,
      first: shares[0]!, reached: dayReached({ meanC, sdC: model.sdC[index]!.subarray(0, upTo), days, today: day.value, levelsC: levels.value, way: way.value }),
    }
  }).filter(r => r.waterC !== null).sort((a, b) => b.waterC! - a.waterC!)
})
</script>

<template>
  <section
    class="parts"
    aria-label="Parts of the lake"
  >
    <table data-test="parts">
      <thead>
        <tr>
          <th scope="col">
            warmest first
          </th>
          <th
            scope="col"
            class="figure"
          >
            water
          </th>
          <th
            scope="col"
            class="figure"
          >
            a week
          </th>
          <th scope="col">
            phase
          </th>
          <th
            v-for="c in levels"
            :key="c"
            scope="col"
          >
            {{ way === 'rises' ? 'to' : 'down to' }} {{ formatTemperature(c, units) }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.index"
          :class="{ here: row.index === chosen }"
        >
          <th scope="row">
            <button
              type="button"
              class="name"
              :aria-pressed="row.index === chosen"
              @click="emit('choose', row.index)"
            >
              {{ row.name }}
            </button>
          </th>
          <td class="figure">
            <strong>{{ formatTemperature(row.waterC!, units) }}</strong> <span class="quiet">± {{ formatTemperatureDifference(row.sdC, units) }}</span>
          </td>
          <td class="figure">
            {{ formatTemperatureChange(row.trend, units) }}
          </td>
          <td>
            {{ row.first.prior.name }} <span class="quiet">{{ formatPercent(row.first.probability) }}</span>
          </td>
          <td
            v-for="r in row.reached"
            :key="r.levelC"
            :class="{ passed: r.passed }"
          >
            <template v-if="reachedText(r).day">
              {{ reachedText(r).day }} <span
                v-if="reachedText(r).band"
                class="quiet band"
              >{{ reachedText(r).band }}</span>
            </template>
            <span
              v-else
              class="quiet"
            >not in ten days</span>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.parts { overflow: auto; min-height: 0; }
table { border-collapse: collapse; width: 100%; font-size: 14px; line-height: 1.25; }
th, td { text-align: left; padding: 4px 9px; border-bottom: 1px solid var(--rule); white-space: nowrap; font-weight: 400; }
thead th { font-size: 13px; color: var(--ink-2); position: sticky; top: 0; background: var(--paper); z-index: 1; }
.figure { text-align: right; }
.name { font: inherit; font-weight: 650; background: none; border: 0; padding: 3px 0; color: var(--ink); cursor: pointer; text-align: left; }
.here { background: var(--tab); }
.here .name { color: var(--now); }
.passed { color: var(--ink-2); }
.band { display: block; font-size: 12.5px; }
@media (max-width: 700px) { .name { min-height: 44px; } }
</style>
