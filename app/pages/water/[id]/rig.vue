<script setup lang="ts">
import { coverTop } from '../../../../core/place/kinds'
import { MOODS, type Mood } from '../../../../core/rig/mood'
import { floatReasons, rejectionText, standOffText, weightReasons } from '../../../../core/rig/rigReasons'
import { formatDepth, formatLength, formatLine, formatPercent, formatSeconds, formatSetting, formatSpeed, formatWeight, formatWind } from '../../../../core/units/format'
import { placeStaffDepth } from '../../../../core/water/tints'

const HEADROOM = 118
const route = useRoute()
const router = useRouter()
const session = useSession()
const waters = useWater()
const conditions = useConditions()
const advice = useAdvice()
const ranks = useRanking()
const tackle = useTackle()
const problem = ref<string | null>(null)

/** Every choice on the bench lives in the address. */
const text = (key: string) => (typeof route.query[key] === 'string' ? route.query[key] : undefined)
function set(change: Record<string, string | undefined>) {
  void router.replace({ query: { ...route.query, ...change } })
}
const ranking = computed(() => ranks.rankedById(text('place') ?? null) ?? (ranks.rows[0] ? ranks.full(ranks.rows[0]) : null))
const how = computed<'castJig' | 'slipFloat'>(() => (text('how') === 'float' ? 'slipFloat' : 'castJig'))
const held = computed(() => text('held') === '1')
const wishedMood = computed<Mood | undefined>(() => MOODS.find(m => m === text('mood')))
const rig = computed(() => ranking.value && advice.rigAt(ranking.value, { bodyId: text('body'), lineId: text('line'), held: held.value, mood: wishedMood.value }))
const body = computed(() => tackle.bodies.find(b => b.id === rig.value?.bodyId) ?? null)
const line = computed(() => tackle.lines.find(l => l.id === rig.value?.lineId) ?? null)
const float = computed(() => tackle.of('float').find(f => f.id === rig.value?.float.float?.id) ?? null)
const units = computed(() => session.units)
const wind = computed(() => conditions.now.windMS)
const reasons = computed(() => {
  if (!rig.value) return []
  const said = how.value === 'castJig' ? weightReasons(rig.value, wind.value, units.value) : floatReasons(rig.value, wind.value, units.value)
  return body.value?.attributes.dragAreaM2 === undefined ? said : [...said, { tone: 'plain' as const, text: 'The fall goes by your own count of this body.' }]
})
const staff = computed(() => (ranking.value ? placeStaffDepth({ reachM: ranking.value.belief.quantiles.p80, deepestM: waters.deepestM, units: units.value }) : 1))
const table = computed(() => {
  const w = rig.value?.weight
  if (!w) return []
  return [...w.rejected.map(r => ({ ...r, verdict: rejectionText(r.because), best: false })),
    ...w.alsoGood.map(g => ({ ...g, verdict: 'heavier than it needs to be', best: false })),
    ...(w.choice ? [{ ...w.choice, verdict: 'tie this', best: true }] : [])].sort((a, b) => a.massKg - b.massKg)
})
const bodyItems = computed(() => tackle.bodies.filter(b => b.carried).map(b => ({ value: b.id, title: `${formatLength(b.attributes.lengthM, units.value)}, ${b.attributes.colour}` })))
const lineItems = computed(() => tackle.lines.filter(l => l.carried).map(l => ({ value: l.id, title: `${formatLine(l.attributes, units.value)} ${l.attributes.material}, ${(l.attributes.diameterM * 1000).toFixed(2)} mm` })))
const placeItems = computed(() => ranks.rows.map(r => ({ value: r.place.id, title: `${r.rank}. ${r.place.name}` })))

async function carry(id: string, carried: boolean) {
  try {
    await tackle.carry(id, carried)
    problem.value = null
  }
  catch (error) {
    problem.value = `Not saved: ${error instanceof Error ? error.message : String(error)}`
  }
}
</script>

<template>
  <div
    v-if="ranking"
    class="bench"
  >
    <section
      class="card"
      aria-label="The rig"
      tabindex="0"
    >
      <RigPages />
      <v-select
        :model-value="ranking.place.id"
        :items="placeItems"
        label="place"
        @update:model-value="set({ place: $event ?? undefined })"
      />
      <div
        class="chips how"
        role="group"
        aria-label="how to fish it"
      >
        <button
          type="button"
          class="chip"
          :aria-pressed="how === 'castJig'"
          @click="set({ how: undefined })"
        >
          cast jig
        </button>
        <button
          type="button"
          class="chip"
          :aria-pressed="how === 'slipFloat'"
          @click="set({ how: 'float' })"
        >
          slip float
        </button>
      </div>

      <template v-if="rig && body && line">
        <div
          v-if="how === 'castJig'"
          class="answer"
        >
          <span class="quiet">{{ rig.weight.choice ? 'tie on' : 'nearest, but see why' }}</span>
          <strong
            class="big"
            data-test="tie"
            :class="{ 'tone-careful': !rig.weight.choice }"
          >{{ formatWeight(rig.tie.massKg, units) }}</strong>
          <span class="quiet">count to {{ formatDepth(rig.baitDepthM, units) }}</span>
          <strong
            class="big"
            data-test="count"
          >{{ formatSeconds(rig.tie.fallS) }}</strong>
        </div>
        <div
          v-else
          class="answer"
        >
          <span class="quiet">set the stop at</span>
          <strong
            class="big"
            data-test="stop"
          >{{ formatSetting(rig.float.setting.stopLengthM, units) }}</strong>
          <span class="quiet">float keeps back</span>
          <strong class="big">{{ rig.float.float ? formatPercent(rig.float.float.reserveShare) : 'nothing' }}</strong>
        </div>

        <dl>
          <div>
            <dt>head</dt>
            <dd>{{ formatWeight(how === 'castJig' ? rig.tie.massKg : rig.float.headKg, units) }} lead, round</dd>
          </div>
          <template v-if="how === 'slipFloat'">
            <div>
              <dt>shot</dt>
              <dd data-test="shot">
                {{ rig.float.shotKg > 0 ? formatWeight(rig.float.shotKg, units) : 'none' }}
              </dd>
            </div>
            <div>
              <dt>float</dt>
              <dd>{{ float ? float.name.toLowerCase() : 'none carries it' }}</dd>
            </div>
          </template>
          <div v-else>
            <dt>run level at</dt>
            <dd>{{ formatSpeed(rig.tie.holdSpeedMS, units) }}</dd>
          </div>
        </dl>
        <v-select
          :model-value="rig.bodyId"
          :items="bodyItems"
          label="body"
          @update:model-value="set({ body: $event ?? undefined })"
        />
        <v-select
          :model-value="rig.lineId"
          :items="lineItems"
          label="line"
          @update:model-value="set({ line: $event ?? undefined })"
        />
        <div
          v-if="how === 'slipFloat'"
          class="chips"
          role="group"
          aria-label="float drifts or is held"
        >
          <button
            type="button"
            class="chip"
            :aria-pressed="!held"
            @click="set({ held: undefined })"
          >
            drifts free
          </button>
          <button
            type="button"
            class="chip"
            :aria-pressed="held"
            @click="set({ held: '1' })"
          >
            held on the line
          </button>
        </div>
        <v-select
          :model-value="rig.mood"
          :items="[...MOODS]"
          label="mood of the fish"
          @update:model-value="set({ mood: $event ?? undefined })"
        />
      </template>
      <RigLearn
        v-if="rig && body && line && how === 'castJig'"
        :body-id="rig.bodyId"
        :body="body.attributes"
        :head-kg="rig.tie.massKg"
        :line-m="line.attributes.diameterM"
        :water-c="conditions.now.waterC"
        :depth-m="rig.baitDepthM"
        :fall-s="rig.tie.fallS"
      />
      <p
        v-if="!rig"
        class="tone-careful"
      >
        No {{ advice.boxLacks }} in the box you carry. Tick some below.
      </p>
      <div>
        <span class="quiet">heads you carry</span>
        <div class="chips heads">
          <button
            v-for="head in tackle.leadHeads"
            :key="head.id"
            type="button"
            class="chip"
            :aria-pressed="head.carried"
            @click="carry(head.id, !head.carried)"
          >
            {{ formatWeight(head.attributes.massKg, units).replace(' oz', '') }}
          </button>
        </div>
      </div>
      <p
        v-if="problem"
        role="alert"
        class="tone-now"
      >
        {{ problem }}
      </p>
    </section>

    <FrameStaff
      :depth-m="staff"
      :units="units"
      :belief="ranking.belief"
      :weed-m="advice.weedM"
      :dim-m="advice.dimM"
      :bottom-m="ranking.place.attributes.bottomDepthM"
      :cover-top-m="coverTop(ranking.place)"
      :bait-m="how === 'slipFloat' ? rig?.baitDepthM : null"
      :headroom="HEADROOM"
    />
    <RigDrawing
      v-if="rig && body && line"
      :place="ranking.place"
      :rig="rig"
      :how="how"
      :held="held"
      :depth-m="staff"
      :headroom="HEADROOM"
      :fish-top-m="ranking.belief.quantiles.p20"
      :fish-bottom-m="ranking.belief.quantiles.p80"
      :wind-m-s="wind"
      :water-c="conditions.now.waterC"
      :line-diameter-m="line.attributes.diameterM"
      :body="body.attributes"
      :light-at="advice.lightAt"
      :units="units"
    />
    <div v-else />

    <section
      class="why"
      aria-label="Why"
      tabindex="0"
    >
      <h1>Why</h1>
      <ul data-test="why">
        <li
          v-for="reason in reasons"
          :key="reason.text"
          :class="`bar-${reason.tone}`"
        >
          {{ reason.text }}
        </li>
        <li
          v-if="rig"
          class="bar-plain"
        >
          {{ standOffText(rig.standOff, units) }}
        </li>
      </ul>
      <template v-if="how === 'castJig' && table.length">
        <h2>Every head you carry</h2>
        <table>
          <thead>
            <tr>
              <th scope="col">
                head
              </th>
              <th scope="col">
                felt to
              </th>
              <th scope="col">
                count
              </th>
              <th scope="col">
                level at
              </th>
            </tr>
          </thead>
          <tbody>
            <template
              v-for="row in table"
              :key="row.massKg"
            >
              <tr :class="{ best: row.best }">
                <th scope="row">
                  {{ formatWeight(row.massKg, units) }}
                </th>
                <td>{{ formatWind(row.windLimitMS, units) }}</td>
                <td>{{ formatSeconds(row.fallS) }}</td>
                <td>{{ formatSpeed(row.holdSpeedMS, units).replace(' a second', '/s') }}</td>
              </tr>
              <tr class="verdict">
                <td colspan="4">
                  {{ row.verdict }}
                </td>
              </tr>
            </template>
          </tbody>
        </table>
      </template>
      <p class="quiet">
        Lead is banned in small sizes on some waters: check the local rules.
      </p>
    </section>
  </div>
</template>

<style scoped>
.bench { height: 100%; min-height: 0; display: grid; grid-template-columns: 292px var(--staff-w) minmax(0, 1fr) 300px; }
.card { background: var(--sheet); border-right: 1px solid var(--ink); padding: 16px; overflow-y: auto; display: flex; flex-direction: column; gap: 13px; min-height: 0; }
.card > * { flex: none; }
.how .chip { flex: 1; }
.answer { display: grid; grid-template-columns: 1fr 1fr; gap: 0 12px; }
.answer > .quiet:nth-of-type(1) { grid-row: 1; grid-column: 1; }
.answer > .big { font-size: 30px; }
.answer > .big:nth-of-type(1) { grid-row: 2; grid-column: 1; white-space: nowrap; }
.answer > .quiet:nth-of-type(2) { grid-row: 1; grid-column: 2; }
.answer > .big:nth-of-type(2) { grid-row: 2; grid-column: 2; }
dl > div { display: flex; justify-content: space-between; align-items: baseline; border-top: 1px solid var(--rule); padding: 7px 0; gap: 10px; }
dt { font-size: 14px; color: var(--ink-2); }
dd { font-size: 16px; font-weight: 650; text-align: right; }
.heads { margin-top: 5px; }
.heads .chip { min-width: 52px; }
.why { background: var(--sheet); border-left: 1px solid var(--ink); padding: 14px 18px; overflow-y: auto; display: flex; flex-direction: column; gap: 12px; min-height: 0; }
.why li { border-left: 3px solid var(--rule); padding: 2px 0 2px 11px; margin-bottom: 11px; font-size: 15px; line-height: 1.42; }
.why li.bar-now { border-color: var(--now); }
.why li.bar-careful { border-color: var(--careful); }
table { border-collapse: collapse; font-size: 14px; width: 100%; }
thead th { font-weight: 450; color: var(--ink-2); text-align: right; padding-bottom: 4px; }
thead th:first-child, tbody th { text-align: left; }
tbody th { font-weight: 700; }
tbody td { text-align: right; white-space: nowrap; }
tbody tr:not(.verdict) > * { border-top: 1px solid var(--rule); padding-top: 5px; }
tr.verdict td { text-align: left; color: var(--ink-2); font-size: 13.5px; padding-bottom: 5px; }
tr.best > * { color: var(--now); }
@media (max-width: 1100px) { .bench { grid-template-columns: 260px var(--staff-w) minmax(0, 1fr); grid-template-rows: minmax(0, 1fr) 34%; } .why { grid-column: 1 / 4; border-left: 0; border-top: 1px solid var(--ink); } }
@media (max-width: 700px) {
  .bench { display: flex; flex-direction: column; overflow-y: auto; }
  .card { border-right: 0; overflow: visible; flex: none; }
  .bench > .staff { display: none; }
  .drawing { height: 420px; flex: none; }
  .why { flex: none; overflow: visible; }
}
</style>
