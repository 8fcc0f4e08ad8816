<script setup lang="ts">
import type { BandMeeting, DepthBand } from '../../../core/water/bandMeetings'
import { readCsvLevels, writeCsvLevels } from '../../../core/formats/csvLevels'
import { download } from '../../utils/download'
import type { LayerName } from '../../utils/chartLayers'
import { depthUnitM, formatDepth, formatDepthBand, formatDistance, formatSmall } from '../../../core/units/format'

const props = defineProps<{
  layers: Record<LayerName, boolean>
  bands: { shallow: DepthBand, deep: DepthBand }
  meetings: BandMeeting[] | null
  drawing: boolean
}>()
const emit = defineEmits<{ layer: [name: LayerName, on: boolean], bands: [bands: { shallow: DepthBand, deep: DepthBand }], draw: [on: boolean], go: [to: BandMeeting], takeOut: [what: 'contours' | 'features' | 'places', as: 'geojson' | 'kml' | 'gpx'] }>()
const session = useSession()
const waters = useWater()
const advice = useAdvice()
const problem = ref<string | null>(null)

const LAYERS: [LayerName, string][] = [['roads', 'roads'], ['weed', 'weed line'], ['places', 'places'], ['bands', 'two bands'], ['doubt', 'no sounding near']]
const step = computed(() => depthUnitM(session.units) / (session.units === 'us' ? 2 : 4))
const most = computed(() => Math.max(3, Math.min(12, waters.deepestM)))
const what = ref<'contours' | 'features' | 'places'>('features')
const FORMATS = [['geojson', 'GeoJSON'], ['kml', 'KML'], ['gpx', 'GPX']] as const

function setBand(key: 'shallow' | 'deep', value: number[]) {
  const band = [value[0]!, value[1]!] as const
  const { shallow, deep } = props.bands
  // The deep band stays below the shallow one: moving either pushes the other.
  if (key === 'shallow') emit('bands', { shallow: band, deep: [Math.max(deep[0], band[1]), Math.max(deep[1], band[1] + step.value)] })
  else emit('bands', { shallow: [Math.min(shallow[0], band[0]), Math.min(shallow[1], band[0])], deep: band })
}

async function keepLevel() {
  const { levels, referenceLevelM } = waters.levels
  try {
    const at = new Date(session.instant()).toISOString()
    await waters.setLevels({ referenceLevelM, levels: [...levels, { at, levelM: Math.round((referenceLevelM + waters.poolM) * 1000) / 1000 }] })
    problem.value = null
  }
  catch (error) {
    problem.value = `Not saved: ${error instanceof Error ? error.message : String(error)}`
  }
}
/** A table of levels replaces the history; what could not be read of it is said. */
async function levelsFrom(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  const { items, skipped, issues } = readCsvLevels(await file.text())
  input.value = ''
  if (items.length === 0) {
    problem.value = `${file.name}: ${issues[0]!.message}. The history stays as it was.`
    return
  }
  try {
    await waters.setLevels({ referenceLevelM: waters.levels.referenceLevelM, levels: items.map(l => ({ at: new Date(l.atMs).toISOString(), levelM: l.levelM })) })
    problem.value = skipped === 0 ? null : `${items.length} levels taken, ${skipped} rows left out; the first on line ${issues[0]!.line}: ${issues[0]!.message}.`
  }
  catch (error) {
    problem.value = `Not saved: ${error instanceof Error ? error.message : String(error)}`
  }
}
function levelsOut() {
  download('levels.csv', writeCsvLevels(waters.levels.levels.map(l => ({ atMs: Date.parse(l.at), levelM: l.levelM }))), 'text/csv')
}
const poolText = computed(() => (Math.abs(waters.poolM) < 0.005 ? 'at the chart\'s level' : `${formatSmall(Math.abs(waters.poolM), session.units)} ${waters.poolM > 0 ? 'over' : 'under'} it`))
</script>

<template>
  <div class="tools">
    <div
      class="chips"
      role="group"
      aria-label="Layers"
    >
      <button
        v-for="[key, label] in LAYERS"
        :key="key"
        type="button"
        class="chip"
        :aria-pressed="layers[key]"
        @click="$emit('layer', key, !layers[key])"
      >
        {{ label }}
      </button>
      <button
        type="button"
        class="chip"
        :aria-pressed="drawing"
        data-test="draw-line"
        @click="$emit('draw', !drawing)"
      >
        {{ drawing ? 'click a line, double-click to end' : 'measure a line' }}
      </button>
    </div>
    <p
      v-if="layers.weed"
      class="quiet"
      data-test="weed"
    >
      Weed can root down to about {{ formatDepth(advice.weedM, session.units) }} in this clarity; the band is a fifth either way.
    </p>
    <template v-if="layers.bands">
      <div>
        <span class="head"><span>dots: shallow band</span><strong>{{ formatDepthBand(bands.shallow[0], bands.shallow[1], session.units) }}</strong></span>
        <v-range-slider
          :model-value="[...bands.shallow]"
          :min="0"
          :max="most"
          :step="step"
          hide-details
          color="primary"
          track-size="3"
          aria-label="shallow band"
          @update:model-value="setBand('shallow', $event)"
        />
        <span class="head"><span>strokes: deep band</span><strong>{{ formatDepthBand(bands.deep[0], bands.deep[1], session.units) }}</strong></span>
        <v-range-slider
          :model-value="[...bands.deep]"
          :min="0"
          :max="most"
          :step="step"
          hide-details
          color="primary"
          track-size="3"
          aria-label="deep band"
          @update:model-value="setBand('deep', $event)"
        />
      </div>
      <p
        v-if="meetings"
        class="quiet"
        data-test="meetings"
      >
        {{ meetings.length === 0 ? 'These bands touch nowhere.' : `They touch in ${meetings.length} ${meetings.length === 1 ? 'place' : 'places'}, steepest first:` }}
      </p>
      <ol
        v-if="meetings?.length"
        class="chips"
      >
        <li
          v-for="(m, i) in meetings.slice(0, 4)"
          :key="`${m.x},${m.y}`"
        >
          <button
            type="button"
            class="chip"
            @click="$emit('go', m)"
          >
            {{ i + 1 }}: {{ formatDistance(m.apartM, session.units) }} apart along {{ formatDistance(m.lengthM, session.units) }}
          </button>
        </li>
      </ol>
    </template>
    <details>
      <summary>
        Pool level and taking it out<template v-if="Math.abs(waters.poolM) >= 0.005">
          : pool {{ poolText }}
        </template>
      </summary>
      <div class="folded">
        <FrameSlider
          label="pool today"
          :model-value="waters.poolM"
          :min="-3"
          :max="3"
          :step="session.units === 'us' ? 0.0762 : 0.05"
          :text="poolText"
          @update:model-value="waters.supposedPoolM = $event"
        />
        <div
          v-if="waters.supposedPoolM !== null"
          class="chips"
        >
          <button
            type="button"
            class="chip"
            @click="keepLevel"
          >
            Keep as today's level
          </button>
          <button
            type="button"
            class="chip"
            @click="waters.supposedPoolM = null"
          >
            {{ waters.readPoolM === null ? 'Back to the chart\'s level' : 'Back to the reading' }}
          </button>
        </div>
        <div class="take-out">
          <label class="chip pick">Level history from CSV<input
            type="file"
            accept=".csv,.txt"
            data-test="levels"
            @change="levelsFrom"
          ></label>
          <button
            v-if="waters.levels.levels.length"
            type="button"
            class="chip"
            @click="levelsOut"
          >
            Levels, CSV
          </button>
        </div>
        <p
          v-if="problem"
          class="tone-now"
          role="alert"
        >
          {{ problem }}
        </p>
        <div class="take-out">
          <label>take out
            <select v-model="what">
              <option value="features">features and roads</option>
              <option value="contours">contours</option>
              <option value="places">places</option>
            </select>
          </label>
          <button
            v-for="[as, label] in FORMATS"
            :key="as"
            type="button"
            class="chip"
            @click="$emit('takeOut', what, as)"
          >
            {{ label }}
          </button>
          <a
            class="chip"
            :href="`/api/waters/${waters.water!.id}/soundings`"
            download="soundings.csv"
          >Soundings, CSV</a>
        </div>
      </div>
    </details>
  </div>
</template>

<style scoped>
.tools { flex: none; max-height: 56%; overflow-y: auto; padding: 12px 16px; border-bottom: 1px solid var(--rule); display: flex; flex-direction: column; gap: 9px; }
.head { display: flex; justify-content: space-between; font-size: 14.5px; color: var(--ink-2); }
.head strong { color: var(--ink); font-size: 16px; }
.take-out { display: flex; flex-wrap: wrap; gap: 6px; align-items: center; font-size: 14.5px; color: var(--ink-2); }
.take-out select { font: inherit; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 7px 6px; }
summary { cursor: pointer; font-size: 14.5px; font-weight: 600; padding: 4px 0; }
.folded { display: flex; flex-direction: column; gap: 9px; padding-top: 6px; }
.pick { position: relative; }
.pick input { position: absolute; inset: 0; opacity: 0; cursor: pointer; font-size: 0; }
.pick:focus-within { outline: 3px solid var(--now); outline-offset: 2px; }
.chip { font-size: 14px; padding: 5px 9px; text-decoration: none; display: inline-flex; align-items: center; }
</style>
