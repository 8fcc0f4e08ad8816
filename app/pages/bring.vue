<script setup lang="ts">
import { SOUNDING_FLAGS, type SoundingFlag } from '../../core/water/cleanSoundings'
import { formatDistance, formatSmall } from '../../core/units/format'
import { deepest } from '../../core/water/depthGrid'
import type { ImportSummary, JobState } from '../../shared/imports'
import type { Water } from '../../shared/waters'
import { api } from '../utils/api'
import { dateText } from '../utils/time'

const route = useRoute()
const session = useSession()
const waters = useWater()
const into = shallowRef<Water | null>(null)
const imports = ref<ImportSummary[]>([])
const opening = ref(true)
const name = ref('')
const zone = ref(Intl.DateTimeFormat().resolvedOptions().timeZone)
const drawing = ref(false)
const map = useTemplateRef<{ takeBack: () => void }>('map')
const bringIn = useBringIn(into)
const { files, reading, forgiven, soundings, frame, shore, shoreFault, triples, flags, tally, ready, preview, working, problem, cellM, levelM } = bringIn
const ZONES = Intl.supportedValuesOf('timeZone')
const WORDS: Record<SoundingFlag, string> = { ok: 'good', zero: 'zero depth', spike: 'spikes', frozen: 'sounder froze', still: 'lying still', crossing: 'other tracks disagree', outside: 'off the water' }

watch(() => route.query.water, async (id) => {
  try {
    await session.load()
    into.value = typeof id === 'string' ? await api<Water>(`waters/${id}`) : null
    imports.value = into.value ? await api<ImportSummary[]>(`waters/${into.value.id}/imports`) : []
    const [first] = await waters.loadList()
    if (!waters.water && first) await waters.load(into.value?.id ?? first.id)
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
  opening.value = false
}, { immediate: true })

function picked(event: Event) {
  const input = event.target as HTMLInputElement
  void bringIn.add([...input.files ?? []])
  input.value = ''
}
function forgive(flag: SoundingFlag) {
  forgiven.value = forgiven.value.includes(flag) ? forgiven.value.filter(f => f !== flag) : [...forgiven.value, flag]
}
async function done(waterId: string | null) {
  if (!waterId) return
  waters.list = null
  await waters.load(waterId, { again: true })
  await navigateTo(`/water/${waterId}/chart`)
}
const bring = async () => done(await bringIn.bring(name.value.trim(), zone.value))
async function undo({ id, undone }: ImportSummary) {
  await done(await bringIn.follow(() => api<JobState>(`waters/${into.value!.id}/imports/${id}`, { method: 'PATCH', body: { undone: !undone } })))
}
const nameMissing = computed(() => into.value === null && name.value.trim() === '')
const counted = computed(() => flags.value.reduce((n, f) => n + (f === 0 ? 1 : 0), 0))
useHead({ title: 'Bring in a water · Remous' })
</script>

<template>
  <div
    v-if="!opening"
    class="bring"
  >
    <section
      class="form"
      tabindex="0"
      aria-label="Bring in a water"
    >
      <h1>{{ into ? `Soundings of ${into.name}` : 'Bring in a water' }}</h1>
      <template v-if="!into">
        <v-text-field
          v-model="name"
          label="name of the water"
          maxlength="80"
        />
        <v-autocomplete
          v-model="zone"
          :items="ZONES"
          label="time zone"
          variant="outlined"
          density="comfortable"
          hide-details
        />
      </template>
      <div>
        <h2>Files</h2>
        <p class="quiet">
          {{ into ? 'Soundings as a table (CSV), an NMEA 0183 log or GeoJSON points.' : 'A shoreline as GeoJSON or KML, and soundings as a table (CSV), an NMEA 0183 log or GeoJSON points. Several files make one water.' }}
        </p>
        <label class="chip pick">Choose files
          <input
            type="file"
            multiple
            accept=".geojson,.json,.kml,.gpx,.csv,.txt,.tsv,.nmea,.log"
            data-test="files"
            @change="picked"
          >
        </label>
        <p
          v-if="reading"
          role="status"
        >
          Reading {{ reading }} …
        </p>
        <ul>
          <BringFile
            v-for="file in files"
            :key="file.name"
            :file="file"
            @reread="bringIn.reread(file, $event)"
            @waiting="bringIn.expect(file)"
            @drop="bringIn.drop(file)"
          />
        </ul>
      </div>
      <div v-if="!into && frame">
        <button
          type="button"
          class="chip"
          :aria-pressed="drawing"
          @click="drawing = !drawing"
        >
          {{ drawing ? 'Done drawing' : 'Draw the shoreline, then islands' }}
        </button>
        <button
          v-if="drawing"
          type="button"
          class="chip"
          @click="map?.takeBack()"
        >
          Take back the last
        </button>
      </div>
      <p
        v-if="shoreFault"
        class="tone-now"
        role="alert"
      >
        The shoreline cannot be used: {{ shoreFault.message }}. It is ringed on the map.
      </p>
      <p
        v-else-if="!shore && files.length"
        class="tone-careful"
      >
        There is no shoreline yet: add a file with one, or draw it around the soundings.
      </p>
      <p
        v-if="shore && shore.elsewhere > 0"
        class="quiet"
      >
        {{ shore.elsewhere }} smaller {{ shore.elsewhere === 1 ? 'outline lies' : 'outlines lie' }} elsewhere and {{ shore.elsewhere === 1 ? 'is' : 'are' }} left out.
      </p>
      <div v-if="soundings.length">
        <h2>Cleaning</h2>
        <p
          class="quiet"
          data-test="cleaning"
        >
          {{ counted.toLocaleString('en-US') }} of {{ soundings.length.toLocaleString('en-US') }} count. Tap a kind to take it all the same.
        </p>
        <div class="chips">
          <button
            v-for="t in tally.filter(t => t.flag !== SOUNDING_FLAGS[0])"
            :key="t.flag"
            type="button"
            class="chip"
            :aria-pressed="!forgiven.includes(t.flag)"
            @click="forgive(t.flag)"
          >
            {{ WORDS[t.flag] }}: {{ t.count.toLocaleString('en-US') }}
          </button>
        </div>
      </div>
      <template v-if="shore">
        <FrameSlider
          v-if="!into"
          v-model="cellM"
          label="width of the grid's cells"
          :min="2"
          :max="20"
          :step="1"
          :text="formatDistance(cellM, session.units)"
        />
        <label class="level">pool level on the day, metres in the water's own datum; empty if it does not change
          <input
            type="number"
            step="0.01"
            :value="levelM ?? ''"
            @input="levelM = ($event.target as HTMLInputElement).value === '' ? null : Number(($event.target as HTMLInputElement).value)"
          >
        </label>
      </template>
      <p
        v-if="preview"
        data-test="preview"
      >
        {{ formatSmall(deepest(preview.grid), session.units) }} at the deepest.
        {{ preview.heldOut ? `Off by ${formatSmall(preview.heldOut.rmsM, session.units)} on ${preview.heldOut.count.toLocaleString('en-US')} soundings of tracks left out.` : 'Too few tracks to measure its error.' }}
      </p>
      <p
        v-if="problem"
        role="alert"
        class="tone-now"
      >
        {{ problem }}
      </p>
      <div
        v-if="working"
        role="status"
        class="work"
      >
        <span>Working the chart out {{ working.where === 'here' ? 'here' : 'on the server' }}: {{ Math.round(working.done * 100) }} %</span>
        <progress
          :value="working.done"
          max="1"
          aria-label="share of the work done"
        />
        <button
          type="button"
          class="chip"
          @click="bringIn.stop()"
        >
          Stop
        </button>
      </div>
      <div class="acts">
        <v-btn
          class="plain"
          :disabled="!ready || soundings.length === 0"
          @click="bringIn.tryIt()"
        >
          Try the chart
        </v-btn>
        <v-btn
          class="main"
          :disabled="!ready || nameMissing"
          data-test="bring"
          @click="bring"
        >
          {{ into ? 'Bring them in' : 'Bring it in' }}
        </v-btn>
      </div>
      <p
        v-if="nameMissing && shore"
        class="quiet"
      >
        Give the water a name first.
      </p>
      <div v-if="into">
        <h2>Brought in before</h2>
        <p
          v-if="imports.length === 0"
          class="quiet"
        >
          Nothing: this chart came with the water.
        </p>
        <ul data-test="imports">
          <li
            v-for="i in imports"
            :key="i.id"
            class="import"
          >
            <span><strong>{{ i.label }}</strong><br><span class="quiet">{{ dateText(i.at, into.zone) }} · {{ (i.count - i.excluded).toLocaleString('en-US') }} of {{ i.count.toLocaleString('en-US') }} count{{ i.undone ? ' · taken out' : '' }}</span></span>
            <button
              type="button"
              class="chip"
              :disabled="working !== null"
              @click="undo(i)"
            >
              {{ i.undone ? 'Put it back' : 'Take it out' }}
            </button>
          </li>
        </ul>
      </div>
    </section>
    <BringMap
      v-if="frame"
      ref="map"
      :frame="frame"
      :shore="shore"
      :fault="shoreFault"
      :triples="triples"
      :flags="flags"
      :areas="preview?.areas ?? null"
      :drawing="drawing"
      @drawn="bringIn.drawn.value = $event"
    />
    <p
      v-else
      class="empty"
    >
      What you choose is shown here before anything is kept. Start with the shoreline: most maps' outlines can be saved as GeoJSON or KML. Without one, bring a log of the boat and draw around its tracks.
    </p>
  </div>
</template>

<style scoped>
.bring { height: 100%; min-height: 0; display: grid; grid-template-columns: 400px minmax(0, 1fr); }
.form { background: var(--sheet); border-right: 1px solid var(--ink); padding: 18px; overflow-y: auto; min-height: 0; display: flex; flex-direction: column; gap: 13px; font-size: 15px; }
.form > * { flex: none; }
.form p, .form li { line-height: 1.4; }
.pick { display: inline-flex; align-items: center; margin: 8px 0; position: relative; }
.pick input { position: absolute; inset: 0; opacity: 0; cursor: pointer; font-size: 0; }
.pick:focus-within { outline: 3px solid var(--now); outline-offset: 2px; }
.level { display: flex; flex-direction: column; gap: 4px; font-size: 14.5px; color: var(--ink-2); }
.level input { font: inherit; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 8px; width: 140px; }
.acts { display: flex; gap: 10px; }
.work { display: flex; flex-direction: column; gap: 6px; }
progress { width: 100%; accent-color: var(--mark); }
.import { display: flex; justify-content: space-between; gap: 10px; align-items: center; border-top: 1px solid var(--rule); padding: 8px 0; overflow-wrap: anywhere; }
.import .chip { flex: none; }
.empty { padding: 40px; font-size: 17px; max-width: 560px; }
@media (max-width: 700px) { .bring { display: block; overflow-y: auto; } }
</style>
