<script setup lang="ts">
import { TIGHTNESS, type Tightness } from '../../../core/school/entries'
import { depthUnitM, formatDepth } from '../../../core/units/format'

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
    await journal.log('school', { placeId: props.placeId, topM: round(top.value), bottomM: round(bottom.value), waterDepthM: round(water.value), tightness: tightness.value })
    emit('close')
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <LogSheet
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
    <div
      class="chips"
      role="group"
      aria-label="how tight"
    >
      <button
        v-for="t in TIGHTNESS"
        :key="t"
        type="button"
        class="chip thumb"
        :aria-pressed="tightness === t"
        @click="tightness = t"
      >
        {{ t }}
      </button>
    </div>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
    <v-btn
      class="main thumb"
      block
      data-test="save-school"
      @click="save"
    >
      Log the school
    </v-btn>
  </LogSheet>
</template>
