<script setup lang="ts">
import { colourFor } from '../../../../core/rig/colourFor'
import { familyFish, familyReasons, rankFamilies, type FamilyDemand } from '../../../../core/rig/families'
import { buildLadder, type Rung } from '../../../../core/rig/ladder'
import { MOODS, type Mood } from '../../../../core/rig/mood'
import { formatLength, formatPercent, formatWeight } from '../../../../core/units/format'
import { seasonFishName } from '../../../../core/season/seasons'

const route = useRoute()
const session = useSession()
const conditions = useConditions()
const advice = useAdvice()
const tackle = useTackle()
const ranks = useRanking()
const { set } = useQuery()

const MORE = 5
const text = (key: string) => (typeof route.query[key] === 'string' ? route.query[key] : undefined)
const ranking = computed(() => ranks.rankedById(text('place') ?? null) ?? (ranks.rows[0] ? ranks.full(ranks.rows[0]) : null))
const placeItems = computed(() => ranks.rows.map(r => ({ value: r.place.id, title: `${r.rank}. ${r.place.name}` })))
const searching = computed(() => text('find') === '1')
const mood = computed<Mood>(() => MOODS.find(m => m === text('mood')) ?? (advice.partPhases[ranking.value?.part ?? 0] ?? advice.phases)[0]!.prior.mood)
const demand = computed<FamilyDemand | null>(() => {
  if (!ranking.value) return null
  const { place, belief } = ranking.value
  return {
    fish: advice.fish, mood: mood.value, fishDepthM: Math.max(0.2, Math.min(belief.quantiles.p50, place.attributes.bottomDepthM)), bottomDepthM: place.attributes.bottomDepthM,
    kind: place.kind, secchiM: conditions.now.secchiM, windMS: conditions.now.windMS, searching: searching.value,
  }
})
const families = computed(() => (demand.value ? rankFamilies(demand.value).map(r => ({ ...r, reasons: familyReasons(r, demand.value!, session.units) })) : []))
const all = ref(false)
const shown = computed(() => (all.value ? families.value : families.value.slice(0, MORE)))

const colours = computed(() => demand.value && colourFor({
  fish: advice.fish, secchiM: conditions.now.secchiM, depthM: demand.value.fishDepthM, sky: conditions.now.sky, sunDeg: conditions.sun.altitudeDeg,
  shaded: ranking.value!.place.kind === 'dock' || ranking.value!.place.kind === 'moorings',
}))
const rig = computed(() => ranking.value && advice.rigAt(ranking.value, { mood: mood.value }))
const built = computed<Rung[]>(() => {
  const body = tackle.bodies.find(b => b.id === rig.value?.bodyId)
  if (!rig.value || !body || !colours.value) return []
  const named = (b: typeof body) => ({ name: formatLength(b.attributes.lengthM, session.units), lengthM: b.attributes.lengthM })
  const weighed = (massKg: number) => ({ name: formatWeight(massKg, session.units), massKg })
  return buildLadder({
    mood: mood.value, colourMatters: colours.value.matters, body: named(body), bodies: tackle.bodies.filter(b => b.carried).map(named),
    colour: body.attributes.colour, colours: colours.value.picks.map(p => p.colour.name), head: weighed(rig.value.tie.massKg), heads: tackle.box.heads.map(h => weighed(h.massKg)),
  })
})
/** The angler's own order of the rungs, in the address; rungs that are not named come after. */
const ladder = computed(() => {
  const order = text('ladder')?.split(',') ?? []
  const at = (r: Rung) => (order.includes(r.id) ? order.indexOf(r.id) : order.length + built.value.indexOf(r))
  return [...built.value].sort((a, b) => at(a) - at(b))
})
function move(from: number, to: number) {
  if (to < 0 || to >= ladder.value.length || from === to) return
  const order = ladder.value.map(r => r.id)
  order.splice(to, 0, order.splice(from, 1)[0]!)
  set({ ladder: order.join(',') })
}
const dragged = ref<number | null>(null)
function drop(to: number) {
  if (dragged.value !== null) move(dragged.value, to)
  dragged.value = null
}
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
      </template>
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
    <section
      class="right"
      aria-label="Ladder"
      tabindex="0"
    >
      <h1>Ladder</h1>
      <p class="quiet">
        For a school that looks and does not take: one change at a time, from what you carry. Looks and no takes: next rung. Nothing looks: go.
      </p>
      <p v-if="ladder.length === 0">
        The box you carry has nothing to change to.
      </p>
      <ol data-test="ladder">
        <li
          v-for="(rung, i) in ladder"
          :key="rung.id"
          draggable="true"
          :class="{ dragged: dragged === i }"
          @dragstart="dragged = i"
          @dragend="dragged = null"
          @dragover.prevent
          @drop.prevent="drop(i)"
        >
          <span class="rank">{{ i + 1 }}</span>
          <div>
            <strong>{{ rung.change }}: {{ rung.to }}</strong>
            <span class="quiet">instead of {{ rung.from }}; give it {{ rung.presentations }} casts</span>
          </div>
          <span class="moves">
            <button
              type="button"
              :aria-label="`Move ${rung.change} to ${rung.to} up`"
              :disabled="i === 0"
              @click="move(i, i - 1)"
            >↑</button>
            <button
              type="button"
              :aria-label="`Move ${rung.change} to ${rung.to} down`"
              :disabled="i === ladder.length - 1"
              @click="move(i, i + 1)"
            >↓</button>
          </span>
        </li>
      </ol>
    </section>
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
.colours .quiet, .right .quiet { display: block; }
.bait { stroke: var(--ink); stroke-width: 1.2; }
.right li { display: grid; grid-template-columns: 32px 1fr auto; gap: 4px; align-items: center; padding: 9px 0; border-top: 1px solid var(--rule); cursor: grab; }
.right li.dragged { opacity: 0.5; }
.moves { display: flex; gap: 4px; }
.moves button { font: inherit; font-weight: 700; width: 36px; height: 36px; color: var(--ink); background: none; border: 1px solid var(--rule); border-radius: 6px; cursor: pointer; }
.moves button:disabled { opacity: 0.35; cursor: default; }
.wait { padding: 32px; font-size: 17px; }
@media (max-width: 1050px) { .methods { grid-template-columns: 300px minmax(0, 1fr); grid-template-rows: minmax(0, 1fr) 40%; } .right { grid-column: 1 / 3; border-left: 0; border-top: 1px solid var(--ink); } }
@media (max-width: 700px) { .methods { display: block; overflow-y: auto; } .left, .right, .middle { overflow: visible; border: 0; } }
</style>
