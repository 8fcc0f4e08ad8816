<script setup lang="ts">
import { DateTime } from 'luxon'
import { readCsvWeather, writeCsvWeather } from '../../../core/formats/csvWeather'
import { thinTemperatures } from '../../../core/formats/nmeaTemperatures'
import type { ReadIssue } from '../../../core/formats/readResult'
import { hourAt, weatherOf } from '../../../core/season/weather'
import { formatTemperature, formatTemperatureDifference } from '../../../core/units/format'
import { download } from '../../utils/download'
import { dayText } from '../../utils/time'

const session = useSession()
const waters = useWater()
const season = useSeason()
const weather = useWeather()
const conditions = useConditions()
const { add } = useReadings()

const adding = ref(false)
const said = ref<{ text: string, issues: ReadIssue[], bad: boolean } | null>(null)
const busy = ref(false)
const SENSOR_M = 0.4
const SHOWN = 5

const heard = computed(() => [...season.model?.innovations ?? []].reverse())
const rms = computed(() => {
  // The first reading of all meets a model that has heard nothing yet.
  const off = heard.value.slice(0, -1).map(i => i.waterC - i.expectedC)
  return off.length > 0 ? Math.sqrt(off.reduce((sum, o) => sum + o * o, 0) / off.length) : null
})
function offText({ waterC, expectedC }: { waterC: number, expectedC: number }) {
  const off = waterC - expectedC
  return Math.abs(off) < 0.1 ? 'as the model had it' : `the model had it ${formatTemperatureDifference(off, session.units)} ${off > 0 ? 'cooler' : 'warmer'}`
}

async function bring(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  busy.value = true
  said.value = null
  try {
    const text = await file.text()
    if (/^[^\n]*\$[A-Z]{5}/m.test(text)) await bringLog(file.name, text)
    else await bringHours(file.name, text)
  }
  catch (error) {
    said.value = { text: `${file.name} was not taken: ${error instanceof Error ? error.message : String(error)}`, issues: [], bad: true }
  }
  finally {
    busy.value = false
    input.value = ''
  }
}

async function bringHours(name: string, text: string) {
  const { items, skipped, issues } = readCsvWeather(text, { instant: iso => DateTime.fromISO(iso, { zone: conditions.zone }).toMillis() })
  if (items.length > 0) await weather.bringFile(weatherOf(items))
  said.value = { text: items.length > 0 ? `${name}: ${items.length} hours of weather taken${skipped > 0 ? `, ${skipped} rows left out` : ''}.` : `Nothing was taken from ${name}.`, issues, bad: items.length === 0 }
}

async function bringLog(name: string, text: string) {
  const { items, skipped, issues } = await season.temperaturesOf(text)
  const thinned = thinTemperatures(items, at => season.partAt(waters.frame!.toLocal(at.lonDeg, at.latDeg)))
  await add(thinned.map(({ atMs, waterC, lonDeg, latDeg }) => ({ atMs, body: { waterC, secchiM: null, windMS: null, windFromDeg: null, sky: null, placeId: null, lonDeg, latDeg, sensorDepthM: SENSOR_M } })))
  said.value = { text: thinned.length > 0 ? `${name}: ${items.length} temperatures, logged as ${thinned.length} readings${skipped > 0 ? `; ${skipped} sentences left out` : ''}.` : `Nothing was taken from ${name}.`, issues, bad: thinned.length === 0 }
}

function takeOut() {
  const series = weather.series!
  download(`${waters.water!.name} weather.csv`, writeCsvWeather(Array.from({ length: series.hours }, (_, k) => hourAt(series, k))), 'text/csv')
}
</script>

<template>
  <section class="sources">
    <h2>What it rests on</h2>
    <p
      v-if="rms !== null"
      class="quiet"
      data-test="model-error"
    >
      Before each of the last {{ heard.length - 1 }} readings the model was off by {{ formatTemperatureDifference(rms, session.units) }} (root mean square).
    </p>
    <p
      v-else-if="heard.length === 0"
      class="quiet"
    >
      No temperature has been read yet: the model goes by the weather alone.
    </p>
    <ul data-test="innovations">
      <li
        v-for="one in heard.slice(0, SHOWN)"
        :key="one.atMs"
      >
        <strong>{{ formatTemperature(one.waterC, session.units) }}</strong> {{ season.model?.names[one.part] }}, {{ dayText(one.atMs, conditions.zone) }}
        <span class="quiet">{{ offText(one) }}</span>
      </li>
    </ul>
    <SeasonReading
      v-if="adding"
      @done="adding = false"
    />
    <v-btn
      v-else
      class="main"
      @click="adding = true"
    >
      Enter a reading
    </v-btn>
    <div class="files">
      <label class="file">
        <input
          type="file"
          accept=".csv,.txt,.tsv,.nmea,.log"
          data-test="season-file"
          :disabled="busy"
          @change="bring"
        >
        <span>{{ busy ? 'Reading …' : 'Bring a file' }}</span>
      </label>
      <v-btn
        class="quiet-btn"
        :disabled="!weather.series?.hours"
        @click="takeOut"
      >
        Weather out as CSV
      </v-btn>
      <v-btn
        v-if="weather.state?.file"
        class="quiet-btn"
        @click="weather.dropFile()"
      >
        Drop the file's hours
      </v-btn>
    </div>
    <p class="quiet">
      A table of hours (CSV), or a boat's log with water temperatures (MTW).
    </p>
    <div
      v-if="said"
      role="status"
      :class="{ 'tone-now': said.bad }"
    >
      <p>{{ said.text }}</p>
      <ul class="quiet">
        <li
          v-for="(issue, i) in said.issues.slice(0, 6)"
          :key="i"
        >
          {{ issue.line === null ? '' : `line ${issue.line}: ` }}{{ issue.message }}
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.sources { display: flex; flex-direction: column; gap: 8px; align-items: stretch; }
li { font-size: 14.5px; line-height: 1.35; padding: 2px 0; }
li .quiet { display: block; }
.files { display: flex; flex-wrap: wrap; gap: 4px 8px; align-items: center; }
.file { position: relative; font-weight: 700; font-size: 15px; border: 1px solid var(--ink); border-radius: 8px; padding: 7px 14px; cursor: pointer; background: var(--sheet); }
.file input { position: absolute; inset: 0; opacity: 0; cursor: pointer; width: 100%; }
.file:focus-within { outline: 3px solid var(--now); outline-offset: 2px; }
</style>
