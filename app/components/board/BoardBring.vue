<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import type { FoundPlace, PlacesRead } from '../../../core/formats/readPlaces'
import { depthNear, mergedPlaces, placeFromFound } from '../../../core/place/bringPlaces'
import { PLACE_KINDS, placeKindName, type Place, type PlaceKind } from '../../../core/place/kinds'
import { planImport, SAME_PLACE_M } from '../../../core/place/planImport'
import { formatDistance } from '../../../core/units/format'
import { MOST_PLACES, placeSchema } from '../../../shared/places'
import { check } from '../../../shared/validate'
import { useImportWorker } from '../../composables/useImportWorker'

const emit = defineEmits<{ done: [] }>()
const session = useSession()
const waters = useWater()
const remote = useImportWorker()

const read = shallowRef<PlacesRead | null>(null)
const fileName = ref('')
const busy = ref(false)
const problem = ref<string | null>(null)
const kept = ref<string | null>(null)
/** what places are that the file says nothing of */
const otherKind = ref<PlaceKind>('brush')
const twins = ref<'merge' | 'both'>('merge')

async function open(input: HTMLInputElement) {
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  busy.value = true
  problem.value = null
  kept.value = null
  try {
    fileName.value = file.name
    twins.value = 'merge'
    read.value = await remote.places(file.name, await file.text())
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
  finally {
    busy.value = false
  }
}

const found = computed(() => read.value?.items ?? [])
const chartDepth = (p: FoundPlace) => depthNear({ grid: waters.grid!, ...waters.frame!.toLocal(p.lonDeg, p.latDeg) })
const here = computed(() => found.value.filter(p => chartDepth(p) !== null))
const plan = computed(() => planImport({ found: here.value, kept: waters.places, frame: waters.frame! }))
const doubles = computed(() => plan.value.filter(p => p.twin))
const repeats = computed(() => plan.value.filter(p => p.repeats !== null).length)
const unsaid = computed(() => here.value.filter(p => p.kind === null).length)
const fresh = computed(() => plan.value.filter(p => twins.value === 'both' || (!p.twin && p.repeats === null)))
const merged = computed(() => (twins.value === 'both' ? [] : mergedPlaces(plan.value)))
const placeFrom = (one: FoundPlace) => placeFromFound({ found: one, id: uuidv7(), kind: otherKind.value, chartDepthM: chartDepth(one)!, sound: place => check<Place>(placeSchema, place).ok })

async function keep() {
  busy.value = true
  problem.value = null
  try {
    const list = [...fresh.value.map(p => placeFrom(p.found)), ...merged.value]
    const wrong = list.map(p => check<Place>(placeSchema, p)).find(c => !c.ok)
    if (wrong && !wrong.ok) throw new Error(`${wrong.error.field ?? 'a place'}: ${wrong.error.message}`)
    if (list.length > MOST_PLACES) throw new Error(`at most ${MOST_PLACES} places are taken at once; this file has ${list.length}`)
    if (list.length > 0) await waters.keepPlaces(list)
    kept.value = `${fresh.value.length} new, ${twins.value === 'merge' ? doubles.value.length : 0} merged into places you have.`
    read.value = null
  }
  catch (error) {
    problem.value = `Nothing was kept: ${error instanceof Error ? error.message : String(error)}`
  }
  finally {
    busy.value = false
  }
}
</script>

<template>
  <section
    class="bring"
    data-test="bring-places"
    tabindex="0"
    aria-label="Bring places in"
  >
    <h1>Bring places in</h1>
    <p>From GPX, KML, GeoJSON or a table with longitude and latitude. Nothing is kept before you say so.</p>
    <label class="file"><input
      type="file"
      accept=".gpx,.kml,.geojson,.json,.csv,.txt"
      data-test="places-file"
      :disabled="busy"
      @change="open($event.target as HTMLInputElement)"
    > {{ busy ? 'Reading …' : 'Choose a file' }}</label>
    <template v-if="read">
      <p data-test="places-read">
        <strong>{{ fileName }}</strong>: {{ found.length }} places, {{ here.length }} of them on this water<template v-if="read.skipped > 0">
          , {{ read.skipped }} left out
        </template>.
      </p>
      <ul
        v-if="read.issues.length > 0"
        class="quiet"
      >
        <li
          v-for="(issue, i) in read.issues.slice(0, 6)"
          :key="i"
        >
          {{ issue.line === null ? '' : `Line ${issue.line}: ` }}{{ issue.message }}
        </li>
      </ul>
      <fieldset v-if="doubles.length > 0 || repeats > 0">
        <legend>{{ doubles.length }} lie within {{ formatDistance(SAME_PLACE_M, session.units) }} of a place you have{{ repeats > 0 ? `, ${repeats} of another in the file` : '' }}</legend>
        <label><input
          v-model="twins"
          type="radio"
          value="merge"
        > merge: keep the one, add what the file knows more</label>
        <label><input
          v-model="twins"
          type="radio"
          value="both"
        > keep both</label>
        <ul class="quiet">
          <li
            v-for="(d, i) in doubles.slice(0, 5)"
            :key="i"
          >
            {{ d.found.name }} → {{ d.twin!.place.name }}, {{ formatDistance(d.twin!.distanceM, session.units) }} apart
          </li>
          <li v-if="doubles.length > 5">
            and {{ doubles.length - 5 }} more
          </li>
        </ul>
      </fieldset>
      <label
        v-if="unsaid > 0"
        class="kind"
      >{{ unsaid }} that the file gives no kind are
        <select v-model="otherKind">
          <option
            v-for="k in PLACE_KINDS"
            :key="k"
            :value="k"
          >
            {{ placeKindName(k) }}
          </option>
        </select>
      </label>
      <p class="quiet">
        Depths and figures that the file does not give are guessed from the chart; change them on each place.
      </p>
    </template>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
    <p
      v-if="kept"
      role="status"
      data-test="places-kept"
    >
      {{ kept }}
    </p>
    <div class="buttons">
      <v-btn
        v-if="read && here.length > 0"
        class="main"
        :loading="busy"
        @click="keep"
      >
        {{ fresh.length > 0 ? `Keep ${fresh.length} new` : 'Merge' }}
      </v-btn>
      <v-btn
        class="quiet-btn"
        @click="emit('done')"
      >
        {{ kept ? 'Done' : 'Not now' }}
      </v-btn>
    </div>
  </section>
</template>

<style scoped>
.bring { height: 100%; overflow-y: auto; background: var(--sheet); padding: 14px 18px 20px; display: flex; flex-direction: column; gap: 12px; font-size: 15px; line-height: 1.4; }
.file { font-weight: 700; border: 1.5px solid var(--ink); border-radius: 6px; padding: 10px 14px; cursor: pointer; align-self: flex-start; }
.file input { position: absolute; width: 1px; height: 1px; opacity: 0; }
.file:focus-within { outline: 3px solid var(--now); outline-offset: 2px; }
fieldset { border: 1px solid var(--rule); border-radius: 6px; padding: 8px 12px; display: flex; flex-direction: column; gap: 6px; }
legend { font-weight: 650; padding: 0 4px; }
select { font: inherit; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 6px; min-height: 38px; }
input[type='radio'] { accent-color: var(--ink); }
.buttons { display: flex; gap: 8px; }
</style>
