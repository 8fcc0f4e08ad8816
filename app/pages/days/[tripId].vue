<script setup lang="ts">
import { speciesName } from '../../../core/fish/species'
import { catchRate } from '../../../core/school/catchRate'
import type { LoggedBoil, LoggedFish, LoggedSchool } from '../../../core/school/reduceTrip'
import { overlapping } from '../../../core/school/joinedDays'
import { whatProduced } from '../../../core/school/whatProduced'
import { compassPoint, formatDepth, formatDepthBand, formatDistance, formatLength, formatMinutes, formatTemperature, formatWeight, formatWind } from '../../../core/units/format'
import { staffDepth } from '../../../core/water/tints'
import type { TripSummary } from '../../../shared/waters'
import { api } from '../../utils/api'
import { clockText, dateText } from '../../utils/time'

const route = useRoute()
const session = useSession()
const waters = useWater()
const journal = useJournal()
const problem = ref<string | null>(null)
const others = shallowRef<TripSummary[]>([])

watch(() => String(route.params.tripId), async (id) => {
  try {
    await session.load()
    await journal.open(id)
    if (journal.partOf) return await navigateTo(`/days/${journal.partOf}`, { replace: true })
    if (journal.trip?.waterId) await waters.load(journal.trip.waterId)
    others.value = await api<TripSummary[]>('trips')
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}, { immediate: true })

const trip = computed(() => journal.trip)
const zone = computed(() => waters.water?.zone ?? 'utc')
const units = computed(() => session.units)
const at = (iso: string) => clockText(Date.parse(iso), zone.value)
const placeName = (id: string | null) => waters.placeName(id) ?? 'somewhere else'
const loose = computed(() => trip.value?.fish.filter(f => !trip.value!.schools.some(s => s.id === f.schoolId)) ?? [])
const readings = computed(() => (trip.value?.conditions ?? []).map(({ at: iso, body: { waterC, windMS } }) =>
  `at ${at(iso)} water ${waterC === null ? 'not read' : formatTemperature(waterC, units.value)}${windMS === null ? '' : `, wind ${formatWind(windMS, units.value)}`}`))
const kept = computed(() => trip.value?.fish.filter(f => f.fate === 'kept').length ?? 0)
const fished = computed(() => trip.value?.effort.minutes ?? 0)
const rate = computed(() => {
  if (!trip.value) return ''
  const said = catchRate({ fish: trip.value.fish.length, minutes: fished.value })
  if (said.perHour !== null) return `${said.perHour.toFixed(1)} an hour`
  return said.missing === 'hours' ? 'not enough yet for a rate: under 3 hours fished' : 'not enough yet for a rate: under 5 fish'
})
const plural = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`

function fishText(f: LoggedFish): string {
  const parts = [f.species ? speciesName(f.species) : 'not named', f.lengthM === null ? null : formatLength(f.lengthM, units.value), f.depthM === null ? null : `at ${formatDepth(f.depthM, units.value)}`, f.strike && { fall: 'on the fall', pull: 'on the pull', still: 'lying still' }[f.strike], f.fate]
  return parts.filter(Boolean).join(', ')
}
function producedText(fish: LoggedFish[]): string[] {
  return whatProduced({ fish, rigs: trip.value?.rigs ?? [] }).map(({ rig, fish: n, longestM }) => {
    const on = rig ? `on ${formatWeight(rig.headKg, units.value)} with ${rig.bodyName}${rig.family === 'slipFloat' ? ' under a float' : ''}` : 'nothing noted as tied on'
    return `${n} fish ${on}${longestM === null ? '' : `, the longest ${formatLength(longestM, units.value)}`}`
  })
}
const signs = (s: LoggedSchool) => [plural(s.looks, 'look', 'looks'), plural(s.follows, 'follow', 'follows'), plural(s.taps, 'tap', 'taps')].join(', ')
/** what is being put right */
const editing = shallowRef<{ fish: LoggedFish | null } | { school: LoggedSchool } | null>(null)
const schoolExtras = (s: LoggedSchool) => [s.marks && `${s.marks} marks`, s.company.length > 0 && `with ${s.company.join(', ')}`, s.distanceM !== null && `${formatDistance(s.distanceM, units.value)} from the boat`].filter(Boolean).join(', ')
const boilText = (b: LoggedBoil) => `${at(b.at)} boil${b.body.placeId ? ` by ${placeName(b.body.placeId)}` : ''}${b.body.towardDeg === null ? '' : `, going ${compassPoint(b.body.towardDeg)}`}`
/** Days that another device began while this one ran. */
const beside = computed(() => (trip.value?.waterId
  ? overlapping({ id: trip.value.id, waterId: trip.value.waterId, startedAt: trip.value.startedAt, endedAt: trip.value.endedAt }, others.value, session.nowMs).filter(o => !journal.joined.includes(o.id) && o.schools + o.fish > 0)
  : []))
async function join(other: string) {
  const [earlier, later] = [trip.value!.id, other].sort() as [string, string]
  await journal.log('join', { tripId: earlier }, session.instant(), later)
  await closed()
  // The other day's entries come with it.
  if (earlier !== trip.value!.id) await navigateTo(`/days/${earlier}`, { replace: true })
  else await journal.open(earlier)
}
async function part() {
  const joins = journal.live.filter(e => e.kind === 'join' && e.tripId !== trip.value!.id)
  for (const { id, tripId } of joins) await journal.log('undo', { entryId: id }, session.instant(), tripId)
  await closed()
  others.value = await api<TripSummary[]>('trips')
}
/** Runs a change; a failure is said. */
async function change(what: () => Promise<unknown>) {
  try {
    await what()
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
/** What was put right reaches the water's record once it is sent. */
async function closed() {
  editing.value = null
  try {
    await journal.flush()
    await waters.refreshRecord()
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
useHead({ title: () => (trip.value ? `${dateText(trip.value.startedAt, zone.value)} · Remous` : 'Remous') })
</script>

<template>
  <p
    v-if="problem"
    role="alert"
    class="tone-now wait"
  >
    {{ problem }}
  </p>
  <div
    v-else-if="trip && waters.water"
    class="day"
  >
    <FrameStaff
      :depth-m="staffDepth({ deepestM: waters.deepestM, units })"
      :units="units"
      :schools="trip.schools"
      :fish="trip.fish.flatMap(f => (f.depthM === null ? [] : [{ depthM: f.depthM }]))"
    />
    <div
      class="page"
      tabindex="0"
      role="region"
      aria-label="The day"
    >
      <header>
        <div>
          <h1>{{ dateText(trip.startedAt, zone) }}, {{ waters.water.name }}</h1>
          <p class="quiet">
            {{ [`${at(trip.startedAt)} to ${trip.endedAt ? at(trip.endedAt) : 'still open'}`, ...readings].join(' · ') }}
          </p>
        </div>
        <v-btn
          v-if="!trip.endedAt"
          class="main"
          :to="`/log/${trip.id}`"
        >
          Go on with this day
        </v-btn>
      </header>
      <dl class="totals">
        <div><dt>schools</dt><dd>{{ trip.schools.length }}</dd></div>
        <div><dt>fish</dt><dd>{{ trip.fish.length }}</dd></div>
        <div><dt>kept</dt><dd>{{ kept }}</dd></div>
        <div><dt>fished</dt><dd>{{ formatMinutes(fished) }}</dd></div>
        <div class="rate">
          <dt>rate</dt><dd>{{ rate }}</dd>
        </div>
      </dl>

      <p
        v-for="o in beside"
        :key="o.id"
        class="beside"
        data-test="beside"
      >
        <span>Another day on this water ran at the same time ({{ o.schools }} schools, {{ o.fish }} fish): another device's?</span>
        <v-btn
          class="plain"
          @click="change(() => join(o.id))"
        >
          Put both together
        </v-btn>
      </p>
      <p
        v-if="journal.joined.length > 0"
        class="beside"
      >
        <span>Put together from {{ journal.joined.length + 1 }} devices' days.</span>
        <v-btn
          class="quiet-btn"
          @click="change(part)"
        >
          Take them apart
        </v-btn>
      </p>

      <h2>Schools of the day</h2>
      <p v-if="trip.schools.length === 0">
        No school was logged.
      </p>
      <ol data-test="schools">
        <li
          v-for="s in trip.schools"
          :key="s.id"
          class="school"
        >
          <span class="time">{{ at(s.at) }}</span>
          <div>
            <h3>{{ placeName(s.placeId) }}: {{ formatDepthBand(s.topM, s.bottomM, units) }} down over {{ formatDepth(s.waterDepthM, units) }}, {{ s.tightness }}</h3>
            <p class="quiet">
              {{ s.minutes > 0 ? `${formatMinutes(s.minutes)} fished, ${plural(s.presentations, 'cast', 'casts')}` : 'no stretch logged' }} · {{ signs(s) }}<template v-if="schoolExtras(s)">
                · {{ schoolExtras(s) }}
              </template>
              <button
                type="button"
                class="fix"
                :aria-label="`Put right: ${placeName(s.placeId)}, ${at(s.at)}`"
                @click="editing = { school: s }"
              >
                put right
              </button>
            </p>
            <p
              v-for="line in producedText(s.fish)"
              :key="line"
              class="produced"
            >
              {{ line }}.
            </p>
            <p
              v-if="s.fish.length === 0"
              class="quiet"
            >
              Nothing taken.
            </p>
            <ul class="fish">
              <li
                v-for="f in s.fish"
                :key="f.id"
              >
                <span class="quiet">{{ at(f.at) }}</span> {{ fishText(f) }}
                <button
                  type="button"
                  class="fix"
                  :aria-label="`Put right: fish of ${at(f.at)}`"
                  @click="editing = { fish: f }"
                >
                  put right
                </button>
              </li>
            </ul>
          </div>
        </li>
        <li
          v-if="loose.length"
          class="school"
        >
          <span class="time" />
          <div>
            <h3>Fish of no logged school</h3>
            <p
              v-for="line in producedText(loose)"
              :key="line"
              class="produced"
            >
              {{ line }}.
            </p>
            <ul class="fish">
              <li
                v-for="f in loose"
                :key="f.id"
              >
                <span class="quiet">{{ at(f.at) }}</span> {{ placeName(f.placeId) }}: {{ fishText(f) }}
                <button
                  type="button"
                  class="fix"
                  :aria-label="`Put right: fish of ${at(f.at)}`"
                  @click="editing = { fish: f }"
                >
                  put right
                </button>
              </li>
            </ul>
          </div>
        </li>
      </ol>
      <p>
        <v-btn
          class="plain"
          @click="editing = { fish: null }"
        >
          Add a forgotten fish
        </v-btn>
      </p>
      <p
        v-for="b in trip.boils"
        :key="b.id"
        class="quiet"
      >
        {{ boilText(b) }}
      </p>
      <p
        v-for="n in trip.notes"
        :key="n.id"
        class="quiet"
      >
        {{ at(n.at) }} · {{ n.text }}
      </p>
    </div>
    <DaySchoolForm
      v-if="editing && 'school' in editing"
      :school="editing.school"
      :deepest-m="waters.deepestM"
      :name="`${at(editing.school.at)} ${placeName(editing.school.placeId)}`"
      @close="closed"
    />
    <DayFishForm
      v-else-if="editing"
      :fish="editing.fish"
      :schools="trip.schools.map(s => ({ id: s.id, name: placeName(s.placeId), at: s.at }))"
      :started-at="trip.startedAt"
      :ended-at="trip.endedAt"
      :zone="zone"
      @close="closed"
    />
  </div>
  <p
    v-else
    class="wait"
  >
    Opening the day …
  </p>
</template>

<style scoped>
.day { height: 100%; display: grid; grid-template-columns: var(--staff-w) minmax(0, 1fr); min-height: 0; }
.page { overflow-y: auto; padding: 20px 32px 40px; display: flex; flex-direction: column; gap: 14px; font-size: 16px; line-height: 1.4; }
header { display: flex; justify-content: space-between; gap: 20px; align-items: start; max-width: 860px; }
.totals { display: flex; flex-wrap: wrap; gap: 8px 34px; border-top: 1px solid var(--rule); border-bottom: 1px solid var(--rule); padding: 10px 0; max-width: 860px; }
dt { font-size: 14px; color: var(--ink-2); }
dd { font-size: 24px; font-weight: 750; }
.rate dd { font-size: 16px; font-weight: 650; padding-top: 6px; }
.school { display: grid; grid-template-columns: 62px minmax(0, 1fr); padding: 12px 0; border-bottom: 1px solid var(--rule); max-width: 860px; }
.time { font-weight: 700; color: var(--mark); font-size: 17px; }
h3 { font-size: 17px; line-height: 1.3; }
.produced { font-weight: 650; color: var(--kept); }
.fish li { padding: 2px 0; }
.beside { display: flex; flex-wrap: wrap; align-items: center; gap: 8px 14px; max-width: 860px; }
.fix { font: inherit; font-size: 14px; color: var(--ink-2); background: none; border: 0; padding: 2px 6px; text-decoration: underline; text-underline-offset: 3px; cursor: pointer; }
@media print { .fix, .page .v-btn { display: none; } }
.wait { padding: 32px; }
@media (max-width: 700px) { .page { padding: 14px; } .school { grid-template-columns: 1fr; } }
</style>
