<script setup lang="ts">
import { SPECIES, speciesName } from '../../../core/fish/species'
import { FATES, STRIKES, type EntryBodies } from '../../../core/school/entries'
import type { LoggedFish } from '../../../core/school/reduceTrip'
import { depthUnitM, formatDepth, formatLength } from '../../../core/units/format'
import { clockText } from '../../utils/time'
import { dayTime } from '../../utils/dayTime'

/** Puts a fish of a past hour right, moves it to another school, takes it out, or adds one that was forgotten. */
const props = defineProps<{ /** none: a forgotten one */ fish: LoggedFish | null, schools: { id: string, name: string, at: string }[], startedAt: string, endedAt: string | null, zone: string }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const journal = useJournal()
const { problem, act } = useRepair(() => emit('close'))
const NONE = 'none'
const STRIKE_WORDS = { fall: 'on the fall', pull: 'on the pull', still: 'lying still' } as const

const start = props.fish
const time = ref(start ? clockText(Date.parse(start.at), props.zone) : '')
const schoolId = ref(start?.schoolId ?? (props.schools.length === 1 ? props.schools[0]!.id : NONE))
const species = ref(start?.species ?? null)
const fate = ref(start?.fate ?? null)
const strike = ref(start?.strike ?? null)
const lengthM = ref(start?.lengthM ?? 0)
const depthM = ref(start?.depthM ?? 0)
const lengthStep = computed(() => (session.units === 'us' ? 0.00635 : 0.005))
const none = { value: null, title: 'not said' }

/** Null: the problem was said. */
function read(): { atMs: number, body: EntryBodies['fish'] } | null {
  const untilMs = props.endedAt ? Date.parse(props.endedAt) : session.nowMs
  const atMs = start ? Date.parse(start.at) : dayTime(time.value, { startedAt: props.startedAt, untilMs, zone: props.zone })
  if (typeof atMs === 'string') {
    problem.value = atMs
    return null
  }
  const round = (m: number) => (m > 0 ? Math.round(m * 1000) / 1000 : null)
  return { atMs, body: { schoolId: schoolId.value === NONE ? null : schoolId.value, species: species.value, fate: fate.value, strike: strike.value, lengthM: lengthM.value < 0.02 ? null : round(lengthM.value), depthM: round(depthM.value) } }
}
async function save() {
  const made = read()
  if (made) await act(() => (start ? journal.amend(start.id, 'fish', made.body) : journal.log('fish', made.body, made.atMs)))
}
</script>

<template>
  <DayForm
    data-test="fish-form"
    :title="fish ? `The fish of ${time}` : 'A forgotten fish'"
    :keep="fish ? 'Keep it so' : 'Add it'"
    :removable="fish !== null"
    :problem="problem"
    @save="save"
    @remove="act(() => journal.undo(fish!.id))"
    @close="$emit('close')"
  >
    <v-text-field
      v-if="!fish"
      v-model="time"
      label="time"
      placeholder="9:40"
      autocomplete="off"
    />
    <v-select
      v-model="schoolId"
      label="school"
      :items="[{ value: NONE, title: 'none of them' }, ...schools.map(s => ({ value: s.id, title: `${clockText(Date.parse(s.at), zone)} ${s.name}` }))]"
    />
    <v-select
      v-model="species"
      label="fish"
      :items="[none, ...SPECIES.map(s => ({ value: s, title: speciesName(s) }))]"
    />
    <FrameSlider
      label="length"
      :model-value="lengthM"
      :min="0"
      :max="0.6"
      :step="lengthStep"
      :text="lengthM < 0.02 ? 'not measured' : formatLength(lengthM, session.units)"
      @update:model-value="lengthM = $event"
    />
    <FrameSlider
      label="depth"
      :model-value="depthM"
      :min="0"
      :max="20"
      :step="depthUnitM(session.units) / 2"
      :text="depthM > 0 ? formatDepth(depthM, session.units) : 'not said'"
      @update:model-value="depthM = $event"
    />
    <div class="pair">
      <v-select
        v-model="fate"
        label="kept or released"
        :items="[none, ...FATES.map(f => ({ value: f, title: f }))]"
      />
      <v-select
        v-model="strike"
        label="it took"
        :items="[none, ...STRIKES.map(s => ({ value: s, title: STRIKE_WORDS[s] }))]"
      />
    </div>
  </DayForm>
</template>

<style scoped>
.pair { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; }
</style>
