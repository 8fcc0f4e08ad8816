<script setup lang="ts">
import { DateTime } from 'luxon'
import type { DayCaution, DayOutlook, DayWindow } from '../../../core/season/dayOutlook'
import { cautionText, windowWhy } from '../../../core/season/outlookText'
import { compassPoint, formatDepth, formatPercent, formatTemperature, formatTemperatureDifference, formatWind } from '../../../core/units/format'
import { clockText } from '../../utils/time'

const props = defineProps<{ outlook: DayOutlook, cautions: DayCaution[], rank: number, mostRate: number, nowMs: number, zone: string, here: boolean }>()
defineEmits<{ go: [hour: number | null] }>()
const session = useSession()
const units = computed(() => session.units)
const date = computed(() => DateTime.fromISO(props.outlook.day.iso))
const clock = (ms: number | null) => (ms === null ? '–' : clockText(ms, props.zone))
const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
const why = (w: DayWindow) => upper(w.why.map(r => windowWhy(r, units.value, clock)).join(', '))
const hourOf = (ms: number) => {
  const at = DateTime.fromMillis(ms, { zone: props.zone })
  return at.hour + at.minute / 60
}
const sun = computed(() => {
  const { riseMs, setMs, alwaysUp, alwaysDown } = props.outlook.lights
  return alwaysUp ? 'the sun does not set' : alwaysDown ? 'the sun does not rise' : `sun ${clock(riseMs)} to ${clock(setMs)}`
})
const twilight = computed(() => {
  const { dawnMs, duskMs } = props.outlook.lights
  return dawnMs === null || duskMs === null ? 'no dark night' : `light ${clock(dawnMs)} to ${clock(duskMs)}`
})
</script>

<template>
  <li
    class="row"
    :class="{ here }"
    data-test="day-row"
  >
    <button
      type="button"
      class="date"
      :aria-label="`Go to ${date.toFormat('cccc d LLLL')}`"
      @click="$emit('go', null)"
    >
      <span class="rank">{{ rank }}</span>
      <span><strong>{{ date.toFormat('ccc d LLL') }}</strong>
        <span class="quiet">{{ sun }}<br>{{ twilight }}</span></span>
    </button>
    <div class="cell">
      <strong>{{ outlook.phases[0]!.prior.name }} {{ formatPercent(outlook.phases[0]!.probability) }}</strong>
      <span class="quiet">water {{ formatTemperature(outlook.waterC.mean, units) }} ± {{ formatTemperatureDifference(outlook.waterC.sd, units) }}</span>
      <span class="quiet">{{ outlook.lights.moonName }}</span>
      <span
        v-for="c in cautions"
        :key="c"
        class="caution"
      >{{ cautionText(c) }}</span>
    </div>
    <div class="cell">
      <strong>{{ compassPoint(outlook.windMS.fromDeg) }} {{ formatWind(outlook.windMS.mean, units) }}</strong> <span class="quiet">up to {{ formatWind(outlook.windMS.most, units) }}</span>
      <span :class="outlook.hoursOverLimit > 0 ? 'caution' : 'quiet'">waves to {{ formatDepth(outlook.waveM, units) }}{{ outlook.hoursOverLimit > 0 ? `, ${outlook.hoursOverLimit} h over your limit` : '' }}</span>
      <span class="quiet">{{ outlook.sky }}, air {{ formatTemperature(outlook.airC.low, units) }} to {{ formatTemperature(outlook.airC.high, units) }}</span>
      <span
        v-for="f in outlook.fronts"
        :key="f.atMs"
        class="caution"
      >{{ f.kind }} front about {{ clock(f.atMs) }}: {{ formatTemperatureDifference(f.changeC, units) }} {{ f.changeC < 0 ? 'colder' : 'warmer' }}</span>
    </div>
    <SeasonDayStrip
      class="strip"
      :outlook="outlook"
      :most-rate="mostRate"
      :now-ms="nowMs"
    />
    <div class="windows">
      <button
        v-for="w in outlook.windows"
        :key="w.fromMs"
        type="button"
        class="window"
        @click="$emit('go', hourOf(w.fromMs))"
      >
        <strong>{{ clock(w.fromMs) }} to {{ clock(w.toMs) }}</strong> <span>{{ w.ratePerHour.toFixed(1) }} an hour.</span> <span class="quiet">{{ why(w) }}</span>
      </button>
      <span
        v-if="outlook.windows.length === 0"
        class="quiet"
      >No window is left.</span>
    </div>
  </li>
</template>

<style scoped>
.row { display: grid; grid-template-columns: 168px 178px 190px 268px minmax(0, 1fr); gap: 0 14px; align-items: center; border-bottom: 1px solid var(--rule); padding: 3px 12px 3px 4px; }
.row.here { background: var(--what-if); }
.date { font: inherit; color: var(--ink); text-align: left; background: none; border: 0; cursor: pointer; display: grid; grid-template-columns: 34px 1fr; align-items: start; padding: 2px 4px; }
.date .quiet { display: block; font-size: 13px; line-height: 1.25; }
.rank { font-size: 20px; font-weight: 750; color: var(--mark); }
.cell { font-size: 14.5px; line-height: 1.3; }
.cell .quiet, .caution { display: block; }
.cell strong + .quiet { display: inline; }
.cell:nth-child(2) strong + .quiet { display: block; }
.caution { color: var(--careful); font-size: 13.5px; font-weight: 600; line-height: 1.3; }
.windows { display: flex; flex-direction: column; gap: 4px; }
.window { font: inherit; font-size: 14.5px; line-height: 1.3; text-align: left; color: var(--ink); background: none; border: 0; border-left: 5px solid var(--mark); padding: 1px 0 1px 8px; cursor: pointer; }
@media (max-width: 1000px) {
  .row { grid-template-columns: 1fr 1fr; gap: 6px 12px; padding: 10px 12px; }
  .windows { grid-column: 1 / 3; }
  .window { min-height: 44px; }
}
</style>
