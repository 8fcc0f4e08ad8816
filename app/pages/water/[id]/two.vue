<script setup lang="ts">
import { line as d3line, scaleLinear } from 'd3'
import { measureRig, type MeasuredRig } from '../../../../core/rig/measureRig'
import { LEAD_HEAD_KG_M3 } from '../../../../core/rig/jig'
import { depthUnitM, formatDepth, formatDepthBand, formatLength, formatLine, formatSeconds, formatSpeed, formatWeight, formatWind } from '../../../../core/units/format'

const route = useRoute()
const session = useSession()
const conditions = useConditions()
const advice = useAdvice()
const tackle = useTackle()
const ranks = useRanking()
const { set } = useQuery()

const WIDTH = 460
const HEIGHT = 360
const PAD = { left: 40, right: 12, top: 16, bottom: 34 }
const SIDES = ['a', 'b'] as const
type Side = (typeof SIDES)[number]
const PARTS = ['head', 'body', 'line'] as const
const text = (key: string) => (typeof route.query[key] === 'string' ? route.query[key] : undefined)
const ranking = computed(() => ranks.rankedById(text('place') ?? null) ?? (ranks.rows[0] ? ranks.full(ranks.rows[0]) : null))
const rig = computed(() => ranking.value && advice.rigAt(ranking.value))
const band = computed<[number, number]>(() => {
  const q = ranking.value!.belief.quantiles
  return [q.p20, Math.max(q.p20, q.p80)]
})
const depthM = computed(() => rig.value?.baitDepthM ?? 2)
const distanceM = computed(() => Math.max(2, rig.value?.standOff.fromM ?? 8))

/** Everything that makes a rig is in the address, so that two can be sent to a friend. Without it the second is one head up from the advice. */
function partsOf(side: Side) {
  const heads = tackle.leadHeads
  const advised = heads.findIndex(h => h.attributes.massKg === rig.value?.tie.massKg)
  const head = heads.find(h => h.id === text(`${side}h`)) ?? heads[Math.min(heads.length - 1, Math.max(0, advised) + (side === 'b' ? 1 : 0))]
  const body = tackle.bodies.find(b => b.id === (text(`${side}b`) ?? rig.value?.bodyId)) ?? tackle.bodies[0]
  const line = tackle.lines.find(l => l.id === (text(`${side}l`) ?? rig.value?.lineId)) ?? tackle.lines[0]
  return head && body && line ? { head, body, line } : null
}
const rigs = computed(() => SIDES.flatMap((side) => {
  const parts = partsOf(side)
  if (!parts || !ranking.value) return []
  const measured: MeasuredRig = measureRig({
    headMassKg: parts.head.attributes.massKg, headDensityKgM3: LEAD_HEAD_KG_M3, body: parts.body.attributes, lineDiameterM: parts.line.attributes.diameterM,
    depthM: depthM.value, distanceM: distanceM.value, bandM: band.value, waterTempC: conditions.now.waterC,
  })
  return [{ side, ...parts, measured }]
}))
const items = computed(() => ({
  head: tackle.leadHeads.map(h => ({ value: h.id, title: formatWeight(h.attributes.massKg, session.units) })),
  body: tackle.bodies.map(b => ({ value: b.id, title: `${formatLength(b.attributes.lengthM, session.units)}, ${b.attributes.colour}` })),
  line: tackle.lines.map(l => ({ value: l.id, title: formatLine(l.attributes, session.units) })),
}))

const longest = computed(() => Math.max(1, ...rigs.value.map(r => r.measured.fall.at(-1)!.seconds)))
const deepest = computed(() => Math.max(0.5, ...rigs.value.map(r => r.measured.fall.at(-1)!.depthM)))
const x = computed(() => scaleLinear([0, longest.value], [PAD.left, WIDTH - PAD.right]))
const y = computed(() => scaleLinear([0, deepest.value * 1.05], [PAD.top, HEIGHT - PAD.bottom]))
const curve = (m: MeasuredRig) => d3line<MeasuredRig['fall'][number]>().x(p => x.value(p.seconds)).y(p => y.value(p.depthM))(m.fall) ?? ''
const depthTicks = computed(() => {
  const unitM = depthUnitM(session.units)
  const every = session.units === 'us' ? (deepest.value > 6 ? 5 : 2) : 1
  return Array.from({ length: Math.floor(deepest.value / unitM / every) + 1 }, (_, i) => ({ value: i * every, y: y.value(i * every * unitM) }))
})
const rows = computed(() => {
  const of = (label: string, show: (m: MeasuredRig) => string) => ({ label, cells: rigs.value.map(r => show(r.measured)) })
  return [
    of(`count to ${formatDepth(depthM.value, session.units)}`, m => formatSeconds(m.fallS)),
    of('falls at', m => formatSpeed(m.sinkMS, session.units)),
    of(`among the fish, ${formatDepthBand(...band.value, session.units)}`, m => `for ${formatSeconds(m.inBandS)}`),
    of('runs level at', m => formatSpeed(m.holdMS, session.units)),
    of('felt in wind up to', m => formatWind(m.windMS, session.units)),
  ]
})
const said = computed(() => {
  const [a, b] = rigs.value
  if (!a || !b) return ''
  const ratio = a.measured.sinkMS / b.measured.sinkMS
  if (Math.abs(ratio - 1) < 0.1) return 'They fall at nearly the same speed: what the heavier head gains the bigger body takes.'
  const [slow, share] = ratio > 1 ? ['second', ratio] : ['first', 1 / ratio]
  return `The ${slow} falls slower and stays among the fish ${share.toFixed(1)} times as long; the other is felt in more wind.`
})
</script>

<template>
  <div class="page">
    <RigPages />
    <p v-if="rigs.length < 2">
      {{ ranks.rows.length === 0 ? 'Working it out …' : 'The box has no heads, bodies or lines to compare.' }}
    </p>
    <template v-else>
      <p
        class="said"
        data-test="two-said"
      >
        {{ said }}
      </p>
      <div class="halves">
        <table data-test="two">
          <thead>
            <tr>
              <th scope="col">
                <span class="hidden">what</span>
              </th>
              <th
                v-for="r in rigs"
                :key="r.side"
                scope="col"
              >
                <span class="swatch"><i :class="r.side" /></span>{{ r.side === 'a' ? 'first' : 'second' }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="part in PARTS"
              :key="part"
            >
              <th scope="row">
                {{ part }}
              </th>
              <td
                v-for="r in rigs"
                :key="r.side"
              >
                <v-select
                  :model-value="r[part].id"
                  :items="items[part]"
                  :aria-label="`${part} of the ${r.side === 'a' ? 'first' : 'second'}`"
                  density="compact"
                  hide-details
                  @update:model-value="set({ [`${r.side}${part[0]}`]: $event ?? undefined })"
                />
              </td>
            </tr>
            <tr
              v-for="row in rows"
              :key="row.label"
            >
              <th scope="row">
                {{ row.label }}
              </th>
              <td
                v-for="(cell, i) in row.cells"
                :key="i"
              >
                <strong>{{ cell }}</strong>
              </td>
            </tr>
          </tbody>
        </table>
        <svg
          :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
          role="img"
          :aria-label="`Depth through time on slack line. ${said}`"
        >
          <rect
            :x="PAD.left"
            :y="PAD.top"
            :width="WIDTH - PAD.left - PAD.right"
            :height="HEIGHT - PAD.top - PAD.bottom"
            class="water"
          />
          <rect
            :x="PAD.left"
            :y="y(band[0])"
            :width="WIDTH - PAD.left - PAD.right"
            :height="Math.max(2, y(band[1]) - y(band[0]))"
            class="band"
          />
          <g
            v-for="t in depthTicks"
            :key="t.value"
          >
            <line
              :x1="PAD.left - 5"
              :x2="PAD.left"
              :y1="t.y"
              :y2="t.y"
              class="tick"
            />
            <text
              :x="PAD.left - 8"
              :y="t.y + 4"
              class="number end"
            >{{ t.value }}</text>
          </g>
          <text
            v-for="s in x.ticks(6)"
            :key="s"
            :x="x(s)"
            :y="HEIGHT - 14"
            class="number"
          >{{ s }} s</text>
          <path
            v-for="r in rigs"
            :key="r.side"
            :d="curve(r.measured)"
            :class="`fall ${r.side}`"
          />
        </svg>
      </div>
      <p class="quiet">
        The band: where the fish should be at {{ ranking!.place.name }}. Falls on slack line in {{ formatDepth(depthM, session.units) }} and more of still water. This page's address holds both rigs: send it on.
      </p>
    </template>
  </div>
</template>

<style scoped>
.page { height: 100%; overflow-y: auto; padding: 16px 22px 26px; display: flex; flex-direction: column; gap: 14px; }
.page > * { flex: none; }
.said { font-size: 18px; font-weight: 650; line-height: 1.4; max-width: 72ch; }
.halves { display: grid; grid-template-columns: minmax(0, 1.05fr) minmax(0, 1fr); gap: 26px; align-items: start; }
table { border-collapse: collapse; width: 100%; table-layout: fixed; background: var(--sheet); border: 1px solid var(--rule); }
th, td { text-align: left; padding: 8px 10px; border-top: 1px solid var(--rule); font-weight: 450; font-size: 15px; }
thead th { font-weight: 700; font-size: 16px; border-top: 0; }
tbody th { color: var(--ink-2); width: 30%; }
td strong { font-size: 18px; }
.swatch i { display: inline-block; width: 26px; margin-right: 8px; vertical-align: middle; border-top: 4px solid var(--ink); }
.swatch i.b { border-top: 4px dashed var(--mark); }
svg { width: 100%; display: block; }
.water { fill: var(--sheet); stroke: var(--rule); }
.band { fill: var(--now); opacity: 0.22; }
.tick { stroke: var(--ink); }
.number { font-size: 13px; fill: var(--ink); text-anchor: middle; }
.number.end { text-anchor: end; }
.fall { fill: none; stroke-width: 3; }
.fall.a { stroke: var(--ink); }
.fall.b { stroke: var(--mark); stroke-dasharray: 8 5; }
.hidden { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); }
@media (max-width: 900px) { .halves { grid-template-columns: 1fr; } }
</style>
