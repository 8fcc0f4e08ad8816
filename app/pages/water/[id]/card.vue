<script setup lang="ts">
import { placeKindName } from '../../../../core/place/kinds'
import { standOffText } from '../../../../core/rig/rigReasons'
import { formatDepth, formatDepthBand, formatSeconds, formatSetting, formatTemperature, formatWeight, formatWind } from '../../../../core/units/format'
import { placeFacts } from '../../../utils/placeFacts'
import { hourText } from '../../../utils/time'

const route = useRoute()
const session = useSession()
const waters = useWater()
const conditions = useConditions()
const advice = useAdvice()
const ranks = useRanking()

/** One place on one page, for the pocket: how to hold, what to tie on, the wind through the day. */
const ranking = computed(() => ranks.rankedById(typeof route.query.place === 'string' ? route.query.place : null))
const rig = computed(() => ranking.value && advice.rigAt(ranking.value))
const facts = computed(() => (ranking.value ? placeFacts(ranking.value.place, session.units) : []))
const print = () => window.print()
</script>

<template>
  <div class="page">
    <p v-if="!ranking">
      {{ ranks.rows.length === 0 ? 'Working it out …' : 'No such place on this water.' }}
    </p>
    <article
      v-else
      class="card"
      data-test="card"
    >
      <header>
        <h1>{{ ranking.place.name }}</h1>
        <p>{{ placeKindName(ranking.place.kind) }} · {{ waters.water!.name }} · {{ conditions.local.toFormat('ccc d LLLL yyyy') }}, {{ hourText(conditions.now.hour) }}</p>
        <p class="quiet">
          {{ ranking.place.latDeg.toFixed(5) }}, {{ ranking.place.lonDeg.toFixed(5) }} · water {{ formatTemperature(conditions.now.waterC, session.units) }} · wind {{ formatWind(conditions.now.windMS, session.units) }}
        </p>
      </header>
      <div class="halves">
        <section>
          <h2>Hold</h2>
          <PlaceStance
            :ranking="ranking"
            printed
          />
        </section>
        <section>
          <template v-if="rig">
            <h2>Rig</h2>
            <dl class="rig">
              <div><dt>tie on</dt><dd>{{ formatWeight(rig.tie.massKg, session.units) }}</dd></div>
              <div><dt>count to {{ formatDepth(rig.baitDepthM, session.units) }}</dt><dd>{{ formatSeconds(rig.tie.fallS) }}</dd></div>
              <div><dt>or float stop</dt><dd>{{ formatSetting(rig.float.setting.stopLengthM, session.units) }}</dd></div>
            </dl>
            <p>Fish at {{ formatDepthBand(ranking.belief.quantiles.p20, ranking.belief.quantiles.p80, session.units) }}. {{ standOffText(rig.standOff, session.units) }}</p>
          </template>
          <h2>What it is</h2>
          <dl class="facts">
            <div
              v-for="f in facts"
              :key="f.label"
            >
              <dt>{{ f.label }}</dt><dd>{{ f.value }}</dd>
            </div>
          </dl>
          <p v-if="ranking.place.notes">
            {{ ranking.place.notes }}
          </p>
          <h2>Wind and waves</h2>
          <PlaceWind :ranking="ranking" />
        </section>
      </div>
      <p class="quiet">
        {{ ranking.reasons.map(r => `${r.text}.`).join(' ') }} Wear the life jacket in cold water; local rules come first; a private dock is its owner's.
      </p>
      <v-btn
        class="main noprint"
        @click="print"
      >
        Print
      </v-btn>
    </article>
  </div>
</template>

<style scoped>
.page { height: 100%; overflow-y: auto; padding: 20px; }
.card { max-width: 820px; margin: 0 auto; background: var(--sheet); border: 1.5px solid var(--ink); border-radius: 6px; padding: 20px 24px; display: flex; flex-direction: column; gap: 14px; font-size: 15px; line-height: 1.4; }
.halves { display: grid; grid-template-columns: 1fr 1fr; gap: 24px; }
section { display: flex; flex-direction: column; gap: 8px; }
dl { display: grid; grid-template-columns: repeat(3, 1fr); gap: 6px 12px; }
dt { font-size: 13.5px; color: var(--ink-2); }
dd { font-weight: 650; }
.rig dd { font-size: 20px; font-weight: 750; }
.noprint { align-self: flex-start; }
@media (max-width: 700px) { .halves { grid-template-columns: 1fr; } }
</style>

<style>
@media print {
  html { overflow: visible; }
  .frame { display: block !important; height: auto !important; }
  .frame-line, .frame-tabs, .noprint { display: none !important; }
  .v-application, .v-application main, .page, .card { background: #fff !important; }
  .card { border: 0 !important; padding: 0 !important; max-width: none !important; }
}
</style>
