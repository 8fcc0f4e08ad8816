<script setup lang="ts">
import { DateTime } from 'luxon'
import { depthUnit, depthUnitM } from '../../../core/units/format'

const emit = defineEmits<{ done: [] }>()
const session = useSession()
const waters = useWater()
const season = useSeason()
const conditions = useConditions()
const { add } = useReadings()

const us = computed(() => session.units === 'us')
const temperature = ref('')
const clarity = ref('')
const where = ref<string>('part 0')
const depth = ref(us.value ? '1.5' : '0.5')
const at = ref(DateTime.fromMillis(session.nowMs, { zone: conditions.zone }).toFormat('yyyy-MM-dd\'T\'HH:mm'))
const problem = ref<string | null>(null)
const saving = ref(false)

const spots = computed(() => [
  ...season.parts.map(p => ({ value: `part ${p.index}`, title: season.model?.names[p.index] ?? '' })),
  ...waters.places.map(p => ({ value: `place ${p.id}`, title: p.name })),
])

function figure(text: string, name: string, lo: number, hi: number): number | null {
  if (text.trim() === '') return null
  const value = Number(text.trim().replace(',', '.'))
  if (!(value >= lo && value <= hi)) throw new RangeError(`${name} is ${text}; it must be a number from ${lo} to ${hi}`)
  return value
}

async function save() {
  problem.value = null
  try {
    const t = figure(temperature.value, 'water temperature', us.value ? 29 : -1, us.value ? 104 : 40)
    const s = figure(clarity.value, 'clarity', 0, us.value ? 60 : 20)
    const d = figure(depth.value, 'depth of the sensor', 0, us.value ? 150 : 45) ?? 0
    if (t === null && s === null) throw new RangeError('give the water temperature, the clarity, or both')
    const atMs = DateTime.fromISO(at.value, { zone: conditions.zone }).toMillis()
    if (Number.isNaN(atMs)) throw new RangeError('the time cannot be read')
    if (atMs > session.instant() + 60_000) throw new RangeError('the time lies ahead; a reading is of now or before')
    const [kind, key] = [where.value.slice(0, where.value.indexOf(' ')), where.value.slice(where.value.indexOf(' ') + 1)]
    const spot = kind === 'part' ? waters.frame!.toLonLat(season.parts[Number(key)]!.x, season.parts[Number(key)]!.y) : null
    saving.value = true
    await add([{
      atMs, body: {
        waterC: t === null ? null : us.value ? Math.round((t - 32) / 1.8 * 100) / 100 : t, secchiM: s === null || s === 0 ? null : s * depthUnitM(session.units), windMS: null, windFromDeg: null, sky: null,
        placeId: kind === 'place' ? key : null, lonDeg: spot?.lonDeg ?? null, latDeg: spot?.latDeg ?? null, sensorDepthM: d * depthUnitM(session.units),
      },
    }])
    emit('done')
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
  finally {
    saving.value = false
  }
}
</script>

<template>
  <form
    class="form"
    data-test="reading-form"
    @submit.prevent="save"
  >
    <v-text-field
      v-model="temperature"
      :label="`water, °${us ? 'F' : 'C'}`"
      inputmode="decimal"
      autofocus
    />
    <v-text-field
      v-model="clarity"
      :label="`clear to, ${depthUnit(session.units)}`"
      inputmode="decimal"
    />
    <v-select
      v-model="where"
      label="where"
      :items="spots"
      class="wide"
    />
    <v-text-field
      v-model="depth"
      :label="`sensor at, ${depthUnit(session.units)}`"
      inputmode="decimal"
    />
    <v-text-field
      v-model="at"
      label="when"
      type="datetime-local"
    />
    <p
      v-if="problem"
      role="alert"
      class="tone-now wide"
    >
      {{ problem }}
    </p>
    <div class="wide buttons">
      <v-btn
        class="main"
        type="submit"
        :loading="saving"
      >
        Log the reading
      </v-btn>
      <v-btn
        class="quiet-btn"
        @click="emit('done')"
      >
        Not now
      </v-btn>
    </div>
  </form>
</template>

<style scoped>
.form { display: grid; grid-template-columns: 1fr 1fr; gap: 10px; padding: 10px 0; }
.wide { grid-column: 1 / 3; }
.buttons { display: flex; gap: 8px; }
</style>
