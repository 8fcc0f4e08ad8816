<script setup lang="ts">
import { CASTS_PER_MIN } from '../../../core/school/stayHere'
import { formatMinutes } from '../../../core/units/format'

const props = defineProps<{ minutes: number, /** tapped one by one in them */ casts: number, schoolId: string | null, leaving: boolean }>()
const emit = defineEmits<{ close: [], logged: [], without: [] }>()
const journal = useJournal()

const minutes = ref(Math.max(1, Math.round(props.minutes)))
/** Where casts were tapped they are logged already; else the clock is the count. */
const casts = ref(props.casts > 0 ? 0 : Math.max(1, Math.round(props.minutes * CASTS_PER_MIN)))
const problem = ref<string | null>(null)

async function save() {
  try {
    await journal.log('stretch', { schoolId: props.schoolId, minutes: minutes.value, presentations: casts.value, looks: 0, follows: 0, taps: 0 })
    emit('logged')
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <LogSheet
    :title="leaving ? 'How long did you fish it?' : 'A stretch of fishing'"
    @close="$emit('close')"
  >
    <FrameSlider
      thumb
      label="fished for"
      :model-value="minutes"
      :min="1"
      :max="Math.max(90, minutes)"
      :step="1"
      :text="formatMinutes(minutes)"
      @update:model-value="minutes = $event"
    />
    <FrameSlider
      thumb
      :label="props.casts > 0 ? `casts beside the ${props.casts} tapped` : 'casts or drops'"
      :model-value="casts"
      :min="0"
      :max="Math.max(120, casts)"
      :step="1"
      :text="String(casts)"
      @update:model-value="casts = $event"
    />
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
      data-test="save-stretch"
      @click="save"
    >
      {{ leaving ? 'Log it and go on' : 'Log the stretch' }}
    </v-btn>
    <v-btn
      v-if="leaving"
      class="plain thumb"
      block
      @click="$emit('without')"
    >
      Go on, nothing to log
    </v-btn>
  </LogSheet>
</template>
