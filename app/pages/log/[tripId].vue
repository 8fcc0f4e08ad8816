<script setup lang="ts">
import { coverTop } from '../../../core/place/kinds'
import type { Rung } from '../../../core/rig/ladder'
import type { EntryKind } from '../../../core/school/entries'
import { formatDepth, formatMinutes } from '../../../core/units/format'
import { placeStaffDepth } from '../../../core/water/tints'
import { clockText } from '../../utils/time'

/** Before this it is about finding the school. */
const SAYS_AFTER_MIN = 8

definePageMeta({ layout: 'boat' })
const route = useRoute()
const session = useSession()
const waters = useWater()
const tackle = useTackle()
const ladders = useLadders()
const advice = useAdvice()
const journal = useJournal()
const problem = ref<string | null>(null)
const sheet = ref<'school' | 'fish' | 'stretch' | null>(null)
const fishId = ref<string | null>(null)
const leaving = ref(false)
const undone = ref<{ text: string, undoId: string } | null>(null)

const tripId = computed(() => String(route.params.tripId))
onMounted(async () => {
  try {
    await Promise.all([session.load(), tackle.load(), journal.open(tripId.value)])
    if (journal.trip?.waterId) await Promise.all([waters.load(journal.trip.waterId), ladders.load(journal.trip.waterId)])
    const wanted = typeof route.query.place === 'string' ? waters.placeById(route.query.place) : null
    if (wanted && !visit.value && journal.trip?.endedAt === null) await arrive(wanted.id)
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
})

const trip = computed(() => journal.trip)
const visit = computed(() => trip.value?.visits.find(v => v.leftAt === null) ?? null)
const ranks = useRanking()
const ranking = computed(() => ranks.rankedById(visit.value?.placeId ?? null))
const schoolsHere = computed(() => trip.value?.schools.filter(s => visit.value && s.at >= visit.value.arrivedAt) ?? [])
const school = computed(() => schoolsHere.value.at(-1) ?? null)
const fishHere = computed(() => trip.value?.fish.filter(f => visit.value && f.at >= visit.value.arrivedAt) ?? [])
const topM = computed(() => school.value?.topM)
const rig = computed(() => ranking.value && advice.rigAt(ranking.value, topM.value === undefined ? {} : { topM: topM.value }))
const stay = useStay(() => visit.value)
/** stop at which the advice was told to be quiet */
const hushed = ref<string | null>(null)
const quiet = computed({
  get: () => hushed.value !== null && hushed.value === visit.value?.arrivedAt,
  set: (on: boolean) => {
    hushed.value = on ? visit.value?.arrivedAt ?? null : null
  },
})
const rigOn = computed(() => trip.value?.rigs.at(-1) ?? null)
const minutesHere = computed(() => (visit.value ? (session.nowMs - Date.parse(visit.value.arrivedAt)) / 60_000 : 0))
const units = computed(() => session.units)
const expected = computed(() => ranking.value?.belief.quantiles ?? advice.belief?.quantiles ?? { p20: 2, p80: 3 })
const staff = computed(() => placeStaffDepth({ reachM: Math.max(expected.value.p80, school.value?.bottomM ?? 0), deepestM: waters.deepestM || 10, units: units.value }))

/** Minutes since the last stretch was logged, or since arriving. */
const openMinutes = computed(() => {
  if (!visit.value) return 0
  const last = journal.live.filter(e => e.kind === 'stretch' && e.at >= visit.value!.arrivedAt).map(e => e.at).sort().at(-1)
  return Math.max(0, (session.nowMs - Date.parse(last ?? visit.value.arrivedAt)) / 60_000)
})
const undoName = computed(() => {
  const entry = journal.undoable
  if (!entry) return null
  const names: Partial<Record<EntryKind, string>> = { fish: 'take', arrive: 'arriving', conditions: 'reading', move: 'leaving', end: 'ending' }
  return entry.kind === 'sign' ? entry.body.sign : names[entry.kind] ?? entry.kind
})
/** The thing to know just now, in a sentence. */
const headline = computed(() => {
  if (fishHere.value.length > 0) return `${fishHere.value.length} fish in ${formatMinutes(minutesHere.value)}`
  if (school.value) return 'A school, and nothing taken yet'
  return 'Find the school first'
})
const advised = computed(() => {
  if (school.value && rig.value) return `Top at ${formatDepth(school.value.topM, units.value)}: keep the bait at ${formatDepth(rig.value.baitDepthM, units.value)}, over their heads.`
  if (!ranking.value && visit.value?.placeId) return 'Working it out …'
  return ranking.value ? `${ranking.value.reasons.slice(0, 2).map(r => r.text).join('. ')}.` : 'Not one of your marked places.'
})

/** Runs one tap; a failure is said, never swallowed. */
async function tap(action: () => Promise<unknown>) {
  try {
    problem.value = null
    await action()
    await nextTick()
    session.tick()
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
const arrive = (placeId: string | null) => journal.log('arrive', { placeId })
const sign = (kind: 'look' | 'follow' | 'tap') => tap(() => journal.log('sign', { schoolId: school.value?.id ?? null, sign: kind }))

async function take() {
  await tap(async () => {
    // The fish counts at once; what it was can wait.
    fishId.value = await journal.log('fish', { schoolId: school.value?.id ?? null, species: null, lengthM: null, fate: null, depthM: rig.value?.baitDepthM ?? null })
    sheet.value = 'fish'
  })
}
async function tie() {
  const r = rig.value
  const body = r && tackle.byId(r.bodyId)
  const line = r && tackle.lines.find(l => l.id === r.lineId)
  if (!r || body?.kind !== 'body' || !line) return
  await tap(() => journal.log('rig', {
    family: 'castJig', headKg: r.tie.massKg, bodyLengthM: body.attributes.lengthM, bodyName: body.name, lineDiameterM: line.attributes.diameterM, stopM: null, colour: body.attributes.colour,
  }))
}
/** Changes one thing of the rig that is on, or of the advised one. */
async function tieRung(rung: Rung) {
  if (!rigOn.value) await tie()
  const on = rigOn.value?.body
  if (!on) return
  const changed = rung.change === 'size' && rung.value ? { bodyLengthM: rung.value, bodyName: rung.to } : rung.change === 'weight' && rung.value ? { headKg: rung.value } : rung.change === 'colour' ? { colour: rung.to } : {}
  await tap(() => journal.log('rig', { ...on, ...changed, rung: rung.id }))
}
async function undo() {
  const entry = journal.undoable
  const name = undoName.value
  if (!entry || !name) return
  await tap(async () => {
    undone.value = { text: `Took back: ${name}`, undoId: await journal.undo(entry.id) }
  })
}
async function putBack() {
  const last = undone.value
  undone.value = null
  if (last) await tap(() => journal.undo(last.undoId))
}
function goOn() {
  leaving.value = true
  sheet.value = 'stretch'
}
async function stretchLogged() {
  sheet.value = null
  if (leaving.value) await tap(() => journal.log('move', {}))
  leaving.value = false
}
async function leaveWithout() {
  sheet.value = null
  leaving.value = false
  await tap(() => journal.log('move', {}))
}
async function endDay() {
  await tap(async () => {
    await journal.log('end', {})
    await journal.flush()
    await waters.refreshRecord()
    await navigateTo(`/days/${tripId.value}`)
  })
}
useHead({ title: () => `Log · ${waters.water?.name ?? 'Remous'}` })
</script>

<template>
  <div
    class="stop"
    :class="`side-${session.staffSide}`"
  >
    <header>
      <NuxtLink
        class="out"
        :to="waters.water ? `/water/${waters.water.id}` : '/'"
        aria-label="To the chart"
      >‹ chart</NuxtLink>
      <div class="where">
        <h1>{{ visit ? (waters.placeById(visit.placeId ?? '')?.name ?? 'Somewhere else') : (waters.water?.name ?? 'Log') }}</h1>
        <span class="quiet"><template v-if="visit">{{ formatMinutes(minutesHere) }} here<template v-if="visit.presentations"> · {{ visit.presentations }} casts</template></template><template v-else>{{ trip?.schools.length ?? 0 }} schools, {{ trip?.fish.length ?? 0 }} fish today</template></span>
      </div>
      <div class="clock">
        <strong>{{ waters.water ? clockText(session.nowMs, waters.water.zone) : '' }}</strong>
        <span
          class="quiet"
          data-test="unsent"
        >{{ journal.unsent === 0 ? 'all sent' : `${journal.unsent} not sent yet` }}</span>
      </div>
    </header>

    <p
      v-if="problem || journal.problem"
      class="problem"
      role="alert"
    >
      {{ problem ?? journal.problem }}
    </p>

    <template v-if="trip && waters.water">
      <FrameStaff
        class="stop-staff"
        :depth-m="staff"
        :units="units"
        :belief="ranking?.belief ?? advice.belief"
        :weed-m="advice.weedM"
        :dim-m="advice.dimM"
        :bottom-m="ranking?.place.attributes.bottomDepthM"
        :cover-top-m="ranking ? coverTop(ranking.place) : null"
        :schools="schoolsHere"
        :fish="fishHere.flatMap(f => (f.depthM === null ? [] : [{ depthM: f.depthM }]))"
        :bait-m="rig?.baitDepthM"
      />

      <div
        v-if="trip.endedAt"
        class="body"
      >
        <section class="say">
          <h2>This day has ended</h2>
          <p>Undo brings it back, if you are not done.</p>
        </section>
        <v-btn
          class="main thumb"
          block
          :to="`/days/${trip.id}`"
        >
          See the day
        </v-btn>
        <v-btn
          class="plain thumb"
          block
          @click="undo"
        >
          Undo {{ undoName }}
        </v-btn>
      </div>

      <LogWhere
        v-else-if="!visit"
        class="body"
        @arrive="placeId => tap(() => arrive(placeId))"
        @end="endDay"
        @undo="undo"
      />

      <div
        v-else
        class="body"
      >
        <LogStay
          v-model:quiet="quiet"
          :words="minutesHere >= SAYS_AFTER_MIN ? stay.words.value : null"
          :fallback="{ headline, text: advised }"
        />
        <LogLimits />
        <LogRigCard
          v-if="rig"
          :rig="rig"
          :tied-kg="rigOn?.body.headKg ?? null"
          @tie="tie"
        />
        <LogLadder
          v-if="stay.rungs.value.length > 0"
          :rungs="stay.rungs.value"
          :on="stay.on.value"
          :next="stay.change.value"
          @tie="tieRung"
        />
        <LogPad
          :signs="visit"
          :schools="schoolsHere.length"
          :fish="fishHere.length"
          @sign="sign"
          @school="sheet = 'school'"
          @take="take"
        />
        <nav aria-label="Stop">
          <button
            type="button"
            data-test="undo"
            :disabled="!undoName"
            @click="undo"
          >
            Undo {{ undoName }}
          </button>
          <button
            type="button"
            data-test="stretch"
            @click="sheet = 'stretch'"
          >
            Stretch
          </button>
          <button
            type="button"
            class="go"
            data-test="go-on"
            @click="goOn"
          >
            Go on
          </button>
        </nav>
      </div>
    </template>
    <p
      v-else-if="!problem"
      class="wait"
    >
      Opening the day …
    </p>

    <LogSchoolSheet
      v-if="sheet === 'school'"
      :top-m="school?.topM ?? expected.p20"
      :bottom-m="school?.bottomM ?? expected.p80"
      :water-depth-m="school?.waterDepthM ?? ranking?.place.attributes.bottomDepthM ?? staff"
      :staff-m="staff"
      :place-id="visit?.placeId ?? null"
      @close="sheet = null"
    />
    <LogFishSheet
      v-if="sheet === 'fish' && fishId"
      :fish-id="fishId"
      :staff-m="staff"
      @close="sheet = null"
    />
    <LogStretchSheet
      v-if="sheet === 'stretch'"
      :minutes="openMinutes"
      :school-id="school?.id ?? null"
      :leaving="leaving"
      @logged="stretchLogged"
      @without="leaveWithout"
      @close="sheet = null; leaving = false"
    />
    <v-snackbar
      :model-value="undone !== null"
      :timeout="6000"
      location="top"
      color="surface"
      @update:model-value="undone = null"
    >
      <span class="undone">{{ undone?.text }}</span>
      <template #actions>
        <v-btn
          class="plain thumb"
          data-test="put-back"
          @click="putBack"
        >
          Put it back
        </v-btn>
      </template>
    </v-snackbar>
  </div>
</template>

<style scoped>
.stop { height: 100dvh; display: grid; grid-template: auto auto minmax(0, 1fr) / var(--staff-w) minmax(0, 1fr); grid-template-areas: 'head head' 'problem problem' 'staff body'; max-width: 1024px; margin: 0 auto; background: var(--paper); }
.stop.side-right { grid-template-columns: minmax(0, 1fr) var(--staff-w); grid-template-areas: 'head head' 'problem problem' 'body staff'; }
header { grid-area: head; background: var(--sheet); border-bottom: 1px solid var(--ink); display: flex; align-items: center; gap: 12px; padding: 6px 12px; min-height: 58px; }
.out { min-height: 56px; display: flex; align-items: center; font-weight: 650; font-size: 15px; text-decoration: none; padding-right: 10px; border-right: 1px solid var(--rule); white-space: nowrap; }
.where { flex: 1; min-width: 0; }
.where h1 { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
.clock { text-align: right; display: flex; flex-direction: column; white-space: nowrap; }
.clock strong { font-size: 20px; line-height: 1.25; }
.problem { grid-area: problem; padding: 8px 14px; color: var(--now); font-weight: 650; font-size: 15px; background: var(--sheet); border-bottom: 1px solid var(--now); }
.stop-staff { grid-area: staff; }
.side-right .stop-staff { border-right: 0; border-left: 1px solid var(--ink); }
.body { grid-area: body; min-height: 0; display: flex; flex-direction: column; gap: 9px; padding: 10px; overflow-y: auto; }
.wait { grid-area: body; padding: 24px; }
.say h2 { font-size: 22px; }
.say p { font-size: 16px; line-height: 1.35; }
nav { display: grid; grid-template-columns: 1fr 1fr 1fr; border-top: 1px solid var(--ink); margin: 0 -10px -10px; background: var(--sheet); }
nav button { font: inherit; font-size: 16px; font-weight: 700; color: var(--ink); background: none; border: 0; border-right: 1px solid var(--rule); min-height: 60px; padding: 4px; cursor: pointer; }
nav button:disabled { color: var(--ink-2); opacity: 0.6; }
nav .go { color: var(--now); border-right: 0; }
.undone { font-size: 17px; font-weight: 650; color: var(--ink); }
</style>
