<script setup lang="ts">
import { colourRecord } from '../../../../core/rig/colourRecord'
import { familyFish, familyReasons } from '../../../../core/rig/families'
import { buildLadder, type Rung } from '../../../../core/rig/ladder'
import { MOODS } from '../../../../core/rig/mood'
import { formatLength, formatPercent, formatWeight } from '../../../../core/units/format'
import { seasonFishName } from '../../../../core/season/seasons'

const session = useSession()
const tackle = useTackle()
const conditions = useConditions()
const ranks = useRanking()
const { ranking, rig, searching, families: ranked, demand, colours, set } = useBench()
const advice = useAdvice()

const MORE = 5
const placeItems = computed(() => ranks.rows.map(r => ({ value: r.place.id, title: `${r.rank}. ${r.place.name}` })))
const mood = computed(() => demand.value!.mood)
const families = computed(() => ranked.value.map(r => ({ ...r, reasons: familyReasons(r, demand.value!, session.units), to: toBench(r.family.id) })))
const all = ref(false)
const shown = computed(() => (all.value ? families.value : families.value.slice(0, MORE)))
const route = useRoute()
const waters = useWater()
/** The bench with this family on it, the rest of the choices as they are. */
function toBench(familyId: string) {
  const how = familyId === 'castJig' ? undefined : familyId === 'slipFloat' ? 'float' : familyId
  return { path: `/water/${waters.water!.id}/rig`, query: { ...route.query, place: ranking.value!.place.id, how, ladder: undefined } }
}
const built = computed<Rung[]>(() => {
  const body = tackle.bodies.find(b => b.id === rig.value?.bodyId)
  if (!rig.value || !body || !colours.value || !ranking.value) return []
  const named = (b: typeof body) => ({ name: formatLength(b.attributes.lengthM, session.units), lengthM: b.attributes.lengthM })
  const weighed = (massKg: number) => ({ name: formatWeight(massKg, session.units), massKg })
  return buildLadder({
    mood: mood.value, colourMatters: colours.value.matters, body: named(body), bodies: tackle.bodies.filter(b => b.carried).map(named), kind: ranking.value.place.kind, schools: session.schools,
    colour: body.attributes.colour, colours: colours.value.picks.map(p => p.colour.name), head: weighed(rig.value.tie.massKg), heads: tackle.box.heads.map(h => weighed(h.massKg)),
  })
})
/** What the log has of each colour in water like today's. */
const own = computed(() => {
  const record = colourRecord({ spells: waters.record.baits, secchiM: conditions.now.secchiM })
  return record.rows.length + record.notYet.length > 0 ? { ...record, most: Math.max(1, ...record.rows.map(r => r.hi)) } : null
})
const shaded = computed(() => ranking.value?.place.kind === 'dock' || ranking.value?.place.kind === 'moorings')
</script>

<template>
  <div
    v-if="ranking && demand"
    class="methods"
  >
    <section
      class="left"
      aria-label="Place and fish"
    >
      <RigPages />
      <v-select
        :model-value="ranking.place.id"
        :items="placeItems"
        label="place"
        @update:model-value="set({ place: $event ?? undefined })"
      />
      <v-select
        :model-value="mood"
        :items="[...MOODS]"
        label="mood of the fish"
        @update:model-value="set({ mood: $event ?? undefined })"
      />
      <div
        class="chips"
        role="group"
        aria-label="what for"
      >
        <button
          type="button"
          class="chip"
          :aria-pressed="!searching"
          @click="set({ find: undefined })"
        >
          a school was found
        </button>
        <button
          type="button"
          class="chip"
          :aria-pressed="searching"
          @click="set({ find: '1' })"
        >
          looking for one
        </button>
      </div>
      <template v-if="colours">
        <h2>Colour</h2>
        <p>{{ colours.why }} At the bait is {{ colours.lightShare < 0.01 ? 'less than 1 %' : formatPercent(colours.lightShare) }} of full light.</p>
        <ol
          class="colours"
          data-test="colours"
        >
          <li
            v-for="p in colours.picks"
            :key="p.colour.name"
          >
            <svg
              viewBox="0 0 64 26"
              width="64"
              height="26"
              aria-hidden="true"
            >
              <path
                d="M4,13 C14,2 34,2 46,13 C34,24 14,24 4,13 Z"
                :fill="p.colour.hex[0]"
                class="bait"
              />
              <path
                v-if="p.colour.pattern === 'two parts'"
                d="M34,6 C40,8 43,10 46,13 C43,16 40,18 34,20 Z M46,13 L60,5 V21 Z"
                :fill="p.colour.hex[1]"
                class="bait"
              />
              <path
                v-else
                d="M46,13 L60,5 V21 Z"
                :fill="p.colour.hex[0]"
                class="bait"
              />
              <path
                v-if="p.colour.pattern === 'dark back'"
                d="M5,12 C14,2 34,2 45,12 C34,8 14,8 5,12 Z"
                :fill="p.colour.hex[1]"
              />
              <path
                v-if="p.colour.pattern === 'orange belly'"
                d="M5,14 C14,24 34,24 45,14 C34,18 14,18 5,14 Z"
                :fill="p.colour.hex[1]"
              />
              <g
                v-if="p.colour.pattern === 'clear with flecks'"
                :fill="p.colour.hex[1]"
              >
                <circle
                  v-for="[cx, cy] in [[14, 10], [20, 16], [26, 9], [31, 15], [37, 11], [17, 13], [24, 13]]"
                  :key="`${cx}`"
                  :cx="cx"
                  :cy="cy"
                  r="1.4"
                />
              </g>
            </svg>
            <span><strong>{{ p.colour.name }}</strong><span class="quiet">{{ p.colour.pattern }}: {{ p.because }}</span></span>
          </li>
        </ol>
        <RigSchool
          v-if="shaded"
          question="dockColour"
        />
      </template>
      <template v-if="own">
        <h2>Your own record</h2>
        <p
          class="quiet"
          data-test="own-colours"
        >
          In {{ own.water }} water, fish an hour of fishing, with what chance alone would allow.
        </p>
        <p v-if="own.rows.length === 0">
          Not enough yet: no colour has three hours and five fish behind it in such water.
        </p>
        <ul class="own">
          <li
            v-for="r in own.rows"
            :key="r.colour"
          >
            <strong>{{ r.colour }}</strong>
            <svg
              viewBox="0 0 100 12"
              preserveAspectRatio="none"
              aria-hidden="true"
            ><line
              :x1="100 * r.lo / own.most"
              :x2="100 * r.hi / own.most"
              y1="6"
              y2="6"
            /><rect
              :x="100 * r.perHour / own.most - 1.2"
              y="1"
              width="2.4"
              height="10"
            /></svg>
            <span class="quiet">{{ r.perHour.toFixed(1) }} ({{ r.lo.toFixed(1) }} to {{ r.hi.toFixed(1) }}), {{ r.fish }} fish in {{ Math.round(r.hours) }} h</span>
          </li>
        </ul>
        <p
          v-if="own.notYet.length > 0"
          class="quiet"
        >
          Not enough yet: {{ own.notYet.map(r => r.colour).join(', ') }}.
        </p>
      </template>
      <RigSchool question="noise" />
    </section>
    <section
      class="middle"
      aria-label="What to fish with"
      tabindex="0"
    >
      <h1>What to fish with for {{ seasonFishName(advice.fish) }}</h1>
      <ol data-test="families">
        <li
          v-for="(r, i) in shown"
          :key="r.family.id"
          :class="{ first: i === 0 }"
        >
          <span class="rank">{{ i + 1 }}</span>
          <div>
            <h2>{{ r.family.name }}</h2>
            <span
              class="meter"
              :title="formatPercent(r.score)"
            ><i :style="{ width: `${r.score * 100}%` }" /></span>
            <p>
              <template
                v-for="reason in r.reasons"
                :key="reason.text"
              >
                <span :class="`tone-${reason.tone}`">{{ reason.tone === 'for' ? '+' : '−' }} {{ reason.text }}.</span>{{ ' ' }}
              </template>
            </p>
            <NuxtLink :to="r.to">
              Tie it on the bench
            </NuxtLink>
            <p class="quiet">
              For {{ r.family.use }}. Weak in {{ r.family.weak }}. Taken by {{ familyFish(r.family) }}.
            </p>
          </div>
        </li>
      </ol>
      <button
        type="button"
        class="chip"
        @click="all = !all"
      >
        {{ all ? 'Show the first five' : `Show all ${families.length}` }}
      </button>
    </section>
    <RigLadder
      class="right"
      :place-id="ranking.place.id"
      :built="built"
    >
      <RigSchool
        v-if="ranking.place.kind === 'dock'"
        question="dockRetrieve"
      />
      <RigSchool
        v-if="mood === 'torpid' || mood === 'slow'"
        question="coldSize"
      />
    </RigLadder>
  </div>
  <p
    v-else
    class="wait"
  >
    {{ ranks.rows.length === 0 ? 'Working it out …' : 'No such place on this water.' }}
  </p>
</template>

<style scoped>
.methods { height: 100%; min-height: 0; display: grid; grid-template-columns: 320px minmax(0, 1fr) 330px; }
.left, .right { background: var(--sheet); padding: 16px 18px; overflow-y: auto; min-height: 0; display: flex; flex-direction: column; gap: 12px; font-size: 15px; line-height: 1.4; }
.left > *, .right > *, .middle > * { flex: none; }
.left { border-right: 1px solid var(--ink); }
.right { border-left: 1px solid var(--ink); }
.middle { padding: 16px 24px; overflow-y: auto; min-height: 0; display: flex; flex-direction: column; gap: 10px; font-size: 15.5px; line-height: 1.42; }
.middle > .chip { align-self: flex-start; }
.middle li { display: grid; grid-template-columns: 36px 1fr; padding: 12px 0; border-top: 1px solid var(--rule); }
.rank { font-size: 22px; font-weight: 750; color: var(--mark); line-height: 1.15; }
.first h2 { font-size: 21px; }
.meter { display: block; height: 7px; background: var(--tab); margin: 5px 0 6px; max-width: 360px; }
.meter i { display: block; height: 100%; background: var(--mark); }
.colours li { display: grid; grid-template-columns: 72px 1fr; align-items: center; padding: 7px 0; border-top: 1px solid var(--rule); }
.colours .quiet { display: block; }
.middle a { font-weight: 650; text-underline-offset: 3px; }
.own li { display: grid; grid-template-columns: 1fr; border-top: 1px solid var(--rule); padding: 6px 0; }
.own svg { width: 100%; height: 12px; overflow: visible; }
.own line { stroke: var(--ink-2); stroke-width: 2; vector-effect: non-scaling-stroke; }
.own rect { fill: var(--mark); }
.bait { stroke: var(--ink); stroke-width: 1.2; }
.wait { padding: 32px; font-size: 17px; }
@media (max-width: 1050px) { .methods { grid-template-columns: 300px minmax(0, 1fr); grid-template-rows: minmax(0, 1fr) 40%; } .right { grid-column: 1 / 3; border-left: 0; border-top: 1px solid var(--ink); } }
@media (max-width: 700px) { .methods { display: block; overflow-y: auto; } .left, .right, .middle { overflow: visible; border: 0; } }
</style>
