<script setup lang="ts">
import { SKIES } from '../../../core/season/sky'
import { compassPoint, formatDepth, formatPercent, formatTemperature, formatTemperatureChange, formatWind, depthUnitM } from '../../../core/units/format'
import { clockText, dayText, hourText } from '../../utils/time'

const session = useSession()
const waters = useWater()
const conditions = useConditions()
const advice = useAdvice()
const { tabs } = useIndex()

const units = computed(() => session.units)
const now = computed(() => conditions.now)
const trendText = computed(() => `${formatTemperatureChange(now.value.trendCPerWeek, units.value)} a week`)
const arrow = computed(() => (now.value.trendCPerWeek > 0.4 ? '↗' : now.value.trendCPerWeek < -0.4 ? '↘' : '→'))
const clearStep = computed(() => depthUnitM(units.value) / (units.value === 'us' ? 4 : 10))
const light = computed(() => {
  const { riseMs, setMs } = conditions.sunToday
  if (riseMs === null || setMs === null) return conditions.sun.altitudeDeg > 0 ? 'sun all day' : 'no sun today'
  return conditions.atMs < (riseMs + setMs) / 2 ? `sunrise ${clockText(riseMs, conditions.zone)}` : `sunset ${clockText(setMs, conditions.zone)}`
})
const others = computed(() => advice.phases.slice(1, 3).filter(p => p.probability >= 0.02).map(p => `${p.prior.name} ${Math.round(p.probability * 100)}`).join(', '))
const number = (value: unknown) => Number(value)
/** The clock runs on; only the advice goes in steps. */
const shownMs = computed(() => (conditions.isWhatIf('day') || conditions.isWhatIf('hour') ? conditions.atMs : session.nowMs))
</script>

<template>
  <header class="line">
    <FrameMenu
      v-if="waters.water"
      class="where"
      :what-if="conditions.isWhatIf('day')"
      :label="`Settings. ${waters.water.name}`"
      @forget="conditions.forget('day')"
    >
      <template #face>
        <span class="small">{{ waters.water.name }}<template v-if="conditions.isWhatIf('day')">, what if</template></span>
        <span class="value">{{ dayText(shownMs, conditions.zone) }}</span>
      </template>
      <template #default="{ close }">
        <nav
          class="small-index"
          aria-label="Index, small screen"
        >
          <NuxtLink
            v-for="tab in tabs"
            :key="tab.name"
            class="chip"
            :to="tab.to"
          >
            {{ tab.name }}
          </NuxtLink>
        </nav>
        <FrameSettings @keys="close" />
      </template>
    </FrameMenu>

    <template v-if="waters.water">
      <FrameMenu
        :what-if="conditions.isWhatIf('waterC') || conditions.isWhatIf('trendCPerWeek')"
        label="Water temperature"
        @forget="conditions.forget('waterC', 'trendCPerWeek')"
      >
        <template #face>
          <span class="small">water<template v-if="conditions.isWhatIf('waterC')">, what if</template></span>
          <span class="value">{{ formatTemperature(now.waterC, units) }} {{ arrow }} <span class="aside">{{ trendText }}</span></span>
        </template>
        <FrameSlider
          label="water temperature"
          :model-value="now.waterC"
          :min="1"
          :max="33"
          :step="units === 'us' ? 5 / 9 : 0.5"
          :text="formatTemperature(now.waterC, units)"
          @update:model-value="conditions.suppose('waterC', $event)"
        />
        <FrameSlider
          label="change in a week"
          :model-value="now.trendCPerWeek"
          :min="-5"
          :max="5"
          :step="units === 'us' ? 5 / 9 : 0.5"
          :text="formatTemperatureChange(now.trendCPerWeek, units)"
          @update:model-value="conditions.suppose('trendCPerWeek', $event)"
        />
      </FrameMenu>

      <FrameMenu
        :what-if="conditions.isWhatIf('secchiM')"
        label="Clarity"
        @forget="conditions.forget('secchiM')"
      >
        <template #face>
          <span class="small">clear to<template v-if="conditions.isWhatIf('secchiM')">, what if</template></span>
          <span class="value">{{ formatDepth(now.secchiM, units) }}</span>
        </template>
        <FrameSlider
          label="a pale lure is seen down to"
          :model-value="now.secchiM"
          :min="clearStep"
          :max="6"
          :step="clearStep"
          :text="formatDepth(now.secchiM, units)"
          @update:model-value="conditions.suppose('secchiM', $event)"
        />
      </FrameMenu>

      <FrameMenu
        :what-if="conditions.isWhatIf('windMS') || conditions.isWhatIf('windFromDeg')"
        label="Wind"
        @forget="conditions.forget('windMS', 'windFromDeg')"
      >
        <template #face>
          <span class="small">wind<template v-if="conditions.isWhatIf('windMS') || conditions.isWhatIf('windFromDeg')">, what if</template></span>
          <span class="value">{{ compassPoint(now.windFromDeg) }} {{ formatWind(now.windMS, units) }}</span>
        </template>
        <FrameSlider
          label="wind speed"
          :model-value="now.windMS"
          :min="0"
          :max="14"
          :step="units === 'us' ? 0.44704 : 0.5"
          :text="formatWind(now.windMS, units)"
          @update:model-value="conditions.suppose('windMS', $event)"
        />
        <FrameSlider
          label="blowing from"
          :model-value="now.windFromDeg"
          :min="0"
          :max="350"
          :step="10"
          :text="`${compassPoint(now.windFromDeg)} ${Math.round(now.windFromDeg)}°`"
          @update:model-value="conditions.suppose('windFromDeg', $event)"
        />
      </FrameMenu>

      <FrameMenu
        :what-if="conditions.isWhatIf('sky')"
        label="Sky"
        @forget="conditions.forget('sky')"
      >
        <template #face>
          <span class="small">sky<template v-if="conditions.isWhatIf('sky')">, what if</template></span>
          <span class="value">{{ now.sky }}</span>
        </template>
        <div
          class="chips"
          role="group"
          aria-label="sky"
        >
          <button
            v-for="sky in SKIES"
            :key="sky"
            type="button"
            class="chip"
            :aria-pressed="now.sky === sky"
            @click="conditions.suppose('sky', sky)"
          >
            {{ sky }}
          </button>
        </div>
      </FrameMenu>

      <FrameMenu
        :what-if="conditions.isWhatIf('hour')"
        label="Hour"
        @forget="conditions.forget('hour')"
      >
        <template #face>
          <span class="small">{{ light }}<template v-if="conditions.isWhatIf('hour')">, what if</template></span>
          <span class="value">{{ hourText(now.hour) }}</span>
        </template>
        <FrameSlider
          label="hour of the day"
          :model-value="now.hour"
          :min="0"
          :max="23.75"
          :step="0.25"
          :text="hourText(now.hour)"
          @update:model-value="conditions.suppose('hour', number($event))"
        />
      </FrameMenu>

      <button
        v-if="conditions.anyWhatIf"
        type="button"
        class="readings"
        @click="conditions.forget()"
      >
        back to the readings
      </button>

      <div
        class="phase"
        data-test="phase"
      >
        <span class="phase-name">{{ advice.phases[0]!.prior.name }} {{ formatPercent(advice.phases[0]!.probability) }}</span>
        <span class="small">{{ others }}</span>
      </div>
    </template>
  </header>
</template>

<style scoped>
.line { display: flex; align-items: stretch; background: var(--sheet); border-bottom: 1px solid var(--ink); min-width: 0; overflow-x: auto; overflow-y: hidden; scrollbar-width: none; }
.where { border-right: 1px solid var(--ink) !important; min-width: 196px; }
.small { font-size: 13px; line-height: 17px; color: var(--ink-2); white-space: nowrap; }
.value { font-size: 18px; line-height: 22px; font-weight: 700; white-space: nowrap; }
.aside { font-size: 13px; font-weight: 600; color: var(--ink-2); }
.phase { margin-left: auto; padding: 8px 18px 6px; display: flex; flex-direction: column; text-align: right; white-space: nowrap; }
.phase-name { font-size: 18px; line-height: 22px; font-weight: 750; color: var(--now); }
.readings { font: inherit; font-size: 14px; font-weight: 650; color: var(--now); background: none; border: 0; text-decoration: underline; text-underline-offset: 3px; padding: 0 14px; cursor: pointer; white-space: nowrap; }
.small-index { display: none; gap: 6px; flex-wrap: wrap; }
.small-index .chip { text-decoration: none; min-height: 56px; display: flex; align-items: center; flex: 1; justify-content: center; }
@media (max-width: 700px) {
  .small-index { display: flex; }
  .line { flex-wrap: wrap; overflow: visible; }
  .where { flex: 1 1 45%; min-width: 0; border-right: 0 !important; }
  .phase { flex: 1 1 45%; order: 0; padding-right: 12px; }
  .line :deep(.menu-face) { padding: 6px 10px; }
  .value { font-size: 16px; }
  .aside { display: none; }
  .readings { min-height: 44px; }
}
</style>
