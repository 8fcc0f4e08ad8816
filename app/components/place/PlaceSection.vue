<script setup lang="ts">
import { area, curveMonotoneX, line as d3line, scaleLinear } from 'd3'
import { crossSection, type SectionPoint } from '../../../core/place/crossSection'
import { coverTop } from '../../../core/place/kinds'
import { seasonOf } from '../../../core/season/seasons'
import { compassPoint, depthUnit, depthUnitM, formatDepthBand, formatDistance } from '../../../core/units/format'
import type { RankedPlace } from '../../stores/ranking'

const props = defineProps<{ ranking: RankedPlace, /** of the staff beside it */ pxPerM: number }>()
const session = useSession()
const waters = useWater()
const advice = useAdvice()

const WIDTH = 334
const PAD = { left: 30, right: 6, bottom: 22 }
/** Room over the water for what stands there. */
const top = computed(() => (props.ranking.place.kind === 'dock' ? 36 : 16))
const SPAN_M = 20
const UNDER_M = 1.2
const TRUSTED = 0.35
const MOST_SEEN = 60

const place = computed(() => props.ranking.place)
const cut = computed(() => {
  const { lonDeg, latDeg, attributes } = place.value
  return crossSection({ grid: waters.grid!, ...waters.frame!.toLocal(lonDeg, latDeg), bearingDeg: attributes.facingDeg, spanM: SPAN_M, stepM: 0.5 })
})
const bottomM = computed(() => place.value.attributes.bottomDepthM)
const topM = computed(() => coverTop(place.value))
/** As deep as the cut goes, and the fish's own depths where they are over it. */
const shownM = computed(() => Math.min(waters.deepestM, Math.max(bottomM.value, ...cut.value.points.map(p => p.depthM ?? 0)) + UNDER_M))
const height = computed(() => top.value + shownM.value * props.pxPerM + PAD.bottom)
const x = scaleLinear([-SPAN_M, SPAN_M], [PAD.left, WIDTH - PAD.right])
const y = computed(() => scaleLinear([0, shownM.value], [top.value, top.value + shownM.value * props.pxPerM]))
const ground = computed(() => area<SectionPoint>().curve(curveMonotoneX).x(p => x(p.alongM)).y0(height.value - PAD.bottom).y1(p => y.value(p.depthM ?? -0.3))(cut.value.points) ?? '')
const edgeOf = (known: boolean) => d3line<SectionPoint>().defined(p => p.depthM !== null && ((p.trust ?? 1) >= TRUSTED) === known).x(p => x(p.alongM)).y(p => y.value(p.depthM!))(cut.value.points) ?? ''
const guessed = computed(() => cut.value.points.some(p => p.depthM !== null && (p.trust ?? 1) < TRUSTED))
const ticks = computed(() => {
  const unitM = depthUnitM(session.units)
  const every = session.units === 'us' ? 5 : 1
  return Array.from({ length: Math.floor(shownM.value / unitM / every) + 1 }, (_, i) => ({ value: i * every, y: y.value(i * every * unitM) }))
})
const band = computed(() => {
  const { p20, p80 } = props.ranking.belief.quantiles
  return { top: p20, bottom: Math.min(p80, bottomM.value) }
})
const depthAtX = (alongM: number) => cut.value.points.reduce((best, p) => (Math.abs(p.alongM - alongM) < Math.abs(best.alongM - alongM) ? p : best)).depthM ?? bottomM.value
/** Cover to its real height: its stems rise from the bottom to the crown. */
const stems = computed(() => {
  const to = y.value(topM.value)
  const foot = (at: number) => y.value(Math.min(shownM.value, depthAtX(at)))
  switch (place.value.kind) {
    case 'brush': return [-3, -2, -1, 0, 1, 2, 3].map(at => `M${x(at * 0.55)},${foot(at)} C${x(at * 0.6)},${(foot(at) + to) / 2} ${x(at)},${to + 14} ${x(at * 1.25)},${to + Math.abs(at) * 5}`)
    case 'timber': return [-3.2, 0.4, 3.4].map((at, i) => `M${x(at)},${foot(at)} V${to + i * 7} M${x(at)},${to + 30 + i * 6} L${x(at + 1.3)},${to + 14 + i * 6} M${x(at)},${to + 44} L${x(at - 1.2)},${to + 28}`)
    case 'weedEdge': return Array.from({ length: 16 }, (_, i) => -SPAN_M + i * 1.3).filter(at => depthAtX(at) > topM.value).map(at => `M${x(at)},${foot(at)} C${x(at - 0.4)},${foot(at) - 16} ${x(at + 0.5)},${to + 18} ${x(at)},${Math.max(to, foot(at) - (foot(at) - to))}`)
    case 'reedStubble': return Array.from({ length: 12 }, (_, i) => -4 + i * 0.75).map(at => `M${x(at)},${foot(at)} V${top.value - 6}`)
    default: return []
  }
})
const dock = computed(() => {
  if (place.value.kind !== 'dock') return null
  const { deckAreaM2, deckLengthM, deckHeightM, roofed, roofHeightM } = place.value.attributes
  const long = Math.min(SPAN_M - 1, deckLengthM ?? Math.sqrt(deckAreaM2 * 1.5))
  // Over the water the drawing has little room: heights there are cut short.
  const deckY = top.value - Math.min(14, deckHeightM * props.pxPerM)
  return { left: x(-long), right: x(0), deckY, roofY: roofed ? Math.max(4, top.value - Math.min(30, (roofHeightM ?? deckHeightM + 2.4) * props.pxPerM)) : null, posts: [-long + 0.6, -long / 2, -0.4] }
})
const mine = (species: Parameters<typeof seasonOf>[0] | null) => species === null || seasonOf(species) === advice.fish
const caught = computed(() => waters.record.catches.filter(c => c.placeId === place.value.id && c.depthM !== null && mine(c.species)).slice(-MOST_SEEN))
const seen = computed(() => waters.record.schools.filter(s => s.placeId === place.value.id && mine(s.species)).slice(-MOST_SEEN))
const weedM = computed(() => Math.min(advice.weedM, shownM.value))
const times = computed(() => Math.round(props.pxPerM / (x(1) - x(0))))
const said = computed(() => `Cut through the place toward ${compassPoint(cut.value.bearingDeg)}, ${formatDistance(2 * SPAN_M, session.units)} long. Fish expected at ${formatDepthBand(band.value.top, band.value.bottom, session.units)}; ${caught.value.length} own catches with a depth.`)
</script>

<template>
  <figure
    class="section"
    data-test="section"
  >
    <svg
      :viewBox="`0 0 ${WIDTH} ${height}`"
      :width="WIDTH"
      :height="height"
      role="img"
      :aria-label="said"
    >
      <defs>
        <pattern
          id="section-fish"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        ><line
          x1="0"
          y1="0"
          x2="0"
          y2="7"
          class="hatch"
        /></pattern>
      </defs>
      <rect
        :x="PAD.left"
        :y="top"
        :width="WIDTH - PAD.left - PAD.right"
        :height="shownM * pxPerM"
        class="water"
      />
      <rect
        v-if="advice.dimM < shownM"
        :x="PAD.left"
        :y="y(advice.dimM)"
        :width="WIDTH - PAD.left - PAD.right"
        :height="(shownM - advice.dimM) * pxPerM"
        class="dim"
      />
      <rect
        :x="PAD.left"
        :y="y(band.top)"
        :width="WIDTH - PAD.left - PAD.right"
        :height="Math.max(2, y(band.bottom) - y(band.top))"
        class="band"
      />
      <path
        :d="ground"
        class="ground"
      />
      <path
        :d="edgeOf(true)"
        class="edge"
      />
      <path
        :d="edgeOf(false)"
        class="edge guess"
      />
      <path
        v-for="(d, i) in stems"
        :key="i"
        :d="d"
        class="stem"
      />
      <g v-if="dock">
        <path
          v-for="p in dock.posts"
          :key="p"
          :d="`M${x(p)},${dock.roofY ?? dock.deckY} V${y(Math.min(shownM, depthAtX(p)))}`"
          class="post"
        />
        <rect
          :x="dock.left"
          :y="dock.deckY"
          :width="dock.right - dock.left"
          height="5"
          class="deck"
        />
        <rect
          v-if="dock.roofY !== null"
          :x="dock.left - 3"
          :y="dock.roofY"
          :width="dock.right - dock.left + 6"
          height="4"
          class="deck"
        />
      </g>
      <line
        v-if="advice.layer && advice.layer.layerM < shownM"
        :x1="PAD.left"
        :x2="WIDTH - PAD.right"
        :y1="y(advice.layer.layerM)"
        :y2="y(advice.layer.layerM)"
        class="layer"
      />
      <line
        :x1="PAD.left"
        :x2="PAD.left"
        :y1="y(0)"
        :y2="y(weedM)"
        class="weed"
      />
      <line
        v-for="(s, i) in seen"
        :key="`s${i}`"
        :x1="x(4) + (i % 9) * 9"
        :x2="x(4) + (i % 9) * 9"
        :y1="y(s.topM)"
        :y2="y(Math.min(shownM, s.bottomM))"
        class="school"
      />
      <circle
        v-for="(c, i) in caught"
        :key="`c${i}`"
        :cx="x(5) + (i % 11) * 9"
        :cy="y(Math.min(shownM, c.depthM!))"
        r="3.6"
        class="caught"
      />
      <line
        :x1="PAD.left"
        :x2="WIDTH - PAD.right"
        :y1="y(0)"
        :y2="y(0)"
        class="surface"
      />
      <g
        v-for="t in ticks"
        :key="t.value"
      >
        <line
          :x1="PAD.left - 6"
          :x2="PAD.left"
          :y1="t.y"
          :y2="t.y"
          class="tick"
        />
        <text
          :x="PAD.left - 8"
          :y="t.y + 4"
          class="number"
        >{{ t.value === 0 ? depthUnit(session.units) : t.value }}</text>
      </g>
      <text
        :x="PAD.left"
        :y="height - 5"
        class="word"
      >{{ compassPoint(cut.bearingDeg + 180) }}</text>
      <text
        :x="WIDTH - PAD.right"
        :y="height - 5"
        class="word end"
      >{{ compassPoint(cut.bearingDeg) }}, deeper</text>
      <text
        :x="x(0)"
        :y="height - 5"
        class="word middle"
      >{{ formatDistance(2 * SPAN_M, session.units) }}</text>
    </svg>
    <figcaption class="quiet">
      Same depths as on the staff; lengths drawn {{ times }} times smaller. Hatched: where they should be. Bars: schools seen here; dots: fish caught here, by depth.
      <template v-if="guessed">
        Dashed bottom: no sounding near, so it is a guess.
      </template>
    </figcaption>
  </figure>
</template>

<style scoped>
.section { margin: 0; }
svg { display: block; max-width: 100%; height: auto; }
.water { fill: var(--paper); }
.dim { fill: var(--rule); opacity: 0.4; }
.hatch { stroke: var(--now); stroke-width: 2; }
.band { fill: url(#section-fish); opacity: 0.8; }
.ground { fill: var(--sand); }
.edge { fill: none; stroke: var(--ink); stroke-width: 2; }
.edge.guess { stroke-dasharray: 5 4; }
.stem { fill: none; stroke: var(--kept); stroke-width: 2.6; stroke-linecap: round; }
.post { stroke: var(--ink); stroke-width: 2.4; }
.deck { fill: var(--sand-2); stroke: var(--ink); stroke-width: 1.6; }
.layer { stroke: var(--ink-2); stroke-width: 1.5; stroke-dasharray: 8 3; }
.weed { stroke: var(--kept); stroke-width: 5; opacity: 0.7; }
.surface { stroke: var(--ink); stroke-width: 2.2; }
.school { stroke: var(--mark); stroke-width: 4; opacity: 0.7; }
.caught { fill: var(--mark); stroke: var(--sheet); stroke-width: 1; }
.tick { stroke: var(--ink); }
.number { font-size: 12.5px; text-anchor: end; fill: var(--ink); }
.word { font-size: 13px; fill: var(--ink-2); }
.word.end { text-anchor: end; }
.word.middle { text-anchor: middle; }
</style>
