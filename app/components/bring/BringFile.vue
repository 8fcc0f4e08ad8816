<script setup lang="ts">
import { DEPTH_UNITS, type CsvMapping, type DepthUnit } from '../../../core/formats/csvSoundings'
import { depthUnitM, formatDepth } from '../../../core/units/format'
import type { BroughtFile } from '../../composables/useBringIn'

const props = defineProps<{ file: BroughtFile }>()
const emit = defineEmits<{ reread: [change: { mapping?: CsvMapping, transducerM?: number }], drop: [], waiting: [] }>()
const session = useSession()
const KINDS = { geojson: 'GeoJSON', kml: 'KML', gpx: 'GPX', nmea: 'NMEA 0183 log', csv: 'table' }
const COLUMNS = [['lon', 'longitude'], ['lat', 'latitude'], ['depth', 'depth']] as const
const UNITS: Record<DepthUnit, string> = { m: 'metres', ft: 'feet', fathom: 'fathoms' }

const said = computed(() => {
  const { outlines, soundings, skipped } = props.file
  const parts = [outlines.length ? `${outlines.length} ${outlines.length === 1 ? 'outline' : 'outlines'}` : '', soundings.length ? `${soundings.length.toLocaleString('en-US')} soundings` : ''].filter(Boolean)
  return `${parts.join(', ') || 'nothing taken'}${skipped ? `; ${skipped.toLocaleString('en-US')} left out` : ''}`
})
/** The log is read again when the slider has come to rest. */
const REST_MS = 300
const transducerM = ref(props.file.transducerM)
let rest: ReturnType<typeof setTimeout> | undefined
function sink(m: number) {
  transducerM.value = m
  emit('waiting')
  clearTimeout(rest)
  rest = setTimeout(() => emit('reread', { transducerM: m }), REST_MS)
}
onBeforeUnmount(() => clearTimeout(rest))
function remap(change: Partial<CsvMapping>) {
  emit('reread', { mapping: { ...props.file.csv!.mapping, ...change } })
}
</script>

<template>
  <li
    class="file"
    data-test="file"
  >
    <div class="head">
      <strong>{{ file.name }}</strong>
      <button
        type="button"
        class="chip"
        @click="$emit('drop')"
      >
        leave it out
      </button>
    </div>
    <p class="quiet">
      {{ KINDS[file.kind] }} · {{ said }}
    </p>
    <div
      v-if="file.csv"
      class="columns"
    >
      <label
        v-for="[key, label] in COLUMNS"
        :key="key"
      >{{ label }}
        <select
          :value="file.csv.mapping[key]"
          @change="remap({ [key]: Number(($event.target as HTMLSelectElement).value) })"
        >
          <option
            v-for="(name, i) in file.csv.columns"
            :key="i"
            :value="i"
          >{{ name }}</option>
        </select>
      </label>
      <label>in
        <select
          :value="file.csv.mapping.unit"
          @change="remap({ unit: ($event.target as HTMLSelectElement).value as DepthUnit })"
        >
          <option
            v-for="u in DEPTH_UNITS"
            :key="u"
            :value="u"
          >{{ UNITS[u] }}</option>
        </select>
      </label>
    </div>
    <FrameSlider
      v-if="file.kind === 'nmea'"
      label="transducer below the surface"
      :model-value="transducerM"
      :min="0"
      :max="2"
      :step="depthUnitM(session.units) / (session.units === 'us' ? 12 : 20)"
      :text="formatDepth(transducerM, session.units)"
      @update:model-value="sink"
    />
    <ul
      v-if="file.issues.length || file.csv?.doubts.length"
      class="issues"
    >
      <li
        v-for="doubt in file.csv?.doubts ?? []"
        :key="doubt"
        class="tone-careful"
      >
        {{ doubt }}
      </li>
      <li
        v-for="(issue, i) in file.issues.slice(0, 6)"
        :key="i"
      >
        <template v-if="issue.line">
          line {{ issue.line }}:
        </template>{{ issue.message }}
      </li>
      <li v-if="file.issues.length > 6">
        and more of the kind
      </li>
    </ul>
  </li>
</template>

<style scoped>
.file { border-top: 1px solid var(--rule); padding: 9px 0; display: flex; flex-direction: column; gap: 5px; }
.head { display: flex; justify-content: space-between; align-items: center; gap: 10px; font-size: 15.5px; overflow-wrap: anywhere; }
.columns { display: flex; flex-wrap: wrap; gap: 6px 10px; font-size: 14px; color: var(--ink-2); }
select { font: inherit; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 5px; max-width: 130px; }
.issues { font-size: 14px; line-height: 1.4; }
.chip { font-size: 14px; min-height: 34px; padding: 3px 9px; }
</style>
