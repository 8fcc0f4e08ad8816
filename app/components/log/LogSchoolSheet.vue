<script setup lang="ts">
import { COMPANY, MARK_SIZES, TIGHTNESS, type Company, type MarkSize, type Tightness } from '../../../core/school/entries'
import { depthUnitM, formatDepth, formatDistance } from '../../../core/units/format'

const props = defineProps<{ topM: number, bottomM: number, waterDepthM: number, staffM: number, placeId: string | null }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const journal = useJournal()

const step = computed(() => depthUnitM(session.units) / (session.units === 'us' ? 2 : 4))
const snap = (m: number) => Math.round(m / step.value) * step.value
const water = ref(snap(props.waterDepthM))
const top = ref(Math.min(snap(props.topM), water.value))
const bottom = ref(Math.min(Math.max(snap(props.bottomM), top.value), water.value))
const tightness = ref<Tightness>('clustered')
const marks = ref<MarkSize | null>(null)
const company = ref<Company[]>([])
/** from the boat; at nought it was not said */
const distance = ref(0)
const far = computed(() => (session.units === 'us' ? { most: 36.576, step: 1.524 } : { most: 36, step: 1.5 }))
const boat = useBoat()
const toggle = (who: Company) => {
  company.value = company.value.includes(who) ? company.value.filter(c => c !== who) : [...company.value, who]
}
const problem = ref<string | null>(null)
const most = computed(() => Math.max(props.staffM, props.waterDepthM * 1.3))

/** The three depths keep their order: moving one pushes the others along. */
function setTop(m: number) {
  top.value = m
  bottom.value = Math.max(bottom.value, m)
  water.value = Math.max(water.value, bottom.value)
}
function setBottom(m: number) {
  bottom.value = m
  top.value = Math.min(top.value, m)
  water.value = Math.max(water.value, m)
}
function setWater(m: number) {
  water.value = m
  bottom.value = Math.min(bottom.value, m)
  top.value = Math.min(top.value, m)
}

async function save() {
  const round = (m: number) => Math.round(m * 1000) / 1000
  try {
    await journal.log('school', { placeId: props.placeId, topM: round(top.value), bottomM: round(bottom.value), waterDepthM: round(water.value), tightness: tightness.value, marks: marks.value, company: company.value, distanceM: distance.value > 0 ? round(distance.value) : null })
    emit('close')
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <LogPanel
    title="A school"
    @close="$emit('close')"
  >
    <FrameSlider
      thumb
      label="top of the fish"
      :model-value="top"
      :min="0"
      :max="most"
      :step="step"
      :text="formatDepth(top, session.units)"
      @update:model-value="setTop"
    />
    <FrameSlider
      thumb
      label="lowest of them"
      :model-value="bottom"
      :min="0"
      :max="most"
      :step="step"
      :text="formatDepth(bottom, session.units)"
      @update:model-value="setBottom"
    />
    <FrameSlider
      thumb
      label="water depth"
      :model-value="water"
      :min="0"
      :max="most"
      :step="step"
      :text="formatDepth(water, session.units)"
      @update:model-value="setWater"
    />
    <p
      v-if="boat.now?.depthM != null"
      class="quiet"
    >
      Water depth is the boat's sounder's, {{ formatDepth(boat.now.depthM, session.units) }}.
    </p>
    <LogChips
      label="how tight"
      :options="TIGHTNESS.map(t => ({ value: t, text: t }))"
      :holds="t => tightness === t"
      @pick="tightness = $event"
    />
    <LogChips
      label="size of the marks"
      :options="MARK_SIZES.map(m => ({ value: m, text: m }))"
      :holds="m => marks === m"
      @pick="marks = marks === $event ? null : $event"
    />
    <LogChips
      label="who else is there"
      :options="COMPANY.map(c => ({ value: c, text: c }))"
      :holds="c => company.includes(c)"
      @pick="toggle"
    />
    <FrameSlider
      thumb
      label="away from the boat"
      :model-value="distance"
      :min="0"
      :max="far.most"
      :step="far.step"
      :text="distance > 0 ? formatDistance(distance, session.units) : 'not said'"
      @update:model-value="distance = $event"
    />
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
    <template #foot>
      <v-btn
        class="main thumb"
        block
        data-test="save-school"
        @click="save"
      >
        Log the school
      </v-btn>
    </template>
  </LogPanel>
</template>
