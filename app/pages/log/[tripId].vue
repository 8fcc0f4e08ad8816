<script setup lang="ts">
import { coverTop } from '../../../core/place/kinds'
import { formatMinutes } from '../../../core/units/format'
import { painted } from '../../utils/painted'
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
const boat = useBoat()
boat.follow()

const stop = useStop()
const { trip, visit, ranking, placeName, schoolsHere, school, fishHere, rig, rigOn, minutesHere, expected, staffM, marks, open, undoName, headline, advised } = stop
const { problem, undone, tap, arrive, sign, leave, take, tie, tieRung, undo, putBack, endDay } = useStopTaps(stop)
const cautions = useCautions(stop)
const lull = useLull()
const stay = useStay(() => visit.value, () => lull.value)
type Sheet = { kind: 'school' } | { kind: 'stretch', leaving: boolean } | { kind: 'fish', id: string } | { kind: 'boil', id: string }
const sheet = shallowRef<Sheet | null>(null)
/** Sheets that stand in the stop itself; the stretch comes over it. */
const panel = computed(() => (sheet.value?.kind === 'stretch' ? null : sheet.value))

const tripId = computed(() => String(route.params.tripId))
watch(tripId, async () => {
  try {
    await Promise.all([session.load(), tackle.load(), journal.open(tripId.value)])
    if (journal.partOf) return await navigateTo(`/log/${journal.partOf}`, { replace: true })
    if (journal.trip?.waterId) await Promise.all([waters.load(journal.trip.waterId), ladders.load(journal.trip.waterId)])
    const wanted = typeof route.query.place === 'string' ? waters.placeById(route.query.place) : null
    if (wanted && !visit.value && journal.trip?.endedAt === null) await arrive(wanted.id)
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}, { immediate: true })

/** stop at which the advice was told to be quiet */
const hushed = ref<string | null>(null)
const quiet = computed({
  get: () => hushed.value !== null && hushed.value === visit.value?.arrivedAt,
  set: (on: boolean) => {
    hushed.value = on ? visit.value?.arrivedAt ?? null : null
  },
})
async function takeFish() {
  const id = await take()
  // The count first, then the sheet.
  await painted()
  if (id) sheet.value = { kind: 'fish', id }
}
async function logBoil() {
  const at = boat.position
  await tap(async () => {
    const id = await journal.log('boil', { placeId: at ? null : visit.value?.placeId ?? null, lonDeg: at?.lonDeg ?? null, latDeg: at?.latDeg ?? null, towardDeg: null })
    await painted()
    sheet.value = { kind: 'boil', id }
  })
}
async function stretchDone(leaving: boolean) {
  sheet.value = null
  if (leaving) await leave()
}

const ashore = () => !visit.value || panel.value !== null
useShortcuts('At a stop', [
  { key: 'c', says: 'cast or drop', run: () => sign('cast'), idle: ashore },
  { key: 'l', says: 'look, turned away', run: () => sign('look'), idle: ashore },
  { key: 'f', says: 'follow', run: () => sign('follow'), idle: ashore },
  { key: 't', says: 'tap, missed', run: () => sign('tap'), idle: ashore },
  { key: 'k', says: 'take: fish on', run: takeFish, idle: () => !visit.value },
  { key: 's', says: 'school, new or moved', run: () => {
    sheet.value = { kind: 'school' }
  }, idle: ashore },
  { key: 'b', says: 'boil', run: logBoil, idle: ashore },
  { key: 'z', says: 'undo', run: undo, idle: () => !undoName.value },
  { key: 'r', says: 'end the stretch', run: () => {
    sheet.value = { kind: 'stretch', leaving: false }
  }, idle: ashore },
  { key: 'g', says: 'go on', run: () => {
    sheet.value = { kind: 'stretch', leaving: true }
  }, idle: ashore },
])
const nameless = computed(() => fishHere.value.filter(f => f.species === null && f.id !== (sheet.value?.kind === 'fish' ? sheet.value.id : null)))
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
        <h1>{{ placeName ?? waters.water?.name ?? 'Log' }}</h1>
        <span class="quiet"><template v-if="visit">{{ formatMinutes(minutesHere) }} here<template v-if="visit.presentations"> · {{ visit.presentations }} casts</template></template><template v-else>{{ trip?.schools.length ?? 0 }} schools, {{ trip?.fish.length ?? 0 }} fish today</template></span>
      </div>
      <NuxtLink
        class="clock"
        to="/along"
      >
        <strong>{{ waters.water ? clockText(session.nowMs, waters.water.zone) : '' }}</strong>
        <span
          class="quiet"
          data-test="unsent"
        >{{ journal.unsent === 0 ? 'all sent' : `${journal.unsent} to send` }}</span>
      </NuxtLink>
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
        :depth-m="staffM"
        :units="session.units"
        :belief="ranking?.belief ?? advice.belief"
        :weed-m="advice.weedM"
        :dim-m="advice.dimM"
        :bottom-m="boat.now?.depthM ?? ranking?.place.attributes.bottomDepthM"
        :cover-top-m="ranking ? coverTop(ranking.place) : null"
        :schools="marks.schools"
        :fish="marks.fish"
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
        @arrive="arrive"
        @end="endDay"
        @undo="undo"
      >
        <LogBoat :place="null" />
        <LogCautions :cautions="cautions" />
      </LogWhere>

      <div
        v-else
        class="body at"
      >
        <LogSchoolSheet
          v-if="panel?.kind === 'school'"
          :top-m="school?.topM ?? expected.p20"
          :bottom-m="school?.bottomM ?? expected.p80"
          :water-depth-m="boat.now?.depthM ?? school?.waterDepthM ?? ranking?.place.attributes.bottomDepthM ?? staffM"
          :staff-m="staffM"
          :place-id="visit.placeId"
          @close="sheet = null"
        />
        <LogFishSheet
          v-else-if="panel?.kind === 'fish'"
          :key="panel.id"
          :fish-id="panel.id"
          :staff-m="staffM"
          @close="sheet = null"
        />
        <LogBoilPanel
          v-else-if="panel?.kind === 'boil'"
          :key="panel.id"
          :boil-id="panel.id"
          @close="sheet = null"
        />
        <div
          v-else
          class="read"
        >
          <div>
            <LogStay
              v-model:quiet="quiet"
              :words="minutesHere >= SAYS_AFTER_MIN ? stay.words.value : null"
              :fallback="{ headline, text: advised }"
            />
            <LogCautions :cautions="cautions" />
            <LogLimits />
            <button
              v-if="nameless.length > 0"
              type="button"
              class="nameless"
              data-test="nameless"
              @click="sheet = { kind: 'fish', id: nameless.at(-1)!.id }"
            >
              {{ nameless.length }} {{ nameless.length === 1 ? 'fish has' : 'fish have' }} no name yet
            </button>
          </div>
          <div>
            <LogBoat :place="ranking?.place ?? null" />
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
          </div>
        </div>
        <LogPad
          :signs="visit"
          :schools="schoolsHere.length"
          :boils="trip.boils.filter(b => b.at >= visit!.arrivedAt).length"
          :fish="fishHere.length"
          :short="panel !== null"
          @sign="sign"
          @school="sheet = { kind: 'school' }"
          @boil="logBoil"
          @take="takeFish"
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
            @click="sheet = { kind: 'stretch', leaving: false }"
          >
            Stretch <small>{{ formatMinutes(open.minutes) }}</small>
          </button>
          <button
            type="button"
            class="go"
            data-test="go-on"
            @click="sheet = { kind: 'stretch', leaving: true }"
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

    <LogStretchSheet
      v-if="sheet?.kind === 'stretch'"
      :minutes="open.minutes"
      :casts="open.casts"
      :school-id="school?.id ?? null"
      :leaving="sheet.leaving"
      @logged="stretchDone(sheet.leaving)"
      @without="stretchDone(true)"
      @close="sheet = null"
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
@media (max-width: 600px) { .where h1 { font-size: 18px; } }
.clock { text-align: right; text-decoration: none; color: inherit; min-height: 56px; justify-content: center; display: flex; flex-direction: column; white-space: nowrap; }
.clock strong { font-size: 20px; line-height: 1.25; }
.problem { grid-area: problem; padding: 8px 14px; color: var(--now); font-weight: 650; font-size: 15px; background: var(--sheet); border-bottom: 1px solid var(--now); }
.stop-staff { grid-area: staff; }
.side-right .stop-staff { border-right: 0; border-left: 1px solid var(--ink); }
.body { grid-area: body; min-height: 0; display: flex; flex-direction: column; gap: 9px; padding: 10px; overflow-y: auto; }
.wait { grid-area: body; padding: 24px; }
.at { overflow: hidden; }
.read { flex: 1; min-height: 0; overflow-y: auto; display: flex; flex-direction: column; gap: 4px; }
@media (min-width: 800px) { .read { display: grid; grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr); gap: 4px 22px; align-content: start; } .read > div { min-width: 0; } }
.nameless { font: inherit; font-size: 16px; font-weight: 650; text-align: left; min-height: 56px; padding: 4px; color: var(--ink); background: none; border: 0; text-decoration: underline; text-underline-offset: 4px; cursor: pointer; }
.say h2 { font-size: 22px; }
.say p { font-size: 16px; line-height: 1.35; }
nav { display: grid; grid-template-columns: 1fr 1fr 1fr; border-top: 1px solid var(--ink); margin: 0 -10px -10px; background: var(--sheet); }
nav button { font: inherit; font-size: 16px; font-weight: 700; color: var(--ink); background: none; border: 0; border-right: 1px solid var(--rule); min-height: 60px; padding: 4px; cursor: pointer; }
nav button:disabled { color: var(--ink-2); opacity: 0.6; }
nav small { display: block; font-size: 14px; font-weight: 500; color: var(--ink-2); }
nav .go { color: var(--now); border-right: 0; }
.undone { font-size: 17px; font-weight: 650; color: var(--ink); }
</style>
