<script setup lang="ts">
import { compassPoint, formatDepth, formatTemperature, formatWind } from '../../core/units/format'

const session = useSession()
const waters = useWater()
const boat = useBoat()
boat.follow()
const host = ref('')
const port = ref('10110')
const problem = ref<string | null>(null)

onMounted(async () => {
  try {
    await session.load()
    const at = session.angler?.instruments
    if (at) [host.value, port.value] = [at.host, String(at.port)]
    const [first] = await waters.loadList()
    if (!waters.water && first) await waters.load(first.id)
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
})

async function save(instruments: { host: string, port: number } | null) {
  try {
    problem.value = null
    await session.set({ instruments })
  }
  catch (error) {
    problem.value = `Not saved: ${error instanceof Error ? error.message : String(error)}`
  }
}
const place = computed(() => {
  const { position } = boat
  if (!position || !waters.frame) return null
  const at = waters.frame.toLocal(position.lonDeg, position.latDeg)
  const near = waters.places.map(p => ({ name: p.name, ...waters.frame!.toLocal(p.lonDeg, p.latDeg) })).map(p => ({ name: p.name, apart: Math.hypot(p.x - at.x, p.y - at.y) })).sort((a, b) => a.apart - b.apart)[0]
  return near && near.apart < 200 ? `${position.latDeg.toFixed(5)}, ${position.lonDeg.toFixed(5)}, by ${near.name}` : `${position.latDeg.toFixed(5)}, ${position.lonDeg.toFixed(5)}`
})
const rows = computed(() => {
  const { now } = boat
  const { units } = session
  return [
    ['position', place.value],
    ['over ground', now?.speedMS == null ? null : `${formatWind(now.speedMS, units)}${now.courseDeg == null ? '' : ` toward ${compassPoint(now.courseDeg)}`}`],
    ['bow', now?.headingDeg == null ? null : `${Math.round(now.headingDeg)}° ${compassPoint(now.headingDeg)}`],
    ['water under it', now?.depthM == null ? null : formatDepth(now.depthM, units)],
    ['water temperature', now?.waterC == null ? null : formatTemperature(now.waterC, units)],
    ['true wind', now?.windMS == null ? null : `${formatWind(now.windMS, units)}${now.windFromDeg == null ? '' : ` from ${compassPoint(now.windFromDeg)}`}`],
  ] as const
})
const state = computed(() => {
  const { report } = boat
  if (!report || report.link === 'off') return 'Nothing is listened to.'
  if (report.link === 'on') return `Connected: ${report.sentences} sentences understood, ${report.left} left out as broken or not believed.`
  return `Not connected, trying again${report.trouble ? `: ${report.trouble}` : ''}.`
})
useHead({ title: 'Instruments · Remous' })
</script>

<template>
  <div class="page">
    <h1>The boat's instruments</h1>
    <p>Remous listens to NMEA 0183 over TCP, as a gateway on the boat sends it. Position, depth and temperature then stamp what you log. A figure that grows old is no longer shown; broken sentences and leaps never move the boat.</p>
    <form @submit.prevent="save({ host: host.trim(), port: Number(port) })">
      <v-text-field
        v-model="host"
        label="host"
        placeholder="192.168.1.10"
        autocomplete="off"
      />
      <v-text-field
        v-model="port"
        label="port"
        inputmode="numeric"
        autocomplete="off"
      />
      <v-btn
        class="main"
        type="submit"
      >
        Listen there
      </v-btn>
      <v-btn
        v-if="session.angler?.instruments"
        class="plain"
        @click="save(null)"
      >
        Forget it
      </v-btn>
    </form>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
    <p
      data-test="link"
      :class="{ 'tone-careful': boat.report?.link === 'trying' }"
    >
      {{ state }}
    </p>
    <dl data-test="heard">
      <div
        v-for="[name, value] in rows"
        :key="name"
      >
        <dt>{{ name }}</dt><dd>{{ value ?? 'silent' }}</dd>
      </div>
    </dl>
    <p
      v-if="session.angler?.demo"
      class="quiet"
    >
      The demo comes with a stand-in boat that goes round the reservoir; it is heard while nothing else is entered.
    </p>
  </div>
</template>

<style scoped>
.page { padding: 24px 32px 40px; height: 100%; overflow-y: auto; max-width: 760px; display: flex; flex-direction: column; gap: 16px; font-size: 16px; line-height: 1.4; }
form { display: grid; grid-template-columns: minmax(0, 1fr) 130px auto auto; gap: 10px; align-items: center; }
dl { border-top: 1px solid var(--rule); }
dl div { display: grid; grid-template-columns: 170px minmax(0, 1fr); padding: 8px 0; border-bottom: 1px solid var(--rule); }
dt { color: var(--ink-2); }
dd { font-weight: 700; }
@media (max-width: 700px) { .page { padding: 16px; } form { grid-template-columns: minmax(0, 1fr) 110px; } dl div { grid-template-columns: 130px minmax(0, 1fr); } }
</style>
