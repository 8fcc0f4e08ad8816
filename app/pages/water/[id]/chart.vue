<script setup lang="ts">
import { chartFile } from '../../../utils/chartFile'
import { LAYER_NAMES, type LayerName } from '../../../utils/chartLayers'
import { download } from '../../../utils/download'
import { featureText, featureTitle } from '../../../../core/water/featureText'
import { FEATURE_KINDS } from '../../../../core/water/readWater'
import type { BandMeeting, DepthBand } from '../../../../core/water/bandMeetings'
import type { XY } from '../../../../core/water/turns'
import { phaseOf } from '../../../../core/season/seasons'
import { formatSmall } from '../../../../core/units/format'
import { staffDepth, tintLevels } from '../../../../core/water/tints'

const route = useRoute()
const session = useSession()
const waters = useWater()
const advice = useAdvice()
const reading = useReading()

/** Filter, choice, layers and view live in the address. */
const text = (key: string) => (typeof route.query[key] === 'string' ? route.query[key] : undefined)
const { set } = useQuery()
const kind = computed(() => text('kind') ?? 'best')
const search = computed(() => text('q') ?? '')
const chosenId = computed(() => text('feature') ?? null)
const chosen = computed(() => reading.byId(chosenId.value))
const on = computed(() => (text('layers') ?? 'roads,weed').split(','))
const layers = computed(() => Object.fromEntries(LAYER_NAMES.map(name => [name, on.value.includes(name)])) as Record<LayerName, boolean>)
const view = computed(() => {
  const parts = (text('view') ?? '').split('_').map(Number)
  return parts.length === 3 && parts.every(Number.isFinite) && parts[2]! > 0 ? parts as [number, number, number] : null
})

const BEST_RANK = 0.45
const shown = computed(() => {
  const all = [...(reading.reading?.features ?? [])].sort((a, b) => b.rank - a.rank || FEATURE_KINDS.indexOf(a.kind) - FEATURE_KINDS.indexOf(b.kind))
  const words = search.value.toLowerCase().split(/\s+/).filter(Boolean)
  return all
    .filter(f => (kind.value === 'best' ? f.rank >= BEST_RANK : kind.value === 'all' || f.kind === kind.value))
    .filter(f => words.every(w => `${featureTitle(f, session.units)} ${featureText(f, session.units)}`.toLowerCase().includes(w)))
})
const roads = computed(() => {
  const all = layers.value.roads ? reading.reading?.roads ?? [] : []
  const flat = chosen.value?.flatId ?? (chosen.value?.kind === 'flat' ? chosen.value.id : null)
  return flat ? all.filter(r => r.flatId === flat) : all
})

/** Spawning ground and the water beside it where the phase has them. */
const bands = ref<{ shallow: DepthBand, deep: DepthBand }>({ shallow: phaseOf('crappie', 'spawn')!.depthM, deep: phaseOf('crappie', 'preSpawn')!.depthM })
const meetings = shallowRef<BandMeeting[] | null>(null)
const map = useTemplateRef<{ meetings: (shallow: DepthBand, deep: DepthBand) => Promise<BandMeeting[] | null>, goTo: (at: BandMeeting) => void }>('map')
watch([() => layers.value.bands, bands, () => waters.grid, map], async ([bandsOn]) => {
  if (!bandsOn || !map.value) return
  const found = await map.value.meetings(bands.value.shallow, bands.value.deep)
  if (found) meetings.value = found
})

const drawing = ref(false)
const line = ref<XY[] | null>(null)
const staff = computed(() => staffDepth({ deepestM: Math.max(1, waters.deepestM), units: session.units }))

function takeOut(what: 'contours' | 'features' | 'places', as: 'geojson' | 'kml' | 'gpx') {
  const file = chartFile({
    what, as, water: waters.water!.name, frame: waters.frame!, grid: waters.grid!, levelsM: tintLevels({ deepestM: Math.max(1, waters.deepestM), units: session.units }),
    reading: reading.reading ?? { features: [], roads: [] }, places: waters.places, units: session.units,
  })
  download(file.name, file.text, file.type)
}
useHead({ title: () => `Chart · ${waters.water?.name ?? 'Remous'}` })
</script>

<template>
  <div class="chart-page">
    <FrameWaterStaff
      class="staff"
    />
    <div class="middle">
      <ChartMap
        ref="map"
        class="chart-area"
        :shown="shown"
        :chosen-id="chosenId"
        :roads="roads"
        :weed-m="layers.weed ? advice.weedM : null"
        :doubt="layers.doubt"
        :places="layers.places"
        :bands="layers.bands ? bands : null"
        :drawing="drawing"
        :view="view"
        @choose="set({ feature: $event ?? undefined })"
        @drawn="line = $event"
        @moved="set({ view: $event.join('_') })"
      />
      <ChartProfile
        v-if="line"
        :line="line"
        :staff-m="staff"
        @close="line = null; drawing = false"
      />
    </div>
    <aside>
      <header>
        <h1>Reading the chart</h1>
        <p
          class="quiet"
          data-test="error"
        >
          {{ waters.water!.heldOutM === null ? 'No track was left out to measure its error.' : `Off by ${formatSmall(waters.water!.heldOutM, session.units)} (root mean square) on tracks it had not seen.` }}
          <NuxtLink :to="`/bring?water=${waters.water!.id}`">Soundings</NuxtLink>
        </p>
      </header>
      <ChartTools
        :layers="layers"
        :bands="bands"
        :meetings="meetings"
        :drawing="drawing"
        @layer="(name, turnedOn) => set({ layers: LAYER_NAMES.filter(l => (l === name ? turnedOn : layers[l])).join(',') })"
        @bands="bands = $event"
        @draw="drawing = $event; if (!$event) line = null"
        @go="map?.goTo($event)"
        @take-out="takeOut"
      />
      <ChartList
        :shown="shown"
        :chosen-id="chosenId"
        :kind="kind"
        :search="search"
        :done="reading.done"
        :ready="reading.reading !== null"
        :problem="reading.problem"
        @choose="set({ feature: $event ?? undefined })"
        @kind="set({ kind: $event === 'best' ? undefined : $event })"
        @search="set({ q: $event || undefined })"
      />
    </aside>
  </div>
</template>

<style scoped>
.chart-page { height: 100%; display: grid; grid-template-columns: var(--staff-w) minmax(0, 1fr) 372px; min-height: 0; }
.middle { display: flex; flex-direction: column; min-height: 0; min-width: 0; }
.chart-area { flex: 1; }
aside { border-left: 1px solid var(--ink); background: var(--sheet); min-height: 0; display: flex; flex-direction: column; }
header { padding: 12px 16px 8px; border-bottom: 1px solid var(--rule); }
@media (max-width: 700px) {
  .chart-page { grid-template-columns: minmax(0, 1fr); grid-template-rows: 50% auto; overflow-y: auto; }
  .staff { display: none; }
  aside { border-left: 0; }
}
</style>
