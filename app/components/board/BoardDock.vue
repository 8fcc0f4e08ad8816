<script setup lang="ts">
import { contours, geoPath, geoTransform, line, scaleLinear } from 'd3'
import { DateTime } from 'luxon'
import { dockParts, shadeHours, shadeSide, shadeUnder, type SunStand } from '../../../core/place/dockShade'
import type { PlaceOf } from '../../../core/place/kinds'
import type { PlanPoint } from '../../../core/place/shadeOutline'
import { shadowStrength, sunAt } from '../../../core/season/sun'
import { skyOf } from '../../../core/season/sky'
import { formatDepth } from '../../../core/units/format'
import { hourText } from '../../utils/time'

const props = defineProps<{ place: PlaceOf<'dock'>, fishDepthM: number }>()
const session = useSession()
const conditions = useConditions()
const season = useSeason()

const SIZE = 300
const REACH_M = 7
const STEP_H = 0.5
const HOUR_MS = 3_600_000
const LEVELS_H = [2, 4, 6]
const POINTS: Record<string, string> = { N: 'north', NE: 'north-east', E: 'east', SE: 'south-east', S: 'south', SW: 'south-west', W: 'west', NW: 'north-west' }

const waters = useWater()
/** The deck as drawn on the chart, about the place's own point. */
const drawn = computed<PlanPoint[]>(() => {
  const { shape, lonDeg, latDeg } = props.place
  if (shape?.type !== 'Polygon' || !waters.frame) return []
  const at = waters.frame.toLocal(lonDeg, latDeg)
  return shape.coordinates[0]!.slice(0, -1).map(([lon, lat]) => {
    const p = waters.frame!.toLocal(lon, lat)
    return { x: p.x - at.x, y: p.y - at.y }
  })
})
const parts = computed(() => dockParts(props.place.attributes, drawn.value))
const part = (what: 'roof' | 'boat') => parts.value.find(p => p.what === what)
/** What of this rests on a guess. */
const guesses = computed(() => [...(drawn.value.length < 3 ? ['the deck\'s shape is taken from its area'] : []), ...(part('roof') && props.place.attributes.roofHeightM === undefined ? ['the roof\'s height is a guess'] : [])].join(' and '))
const depthM = computed(() => Math.min(props.fishDepthM, props.place.attributes.bottomDepthM))
function standAt(atMs: number): SunStand {
  const { altitudeDeg, azimuthDeg } = sunAt({ atMs, ...conditions.position })
  const weather = season.weatherAt(atMs)
  const sky = conditions.isWhatIf('sky') || !weather ? conditions.now.sky : skyOf(weather) ?? conditions.now.sky
  return { atMs, altitudeDeg, azimuthDeg, strength: shadowStrength({ altitudeDeg, sky }) }
}
/** The sun asked about is under the sky of the conditions line. */
const sun = computed<SunStand>(() => ({ ...standAt(conditions.atMs), strength: shadowStrength({ altitudeDeg: conditions.sun.altitudeDeg, sky: conditions.now.sky }) }))
const dayIso = computed(() => conditions.local.toISODate()!)
const plan = computed(() => {
  const start = DateTime.fromISO(dayIso.value, { zone: conditions.zone }).startOf('day').toMillis()
  const suns = Array.from({ length: 24 / STEP_H }, (_, i) => standAt(start + (i + 0.5) * STEP_H * HOUR_MS))
  return shadeHours({ parts: parts.value, depthM: depthM.value, suns, stepH: STEP_H, reachM: REACH_M })
})
const shades = computed(() => shadeUnder({ parts: parts.value, depthM: depthM.value, sun: sun.value }))
const side = computed(() => shadeSide({ parts: parts.value, depthM: depthM.value, sun: sun.value }))

const span = computed(() => Math.max(plan.value.cols, plan.value.rows) * plan.value.cellM)
const x = computed(() => scaleLinear([plan.value.x0, plan.value.x0 + span.value], [0, SIZE]))
const y = computed(() => scaleLinear([plan.value.y0, plan.value.y0 + span.value], [SIZE, 0]))
const ring = (points: PlanPoint[]) => `${line<PlanPoint>().x(p => x.value(p.x)).y(p => y.value(p.y))(points)}Z`
const lasting = computed(() => {
  const { cols, rows, cellM, x0, y0, hours } = plan.value
  const path = geoPath(geoTransform({
    point(c, r) {
      this.stream.point(x.value(x0 + c * cellM), y.value(y0 + r * cellM))
    },
  }))
  return contours().size([cols, rows]).thresholds(LEVELS_H)(Array.from(hours)).map(c => ({ hours: c.value, d: path(c) ?? '' }))
})
const hourNow = computed(() => hourText(conditions.now.hour))
const said = computed(() => {
  const at = formatDepth(depthM.value, session.units)
  if (!side.value) return `No shade to speak of at ${hourNow.value}: without it the fish leave the dock and roam.`
  const { side: toward, beyondM, corner } = side.value
  return `At ${hourNow.value} the shade ${at} down lies out to the ${POINTS[toward]}, ${formatDepth(beyondM, session.units)} beyond the deck. Work that side first, from the ${POINTS[corner]} corner.`
})
</script>

<template>
  <figure
    class="dock"
    data-test="dock-shade"
  >
    <svg
      :viewBox="`0 0 ${SIZE} ${SIZE}`"
      role="img"
      :aria-label="`Plan of the dock, north up. ${said}`"
    >
      <defs>
        <pattern
          id="dock-shade"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        ><line
          x1="0"
          y1="0"
          x2="0"
          y2="6"
          class="hatch"
        /></pattern>
      </defs>
      <rect
        :width="SIZE"
        :height="SIZE"
        class="water"
      />
      <path
        v-for="(band, i) in lasting"
        :key="band.hours"
        :d="band.d"
        :class="`lasting lasting-${i}`"
      />
      <path
        v-for="(outline, i) in shades"
        :key="i"
        :d="ring(outline)"
        class="shade"
      />
      <path
        :d="ring(parts[0]!.outline)"
        class="deck"
      />
      <path
        v-if="part('roof')"
        :d="ring(part('roof')!.outline)"
        class="roof"
      />
      <path
        v-if="part('boat')"
        :d="ring(part('boat')!.outline)"
        class="moored"
      />
      <g :transform="`translate(${SIZE - 22}, 30)`">
        <path
          d="M0,-18 L6,4 L0,0 L-6,4 Z"
          class="north"
        />
        <text
          y="18"
          class="north-text"
        >N</text>
      </g>
    </svg>
    <figcaption>
      <p data-test="dock-side">
        {{ said }}
      </p>
      <p class="quiet">
        Hatched: shade now, at the fish's depth. Tints: shaded {{ LEVELS_H.join(', ') }} hours of the day and more, cloud counted.<template v-if="guesses">
          Not known: {{ guesses }}.
        </template>
      </p>
    </figcaption>
  </figure>
</template>

<style scoped>
.dock { margin: 0; }
svg { display: block; width: 100%; max-width: 330px; border: 1px solid var(--rule); }
.water { fill: var(--paper); }
.lasting { stroke: none; }
.lasting-0 { fill: var(--mark-4); fill-opacity: 0.45; }
.lasting-1 { fill: var(--mark-3); fill-opacity: 0.5; }
.lasting-2 { fill: var(--mark-2); fill-opacity: 0.6; }
.hatch { stroke: var(--ink); stroke-width: 1.6; }
.shade { fill: url(#dock-shade); stroke: var(--ink); stroke-width: 1.2; }
.deck { fill: var(--sand); fill-opacity: 0.75; stroke: var(--ink); stroke-width: 2; }
.moored { fill: var(--sheet); stroke: var(--ink); stroke-width: 1.6; }
.roof { fill: none; stroke: var(--ink); stroke-width: 2; stroke-dasharray: 7 4; }
.north { fill: var(--ink); }
.north-text { font-size: 15px; font-weight: 700; fill: var(--ink); text-anchor: middle; }
figcaption { padding-top: 6px; }
</style>
