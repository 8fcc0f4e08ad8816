<script setup lang="ts">
import { FATES, STRIKES, type Fate, type Strike } from '../../../core/school/entries'
import { likelySpecies } from '../../../core/fish/likelySpecies'
import { speciesName, type Species } from '../../../core/fish/species'
import { estimateWeight } from '../../../core/fish/weight'
import { depthUnitM, formatDepth, formatFishWeight, formatLength } from '../../../core/units/format'

const props = defineProps<{ fishId: string, staffM: number }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const journal = useJournal()

const waters = useWater()
const logged = computed(() => journal.trip?.fish.find(f => f.id === props.fishId) ?? null)
/** Likeliest first: by what was caught today and before, here and elsewhere. */
const order = likelySpecies([
  ...(journal.trip?.fish ?? []).map(f => ({ species: f.species, hoursAgo: (session.nowMs - Date.parse(f.at)) / 3_600_000, here: f.placeId === logged.value?.placeId })),
  ...waters.record.catches.map(c => ({ species: c.species, hoursAgo: Math.max(0, (session.nowMs - Date.parse(c.at)) / 3_600_000), here: c.placeId === logged.value?.placeId })),
])
/** The slider stands where it was left. */
const lastMeasured = [...(journal.trip?.fish ?? [])].reverse().find(f => f.lengthM !== null && f.id !== props.fishId)
const species = ref<Species | null>(logged.value?.species ?? order[0] ?? null)
const lengthM = ref(logged.value?.lengthM ?? lastMeasured?.lengthM ?? 0.254)
const measured = ref(logged.value?.lengthM != null)
const fate = ref<Fate>(logged.value?.fate ?? lastMeasured?.fate ?? 'released')
const strike = ref<Strike | null>(logged.value?.strike ?? null)
const depthM = ref(logged.value?.depthM ?? 2)
const problem = ref<string | null>(null)
const more = ref(false)
const shown = computed(() => (more.value ? order : order.slice(0, 2)))
const step = computed(() => (session.units === 'us' ? 0.00635 : 0.005))
const weight = computed(() => {
  if (!species.value || lengthM.value < 0.12) return null
  return formatFishWeight(estimateWeight({ species: species.value, lengthM: lengthM.value }).massKg, session.units)
})

async function save() {
  if (!logged.value) return emit('close')
  try {
    await journal.amend(props.fishId, 'fish', {
      schoolId: logged.value.schoolId, species: species.value, fate: fate.value,
      lengthM: measured.value ? Math.round(lengthM.value * 1000) / 1000 : null,
      depthM: Math.round(depthM.value * 100) / 100, strike: strike.value,
    })
    emit('close')
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <LogPanel
    title="What was it?"
    @close="$emit('close')"
  >
    <LogChips
      label="species"
      :options="shown.map(s => ({ value: s, text: speciesName(s) }))"
      :holds="s => species === s"
      @pick="species = $event"
    >
      <button
        v-if="!more"
        type="button"
        class="chip thumb"
        @click="more = true"
      >
        another …
      </button>
    </LogChips>
    <p
      v-if="species === 'blackCrappie' || species === 'whiteCrappie'"
      class="quiet"
    >
      Dorsal spines: 5 or 6 white, 7 or 8 black.
    </p>
    <FrameSlider
      thumb
      label="length"
      :model-value="lengthM"
      :min="0.1"
      :max="0.5"
      :step="step"
      :text="measured ? formatLength(lengthM, session.units) : 'not measured'"
      :note="measured && weight ? `about ${weight}` : null"
      @update:model-value="lengthM = $event; measured = true"
    />
    <FrameSlider
      thumb
      label="depth it took at"
      :model-value="depthM"
      :min="0"
      :max="staffM"
      :step="depthUnitM(session.units) / 4"
      :text="formatDepth(depthM, session.units)"
      @update:model-value="depthM = $event"
    />
    <LogChips
      label="kept or released"
      :options="FATES.map(f => ({ value: f, text: f }))"
      :holds="f => fate === f"
      @pick="fate = $event"
    />
    <LogChips
      label="took on the"
      shown
      :options="STRIKES.map(t => ({ value: t, text: t }))"
      :holds="t => strike === t"
      @pick="strike = strike === $event ? null : $event"
    />
    <p
      v-if="depthM > 9"
      class="tone-careful"
    >
      From this deep many released fish die of swelling: keep what is legal, or fish shallower.
    </p>
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
        data-test="save-fish"
        @click="save"
      >
        Done
      </v-btn>
    </template>
  </LogPanel>
</template>
