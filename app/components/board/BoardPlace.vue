<script setup lang="ts">
import { placeKindName } from '../../../core/place/kinds'
import { placeReason } from '../../../core/place/placeReason'
import { whyNot } from '../../../core/place/compareScores'
import { standOffText } from '../../../core/rig/rigReasons'
import { formatDepth, formatDepthBand, formatPercent, formatSeconds, formatSetting, formatWeight } from '../../../core/units/format'
import type { RankedPlace } from '../../stores/ranking'
import { FACTOR_LABELS } from '../../utils/factorLabels'
import { placeFacts } from '../../utils/placeFacts'

const props = defineProps<{ ranking: RankedPlace, pxPerM: number }>()
defineEmits<{ close: [], edit: [], remove: [], look: [], keep: [], choose: [placeId: string], compare: [placeId: string] }>()
const session = useSession()
const waters = useWater()
const advice = useAdvice()
const ranks = useRanking()

const place = computed(() => props.ranking.place)
const rig = computed(() => advice.rigAt(props.ranking))
const facts = computed(() => placeFacts(place.value, session.units))
const factors = computed(() => props.ranking.score.factors.map(f => ({ key: f.key, label: FACTOR_LABELS[f.key], value: f.value, reason: placeReason(f, session.units) })))
const best = computed(() => (props.ranking.rank > 1 && ranks.rows[0] ? ranks.full(ranks.rows[0]) : null))
const costs = computed(() => (best.value ? whyNot({ score: props.ranking.score, best: best.value.score }).map(g => ({ label: FACTOR_LABELS[g.key], mine: placeReason(g.mine, session.units).text, theirs: placeReason(g.other, session.units).text })) : []))
const others = computed(() => ranks.rows.filter(r => r.place.id !== place.value.id).slice(0, 60))
</script>

<template>
  <section
    class="place"
    :aria-label="place.name"
    data-test="place-sheet"
  >
    <header>
      <button
        type="button"
        class="back"
        @click="$emit('close')"
      >
        ‹ all places
      </button>
      <span
        v-if="ranking.candidate"
        class="acts"
      >
        <button
          type="button"
          class="back"
          @click="$emit('keep')"
        >
          keep it as a place
        </button>
      </span>
      <span
        v-else
        class="acts"
      >
        <button
          type="button"
          class="back"
          @click="$emit('edit')"
        >
          change
        </button>
        <button
          type="button"
          class="back"
          @click="$emit('remove')"
        >
          take off the chart
        </button>
      </span>
      <h1>{{ place.name }}</h1>
      <p class="quiet">
        {{ placeKindName(place.kind) }} · number {{ ranking.rank }} today · {{ ranking.score.ratePerHour.toFixed(1) }} fish an hour expected
      </p>
    </header>
    <div
      class="scroll"
      tabindex="0"
      role="region"
      aria-label="About this place"
    >
      <dl class="facts">
        <div
          v-for="fact in facts"
          :key="fact.label"
        >
          <dt>{{ fact.label }}</dt>
          <dd>{{ fact.value }}</dd>
        </div>
      </dl>
      <p v-if="place.notes">
        {{ place.notes }}
      </p>
      <PlaceSection
        v-if="pxPerM > 0"
        :ranking="ranking"
        :px-per-m="pxPerM"
      />
      <template v-if="rig">
        <h2>Rig for it</h2>
        <dl class="rig">
          <div>
            <dt>tie on</dt>
            <dd :class="{ 'tone-careful': rig.weight.choice === null }">
              {{ formatWeight(rig.tie.massKg, session.units) }}
            </dd>
          </div>
          <div>
            <dt>count to {{ formatDepth(rig.baitDepthM, session.units) }}</dt>
            <dd>{{ formatSeconds(rig.tie.fallS) }}</dd>
          </div>
          <div>
            <dt>or float stop</dt>
            <dd>{{ formatSetting(rig.float.setting.stopLengthM, session.units) }}</dd>
          </div>
        </dl>
        <p>Fish at {{ formatDepthBand(ranking.belief.quantiles.p20, ranking.belief.quantiles.p80, session.units) }}. {{ standOffText(rig.standOff, session.units) }}</p>
      </template>
      <p
        v-else
        class="tone-careful"
      >
        The box you carry has no {{ advice.boxLacks }}: tick some on the rig bench.
      </p>
      <h2>Hold on it</h2>
      <PlaceStance
        :ranking="ranking"
        @look="$emit('look')"
      />
      <h2>Wind and waves here today</h2>
      <PlaceWind :ranking="ranking" />
      <template v-if="place.kind === 'dock'">
        <h2>Shade round the dock</h2>
        <BoardDock
          :place="place"
          :fish-depth-m="ranking.belief.quantiles.p50"
        />
      </template>
      <PlaceReleases v-if="place.attributes.runs === 'released'" />
      <PlaceSteps
        :ranking="ranking"
        @choose="$emit('choose', $event)"
      />
      <h2>Why number {{ ranking.rank }}</h2>
      <ul class="factors">
        <li
          v-for="f in factors"
          :key="f.key"
        >
          <span class="label">{{ f.label }}</span>
          <span
            class="meter"
            :title="formatPercent(f.value)"
          ><i :style="{ width: `${f.value * 100}%` }" /></span>
          <span :class="`tone-${f.reason.tone}`">{{ f.reason.text }}.</span>
        </li>
      </ul>
      <template v-if="best && costs.length > 0">
        <h2>Why not first</h2>
        <ul
          class="costs"
          data-test="why-not"
        >
          <li
            v-for="c in costs"
            :key="c.label"
          >
            <strong>{{ c.label }}</strong>: {{ c.mine }}; at {{ best.place.name }}: {{ c.theirs }}.
          </li>
        </ul>
      </template>
      <label class="against">hold it against
        <select
          aria-label="Compare with"
          @change="$emit('compare', ($event.target as HTMLSelectElement).value)"
        >
          <option value="">
            another place …
          </option>
          <option
            v-for="o in others"
            :key="o.place.id"
            :value="o.place.id"
          >
            {{ o.rank }}. {{ o.place.name }}
          </option>
        </select>
      </label>
      <PlacePhotos
        v-if="!ranking.candidate"
        :place-id="place.id"
        :place-name="place.name"
      />
      <p
        v-if="place.kind === 'dock' || place.kind === 'moorings'"
        class="quiet"
      >
        Private docks: keep off lines, do not hit boats, give way to owners.
      </p>
    </div>
    <footer>
      <v-btn
        class="main"
        size="large"
        :to="`/water/${waters.water!.id}/rig?place=${place.id}`"
        aria-label="Open on the rig bench"
      >
        Rig bench
      </v-btn>
      <v-btn
        v-if="!ranking.candidate"
        class="plain"
        size="large"
        :to="`/water/${waters.water!.id}/card?place=${place.id}`"
      >
        Card
      </v-btn>
      <v-btn
        v-if="!ranking.candidate"
        class="plain"
        size="large"
        :to="`/log?place=${place.id}`"
      >
        Fish it
      </v-btn>
    </footer>
  </section>
</template>

<style scoped>
.place { display: flex; flex-direction: column; height: 100%; min-height: 0; background: var(--sheet); }
header { padding: 10px 18px; border-bottom: 1px solid var(--rule); }
.back { font: inherit; font-size: 14.5px; font-weight: 650; background: none; border: 0; color: var(--ink-2); padding: 4px 0; cursor: pointer; text-decoration: underline; text-underline-offset: 3px; }
.acts { float: right; display: flex; gap: 14px; }
.scroll { overflow-y: auto; flex: 1; min-height: 0; padding: 12px 18px; display: flex; flex-direction: column; gap: 12px; font-size: 15px; line-height: 1.4; }
.facts { display: grid; grid-template-columns: repeat(3, 1fr); gap: 8px 14px; }
.facts dt, .rig dt { font-size: 13.5px; color: var(--ink-2); }
.facts dd { font-size: 16px; font-weight: 650; }
.factors li { display: grid; grid-template-columns: 62px 56px 1fr; gap: 10px; align-items: start; padding: 6px 0; border-top: 1px solid var(--rule); }
.label { font-size: 13.5px; color: var(--ink-2); }
.meter { height: 7px; background: var(--tab); margin-top: 7px; }
.meter i { display: block; height: 100%; background: var(--mark); }
.costs li { padding: 3px 0; }
.against { display: flex; gap: 8px; align-items: center; flex-wrap: wrap; }
.against select { font: inherit; font-size: 14.5px; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 6px; max-width: 220px; min-height: 38px; }
.rig { display: grid; grid-template-columns: repeat(3, 1fr); gap: 10px; }
.rig dd { font-size: 22px; font-weight: 750; line-height: 1.2; }
footer { padding: 12px 18px; display: flex; gap: 10px; border-top: 1px solid var(--rule); }
footer .main { flex: 1; }
</style>
