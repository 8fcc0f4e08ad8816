<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import { PLACE_KINDS, placeKindName, type Place, type PlaceKind, type PlaceShape } from '../../../core/place/kinds'
import { depthAt } from '../../../core/water/depthGrid'
import { compassPoint, depthUnit, depthUnitM } from '../../../core/units/format'
import { placeSchema } from '../../../shared/places'
import { check } from '../../../shared/validate'
import { firstGuess } from '../../../core/place/firstGuess'
import { PLACE_FIELDS, type PlaceField } from '../../utils/placeFields'

const props = defineProps<{ place: Place | null, corners: { x: number, y: number }[] }>()
const emit = defineEmits<{ 'done': [placeId: string | null], 'undo-corner': [] }>()
const drawing = defineModel<'point' | 'line' | 'outline'>('drawing', { required: true })
const session = useSession()
const waters = useWater()

type Figures = Record<string, string | number | boolean | undefined>
const SQUARE_FOOT_M2 = 0.3048 ** 2
/** Where the place stands: the tapped point, or the middle corner of what was drawn. */
const spot = computed(() => props.corners[Math.floor((props.corners.length - 1) / 2)] ?? null)
const notes = ref(props.place?.notes ?? '')
const SHAPES = [{ value: 'point', title: 'a point' }, { value: 'line', title: 'a line' }, { value: 'outline', title: 'an outline' }]
const name = ref(props.place?.name ?? '')
const kind = ref<PlaceKind>(props.place?.kind ?? 'brush')
const figures = ref<Figures>({ ...props.place?.attributes })
/** A figure that the angler has set is not guessed again. */
const touched = ref(props.place !== null)
const problem = ref<string | null>(null)
const saving = ref(false)

const depthHere = computed(() => (spot.value && waters.grid ? depthAt({ grid: waters.grid, ...spot.value }) : Number.NaN))
watch([depthHere, kind], () => {
  const fresh = props.place === null || props.place.kind !== kind.value
  if (fresh && !touched.value) figures.value = { ...firstGuess(kind.value, Number.isNaN(depthHere.value) ? 1 : depthHere.value) }
}, { immediate: true })

function choose(next: PlaceKind) {
  kind.value = next
  figures.value = props.place?.kind === next ? { ...props.place.attributes } : { ...firstGuess(next, Number.isNaN(depthHere.value) ? Number(figures.value.bottomDepthM ?? 1) : depthHere.value) }
}

const unitOf = (field: PlaceField) => (field.type === 'speed' ? (session.units === 'us' ? 'ft/s' : 'm/s') : field.type === 'depth' ? depthUnit(session.units) : field.type === 'area' ? (session.units === 'us' ? 'sq ft' : 'm²') : field.type === 'bearing' ? '°' : null)
const scaleOf = (field: PlaceField) => (field.type === 'speed' ? (session.units === 'us' ? 0.3048 : 1) : field.type === 'depth' ? depthUnitM(session.units) : field.type === 'area' && session.units === 'us' ? SQUARE_FOOT_M2 : 1)
const shown = (field: PlaceField) => {
  const value = figures.value[field.key]
  return typeof value === 'number' ? String(Math.round((value / scaleOf(field)) * 10) / 10) : typeof value === 'string' ? value : ''
}
function write(field: PlaceField, text: string) {
  touched.value = true
  if (field.type === 'text') return put(field.key, text.trim() || null)
  const trimmed = text.trim().replace(',', '.')
  figures.value = { ...figures.value, [field.key]: trimmed === '' ? undefined : Number(trimmed) * scaleOf(field) }
}
function put(key: string, value: string | boolean | null) {
  touched.value = true
  figures.value = { ...figures.value, [key]: value ?? undefined }
}

async function save() {
  problem.value = null
  const at = spot.value ? waters.frame!.toLonLat(spot.value.x, spot.value.y) : props.place
  if (!at) {
    problem.value = 'Tap the chart where the place is.'
    return
  }
  const fewest = { point: 0, line: 2, outline: 3 }[drawing.value]
  if (props.corners.length > 0 && props.corners.length < fewest) {
    problem.value = `Tap ${fewest} corners at least.`
    return
  }
  const shape = drawnShape()
  const attributes = Object.fromEntries(PLACE_FIELDS[kind.value].flatMap(({ key }) => (figures.value[key] === undefined ? [] : [[key, figures.value[key]]])))
  const checked = check<Place>(placeSchema, { id: props.place?.id ?? uuidv7(), name: name.value.trim(), kind: kind.value, lonDeg: at.lonDeg, latDeg: at.latDeg, attributes, ...(shape && { shape }), ...(notes.value.trim() && { notes: notes.value.trim() }) })
  if (!checked.ok) {
    problem.value = words(checked.error)
    return
  }
  saving.value = true
  try {
    await waters.keepPlace(checked.value)
    emit('done', checked.value.id)
  }
  catch (error) {
    problem.value = `It was not kept: ${error instanceof Error ? error.message : String(error)}`
  }
  finally {
    saving.value = false
  }
}

/** What was drawn; a place that was not drawn again keeps its shape unless it was moved as a point. */
function drawnShape(): PlaceShape | undefined {
  const ring = props.corners.map(({ x, y }): [number, number] => {
    const { lonDeg, latDeg } = waters.frame!.toLonLat(x, y)
    return [lonDeg, latDeg]
  })
  if (ring.length === 0) return props.place?.shape
  if (drawing.value === 'line') return { type: 'LineString', coordinates: ring }
  return drawing.value === 'outline' ? { type: 'Polygon', coordinates: [[...ring, ring[0]!]] } : undefined
}

/** The field as the form calls it, instead of its key. */
function words({ field, message }: { field?: string, message: string }): string {
  if (field === 'name') return 'The place needs a name.'
  const known = PLACE_FIELDS[kind.value].find(f => field?.endsWith(f.key))
  if (!known) return message
  return message.includes('ref:bottomDepthM') ? `"${known.label}" is deeper than the bottom.` : `"${known.label}" is missing or out of range.`
}
</script>

<template>
  <form
    class="form"
    data-test="place-form"
    @submit.prevent="save"
  >
    <h1>{{ place ? 'Change the place' : 'A new place' }}</h1>
    <p
      class="quiet"
      data-test="spot"
    >
      {{ drawing !== 'point' ? (corners.length === 0 ? 'Tap its corners on the chart, one after another.' : `${corners.length} ${corners.length === 1 ? 'corner' : 'corners'}; tap the next one.`) : spot ? (Number.isNaN(depthHere) ? 'On land by the chart: tap the water beside it if that is not so.' : 'Tap the chart again to move it.') : place ? 'Tap the chart to move it.' : 'Tap the chart where it is.' }}
    </p>
    <v-text-field
      v-model="name"
      label="name"
    />
    <v-select
      :model-value="kind"
      label="kind"
      :items="PLACE_KINDS.map(k => ({ value: k, title: placeKindName(k) }))"
      @update:model-value="choose"
    />
    <div class="shape">
      <v-select
        v-model="drawing"
        label="drawn as"
        :items="SHAPES"
      />
      <v-btn
        v-if="drawing !== 'point' && corners.length > 0"
        class="quiet-btn"
        @click="emit('undo-corner')"
      >
        Take the last corner back
      </v-btn>
    </div>
    <div class="fields">
      <template
        v-for="field in PLACE_FIELDS[kind]"
        :key="field.key"
      >
        <label
          v-if="field.type === 'flag'"
          class="flag wide"
        ><input
          type="checkbox"
          :checked="figures[field.key] === true"
          @change="put(field.key, ($event.target as HTMLInputElement).checked)"
        > {{ field.label }}</label>
        <v-select
          v-else-if="field.type === 'choice'"
          :model-value="figures[field.key]"
          :label="field.label"
          :items="field.choices"
          @update:model-value="put(field.key, $event as string)"
        />
        <v-text-field
          v-else
          :model-value="shown(field)"
          :label="unitOf(field) ? `${field.label}, ${unitOf(field)}` : field.label"
          :suffix="field.type === 'bearing' && typeof figures[field.key] === 'number' ? compassPoint(Number(figures[field.key])) : undefined"
          :inputmode="field.type === 'text' ? 'text' : 'decimal'"
          @change="write(field, ($event.target as HTMLInputElement).value)"
        />
      </template>
    </div>
    <v-textarea
      v-model="notes"
      label="notes"
      rows="2"
      variant="outlined"
      hide-details
      auto-grow
    />
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
    <div class="buttons">
      <v-btn
        class="main"
        type="submit"
        :loading="saving"
      >
        Keep it
      </v-btn>
      <v-btn
        class="quiet-btn"
        @click="emit('done', place?.id ?? null)"
      >
        Not now
      </v-btn>
    </div>
  </form>
</template>

<style scoped>
.form { height: 100%; overflow-y: auto; background: var(--sheet); padding: 14px 18px 20px; display: flex; flex-direction: column; gap: 12px; }
.form > :deep(.v-input) { flex: none; }
.shape { display: flex; gap: 8px; align-items: center; }
.shape > :deep(.v-input) { flex: 1; }
.fields { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; }
.wide { grid-column: 1 / 3; }
.flag { font-size: 15.5px; display: flex; gap: 9px; align-items: center; min-height: 36px; }
.flag input { width: 20px; height: 20px; accent-color: var(--ink); }
.buttons { display: flex; gap: 8px; }
</style>
