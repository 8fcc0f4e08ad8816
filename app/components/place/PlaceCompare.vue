<script setup lang="ts">
import { placeKindName } from '../../../core/place/kinds'
import { compareScores } from '../../../core/place/compareScores'
import { placeReason } from '../../../core/place/placeReason'
import { formatDepth, formatDepthBand, formatPercent } from '../../../core/units/format'
import type { RankedPlace } from '../../stores/ranking'
import { FACTOR_LABELS } from '../../utils/factorLabels'

const props = defineProps<{ mine: RankedPlace, other: RankedPlace }>()
defineEmits<{ close: [], choose: [placeId: string] }>()
const session = useSession()

const sides = computed(() => [props.mine, props.other])
const rows = computed(() => compareScores(props.mine.score, props.other.score).map(({ key, mine, other, gap }) => ({
  key, label: FACTOR_LABELS[key], gap, cells: [mine, other].map(f => ({ value: f.value, reason: placeReason(f, session.units) })),
})))
const better = computed(() => (props.mine.ratePerHour >= props.other.ratePerHour ? props.mine : props.other))
const main = computed(() => rows.value.filter(r => Math.abs(r.gap) > 0.03 && (r.gap > 0) === (better.value === props.mine)).slice(0, 2).map(r => r.label))
</script>

<template>
  <section
    class="compare"
    aria-label="Two places side by side"
    data-test="compare"
    tabindex="0"
  >
    <button
      type="button"
      class="back"
      @click="$emit('close')"
    >
      ‹ back to {{ mine.place.name }}
    </button>
    <p>
      <strong>{{ better.place.name }}</strong> first: {{ Math.max(mine.ratePerHour, other.ratePerHour).toFixed(1) }} against {{ Math.min(mine.ratePerHour, other.ratePerHour).toFixed(1) }} fish an hour.
      <template v-if="main.length > 0">
        It is ahead by {{ main.join(' and ') }}.
      </template>
    </p>
    <table>
      <thead>
        <tr>
          <th scope="col">
            <span class="hidden">what</span>
          </th>
          <th
            v-for="s in sides"
            :key="s.place.id"
            scope="col"
          >
            <button
              type="button"
              class="back"
              @click="$emit('choose', s.place.id)"
            >
              {{ s.place.name }}
            </button>
            <span class="quiet">{{ placeKindName(s.place.kind) }} · number {{ s.rank }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">
            an hour
          </th>
          <td
            v-for="s in sides"
            :key="s.place.id"
          >
            <strong>{{ s.ratePerHour.toFixed(1) }}</strong> ({{ s.low.toFixed(1) }}–{{ s.high.toFixed(1) }})
          </td>
        </tr>
        <tr>
          <th scope="row">
            bottom
          </th>
          <td
            v-for="s in sides"
            :key="s.place.id"
          >
            {{ formatDepth(s.place.attributes.bottomDepthM, session.units) }}; fish at {{ formatDepthBand(s.belief.quantiles.p20, s.belief.quantiles.p80, session.units) }}
          </td>
        </tr>
        <tr
          v-for="r in rows"
          :key="r.key"
        >
          <th scope="row">
            {{ r.label }}
          </th>
          <td
            v-for="(c, i) in r.cells"
            :key="i"
            :class="{ ahead: i === 0 ? r.gap > 0.03 : r.gap < -0.03 }"
          >
            <span
              class="meter"
              :title="formatPercent(c.value)"
            ><i :style="{ width: `${c.value * 100}%` }" /></span>
            {{ c.reason.text }}.
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.compare { height: 100%; overflow-y: auto; background: var(--sheet); padding: 12px 18px 20px; font-size: 14.5px; line-height: 1.35; display: flex; flex-direction: column; gap: 10px; }
.back { font: inherit; font-weight: 700; background: none; border: 0; color: var(--ink); padding: 4px 0; cursor: pointer; text-decoration: underline; text-underline-offset: 3px; text-align: left; }
table { border-collapse: collapse; width: 100%; table-layout: fixed; }
th, td { text-align: left; vertical-align: top; padding: 7px 8px 7px 0; border-top: 1px solid var(--rule); font-weight: 450; }
thead th { border-top: 0; }
thead .quiet { display: block; }
tr > :first-child { width: 62px; color: var(--ink-2); font-size: 13.5px; }
.ahead { font-weight: 650; }
.meter { display: block; height: 7px; background: var(--tab); margin: 4px 0; }
.meter i { display: block; height: 100%; background: var(--mark-3); }
.ahead .meter i { background: var(--mark); }
.hidden { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); }
</style>
