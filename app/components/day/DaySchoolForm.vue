<script setup lang="ts">
import { TIGHTNESS } from '../../../core/school/entries'
import type { LoggedSchool } from '../../../core/school/reduceTrip'
import { depthUnitM, formatDepth } from '../../../core/units/format'

/** Puts a logged school right, or takes it out; its fish stay. */
const props = defineProps<{ school: LoggedSchool, deepestM: number, name: string }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const waters = useWater()
const journal = useJournal()
const { problem, act } = useRepair(() => emit('close'))
const ELSEWHERE = 'elsewhere'
const placeId = ref(props.school.placeId ?? ELSEWHERE)
const topM = ref(props.school.topM)
const bottomM = ref(props.school.bottomM)
const waterDepthM = ref(props.school.waterDepthM)
const tightness = ref(props.school.tightness)
const step = computed(() => depthUnitM(session.units) / 2)
const places = computed(() => [{ value: ELSEWHERE, title: 'somewhere else' }, ...waters.places.map(p => ({ value: p.id, title: p.name }))])

function save() {
  const { marks, company, distanceM } = props.school
  const round = (m: number) => Math.round(m * 1000) / 1000
  return act(() => journal.amend(props.school.id, 'school', {
    placeId: placeId.value === ELSEWHERE ? null : placeId.value, topM: round(topM.value), bottomM: round(bottomM.value), waterDepthM: round(waterDepthM.value), tightness: tightness.value, marks, company, distanceM,
  }))
}
</script>

<template>
  <DayForm
    data-test="school-form"
    :title="name"
    keep="Keep it so"
    removable
    :problem="problem"
    @save="save"
    @remove="act(() => journal.undo(school.id))"
    @close="$emit('close')"
  >
    <v-select
      v-model="placeId"
      label="place"
      :items="places"
    />
    <FrameSlider
      label="top of the fish"
      :model-value="topM"
      :min="0"
      :max="deepestM"
      :step="step"
      :text="formatDepth(topM, session.units)"
      @update:model-value="topM = $event; bottomM = Math.max(bottomM, $event); waterDepthM = Math.max(waterDepthM, bottomM)"
    />
    <FrameSlider
      label="lowest of them"
      :model-value="bottomM"
      :min="0"
      :max="deepestM"
      :step="step"
      :text="formatDepth(bottomM, session.units)"
      @update:model-value="bottomM = $event; topM = Math.min(topM, $event); waterDepthM = Math.max(waterDepthM, $event)"
    />
    <FrameSlider
      label="water depth"
      :model-value="waterDepthM"
      :min="0"
      :max="deepestM"
      :step="step"
      :text="formatDepth(waterDepthM, session.units)"
      @update:model-value="waterDepthM = $event; bottomM = Math.min(bottomM, $event); topM = Math.min(topM, bottomM)"
    />
    <v-select
      v-model="tightness"
      label="how tight"
      :items="[...TIGHTNESS]"
    />
  </DayForm>
</template>
